import { BUILT_IN } from '@myokinet/core/catalogue';
import * as contracts from '@myokinet/core/contracts';
import { addDays, calendarDay, instant } from '@myokinet/core/quantities';
import { DEFAULT_SCHOOLS } from '@myokinet/core/schools';
import { v7 } from 'uuid';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Body, nested, placesIn, put, WRONG } from './wrongBodies.ts';
import { drawnPicture } from './drawnPicture.ts';
import { checkFor, screeningDto, sessionDto, symptomDto, type TestBench, testBench, traineeDto } from './testBench.ts';

const JPEG = await drawnPicture();

let bench: TestBench;
let at: string;
let traineeId: string;
const known = {
  emergencyId: '',
  sessionId: '',
  symptomId: '',
  screeningId: '',
  trialId: '',
  readingId: '',
  ladder: {},
  drill: {},
  measure: {},
  fault: {},
};

/** A moment that has passed for the server. */
const past = () => instant(new Date(addDays(bench.now(), -0.5)));
const setUp = { position: 'plank' };

beforeAll(async () => {
  bench = await testBench();
  const trainee = traineeDto();
  traineeId = trainee.id;
  at = `/api/trainees/${traineeId}`;
  await bench.post('/api/trainees', trainee);
  const screening = screeningDto(new Date(past()), { 'raised-pressure': 'whole' });
  await bench.post(`${at}/screenings`, screening);
  const emergency = { id: v7(), at: past() };
  await bench.post(`${at}/emergencies`, emergency);
  const check = checkFor('wall', new Date(past()));
  await bench.post(`${at}/checks`, check);
  const reading = { id: v7(), takenAt: past(), setUp, under: 'hands', kg: 48, massKg: 70, insisted: false, note: '' };
  await bench.post(`${at}/scale-readings`, reading);
  const session = sessionDto(new Date(past()));
  await bench.post(`${at}/sessions`, session);
  const symptom = symptomDto(new Date(past()));
  await bench.post(`${at}/symptoms`, symptom);
  Object.assign(known, {
    sessionId: session.id,
    symptomId: symptom.id,
    screeningId: screening.id,
    emergencyId: emergency.id,
    trialId: check.trials[0]?.id,
    readingId: reading.id,
    ladder: { ...BUILT_IN.ladders.find((l) => l.id === 'push-up') },
    drill: { ...BUILT_IN.drills.find((d) => d.id === 'plank') },
    measure: { ...BUILT_IN.measures.find((m) => m.id === 'elbow-crease'), better: 'inside', inside: { from: 30, to: 60 } },
    fault: { ...BUILT_IN.faults[0] },
  });
});
afterAll(() => bench.close());

const week = () => ({
  id: v7(),
  weekStart: '2026-12-07',
  revision: v7(),
  basedOn: null,
  sessions: [
    {
      id: v7(),
      day: '2026-12-08',
      place: 'gym',
      form: 'sets',
      items: [{ id: v7(), drillId: 'plank', sets: 2, min: 10, max: 20, restSeconds: 30, why: 'x', support: { setUp, wanted: 0.6 } }],
    },
  ],
  schools: { progress: 'feel' },
  notes: ['one'],
  leftOut: [{ drillId: 'plank', why: 'x' }],
});
const head = () => ({
  id: v7(),
  plannedSessionId: null,
  startedAt: past(),
  form: 'sets',
  progress: 'count',
  items: [{ id: v7(), drillId: 'plank', sets: 2, min: 10, max: 20, restSeconds: 30 }],
});
const happened = (own: object) => ({ id: v7(), order: 1, at: past(), ...own });
const place = () => ({ itemId: v7(), round: 1, side: 'whole' });

type Write = readonly [contract: keyof typeof contracts, method: 'POST' | 'PUT', path: (body: Body) => string, body: () => Body];

/** Every write of the API: the contract it is held to, and a body that is taken. */
const WRITES: readonly Write[] = [
  ['TraineeDto', 'POST', () => '/api/trainees', () => ({ ...traineeDto({ armLength: 60 }) })],
  [
    'CheckDto',
    'POST',
    () => `${at}/checks`,
    () => ({ ...checkFor('wall', new Date(past())), skips: [{ measureId: 'grip', reason: 'pain' }] }),
  ],
  [
    'TrialCorrectionDto',
    'POST',
    () => `${at}/trial-corrections`,
    () => ({ id: v7(), replaces: known.trialId, measureId: 'loaded-wrist-extension', value: 80, reason: 'misread' }),
  ],
  [
    'BatteryPatchDto',
    'PUT',
    () => `${at}/battery`,
    () => ({
      id: v7(),
      startedAt: past(),
      scope: 'gate',
      note: '',
      cells: [{ measureId: 'grip', side: 'left', ordinal: 0, trialId: v7(), text: '4' }],
      skips: [{ measureId: 'plank-hold', reason: 'pain' }],
    }),
  ],
  ['SessionDto', 'POST', () => `${at}/sessions`, () => ({ ...sessionDto(new Date(past())), symptoms: [symptomDto(new Date(past()))] })],
  ['SymptomDto', 'POST', () => `${at}/symptoms`, () => ({ ...symptomDto(new Date(past())) })],
  ['StopSignClosureDto', 'POST', () => `${at}/stop-sign-closures`, () => ({ id: v7(), symptomId: v7(), ground: 'seen by a doctor' })],
  [
    'LastingPainDto',
    'POST',
    () => `${at}/lasting-pains`,
    () => ({
      ...{ id: v7(), place: 'elbow', side: 'left', level: 2, role: 'physiotherapist', consultedOn: past().slice(0, 10) },
      said: 'Known for years, may be loaded.',
    }),
  ],
  [
    'BeforeSessionDto',
    'POST',
    () => `${at}/before-session`,
    () => ({ id: v7(), at: past(), yes: ['fever'], ill: { since: past().slice(0, 10), clearSince: past() } }),
  ],
  ['BloodPressureDto', 'POST', () => `${at}/blood-pressures`, () => ({ id: v7(), takenAt: past(), systolic: 128, diastolic: 82 })],
  ['GuardianConsentDto', 'POST', () => `${at}/consents`, () => ({ id: v7(), role: 'parent', givenOn: past().slice(0, 10), agreed: true })],
  ['ClearanceDto', 'POST', () => `${at}/clearances`, () => ({ id: v7(), ladderId: 'push-up', rungId: 'wall', initials: 'AS' })],
  ['OutcomeDto', 'POST', () => `${at}/outcomes`, () => ({ id: v7(), clearanceId: v7(), weeks: 2, outcome: 'well', note: 'as told' })],
  ['WithdrawalDto', 'POST', () => `${at}/withdrawals`, () => ({ id: v7(), clearanceId: v7(), reason: 'because of it' })],
  [
    'ScreeningDto',
    'POST',
    () => `${at}/screenings`,
    () => ({ ...screeningDto(new Date(past())), basedOn: known.screeningId, beighton: [] }),
  ],
  [
    'ConsultationDto',
    'POST',
    () => `${at}/consultations`,
    () => ({
      id: v7(),
      screeningId: known.screeningId,
      cautionIds: ['raised-pressure'],
      role: 'general practitioner',
      consultedOn: calendarDay(bench.now()),
      allowed: 'all of it',
      permit: { loadPerArm: 0.5, overhead: true, hanging: true, headDown: false, effort: 6, until: calendarDay(addDays(bench.now(), 30)) },
    }),
  ],
  ['EmergencyDto', 'POST', () => `${at}/emergencies`, () => ({ id: v7(), at: past() })],
  [
    'EmergencySeenDto',
    'POST',
    () => `${at}/emergencies/seen`,
    () => ({ id: v7(), emergencyId: known.emergencyId, signs: ['cold-hand'], note: '' }),
  ],
  [
    'EmergencyMistakeDto',
    'POST',
    () => `${at}/emergencies/mistake`,
    () => ({ id: v7(), emergencyId: known.emergencyId, reason: 'a thumb' }),
  ],
  ['EmergencyCareDto', 'PUT', () => '/api/emergency-care', () => ({ id: v7(), basedOn: null, number: '112', place: 'Quay 4' })],
  ['PlanDto', 'PUT', ({ weekStart }) => `${at}/plans/${String(weekStart)}`, week],
  ['PlanBlockDto', 'PUT', () => `${at}/plans`, () => ({ revision: v7(), plans: [week()] })],
  [
    'PlanBriefDto',
    'PUT',
    () => `${at}/brief`,
    () => ({
      revision: v7(),
      basedOn: null,
      weeks: 4,
      days: [{ weekday: 'Monday', minutes: 45, place: 'gym', form: 'sets', at: '17:30' }],
      equipment: { gym: ['wall'], home: [], deck: [] },
      events: [{ id: v7(), name: 'Class', weekday: 'Friday', effort: 5, minutes: 60, joints: ['wrist'] }],
      pauses: [{ from: '2026-12-20', to: '2026-12-27', reason: 'holiday' }],
      always: ['plank'],
      never: [],
      likes: [],
      dislikes: [],
      deloadEvery: 4,
      ramp: 0.1,
      balance: 0.2,
      goal: { name: 'Crossing', day: '2027-04-03', rungId: 'floor' },
    }),
  ],
  [
    'RoutineDto',
    'PUT',
    () => `/api/routines/${v7()}`,
    () => ({
      ...{ revision: v7(), basedOn: null, name: 'Before a climb', purpose: 'preparation', note: '' },
      blocks: [
        {
          ...{ id: v7(), name: '', part: 'work', way: 'once', mirrored: false },
          steps: [{ id: v7(), kind: 'drill', drillId: 'plank', amount: 20, restSeconds: 10 }],
        },
      ],
    }),
  ],
  [
    'GroupDto',
    'PUT',
    () => `/api/groups/${v7()}`,
    () => ({
      ...{ revision: v7(), basedOn: null, name: 'Tuesday evening', place: 'hall', note: '', routineId: null },
      ...{ days: [{ weekday: 2, time: '18:30' }], memberIds: [] },
    }),
  ],
  [
    'ClassPatchDto',
    'PUT',
    () => `/api/classes/${v7()}`,
    () => {
      const slot = { id: v7(), drillId: 'plank' };
      const head = { id: v7(), groupId: null, name: 'Tuesday', startedAt: past(), preparation: null, slots: [slot] };
      const item = { slotId: slot.id, drillId: 'plank', sets: 1, min: 10, max: 20 };
      return {
        head: { ...head, moments: [{ kind: 'work', seconds: 20, slotId: slot.id, round: 1, rounds: 1 }] },
        members: [{ traineeId, from: 0, plannedSessionId: null, items: [item] }],
        events: [],
      };
    },
  ],
  [
    'ClassSheetDto',
    'POST',
    () => '/api/class-sheets',
    () => ({ traineeIds: [traineeId], rhythm: { work: 40, rest: 20, change: 30, rounds: 3, circle: false } }),
  ],
  [
    'PlanTemplateDto',
    'POST',
    () => '/api/plan-templates',
    () => ({
      id: v7(),
      name: 'Four weeks',
      note: '',
      sessions: [{ week: 0, weekday: 'Monday', place: 'gym', form: 'sets', items: [{ drillId: 'plank', sets: 2 }] }],
    }),
  ],
  [
    'ScaleReadingDto',
    'POST',
    () => `${at}/scale-readings`,
    () => ({ id: v7(), takenAt: past(), setUp, under: 'hands', kg: 48, massKg: 70, insisted: false, note: '' }),
  ],
  [
    'ReadingSetAsideDto',
    'POST',
    () => `${at}/scale-readings/set-aside`,
    () => ({ id: v7(), readingId: known.readingId, reason: 'slipped' }),
  ],
  [
    'BandDto',
    'PUT',
    ({ id }) => `/api/bands/${String(id)}`,
    () => ({
      id: v7(),
      revision: v7(),
      basedOn: null,
      name: 'Thick',
      slackCm: 40,
      inUse: true,
      readings: [
        { stretchCm: 20, kg: 8 },
        { stretchCm: 40, kg: 15 },
      ],
    }),
  ],
  [
    'RepeatabilityTestDto',
    'POST',
    () => '/api/repeatability-tests',
    () => ({
      id: v7(),
      takenAt: past(),
      measureId: 'grip',
      kind: 'one coach',
      otherCoach: '',
      repeated: [1, 2, 3].map((n) => ({ traineeId, side: 'left', measureId: 'grip', first: [30 + n], second: [31 + n] })),
    }),
  ],
  [
    'PictureDto',
    'POST',
    () => `${at}/pictures`,
    () => ({
      id: v7(),
      takenAt: past(),
      measureId: 'shoulder-flexion',
      side: 'left',
      width: 100,
      height: 100,
      facing: 'left',
      points: [1, 2, 3].map((n) => ({ id: `p${n}`, x: n, y: n * n, placedBy: 'coach' })),
      value: 150,
      standardError: 2,
      image: JPEG,
    }),
  ],
  [
    'FloorPatchDto',
    'PUT',
    ({ head: h }) => `/api/floor/${String((h as Body | undefined)?.id ?? v7())}`,
    () => ({
      traineeId,
      head: head(),
      events: [
        happened({ kind: 'set', ...place(), amount: 20 }),
        happened({ kind: 'fault', ...place(), faultId: 'hips-sag', mended: true }),
        happened({ kind: 'turn', itemId: v7(), support: { setUp }, harder: true }),
        happened({ kind: 'swap', itemId: v7(), drillId: 'plank', sets: 2, min: 5, max: 10, restSeconds: 30, harder: false }),
        happened({ kind: 'skip', itemId: v7(), reason: 'pain' }),
        happened({ kind: 'symptom', symptom: { intensity: 1, place: 'wrist', side: 'left', kind: 'ache', moment: 'during' } }),
        happened({ kind: 'take back', eventId: v7() }),
        happened({ kind: 'close', effort: 5, minutes: 30, note: '' }),
      ],
    }),
  ],
  [
    'DrillEntryDto',
    'PUT',
    () => '/api/library/drills/plank',
    () => ({ revision: v7(), basedOn: null, entry: structuredClone(known.drill) }),
  ],
  [
    'LadderEntryDto',
    'PUT',
    () => '/api/library/ladders/push-up',
    () => ({ revision: v7(), basedOn: null, entry: structuredClone(known.ladder) }),
  ],
  [
    'MeasureEntryDto',
    'PUT',
    () => '/api/library/measures/elbow-crease',
    () => ({ revision: v7(), basedOn: null, entry: structuredClone(known.measure) }),
  ],
  [
    'FaultEntryDto',
    'PUT',
    () => `/api/library/faults/${encodeURIComponent((known.fault as { id: string }).id)}`,
    () => ({ revision: v7(), basedOn: null, entry: structuredClone(known.fault) }),
  ],
  [
    'SessionCorrectionDto',
    'POST',
    () => `${at}/session-corrections`,
    () => ({ replaces: known.sessionId, reason: 'mistyped', session: sessionDto(new Date(past())) }),
  ],
  [
    'SymptomCorrectionDto',
    'POST',
    () => `${at}/symptom-corrections`,
    () => ({ replaces: known.symptomId, reason: 'mistyped', symptom: symptomDto(new Date(past())) }),
  ],
  [
    'TakenBackDto',
    'POST',
    () => `${at}/taken-back`,
    () => ({ id: v7(), kind: 'session', factId: known.sessionId, reason: 'of somebody else' }),
  ],
  [
    'GateSettingsDto',
    'PUT',
    () => '/api/gate-settings',
    () => ({ id: v7(), basedOn: null, traineeId, choices: { cleanSessions: 3 }, reason: 'careful' }),
  ],
  [
    'TraineeLinkDto',
    'POST',
    () => `${at}/link`,
    () => ({ id: v7(), progress: true, pin: '4711', lapsesOn: calendarDay(addDays(bench.now(), 30)) }),
  ],
  ['NoteDto', 'POST', () => `${at}/notes`, () => ({ id: v7(), at: past(), drillId: 'plank', text: 'Hm.' })],
  ['NotesSeenDto', 'POST', () => `${at}/notes-seen`, () => ({ upTo: past() })],
  ['ArchiveDto', 'POST', () => `${at}/archived`, () => ({ id: v7(), archived: false })],
  // Of another name, so that nobody goes.
  ['ErasureDto', 'POST', () => `${at}/erasure`, () => ({ id: v7(), name: 'Somebody Else', reason: 'asked for' })],
  ['EntryResetDto', 'POST', () => '/api/library/drills/plank/reset', () => ({ revision: v7(), basedOn: null })],
  ['LibraryImportDto', 'POST', () => '/api/library/imports', () => ({ id: v7(), format: 'json', text: '{}', apply: false, state: '' })],
  ['StudioSchoolsDto', 'PUT', () => '/api/schools', () => ({ revision: v7(), basedOn: null, ...DEFAULT_SCHOOLS })],
  [
    'LibraryPictureDto',
    'POST',
    () => '/api/library/pictures',
    () => ({ id: v7(), kind: 'drill', entry: 'plank', shows: 'A plank', frames: [JPEG, JPEG], rate: 8 }),
  ],
  ['FloorPhotoDto', 'POST', () => `/api/floor/${v7()}/photos`, () => ({ id: v7(), takenAt: past(), image: JPEG })],
];

/** Contracts that are part of others, or of an address. */
const PARTS =
  /^(Fault|Drill|Ladder|Measure|Rung|RungDemand|LibraryFile|LibraryFilePicture|ScreenAnswer|Skip|Trial|CountCorrection|Point|Reading|TraceSummary|BatteryCell|BatterySkip|BandReading|Repeated|LeftOut|PlannedItem|RoutineBlock|RoutineInFile|RoutineStep|Goal|GroupDay|ClassEvents|ClassHead|ClassMember|ClassMoment|ClassRhythm|ClassSlot|SlotItem|PlannedSession|PlanSchools|BriefDay|FixedEvent|Pause|TemplateItem|TemplateSession|FaultSeen|SessionItem|Set|FloorClose|FloorHead|FloorItem|WeekQuery|WeeksQuery)Dto$/;

/** What a trainee’s phone sends, tried beside it. */
const OF_LINKS = /^(LinkOpen|Morning)Dto$/;

/** Contracts about accounts, tried beside them. */
const OF_ACCOUNTS = /^(Confirm|FirstRun|Invitation|Invited|Join|Membership|PasswordChange|Person|Reset|SignIn|Studio)Dto$/;

it('every contract is tried', () => {
  const tried = new Set<string>(WRITES.map(([contract]) => contract));
  const all = Object.keys(contracts).filter(
    (name) => name.endsWith('Dto') && !PARTS.test(name) && !OF_ACCOUNTS.test(name) && !OF_LINKS.test(name),
  );
  expect(all.filter((name) => !tried.has(name))).toEqual([]);
});

const rowsOf = () => {
  const tables = bench.db.prepare<[], string>(`SELECT name FROM sqlite_schema WHERE type = 'table'`).pluck().all();
  return tables.reduce((sum, t) => sum + (bench.db.prepare(`SELECT count(*) FROM "${t}"`).pluck().get() as number), 0);
};

describe.each(WRITES)('%s', (_contract, method, path, body) => {
  it('takes no wrong field: no failure inside, nothing stored, the field named', async () => {
    const send = (b: Body) => (method === 'POST' ? bench.post(path(b), b) : bench.put(path(b), b));
    const wrong: unknown[] = [];
    let rows = rowsOf();
    for (const place of placesIn(body()))
      for (const [what, value] of WRONG) {
        const b = structuredClone(body());
        put(b, place, value);
        const before = rows;
        const reply = (await send(b)) as { status: number; body: { code?: string; fields?: readonly { field: string }[] } };
        rows = rowsOf();
        const refused = reply.status >= 400;
        if (reply.status >= 500 || (refused && rows !== before))
          wrong.push([place.join('/'), what, reply.status, reply.body, rows - before]);
        if (reply.body.code === 'contract-broken' && reply.body.fields?.[0]?.field === undefined)
          wrong.push([place.join('/'), what, 'no field named']);
      }
    expect(wrong).toEqual([]);
  });
});

describe('what is wrong as a whole', () => {
  it('a day that is none, in an address, names its field', async () => {
    expect(await bench.get(`${at}/plans?from=2026-99-99`)).toMatchObject({ status: 422, body: { fields: [{ field: '/from' }] } });
    expect(await bench.get(`${at}/plans?from=2026-11-23&weeks=1.5`)).toMatchObject({
      status: 422,
      body: { fields: [{ field: '/weeks' }] },
    });
    expect(await bench.get(`${at}/plans/2026-99-99`)).toMatchObject({ status: 422, body: { fields: [{ field: '/weekStart' }] } });
  });

  it('nesting two thousand deep, and a list where an object belongs', async () => {
    expect(await bench.post('/api/trainees', { name: nested(2000) })).toMatchObject({
      status: 422,
      body: { fields: [{ limit: 'depth' }] },
    });
    expect(await bench.post('/api/trainees', [])).toMatchObject({ status: 422, body: { fields: [{ limit: 'object' }] } });
  });
});
