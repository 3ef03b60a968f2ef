import type { Database } from 'better-sqlite3';
import type { FastifyInstance } from 'fastify';
import { v7 } from 'uuid';
import type { CheckDto, ScreeningDto, ScreeningsReply, SessionDto, SymptomDto, TraineeDto } from '@myokinet/core/contracts';
import { BUILT_IN } from '@myokinet/core/catalogue';
import { type Demand, demandsOn } from '@myokinet/core/ladders';
import { openLibrary } from '@myokinet/core/library';
import { addDays, instant } from '@myokinet/core/quantities';
import type { BodySide } from '@myokinet/core/anatomy';
import { QUESTION_IDS, type QuestionId } from '@myokinet/core/safety';
import { buildApp } from './app.ts';
import { STUDIO_ID } from './context.ts';
import { BUILT_IN_COACH } from './actor.ts';
import { openSeat } from './seat.ts';
import { openDatabase } from './database/open.ts';
import { servicesFor } from './services.ts';
import { bodyModel } from '@myokinet/core/statics';

const LIBRARY = openLibrary(BUILT_IN);
const START = new Date('2026-11-24T18:00:00Z');

/** A whole server, on a database in memory unless one is given, with a clock that the test moves. */
export async function testBench(db: Database = openDatabase(':memory:')) {
  let clock = START;
  const services = servicesFor({ db, studioId: STUDIO_ID, now: () => clock });
  const app = await buildApp(openSeat(services, BUILT_IN_COACH), () => clock, {
    studioOf: (id) => (id === STUDIO_ID ? { name: 'Test studio', services } : undefined),
  });
  return {
    db,
    app,
    services,
    now: () => clock,
    /** Moves the clock by days, fractions allowed. */
    passDays: (days: number) => {
      clock = new Date(addDays(clock, days));
    },
    get: (url: string) => send(app, 'GET', url),
    post: (url: string, body: object) => send(app, 'POST', url, body),
    put: (url: string, body: object) => send(app, 'PUT', url, body),
    delete: (url: string) => send(app, 'DELETE', url),
    close: async () => {
      await app.close();
      db.close();
    },
  };
}

export type TestBench = Awaited<ReturnType<typeof testBench>>;

async function send(app: FastifyInstance, method: 'GET' | 'POST' | 'PUT' | 'DELETE', url: string, body?: object) {
  const reply = await app.inject({ method, url, headers: { host: '127.0.0.1' }, ...(body ? { payload: body } : {}) });
  const json = reply.headers['content-type']?.toString().includes('json') ?? false;
  const read = json ? reply.json<Record<string, never>>() : reply.body;
  return { status: reply.statusCode, type: reply.headers['content-type'], body: read as never };
}

export function traineeDto(own: Partial<TraineeDto> = {}): TraineeDto {
  return {
    id: v7(),
    revision: v7(),
    basedOn: null,
    name: 'Ada Spar',
    birthYear: 1990,
    sex: 'female',
    stature: 170,
    mass: 70,
    dominantHand: 'right',
    history: '',
    ladderId: 'push-up',
    trainingDays: ['Monday', 'Thursday'],
    sessionMinutes: 45,
    equipment: ['wall', 'bench'],
    ...own,
  };
}

/** The screening before training, every question answered with no unless told otherwise. */
export function screeningDto(
  takenAt: Date,
  yes: Partial<Record<QuestionId, BodySide>> = {},
  own: Partial<ScreeningDto> = {},
): ScreeningDto {
  return {
    id: v7(),
    basedOn: null,
    takenAt: instant(takenAt),
    answers: QUESTION_IDS.map((questionId) => ({ questionId, answer: yes[questionId] ? 'yes' : 'no', side: yes[questionId] ?? 'whole' })),
    beighton: null,
    note: '',
    ...own,
  };
}

/** Answers the screening anew, on top of what is on record. */
export async function answerScreening(bench: TestBench, at: string, dto: ScreeningDto) {
  const { current } = (await bench.get(`${at}/screenings`)).body as ScreeningsReply;
  return bench.post(`${at}/screenings`, { ...dto, basedOn: current?.id ?? null });
}

/** Three trials a side for every demand of a rung, each far beyond what is asked unless told otherwise. */
export function checkFor(rungId: string, takenAt: Date, valueOf: (demand: Demand) => number = comfortably): CheckDto {
  const trials = demandsOn(LIBRARY.rung('push-up', rungId), bodyModel({ statureM: 1.72, massKg: 70 }), LIBRARY.measure).flatMap((demand) =>
    Array.from({ length: LIBRARY.measure(demand.measureId).trials }, () => ({
      id: v7(),
      measureId: demand.measureId,
      side: demand.side,
      value: valueOf(demand),
    })),
  );
  return { id: v7(), takenAt: instant(takenAt), note: '', trials };
}

export function comfortably(demand: Demand): number {
  return demand.value + 15;
}

/** A session of planks (and what else is named), clean unless told otherwise. */
export function sessionDto(performedAt: Date, own: Partial<SessionDto> = {}, drillIds: readonly string[] = ['plank']): SessionDto {
  // A drill of a test's own library is done ten times.
  const top = (drillId: string) => (LIBRARY.hasDrill(drillId) ? LIBRARY.drill(drillId).dose.max : 10);
  return {
    id: v7(),
    plannedSessionId: null,
    performedAt: instant(performedAt),
    effort: 5,
    minutes: 40,
    note: '',
    items: drillIds.map((drillId) => ({
      id: v7(),
      drillId,
      plannedSets: 2,
      min: 5,
      max: top(drillId),
      sets: [top(drillId), top(drillId)].map((amount) => ({ id: v7(), side: 'whole', amount, faults: [] })),
    })),
    symptoms: [],
    ...own,
  };
}

export function symptomDto(at: Date, own: Partial<SymptomDto> = {}): SymptomDto {
  return {
    id: v7(),
    sessionId: null,
    at: instant(at),
    intensity: 0,
    place: 'shoulder',
    side: 'whole',
    kind: 'none',
    moment: 'next morning',
    note: '',
    ...own,
  };
}

/** A drill of the preparation of the push-up ladder. */
export const PREPARES = 'wall-scapular-push-up';

/** Brings a trainee to an open gate at the wall rung: a check, and two clean sessions with quiet mornings. */
export async function reachOpenGate(bench: TestBench, traineeId: string): Promise<void> {
  const at = `/api/trainees/${traineeId}`;
  const ago = (days: number) => new Date(addDays(bench.now(), -days));
  // Known for a month: sessions from before somebody was added count for nothing.
  bench.db.prepare('UPDATE trainee_revision SET saved_at = ? WHERE trainee_id = ?').run(instant(ago(30)), traineeId);
  await answerScreening(bench, at, screeningDto(ago(6)));
  await bench.post(`${at}/checks`, checkFor('wall', ago(1)));
  for (const days of [5, 2]) {
    const session = sessionDto(ago(days), {}, [PREPARES]);
    await bench.post(`${at}/sessions`, session);
    await bench.post(`${at}/symptoms`, symptomDto(ago(days - 0.6), { sessionId: session.id }));
  }
}
