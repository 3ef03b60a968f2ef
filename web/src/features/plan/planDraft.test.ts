import { BUILT_IN } from '@myokinet/core/catalogue';
import type { PlanReply } from '@myokinet/core/contracts';
import { openLibrary } from '@myokinet/core/library';
import { usualDose } from '@myokinet/core/planning';
import type { CalendarDay, Instant } from '@myokinet/core/quantities';
import { describe, expect, it } from 'vitest';
import { newId } from '../../client/newId.ts';
import { nextPlan, type SessionDraft, withDrill, withItem, withSchools, withItemMoved, withoutItem, withSession } from './planDraft.ts';
import { weekInWords } from './week.ts';

const library = openLibrary(BUILT_IN);
const adding = (to: SessionDraft, id: string) => withDrill(to, library.drill(id), usualDose(library.drill(id), []), library);
const item = (drillId: string) => ({ id: drillId, drillId, sets: 2, min: 5, max: 10, restSeconds: 30, why: 'Because.' });
const session = (...drillIds: string[]): SessionDraft => ({ id: newId(), day: '2026-11-24', items: drillIds.map(item) });
const drillIds = (s: SessionDraft) => s.items.map((i) => i.drillId);

describe('editing a session', () => {
  const before = session('wrist-circles', 'four-directions', 'plank');

  it('adds a drill where its phase belongs, at its usual dose', () => {
    const after = adding(before, 'wall-scapular-push-up');
    expect(drillIds(after)).toEqual(['wrist-circles', 'four-directions', 'wall-scapular-push-up', 'plank']);
    expect(after.items[2]).toMatchObject({ sets: 1, min: 15, max: 20, why: 'Added by the coach.' });
  });

  it('keeps an order the coach made by hand when a drill is added', () => {
    const own = session('plank', 'wrist-circles');
    expect(drillIds(adding(own, 'four-directions'))).toEqual(['plank', 'wrist-circles', 'four-directions']);
  });

  it('moves, changes and removes, and leaves the rest as it was', () => {
    expect(drillIds(withItemMoved(before, 'plank', 'wrist-circles'))).toEqual(['plank', 'wrist-circles', 'four-directions']);
    expect(drillIds(withItemMoved(before, 'wrist-circles', 'plank'))).toEqual(['four-directions', 'plank', 'wrist-circles']);
    expect(withItemMoved(before, 'nobody', 'plank')).toBe(before);
    expect(withItem(before, 'plank', { sets: 4 }).items.map((i) => i.sets)).toEqual([2, 2, 4]);
    expect(drillIds(withoutItem(before, 'four-directions'))).toEqual(['wrist-circles', 'plank']);
  });
});

describe('schools of a plan', () => {
  it('are kept only where they differ from the studio', () => {
    const plan = nextPlan('2026-11-23', null);
    const felt = withSchools(plan, { progress: 'feel' });
    expect(felt.schools).toEqual({ progress: 'feel' });
    expect(withSchools(felt, {})).toEqual(plan);
  });
});

describe('revisions', () => {
  it('name the one they edit', () => {
    const saved: PlanReply = { ...nextPlan('2026-11-23', null), savedAt: '2026-11-23T10:00:00.000Z' as Instant };
    const next = nextPlan('2026-11-23', saved);
    expect(next).toMatchObject({ id: saved.id, basedOn: saved.revision });
    expect(next.revision).not.toBe(saved.revision);
    expect(next).not.toHaveProperty('savedAt');
  });

  it('change one session of the week only', () => {
    const [a, b] = [session('plank'), session('plank')];
    const plan = { ...nextPlan('2026-11-23', null), sessions: [a, b] };
    const changed = withSession(plan, a.id, (s) => withoutItem(s, 'plank'));
    expect(changed.sessions.map((s) => s.items.length)).toEqual([0, 1]);
    expect(changed.sessions[1]).toBe(b);
  });
});

describe('weeks', () => {
  const now = new Date('2026-11-24T12:00:00');

  it('are said as people say them', () => {
    expect(weekInWords('2026-11-23' as CalendarDay, now)).toBe('This week, 23–29 Nov 2026');
    expect(weekInWords('2026-11-30' as CalendarDay, now)).toBe('Next week, 30 Nov–6 Dec 2026');
    expect(weekInWords('2026-10-19' as CalendarDay, now)).toBe('Week of 19–25 Oct 2026');
  });
});
