import { BUILT_IN } from '@myokinet/core/catalogue';
import type { RecordReply, SessionReply } from '@myokinet/core/contracts';
import {
  minutesTaken as minutes,
  pencils as pencilled,
  verdictOn as verdict,
  type FloorDeed,
  type FloorEvent,
  type FloorHead,
  runOf,
} from '@myokinet/core/floor';
import { faultsOf } from '@myokinet/core/drills';
import { openLibrary } from '@myokinet/core/library';
import { addDays, instant } from '@myokinet/core/quantities';
import { DEFAULT_SCHOOLS } from '@myokinet/core/schools';
import { describe, expect, it } from 'vitest';
import { newId } from '../../client/newId.ts';
import { faultKeys } from './faultKeys.ts';
import type { FloorRun } from './floorRuns.ts';
import type { FloorPack } from './keep.ts';
import { safetyChecks } from './safetyChecks.ts';
import { headFor } from './startRuns.ts';

const library = openLibrary(BUILT_IN);
const START = instant('2026-11-26T17:00:00Z');
const item = { id: newId(), drillId: 'plank', sets: 3, min: 20, max: 40, restSeconds: 45 };
const head: FloorHead = { id: newId(), plannedSessionId: null, startedAt: START, form: 'sets', progress: 'count', items: [item] };
const NOTHING: RecordReply = { sessions: [], symptoms: [], stopSigns: [], clearances: [], takenBack: [], mornings: [] };

const after = (minutes: number, deed: FloorDeed, order: number): FloorEvent => ({
  ...deed,
  id: newId(),
  order,
  at: addDays(START, minutes / 1440),
});
const set = (round: number, amount = 40): FloorDeed => ({ kind: 'set', itemId: item.id, round, side: 'whole', amount });
const person = (events: readonly FloorEvent[], history: RecordReply = NOTHING) => {
  const pack = { head, history, schools: DEFAULT_SCHOOLS, foothold: { ladderId: 'push-up', here: 0 } } as unknown as FloorPack;
  return { run: runOf(head, events), library, kept: { pack, events } as unknown as FloorRun };
};

type Person = ReturnType<typeof person>;
const minutesTaken = ({ run, kept }: Person) => minutes(run, kept.events, library);
const verdictOn = ({ run }: Person, effort: number) => verdict(run, library, effort);
const pencils = ({ run, kept }: Person) => pencilled(run, library, { before: kept.pack.history.sessions, foothold: kept.pack.foothold });

describe('how long it took', () => {
  it('is what the clock says where that can be', () => expect(minutesTaken(person([after(1, set(1), 1), after(14, set(2), 2)]))).toBe(14));

  it.each([
    ['backwards', -3000],
    ['by a day', 1500],
  ])('is what was planned when the clock jumped %s', (_, minutes) => {
    const planned = minutesTaken(person([]));
    expect(planned).toBe(4);
    expect(minutesTaken(person([after(1, set(1), 1), after(minutes, set(2), 2)]))).toBe(planned);
  });
});

it('the verdict is the one that the record will give', () => {
  const all = [1, 2, 3].map((round) => after(round, set(round), round));
  expect(verdictOn(person(all), 5).clean).toBe(true);
  expect(verdictOn(person(all), 8).finding).toEqual({ code: 'effort', effort: 8, limit: 8 });
  expect(verdictOn(person(all.slice(1)), 5).finding).toMatchObject({ code: 'sets-missing', done: 2, wanted: 3 });
});

describe('next doses', () => {
  const now = [1, 2, 3].map((round) => after(round, set(round), round));
  const before = {
    performedAt: addDays(START, -3),
    effort: 5,
    symptoms: [],
    items: [
      {
        drillId: 'plank',
        plannedSets: 3,
        min: 20,
        max: 40,
        sets: [40, 40, 40].map((amount) => ({ id: newId(), side: 'whole', amount, faults: [] })),
      },
    ],
  } as unknown as SessionReply;

  it('grow after two clean sessions, this one counted', () => {
    expect(pencils(person(now))).toMatchObject([{ drillId: 'plank', next: { change: 'same' } }]);
    expect(pencils(person(now, { ...NOTHING, sessions: [before] }))).toMatchObject([{ next: { change: 'more', loadChange: 0.05 } }]);
  });

  it('do not count the run twice when its session is in the record already', () => {
    const same = { ...before, runId: head.id } as SessionReply;
    expect(pencils(person(now, { ...NOTHING, sessions: [same] }))).toMatchObject([{ next: { change: 'same' } }]);
  });

  it('go back after a stop sign', () => {
    const hurt = after(4, { kind: 'symptom', symptom: { intensity: 6, kind: 'ache', place: 'wrist', side: 'left', moment: 'during' } }, 4);
    expect(pencils(person([...now, hurt]))).toMatchObject([{ next: { change: 'back', loadChange: -0.1 } }]);
  });
});

it('every fault of a drill has a letter of its own', () => {
  for (const drill of library.drills) {
    const letters = [...faultKeys(faultsOf(drill, DEFAULT_SCHOOLS, library.faults)).values()];
    expect(new Set(letters).size).toBe(letters.length);
    expect(letters.every((l) => /^[A-Z]$/.test(l))).toBe(true);
  }
  const named = ['hips-sag', 'head-takes-weight'].map((id) => ({ id, ...library.fault(id) }));
  expect([...faultKeys(named).values()]).toEqual(['H', 'T']);
});

it('what has to hold is looked at before it starts', () => {
  const lines = safetyChecks([{ equipment: ['bar', 'band'], position: 'hanging' }], 91);
  expect(lines).toHaveLength(3);
  expect(lines[2]).toMatch(/rated for 190 kg at least: twice its mass/);
  const swing = { equipment: ['bar'], position: 'hanging', support: { setUp: { position: 'swing' } } } as const;
  expect(safetyChecks([swing], 60).at(-1)).toMatch(/rated for 180 kg at least: three times/);
  expect(lines.join(' ')).toMatch(/bar holds.*no nicks/);
  expect(safetyChecks([{ equipment: [], position: 'inverted' }], 70)[0]).toMatch(/spotter/);
});

it('a planned session keeps its id as a run, and gets one of its own when it is run once more', () => {
  const session = { id: newId(), day: '2026-11-26', items: [{ ...item, why: '' }] };
  const once = headFor({ session, schools: DEFAULT_SCHOOLS }, new Date(START), false);
  expect(once).toMatchObject({ id: session.id, plannedSessionId: session.id, form: 'sets', startedAt: START });
  const again = headFor({ session, schools: DEFAULT_SCHOOLS }, new Date(START), true);
  expect(again.id).not.toBe(session.id);
  expect(again.plannedSessionId).toBeNull();
});
