import type { CalendarDay } from '../quantities/index.ts';
import { describe, expect, it } from 'vitest';
import { closedBecause, openSteps, stepsOf, transitionTo, whoseTurn } from './steps.ts';
import { event, headOf, itemOf, library, ran, setOf } from './testing.ts';

const items = [
  itemOf('plank'),
  itemOf('supported-one-shoulder-pack', { min: 5, max: 8 }),
  itemOf('neck-loosening', { sets: 1, min: 3, max: 5 }),
];
const NONE = { stopSigns: [], cautions: [] };
const LOCKED = { stopSigns: ['Locked meanwhile.'], cautions: [] };
const places = (form: 'sets' | 'circuit' | 'flow') =>
  stepsOf(ran(headOf(items, { form }), []), library).map((s) => `${s.drill.id.slice(0, 5)} ${s.round} ${s.side}`);

describe('the order of a session', () => {
  it('drill after drill, left before right', () => {
    expect(places('sets')).toEqual([
      'plank 1 whole',
      'plank 2 whole',
      'suppo 1 left',
      'suppo 1 right',
      'suppo 2 left',
      'suppo 2 right',
      'neck- 1 left',
      'neck- 1 right',
    ]);
  });

  it('round after round in a circuit or a flow', () => {
    expect(places('circuit').map((p) => p.split(' ')[1])).toEqual(['1', '1', '1', '1', '1', '2', '2', '2']);
    expect(places('flow')).toEqual(places('circuit'));
  });

  it('warm-up before the rounds, cool-down after the last, wherever they stand in the plan; each round is announced once', () => {
    const mixed = ran(
      headOf([itemOf('forearm-stretch', { sets: 1 }), itemOf('plank'), itemOf('kneeling-plank'), itemOf('wrist-circles')], {
        form: 'circuit',
      }),
      [],
    );
    const steps = stepsOf(mixed, library);
    expect(steps.map((s) => `${s.drill.id} ${s.round}${s.side === 'whole' ? '' : s.side[0]}`)).toEqual([
      ...['wrist-circles 1', 'wrist-circles 2', 'plank 1', 'kneeling-plank 1', 'plank 2', 'kneeling-plank 2'],
      ...['forearm-stretch 1l', 'forearm-stretch 1r'],
    ]);
    const said = steps.slice(1).map((step, i) => transitionTo(steps[i], step, 'circuit').says[0]);
    expect(said).toEqual([
      ...['Next: Wrist circles, forearm still.', 'Round 1.', 'Next: Plank on the knees.', 'Round 2.', 'Next: Plank on the knees.'],
      ...['Cool-down.', 'Other side: right.'],
    ]);
  });

  it('leaves out what is done, skipped, or begun with a drill that was swapped away', () => {
    const swap = event({
      kind: 'swap',
      itemId: 'item-plank',
      drillId: 'knee-side-plank',
      sets: 2,
      min: 10,
      max: 20,
      restSeconds: 30,
      harder: false,
    });
    const run = ran(headOf(items), [
      setOf('plank'),
      swap,
      event({ kind: 'skip', itemId: 'item-neck-loosening', reason: 'out of time' }),
      setOf('supported-one-shoulder-pack', 1, { side: 'left', amount: 8 }),
    ]);
    expect(openSteps(run, library, NONE).map((s) => `${s.drill.id} ${s.round} ${s.side}`)).toEqual([
      'knee-side-plank 2 left',
      'knee-side-plank 2 right',
      'supported-one-shoulder-pack 1 right',
      'supported-one-shoulder-pack 2 left',
      'supported-one-shoulder-pack 2 right',
    ]);
  });
});

describe('what is closed', () => {
  const felt = (own: object) =>
    ran(headOf(items), [
      event({ kind: 'symptom', symptom: { intensity: 6, kind: 'ache', place: 'wrist', side: 'left', moment: 'during', ...own } }),
    ]);

  it('after a stop sign: loaded work, and whatever works the joint that hurts; the rest goes on', () => {
    expect(openSteps(felt({}), library, NONE).map((s) => s.drill.id)).toEqual(['neck-loosening', 'neck-loosening']);
    expect(openSteps(felt({ place: 'neck' }), library, NONE)).toEqual([]);
    expect(openSteps(felt({ intensity: 3, place: 'elbow' }), library, NONE)).toHaveLength(8);
    // The small joints stop earlier; what is known of the trainee decides where it is known.
    expect(openSteps(felt({ intensity: 3 }), library, NONE)).toHaveLength(2);
    const lasting = [
      { place: 'wrist', side: 'left', level: 3, role: 'physiotherapist', consultedOn: '2026-11-01' as CalendarDay },
    ] as const;
    expect(openSteps(felt({ intensity: 3 }), library, { ...NONE, felt: { history: [], lasting } })).toHaveLength(8);
    expect(openSteps(felt({ kind: 'soreness', intensity: 7 }), library, NONE)).toHaveLength(2);
  });

  it('says why', () => {
    expect(closedBecause(library.drill('plank'), felt({}), NONE)).toMatch(/^Ache 6\/10, left wrist, during: stop and step back/);
    expect(closedBecause(library.drill('plank'), felt({ intensity: 1 }), LOCKED)).toBe('Locked meanwhile.');
    expect(closedBecause(library.drill('neck-loosening'), felt({ intensity: 1 }), LOCKED)).toBeUndefined();
  });
});

describe('between two sets', () => {
  const steps = stepsOf(ran(headOf(items), []), library);
  const step = (i: number) => {
    const found = steps[i];
    if (!found) throw new Error('no such step');
    return found;
  };

  it('a rest, the other side, another drill in another position', () => {
    expect(transitionTo(undefined, step(0), 'sets')).toMatchObject({ kind: 'start', seconds: 0 });
    expect(transitionTo(step(0), step(1), 'sets')).toEqual({ kind: 'rest', seconds: 45, runsOn: false, says: ['Rest, then set 2 of 2.'] });
    expect(transitionTo(step(2), step(3), 'sets')).toMatchObject({ kind: 'side', seconds: 10, says: ['Other side: right.'] });
    expect(transitionTo(step(1), step(2), 'sets')).toMatchObject({
      kind: 'change',
      says: ['Next: One-shoulder packs, feet on a step, left.', 'Change of position: hanging.'],
    });
  });

  it('runs on by itself in a circuit and in a flow, a station or a breath later', () => {
    expect(transitionTo(step(0), step(2), 'circuit')).toMatchObject({ kind: 'station', seconds: 15, runsOn: true });
    expect(transitionTo(step(0), step(2), 'flow')).toMatchObject({ kind: 'station', seconds: 5, runsOn: true });
    expect(transitionTo(undefined, step(0), 'circuit').runsOn).toBe(false);
  });
});

it('a group goes round, past those who are done', () => {
  expect([whoseTurn([2, 0, 1], -1), whoseTurn([2, 0, 1], 0), whoseTurn([2, 0, 1], 2), whoseTurn([3], 0), whoseTurn([0, 0], 1)]).toEqual([
    0, 2, 0, 0, -1,
  ]);
});
