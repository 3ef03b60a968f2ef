import { expect, it } from 'vitest';
import { choiceOf, DEFAULT_SCHOOLS, SCHOOL_QUESTIONS, SCHOOLS, schoolsOf } from './index.ts';

it('has the schools of practice on four questions, each with what it holds and what the others say', () => {
  expect(SCHOOL_QUESTIONS).toEqual(['blade', 'progress', 'rhythm', 'stretching']);
  for (const question of SCHOOL_QUESTIONS)
    for (const { name, holds, others } of Object.values(SCHOOLS[question].choices)) {
      expect(name.length).toBeGreaterThan(2);
      expect([holds, others].every((s) => s.endsWith('.'))).toBe(true);
      expect(others).toMatch(/^Others /);
    }
});

it('starts from active work before load, counted, each drill by its own rule (common practice, no source)', () => {
  expect(DEFAULT_SCHOOLS).toEqual({ blade: 'by drill', progress: 'count', rhythm: 'training days', stretching: 'after load' });
});

it('lets a plan choose otherwise than the studio', () => {
  const schools = schoolsOf(DEFAULT_SCHOOLS, { progress: 'feel' });
  expect(schools).toEqual({ ...DEFAULT_SCHOOLS, progress: 'feel' });
  expect(choiceOf('progress', schools).name).toBe('Feel');
});
