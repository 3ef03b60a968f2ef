import { describe, expect, it } from 'vitest';
import { BUILT_IN } from '../catalogue/index.ts';
import { openLibrary } from '../library/index.ts';
import { QUESTION_IDS } from '../safety/index.ts';
import {
  CheckDto,
  ClearanceDto,
  ConsultationDto,
  inspect,
  PlanDto,
  ScreeningDto,
  SessionDto,
  SymptomDto,
  TraineeDto,
  validated,
} from './index.ts';
import { DrillDto, FaultDto } from './library.ts';
import { MannerDto } from './manner.ts';
import { SessionItemDto, SetDto } from './session.ts';

let made = 0;
/** A valid UUID v7, another one each time. */
const newId = () => `0190d0a0-0000-7000-8000-${String(++made).padStart(12, '0')}`;
const scope = { now: new Date('2026-11-24T12:00:00Z'), library: openLibrary(BUILT_IN) };
const id = newId();

const TRAINEE = {
  id,
  revision: newId(),
  basedOn: null,
  name: 'Ada Spar',
  birthYear: 1990,
  sex: 'female',
  stature: 170,
  mass: 64.5,
  dominantHand: 'right',
  history: '',
  ladderId: 'push-up',
  trainingDays: ['Monday'],
  sessionMinutes: 45,
  equipment: ['wall'],
};
const TRIAL = { id: newId(), measureId: 'shoulder-flexion', side: 'left', value: 160 };
const CHECK = { id, takenAt: '2026-11-24T11:00:00.000Z', note: '', trials: [TRIAL] };
const SET = { id: newId(), side: 'whole', amount: 30, faults: [] };
const ITEM = { id: newId(), drillId: 'plank', plannedSets: 3, min: 20, max: 30, sets: [SET] };
const SESSION = { id, plannedSessionId: null, performedAt: CHECK.takenAt, effort: 6, minutes: 40, note: '', items: [ITEM], symptoms: [] };
const SYMPTOM = {
  id,
  sessionId: null,
  at: CHECK.takenAt,
  intensity: 2,
  place: 'wrist',
  side: 'left',
  kind: 'ache',
  moment: 'during',
  note: '',
};
const PLANNED = { id: newId(), drillId: 'plank', sets: 3, min: 20, max: 30, restSeconds: 45, why: 'Because.' };
const PLAN = {
  id,
  weekStart: '2026-11-23',
  revision: newId(),
  basedOn: null,
  sessions: [{ id: newId(), day: '2026-11-24', items: [PLANNED] }],
  notes: [],
  leftOut: [],
};

const SCREEN = {
  id,
  takenAt: CHECK.takenAt,
  answers: QUESTION_IDS.map((questionId) => ({ questionId, answer: 'no', side: 'whole' })),
  beighton: ['thumb-left'],
  note: '',
};
const CONSULTATION = {
  id,
  screeningId: newId(),
  cautionIds: ['medical-hold'],
  role: 'general practitioner',
  consultedOn: '2026-11-20',
  allowed: 'Light hangs, feet on the floor.',
  permit: { loadPerArm: 0.25, overhead: true, hanging: true, headDown: false, effort: 5, until: '2027-02-01' },
};

it('takes what is right, as it came', () => {
  for (const [contract, plain] of [
    [TraineeDto, TRAINEE],
    [CheckDto, CHECK],
    [SessionDto, SESSION],
    [SymptomDto, SYMPTOM],
    [PlanDto, PLAN],
    [PlanDto, { ...PLAN, schools: { progress: 'feel' } }],
    [ScreeningDto, SCREEN],
    [ConsultationDto, CONSULTATION],
    [ClearanceDto, { id, ladderId: 'push-up', rungId: 'wall', initials: 'AS' }],
  ] as const)
    expect(validated<object>(contract, plain, scope)).toMatchObject(plain);
});

it('null for what may be absent of a lesson, a course or a fault is its absence, never kept', () => {
  const halo = { ...scope.library.drill('halo') };
  const dose = { ...halo.dose, course: null, tempo: { ...halo.dose.tempo, rest: null } };
  const { instance, problems } = inspect(DrillDto, { ...halo, dose, teaching: null, faultNotes: null, bladeTravels: null }, scope);
  expect([problems, JSON.stringify(instance).includes('null')]).toEqual([[], false]);
  const fault = { id: 'a', name: 'a', cue: 'b', regression: 'c', part: null, oneSided: null, only: null, placed: null };
  expect(JSON.stringify(inspect(FaultDto, fault, scope))).not.toContain('null');
  const manner = { kg: 2, course: { pulses: null, lastHold: null, helper: null, bothWays: null, breath: { out: null } } };
  expect(JSON.stringify(inspect(MannerDto, manner, scope))).not.toContain('null');
});

it('a feeling or a drill in its old name is taken in the new one', () => {
  const item = { id: newId(), drillId: 'towel-wringing', plannedSets: 1, min: 8, max: 10, sets: [] };
  expect(inspect(SessionItemDto, item, scope)).toMatchObject({ problems: [], instance: { drillId: 'grip-squeezes' } });
  const { instance, problems } = inspect(SetDto, { ...SET, feeling: 'locked up' }, scope);
  expect([problems, (instance as SetDto).feeling]).toEqual([[], 'clenched']);
});

const firstProblem = (contract: new () => object, plain: unknown) => inspect(contract, plain, scope).problems[0];

describe.each<[string, new () => object, unknown, string, RegExp]>([
  ['a range of 400°', CheckDto, { ...CHECK, trials: [{ ...TRIAL, value: 400 }] }, '/trials/0/value', /400° is above the limit of 200°/],
  [
    'a negative hold',
    CheckDto,
    { ...CHECK, trials: [{ ...TRIAL, measureId: 'plank-hold', side: 'whole', value: -3 }] },
    '/trials/0/value',
    /−3 s is below the limit of 0 s/,
  ],
  ['a NaN', CheckDto, { ...CHECK, trials: [{ ...TRIAL, value: Number.NaN }] }, '/trials/0/value', /a number is needed, from 0° to 200°/],
  ['a text for a number', CheckDto, { ...CHECK, trials: [{ ...TRIAL, value: '160' }] }, '/trials/0/value', /a number is needed/],
  ['a check in the future', CheckDto, { ...CHECK, takenAt: '2026-11-25T12:00:00.000Z' }, '/takenAt', /in the future; the limit is now/],
  ['a check of another age', CheckDto, { ...CHECK, takenAt: '1890-11-25T12:00:00.000Z' }, '/takenAt', /before 1950/],
  ['a date that is none', CheckDto, { ...CHECK, takenAt: 'yesterday' }, '/takenAt', /date and time in UTC/],
  ['a note of ten megabytes', CheckDto, { ...CHECK, note: 'x'.repeat(10_000_000) }, '/note', /at most 2000 characters/],
  ['no trial at all', CheckDto, { ...CHECK, trials: [] }, '/trials', /at least one trial/],
  [
    'a check nobody knows',
    CheckDto,
    { ...CHECK, trials: [{ ...TRIAL, measureId: 'aura' }] },
    '/trials/0/measureId',
    /no check called "aura"/,
  ],
  [
    'a side that a plank has not',
    CheckDto,
    { ...CHECK, trials: [{ ...TRIAL, measureId: 'plank-hold' }] },
    '/trials/0/side',
    /taken for whole, not "left"/,
  ],
  ['an id of another kind', CheckDto, { ...CHECK, id: 'one' }, '/id', /UUID/],
  ['a field nobody asked for', CheckDto, { ...CHECK, admin: true }, '/admin', /should not exist/],
  ['no name', TraineeDto, { ...TRAINEE, name: '' }, '/name', /A name is needed/],
  ['a birth year to come', TraineeDto, { ...TRAINEE, birthYear: 2031 }, '/birthYear', /from 1900 to 2026/],
  ['a giant', TraineeDto, { ...TRAINEE, stature: 400 }, '/stature', /at most 230 cm/],
  ['no mass', TraineeDto, { ...TRAINEE, mass: null }, '/mass', /number from 20 to 250 kg/],
  ['a caution ticked by hand', TraineeDto, { ...TRAINEE, cautions: ['minor'] }, '/cautions', /cautions should not exist/i],
  [
    'a drill nobody knows',
    PlanDto,
    { ...PLAN, leftOut: [{ drillId: 'moonwalk', why: '' }] },
    '/leftOut/0/drillId',
    /no drill called "moonwalk"/,
  ],
  ['a school nobody holds', PlanDto, { ...PLAN, schools: { progress: 'luck' } }, '/schools/progress', /one of the following/],
  [
    'a screen with a hole',
    ScreeningDto,
    { ...SCREEN, answers: SCREEN.answers.slice(1) },
    '/answers',
    /1 of \d+ questions are not answered, first “A disease of the heart/,
  ],
  ['a question answered twice', ScreeningDto, { ...SCREEN, answers: [...SCREEN.answers, SCREEN.answers[0]] }, '/answers', /answered twice/],
  [
    'a side where there is none',
    ScreeningDto,
    { ...SCREEN, answers: SCREEN.answers.map((a) => (a.questionId === 'pregnancy' ? { ...a, answer: 'yes', side: 'left' } : a)) },
    `/answers/${SCREEN.answers.findIndex((a) => a.questionId === 'pregnancy')}/side`,
    /has no sides/,
  ],
  ['a consultation about what never opens', ConsultationDto, { ...CONSULTATION, cautionIds: ['minor'] }, '/cautionIds', /can open/],
  ['a consultation tomorrow', ConsultationDto, { ...CONSULTATION, consultedOn: '2026-11-27' }, '/consultedOn', /in the future/],
  ['a consultation without its words', ConsultationDto, { ...CONSULTATION, allowed: 'ok' }, '/allowed', /at least 5 characters/],
  [
    'a permit of five times body weight',
    ConsultationDto,
    { ...CONSULTATION, permit: { ...CONSULTATION.permit, loadPerArm: 5 } },
    '/permit/loadPerArm',
    /at most 150%/,
  ],
  [
    'a word for a whole year',
    ConsultationDto,
    { ...CONSULTATION, permit: { ...CONSULTATION.permit, until: '2027-11-20' } },
    '/permit',
    /at most 90 days: until 2027-02-18/,
  ],
  ['a word without limits', ConsultationDto, { ...CONSULTATION, permit: undefined }, '/permit', /./],
  ['a physiotherapist on a medical hold', ConsultationDto, { ...CONSULTATION, role: 'physiotherapist' }, '/role', /opened by general/],
  ['somebody with no licence', ConsultationDto, { ...CONSULTATION, role: 'a friend' }, '/role', /Say who by role/],
  [
    'half a repetition',
    SessionDto,
    { ...SESSION, items: [{ ...ITEM, sets: [{ ...SET, amount: 2.5 }] }] },
    '/items/0/sets/0/amount',
    /whole number from 0 to 3600/,
  ],
  ['effort 11', SessionDto, { ...SESSION, effort: 11 }, '/effort', /whole number from 0 to 10/],
  ['no minutes', SessionDto, { ...SESSION, minutes: Number.NaN }, '/minutes', /whole number from 1 to 300/],
  [
    'a top below its bottom',
    PlanDto,
    { ...PLAN, sessions: [{ ...PLAN.sessions[0], items: [{ ...PLANNED, min: 30, max: 20 }] }] },
    '/sessions/0/items/0/max',
    /top \(20\) is below the bottom \(30\)/,
  ],
  ['a week that starts on Tuesday', PlanDto, { ...PLAN, weekStart: '2026-11-24' }, '/weekStart', /not a Monday/],
  ['the 31st of June', PlanDto, { ...PLAN, sessions: [{ ...PLAN.sessions[0], day: '2026-06-31' }] }, '/sessions/0/day', /not a day/],
  ['a symptom of −1', SymptomDto, { ...SYMPTOM, intensity: -1 }, '/intensity', /0 to 10/],
  [
    'a rung of another ladder',
    ClearanceDto,
    { id, ladderId: 'push-up', rungId: 'free-hang', initials: 'AS' },
    '/rungId',
    /no rung called "free-hang" on this ladder/,
  ],
  ['initials of digits', ClearanceDto, { id, ladderId: 'push-up', rungId: 'wall', initials: '12' }, '/initials', /2 to 4 letters/],
])('%s', (_, contract, plain, field, message) => {
  it(`is refused at ${field}, naming the limit`, () => {
    expect(firstProblem(contract, plain)).toMatchObject({ field, message: expect.stringMatching(message) as string });
    expect(() => validated(contract, plain, scope)).toThrow(message);
  });
});

it.each([[null], ['text'], [[]], [7]])('refuses %j, which is no object', (plain) => {
  expect(firstProblem(CheckDto, plain)).toMatchObject({ field: '', limit: 'object' });
});

it('lets clocks differ by a few minutes and no more', () => {
  const at = (minutes: number) =>
    inspect(CheckDto, { ...CHECK, takenAt: new Date(scope.now.getTime() + minutes * 60_000).toISOString() }, scope).problems;
  expect(at(4)).toEqual([]);
  expect(at(6)).toHaveLength(1);
});
