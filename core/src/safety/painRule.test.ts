import { describe, expect, it } from 'vitest';
import { addDays, type CalendarDay, instant } from '../quantities/index.ts';
import {
  closingProblem,
  isStopSign,
  judgementOf,
  judgeSymptom,
  type LastingPain,
  type StopCode,
  type Symptom,
  SYMPTOM_KINDS,
  type SymptomContext,
  symptomResponses,
  tryAgain,
  usualAt,
} from './index.ts';

/* Each row of the pain rule: professional judgement and common practice, from memory, no single published source. */

const now = instant('2026-11-26T18:00:00Z');
const felt = (own: Partial<Symptom> = {}): Symptom => ({
  ...{ intensity: 2, kind: 'ache', place: 'shoulder', side: 'left', moment: 'during', at: now },
  ...own,
});
const before = (days: number, own: Partial<Symptom> = {}) => felt({ at: addDays(now, -days), ...own });
const judged = (own: Partial<Symptom>, context: Partial<SymptomContext> = {}) => judgeSymptom(felt(own), { history: [], ...context });
const word = (own: Partial<LastingPain> = {}): LastingPain => ({
  ...{ place: 'shoulder', side: 'left', level: 2, role: 'physiotherapist', consultedOn: '2026-10-01' as CalendarDay },
  ...own,
});

describe('what stops', () => {
  const ALWAYS = [
    'numbness or tingling',
    'weakness',
    'giving way',
    'locked up',
    'swelling',
    'pain at night',
    'dizziness',
    'headache',
  ] as const;
  it.each(ALWAYS)('%s, at any strength', (kind) => {
    expect(judged({ intensity: 1, kind })).toEqual({ stop: 'kind', quiet: false });
    expect(judged({ intensity: 0, kind })).toEqual({ quiet: true });
  });

  it('no other kind stops at 1', () => {
    for (const kind of SYMPTOM_KINDS.filter((k) => !(ALWAYS as readonly string[]).includes(k) && k !== 'sharp' && k !== 'pinch'))
      expect([kind, judged({ intensity: 1, kind }).stop]).toEqual([kind, undefined]);
  });

  it.each<[string, Partial<Symptom>, readonly Symptom[], StopCode | undefined]>([
    ['sharp, nobody tried again', { kind: 'sharp' }, [], 'sharp'],
    ['sharp, still there', { kind: 'sharp', retest: 'still there' }, [], 'sharp'],
    ['sharp, gone at once', { kind: 'sharp', retest: 'gone' }, [], undefined],
    ['a pinch of 3, gone at once', { kind: 'pinch', intensity: 3, retest: 'gone' }, [], 'sharp'],
    ['a second one within two weeks', { kind: 'pinch', retest: 'gone' }, [before(14, { kind: 'sharp', retest: 'gone' })], 'again'],
    ['a second one later', { kind: 'pinch', retest: 'gone' }, [before(14.1, { kind: 'sharp', retest: 'gone' })], undefined],
    ['a second one on the other side', { kind: 'pinch', retest: 'gone' }, [before(3, { kind: 'sharp', side: 'right' })], undefined],
    ['one that comes later', { kind: 'pinch', retest: 'gone' }, [before(-1, { kind: 'sharp' })], undefined],
    ['after an ache', { kind: 'pinch', retest: 'gone' }, [before(3)], undefined],
    ['after a sharp nothing', { kind: 'pinch', retest: 'gone' }, [before(3, { kind: 'sharp', intensity: 0 })], undefined],
    ['an ache of 4', { intensity: 4 }, [], undefined],
    ['an ache of 5', { intensity: 5 }, [], 'strong'],
    ['an ache of 2 at the wrist', { place: 'wrist' }, [], undefined],
    ['an ache of 3 at the wrist', { intensity: 3, place: 'wrist' }, [], 'small joint'],
    ['a stretch of 3 in the fingers', { intensity: 3, place: 'fingers', kind: 'stretch' }, [], 'small joint'],
    ['an ache of 3 in the hand', { intensity: 3, place: 'hand' }, [], 'small joint'],
    ['sore forearms, 6', { intensity: 6, place: 'forearm', kind: 'soreness' }, [], undefined],
    ['sore hands, 4', { intensity: 4, place: 'hand', kind: 'soreness' }, [], undefined],
    ['a sore wrist, 3: no muscle there', { intensity: 3, place: 'wrist', kind: 'soreness' }, [], 'small joint'],
    ['a sore knee, 5', { intensity: 5, place: 'knee', kind: 'soreness' }, [], 'strong'],
  ])('%s → %s', (_, own, history, stop) => expect(judged(own, { history }).stop).toBe(stop));

  it('a tender bone under 18, at any strength', () => {
    expect(judged({ kind: 'tender bone', intensity: 1 }, { under18: true })).toEqual({ stop: 'tender bone', quiet: false });
    expect(judged({ kind: 'tender bone', intensity: 1 })).toEqual({ quiet: true });
  });

  it('what was sharp and went keeps a gate shut without a stop sign', () =>
    expect(judged({ kind: 'sharp', intensity: 1, retest: 'gone' })).toEqual({ quiet: false }));
});

describe('soreness of muscle', () => {
  const sore = (intensity: number, history: readonly Symptom[] = []) =>
    symptomResponses([felt({ kind: 'soreness', intensity })], { history })[0]?.act;
  it.each([
    [4, 'go on', true],
    [5, 'half', false],
    [6, 'half', false],
    [7, 'stop', false],
  ] as const)('%d → %s', (intensity, act, quiet) => {
    expect(sore(intensity)).toBe(act);
    expect(judged({ kind: 'soreness', intensity }).quiet).toBe(quiet);
  });

  it('beyond three days takes no load, and locks nothing', () => {
    const [answer] = symptomResponses([felt({ kind: 'soreness' })], {
      history: [before(1.5, { kind: 'soreness' }), before(3.1, { kind: 'soreness' })],
    });
    expect(answer).toMatchObject({ act: 'stop', locks: false, finding: { code: 'too-sore' }, joints: ['shoulder', 'scapula'] });
    expect(sore(2, [before(2.9, { kind: 'soreness' })])).toBe('go on');
    // It was gone in between, long ago, or elsewhere.
    expect(sore(2, [before(2, { intensity: 0, kind: 'none' }), before(4, { kind: 'soreness' })])).toBe('go on');
    expect(sore(2, [before(8, { kind: 'soreness' })])).toBe('go on');
    expect(sore(2, [before(3.1, { kind: 'soreness', side: 'right' })])).toBe('go on');
  });
});

describe('a known, lasting pain', () => {
  const lasting = [word({ level: 3 })];
  it.each([
    [3, true, undefined, 'go on'],
    [4, false, undefined, 'step back'],
    [5, false, 'strong', 'stop'],
  ] as const)('usual 3, felt %d', (intensity, quiet, stop, act) => {
    expect(judged({ intensity }, { lasting })).toEqual({ quiet, usual: 3, ...(stop ? { stop } : {}) });
    expect(symptomResponses([felt({ intensity })], { history: [], lasting })[0]?.act).toBe(act);
  });

  it('says nothing about another place, another side, or a stopping kind', () => {
    expect(judged({ intensity: 3, place: 'elbow' }, { lasting })).toEqual({ quiet: false });
    expect(judged({ intensity: 3, side: 'right' }, { lasting })).toEqual({ quiet: false });
    expect(judged({ intensity: 1, kind: 'swelling' }, { lasting }).stop).toBe('kind');
    expect(judged({ intensity: 3, kind: 'sharp', retest: 'gone' }, { lasting }).stop).toBe('sharp');
  });

  it('at the wrist takes the place of the small joints’ rule', () =>
    expect(judged({ intensity: 3, place: 'wrist' }, { lasting: [word({ place: 'wrist', level: 3 })] })).toEqual({ quiet: true, usual: 3 }));

  it('two is quiet for everybody', () =>
    expect(judged({ intensity: 2 }, { lasting: [word({ level: 1 })] })).toEqual({ quiet: true, usual: 1 }));

  it('counts for half a year, from its day on; the newest word counts, and 0 ends it', () => {
    const at = (moment: string, ...words: readonly LastingPain[]) => usualAt(words, felt(), instant(moment));
    expect(at('2026-10-01T20:00:00Z', word())).toBe(2);
    expect(at('2026-09-30T20:00:00Z', word())).toBeUndefined();
    expect(at('2027-04-01T12:00:00Z', word())).toBe(2);
    expect(at('2027-04-05T12:00:00Z', word())).toBeUndefined();
    expect(at('2026-11-01T12:00:00Z', word({ level: 1 }), word())).toBe(1);
    expect(at('2026-11-01T12:00:00Z', word({ level: 0 }), word())).toBeUndefined();
  });
});

it('what was judged when it was recorded stays so', () => {
  const recorded = felt({ kind: 'sharp', intensity: 4, judged: { quiet: true } });
  expect([isStopSign(recorded), judgementOf(recorded).quiet]).toEqual([false, true]);
  expect(isStopSign(felt({ kind: 'sharp' }))).toBe(true);
});

describe('who may close a stop sign', () => {
  const later = new Date('2026-11-29T19:00:00Z');
  const sharp = felt({ kind: 'sharp', intensity: 4 });
  it('the coach a sharp pain of at most 4, after 48 painless hours', () => {
    expect(closingProblem(sharp, [sharp], undefined, new Date('2026-11-28T18:00:00Z'))).toBeUndefined();
    expect(closingProblem(sharp, [sharp], undefined, new Date('2026-11-28T17:59:00Z'))).toEqual({
      code: 'not-painless',
      from: instant('2026-11-28T18:00:00Z'),
    });
    const again = before(-1, { intensity: 1 });
    expect(closingProblem(sharp, [sharp, again], undefined, new Date('2026-11-29T17:00:00Z'))).toMatchObject({
      from: instant('2026-11-29T18:00:00Z'),
    });
    for (const other of [before(-2, { intensity: 0 }), before(-2, { side: 'right' })])
      expect(closingProblem(sharp, [sharp, other], undefined, later)).toBeUndefined();
  });

  it.each<Partial<Symptom>>([
    { kind: 'sharp', intensity: 5 },
    { kind: 'ache', intensity: 6 },
    { kind: 'swelling', intensity: 1 },
  ])('%j is for a professional, however long ago', (own) =>
    expect(closingProblem(felt(own), [], undefined, new Date('2027-11-29T19:00:00Z'))).toEqual({ code: 'professional-only' }),
  );

  it('a professional at any time, heard on the day of the sign or later, not in the future', () => {
    const heard = (consultedOn: string) =>
      closingProblem(felt({ kind: 'swelling' }), [], { role: 'physiotherapist', consultedOn: consultedOn as CalendarDay }, later)?.code;
    expect([heard('2026-11-26'), heard('2026-11-29')]).toEqual([undefined, undefined]);
    expect([heard('2026-11-25'), heard('2026-11-30')]).toEqual(['word-before', 'word-future']);
  });
});

it.each<[Partial<Symptom>, boolean]>([
  [{ kind: 'sharp', intensity: 1 }, true],
  [{ kind: 'pinch', intensity: 2 }, true],
  [{ kind: 'sharp', intensity: 3 }, false],
  [{ kind: 'sharp', intensity: 0 }, false],
  [{ kind: 'ache', intensity: 2 }, false],
])('%j is worth a second try: %s', (own, asked) => expect(tryAgain(felt(own))).toBe(asked));

it('of one session the second brief one stops; whatever else was felt there, or at the same moment, does not make it so', () => {
  const brief = (minutes: number, own: Partial<Symptom> = {}) =>
    felt({ kind: 'sharp', retest: 'gone', at: addDays(now, minutes / 1440), ...own });
  const acts = (...symptoms: readonly Symptom[]) => symptomResponses(symptoms, { history: [] }).map((r) => [r.act, r.finding.code]);
  expect(acts(brief(0), brief(20))).toEqual([
    ['leave drill', 'leave-drill'],
    ['stop', 'stop-sign'],
  ]);
  expect(acts(brief(0), brief(0))).toEqual([
    ['leave drill', 'leave-drill'],
    ['leave drill', 'leave-drill'],
  ]);
  expect(acts(brief(0), felt({ at: addDays(now, 0.02) }), felt({ kind: 'soreness', intensity: 5, at: addDays(now, 0.03) }))).toEqual([
    ['leave drill', 'leave-drill'],
    ['go on', 'go-on'],
    ['half', 'half'],
  ]);
});

it('soreness is followed back through reports in any order, and other pains between them are none of it', () => {
  const sore = (days: number) => before(days, { kind: 'soreness' });
  const act = (...history: readonly Symptom[]) => symptomResponses([felt({ kind: 'soreness' })], { history })[0]?.act;
  expect(act(sore(3.5), sore(1), sore(2))).toBe('stop');
  expect(act(sore(1), before(3.5))).toBe('go on');
  expect(act(sore(2), before(1, { intensity: 0 }), sore(3.5))).toBe('go on');
});
