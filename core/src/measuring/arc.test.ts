import { expect, it } from 'vitest';
import type { Amount, Instant } from '../quantities/index.ts';
import { type Capacity, totalArcs } from './index.ts';

const of = (value: number, takenAt = '2026-11-20T10:00:00.000Z', more: Partial<Capacity> = {}) =>
  ({ value: value as Amount, band: 4 as Amount, takenAt: takenAt as Instant, ...more }) as Capacity;

it('adds both directions of a turn, side by side, and their errors in squares', () => {
  const figures: Record<string, Capacity> = {
    'shoulder-external-rotation/left': of(95),
    'shoulder-internal-rotation/left': of(65, undefined, { band: 3 as Amount }),
    'shoulder-external-rotation/right': of(110),
  };
  const arcs = totalArcs('shoulder-internal-rotation', (id, side) => figures[`${id}/${side}`]);
  expect(arcs).toEqual([{ side: 'left', value: 160, band: 5 }]);
  expect(totalArcs('grip', () => of(40))).toEqual([]);
});

it('takes no old half and none that opens nothing', () => {
  const arcsOf = (other: Capacity) => totalArcs('pronation', (id) => (id === 'pronation' ? of(80) : other));
  expect(arcsOf(of(80))).toHaveLength(2);
  expect(arcsOf(of(80, '2026-10-01T10:00:00.000Z'))).toEqual([]);
  expect(arcsOf(of(80, undefined, { provisional: 'suggested' }))).toEqual([]);
});
