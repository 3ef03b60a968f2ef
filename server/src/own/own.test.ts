import type {
  LinkOpenReply,
  NewLinkReply,
  OwnPageReply,
  PlanBriefReply,
  PlanDto,
  ReadinessReply,
  RecordReply,
  SessionDto,
  TodayItem,
  TraineeLinkReply,
} from '@myokinet/core/contracts';
import { weekdayOf, weekStartOf } from '@myokinet/core/planning';
import { addDays, calendarDay, instant } from '@myokinet/core/quantities';
import { strFromU8, unzipSync } from 'fflate';
import ICAL from 'ical.js';
import { type Body, placesIn, put, WRONG } from '../wrongBodies.ts';
import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { BUILT_IN_COACH } from '../actor.ts';
import { buildApp } from '../app.ts';
import {
  answerScreening,
  checkFor,
  PREPARES,
  reachOpenGate,
  screeningDto,
  sessionDto,
  symptomDto,
  type TestBench,
  testBench,
  traineeDto,
} from '../testBench.ts';

let bench: TestBench;
let traineeId: string;
let at: string;

beforeEach(async () => {
  bench = await testBench();
  const trainee = traineeDto({ equipment: ['wall', 'bench', 'bar'] });
  traineeId = trainee.id;
  at = `/api/trainees/${traineeId}`;
  await bench.post('/api/trainees', trainee);
});
afterEach(() => bench.close());

const past = (days: number) => new Date(addDays(bench.now(), -days));
const today = () => calendarDay(bench.now());

async function link(own: object = {}): Promise<NewLinkReply> {
  return (await bench.post(`${at}/link`, { id: v7(), progress: true, ...own })).body;
}

async function opened(secret: string, pin?: string) {
  return bench.post('/api/own/open', { link: secret, ...(pin ? { pin } : {}) });
}

/** A phone on which the trainee’s page is open. */
async function phone(key?: string) {
  const known = key ?? ((await opened((await link()).secret)).body as LinkOpenReply).key;
  const send = async (method: 'GET' | 'POST', url: string, payload?: object) => {
    const reply = await bench.app.inject({
      method,
      url: `/api/own/${url}`,
      headers: { host: '127.0.0.1', 'x-myokinet-link': known },
      ...(payload ? { payload } : {}),
    });
    return { status: reply.statusCode, body: reply.json<never>() };
  };
  return {
    key: known,
    page: async (): Promise<OwnPageReply> => (await send('GET', 'page')).body,
    get: (url: string) => send('GET', url),
    post: (url: string, body: object) => send('POST', url, body),
  };
}

function planOf(drillIds: readonly string[], own: Partial<PlanDto> = {}): PlanDto {
  const items = drillIds.map((drillId) => ({ id: v7(), drillId, sets: 2, min: 5, max: 10, restSeconds: 30, why: '' }));
  const sessions = [{ id: v7(), day: today(), place: 'home' as const, items }];
  return { id: v7(), revision: v7(), basedOn: null, weekStart: weekStartOf(bench.now()), sessions, notes: [], leftOut: [], ...own };
}

const saved = (plan: PlanDto) => bench.put(`${at}/plans/${plan.weekStart}`, plan);
const practiceOf = (plan: PlanDto, own: Partial<SessionDto> = {}) =>
  sessionDto(past(0.01), { plannedSessionId: plan.sessions[0]!.id, ...own }, [plan.sessions[0]!.items[0]!.drillId]);

describe('a private link', () => {
  it('opens the page of its trainee until it is renewed or taken back; nothing in the file opens it', async () => {
    const first = await link();
    const { key } = (await opened(first.secret)).body as LinkOpenReply;
    expect((await phone(key)).key).toBe(key);
    expect(await (await phone(key)).page()).toMatchObject({ name: 'Ada Spar', today: today(), sessions: [] });
    const kept = JSON.stringify(bench.db.prepare('SELECT * FROM trainee_link JOIN trainee_device').all());
    for (const secret of [first.secret, key]) expect(kept).not.toContain(secret.split('.')[1]);
    expect((await bench.get(`${at}/link`)).body).toMatchObject({ id: first.id, pin: false, devices: [{}] });

    const second = await link();
    expect((await (await phone(key)).get('page')).body).toMatchObject({ status: 403, code: 'link-unknown' });
    expect((await opened(first.secret)).status).toBe(403);
    expect((await opened(second.secret)).status).toBe(200);
    expect((await bench.delete(`${at}/link`)).status).toBe(200);
    expect((await opened(second.secret)).status).toBe(403);
    expect((await bench.get(`${at}/link`)).body).toBeNull();
    expect((await bench.delete(`${at}/link`)).body).toMatchObject({ code: 'link-missing' });
  });

  it('that lapses opens nothing from the day after on, on phones that know it neither', async () => {
    const { secret } = await link({ lapsesOn: calendarDay(new Date(addDays(bench.now(), 1))) });
    const { key } = (await opened(secret)).body as LinkOpenReply;
    bench.passDays(1);
    expect((await (await phone(key)).get('page')).status).toBe(200);
    bench.passDays(1);
    expect((await (await phone(key)).get('page')).body).toMatchObject({ code: 'link-lapsed' });
    expect((await opened(secret)).body).toMatchObject({ code: 'link-lapsed' });
    expect(((await bench.get(`${at}/link`)).body as TraineeLinkReply).lapsed).toBe(true);
  });

  it('with a PIN asks for it, and makes guessing slow', async () => {
    const { secret, pin } = await link({ pin: '4711' });
    expect(pin).toBe(true);
    expect((await opened(secret)).body).toMatchObject({ code: 'link-pin-needed' });
    for (let i = 0; i < 5; i++) expect((await opened(secret, '0000')).body).toMatchObject({ code: 'link-pin-wrong' });
    expect((await opened(secret, '4711')).body).toMatchObject({ code: 'try-later' });
    bench.passDays(1);
    expect((await opened(secret, '4711')).status).toBe(200);
  });

  it('that was guessed, cut short or is of nobody opens nothing', async () => {
    const { secret } = await link();
    const [studio = '', token = ''] = secret.split('.');
    const other = Buffer.from(v7().replaceAll('-', ''), 'hex').toString('base64url');
    for (const wrong of [`${studio}.${'A'.repeat(43)}`, `${other}.${token}`, `${'A'.repeat(22)}.${token}`])
      expect((await opened(wrong)).body).toMatchObject({ code: 'link-unknown' });
    for (const wrong of [token, `${secret}x`, '', null, {}]) expect((await opened(wrong as string)).status).toBe(422);
    for (const key of ['', '.', 'x', `${studio}.`, secret, '__proto__.a'])
      expect((await (await phone(key)).get('page')).body, key).toMatchObject({ code: 'link-unknown' });
  });

  it('is refused where it could last for ever, and asks nobody who trains here no more', async () => {
    const far = calendarDay(new Date(addDays(bench.now(), 500)));
    for (const wrong of [{ lapsesOn: far }, { lapsesOn: '2020-01-01' }, { pin: '12' }, { pin: 'abcd' }])
      expect((await bench.post(`${at}/link`, { id: v7(), progress: true, ...wrong })).status).toBe(422);
    const { secret } = await link();
    const { key } = (await opened(secret)).body as LinkOpenReply;
    bench.db.prepare('UPDATE trainee SET archived_at = ?').run(instant(bench.now()));
    expect((await (await phone(key)).get('page')).body).toMatchObject({ code: 'link-unknown' });
  });

  it('of a child stands on the word of those responsible for them, and shuts where it is taken back', async () => {
    const child = traineeDto({ birthYear: 2014 });
    await bench.post('/api/trainees', child);
    at = `/api/trainees/${child.id}`;
    const word = (agreed: boolean) =>
      bench.post(`${at}/consents`, { id: v7(), role: 'guardian', givenOn: calendarDay(bench.now()), agreed });
    expect(await bench.post(`${at}/link`, { id: v7(), progress: true })).toMatchObject({
      status: 409,
      body: { code: 'link-consent-first' },
    });
    await word(true);
    const held = await phone();
    expect(await held.page()).toMatchObject({ keptBy: { studio: 'Test studio', coach: expect.any(String) } });
    await word(false);
    expect(await held.get('page')).toMatchObject({ status: 403, body: { code: 'link-no-consent' } });
    await word(true);
    expect(await held.get('page')).toMatchObject({ status: 200 });
  });

  it('is known on a few phones; the one seen longest ago makes room', async () => {
    const { secret } = await link();
    const keys: string[] = [];
    for (let i = 0; i < 9; i++) {
      keys.push(((await opened(secret)).body as LinkOpenReply).key);
      bench.passDays(0.1);
    }
    expect((await (await phone(keys[0])).get('page')).status).toBe(403);
    expect((await (await phone(keys[8])).get('page')).status).toBe(200);
  });
});

describe('what a phone sends', () => {
  it('is refused with the field named wherever it is wrong, and nothing of it is stored', async () => {
    const { secret } = await link({ pin: '4711' });
    const { key } = (await opened(secret, '4711')).body as LinkOpenReply;
    const one = await phone(key);
    const session = sessionDto(past(0.1));
    await bench.post(`${at}/sessions`, session);
    const rows = () =>
      ['morning', 'note', 'symptom', 'session', 'trainee_device'].map((t) => bench.db.prepare(`SELECT count(*) FROM ${t}`).pluck().get());
    const bodies: Readonly<Record<string, () => Body>> = {
      open: () => ({ link: secret, pin: '4711' }),
      notes: () => ({ id: v7(), at: instant(past(0.01)), drillId: 'plank', text: 'Hm.' }),
      mornings: () => ({ id: v7(), sessionId: session.id, at: instant(past(0.01)), how: 'fresh' }),
      practice: () => ({ ...sessionDto(past(0.01), { plannedSessionId: v7() }) }),
      symptoms: () => ({ ...symptomDto(past(0.01), { intensity: 1, kind: 'ache' }) }),
    };
    const wrong: unknown[] = [];
    for (const [url, body] of Object.entries(bodies))
      for (const place of placesIn(body()))
        for (const [what, value] of WRONG) {
          const [bent, before] = [body(), rows()];
          put(bent, place, value);
          const { status, body: said } = await one.post(url, bent);
          const fields = (said as { fields?: readonly { field: string }[] } | null)?.fields;
          if (status >= 500 || (status >= 400 && String(rows()) !== String(before))) wrong.push([url, place.join('/'), what, status]);
          if (fields && !fields[0]?.field.startsWith(`/${String(place[0])}`)) wrong.push([url, place.join('/'), what, fields]);
        }
    expect(wrong).toEqual([]);
  }, 60_000);
});

describe('an archive of records', () => {
  it('holds nothing of a link’s secrets, and what is erased opens nothing', async () => {
    const { secret } = await link({ pin: '4711' });
    await opened(secret, '4711');
    const reply = await bench.app.inject({ url: `${at}/records.zip`, headers: { host: '127.0.0.1' } });
    const files = unzipSync(new Uint8Array(reply.rawPayload));
    const all = Object.values(files).map((f) => strFromU8(f));
    expect(all.join('')).toContain('trainee_link');
    for (const text of all) expect(text).not.toMatch(/_hash|argon2/);
    const gone = await bench.post(`${at}/erasure`, { id: v7(), name: 'Ada Spar', reason: 'asked for' });
    expect(gone.status).toBeLessThan(300);
    expect((await opened(secret, '4711')).body).toMatchObject({ code: 'link-unknown' });
  });
});

describe('practice at home', () => {
  beforeEach(() => answerScreening(bench, at, screeningDto(past(6))));

  it('is shown as it may be done: a lock shut, a new drill at less, what wants company left out', async () => {
    await saved(planOf(['plank', 'wall-slides', 'practice-forearm-balance']));
    const [session] = (await (await phone()).page()).sessions;
    expect(session?.leftOut.map((l) => l.name)).toContain('Forearm balance');
    expect(session?.items.map((i) => i.drillId)).toContain('wall-slides');
    for (const item of session?.items ?? []) expect(item).toMatchObject({ dose: expect.stringMatching(/\d × /), steps: expect.anything() });

    await answerScreening(bench, at, screeningDto(past(0.01), { 'medical-hold': 'whole' }));
    const locked = await (await phone()).page();
    expect(locked.stopped.length).toBeGreaterThan(0);
    expect(locked.sessions[0]?.items).toEqual([]);
  });

  it('counts as load and toward no gate, however clean it was told to be', async () => {
    const plan = planOf([PREPARES]);
    await saved(plan);
    const one = await phone();
    const dto = practiceOf(plan);
    expect((await one.post('practice', dto)).status).toBe(201);
    // The same practice sent again is one.
    expect((await one.post('practice', dto)).status).toBe(201);
    const { sessions } = (await bench.get(`${at}/record`)).body as RecordReply;
    expect(sessions).toHaveLength(1);
    expect(sessions[0]).toMatchObject({ reportedBy: 'trainee', clean: false, finding: { code: 'reported' }, load: 200 });
    expect(sessions[0]?.items[0]?.sets.every((s) => s.unconfirmed)).toBe(true);
    expect(sessions[0]?.handLoad.push).toBeGreaterThan(0);
    expect((await one.page()).sessions[0]?.done).toBe(true);
  });

  it('a week of it opens no gate that a coach’s sessions would have opened', async () => {
    const gate = async () => ((await bench.get(`${at}/readiness`)).body as ReadinessReply).gate?.open;
    await reachOpenGate(bench, traineeId);
    expect(await gate()).toBe(true);
    for (const { id } of ((await bench.get(`${at}/record`)).body as RecordReply).sessions)
      await bench.post(`${at}/taken-back`, { id: v7(), kind: 'session', factId: id, reason: 'entered for somebody else' });
    expect(await gate()).toBe(false);
    const one = await phone();
    for (const days of [5, 2]) {
      const plan = planOf([PREPARES], { weekStart: weekStartOf(past(days)) });
      plan.sessions[0]!.day = calendarDay(past(days));
      const before = (await bench.get(`${at}/plans/${plan.weekStart}`)).body as { id?: string; revision?: string; sessions?: [] };
      await saved({ ...plan, ...(before.id ? { id: before.id, basedOn: before.revision ?? null } : {}) });
      expect((await one.post('practice', sessionDto(past(days), { plannedSessionId: plan.sessions[0]!.id }, [PREPARES]))).status).toBe(201);
    }
    expect(await gate()).toBe(false);
  });

  it('of a day that was planned anew meanwhile is kept; what never was planned is refused', async () => {
    const plan = planOf(['wall-slides']);
    await saved(plan);
    const one = await phone();
    await saved({ ...planOf(['wall-slides']), id: plan.id, basedOn: plan.revision });
    expect((await one.post('practice', practiceOf(plan))).status).toBe(201);
    expect((await one.post('practice', sessionDto(past(0.01), { plannedSessionId: v7() }, ['wall-slides']))).body).toMatchObject({
      code: 'practice-not-planned',
    });
    expect((await one.post('practice', { ...practiceOf(plan), id: v7(), items: sessionDto(past(0.01), {}, ['plank']).items })).status).toBe(
      409,
    );
  });

  it('of a preparation is on offer any time, counts as one, and takes no other drills', async () => {
    await answerScreening(bench, at, screeningDto(past(6)));
    const step = { id: v7(), kind: 'drill', drillId: 'wrist-circles', amount: 8, restSeconds: 0 };
    const blocks = [{ id: v7(), name: '', part: 'work', way: 'once', mirrored: false, steps: [step] }];
    const routine = { revision: v7(), basedOn: null, name: 'Desk break', purpose: 'short break', note: '', blocks };
    const routineId = v7();
    await bench.put(`/api/routines/${routineId}`, routine);
    const one = await phone();
    expect((await one.page()).anytime).toMatchObject([{ preparation: 'Desk break', items: [{ drillId: 'wrist-circles' }] }]);
    // Tied to something in the week, it stands there on its day.
    const { revision: basedOn, ...brief } = (await bench.get(`${at}/brief`)).body as PlanBriefReply;
    const today = { weekday: weekdayOf(calendarDay(bench.now())), name: 'Night watch', prepareWith: routineId };
    const event = { ...today, id: v7(), effort: 5, minutes: 60, joints: ['grip'] };
    await bench.put(`${at}/brief`, { ...brief, basedOn, revision: v7(), events: [event] });
    expect((await one.page()).anytime).toMatchObject([{ preparation: 'Desk break', before: 'Night watch' }]);
    bench.passDays(1);
    expect((await one.page()).anytime?.[0]?.before).toBeUndefined();
    const told = (drillId: string, own: object = {}) =>
      one.post('practice', { ...sessionDto(past(0.01), { effort: 2, minutes: 3, ...own }, [drillId]), preparation: 'Desk break' });
    expect((await told('plank')).body).toMatchObject({ code: 'practice-not-planned' });
    // Renamed meanwhile: what was begun before is still taken.
    await bench.put(`/api/routines/${routineId}`, { ...routine, revision: v7(), basedOn: routine.revision, name: 'Break' });
    expect((await told('wrist-circles')).status).toBe(201);
    const { sessions } = (await bench.get(`${at}/record`)).body as RecordReply;
    expect(sessions).toMatchObject([{ preparation: 'Desk break', reportedBy: 'trainee', clean: false }]);
    expect((await one.page()).morningOf).toBeUndefined();
  });

  it('asks for the morning once, the day after', async () => {
    const plan = planOf(['wall-slides']);
    await saved(plan);
    const one = await phone();
    const dto = practiceOf(plan);
    await one.post('practice', dto);
    expect((await one.page()).morningOf).toBeUndefined();
    bench.passDays(0.7);
    expect((await one.page()).morningOf).toMatchObject({ sessionId: dto.id });
    const morning = { id: v7(), sessionId: dto.id, at: instant(past(0.01)), how: 'tired' };
    expect((await one.post('mornings', morning)).status).toBe(201);
    expect((await one.page()).morningOf).toBeUndefined();
    const due = ((await bench.get('/api/today')).body as TodayItem[]).find((t) => t.kind === 'morning');
    expect(due).toMatchObject({ sessionId: dto.id, told: 'tired' });
    expect(((await bench.get(`${at}/record`)).body as RecordReply).mornings).toEqual([{ at: morning.at, how: 'tired' }]);
    expect((await one.post('mornings', { ...morning, id: v7(), sessionId: v7() })).body).toMatchObject({ code: 'session-missing' });
    expect((await one.post('mornings', { ...morning, id: v7() })).status).toBe(409);
  });
});

describe('how far they have come', () => {
  it('is shown with the figures of the readiness page, where the coach wants it shown', async () => {
    await answerScreening(bench, at, screeningDto(past(6)));
    await bench.post(`${at}/checks`, checkFor('wall', past(1)));
    const { progress } = await (await phone()).page();
    expect(progress?.rungs.slice(0, 2).map((r) => r.is)).toEqual(['next', 'later']);
    const { headrooms } = (await bench.get(`${at}/readiness`)).body as ReadinessReply;
    expect(progress?.needs.map((n) => n.state)).toEqual(headrooms.map((h) => h.state));
    for (const need of progress?.needs ?? []) expect(need.trail.at(-1)?.figure).toMatch(/\d|full|flat/);
    for (const need of progress?.needs ?? [])
      expect(need).toMatchObject({ asks: expect.stringMatching(/\d/), stands: expect.stringMatching(/spare|reached/) });
    const { key } = (await opened((await link({ progress: false })).secret)).body as LinkOpenReply;
    expect((await (await phone(key)).page()).progress).toBeUndefined();
  });
});

describe('what hurts', () => {
  it('is on the coach’s Today at once, withdraws what was signed, and stops the page', async () => {
    await reachOpenGate(bench, traineeId);
    const clearance = { id: v7(), ladderId: 'push-up', rungId: 'wall', initials: 'AF' };
    expect((await bench.post(`${at}/clearances`, clearance)).status).toBe(201);
    bench.passDays(0.01);
    await saved(planOf(['wall-slides']));
    const one = await phone();
    expect((await one.page()).stopped).toEqual([]);
    const told = await one.post('symptoms', symptomDto(past(0.001), { intensity: 7, kind: 'sharp', moment: 'during', side: 'left' }));
    expect(told).toMatchObject({ status: 201, body: { stop: expect.stringMatching(/shoulder/) } });
    const page = await one.page();
    expect(page.stopped).toHaveLength(1);
    expect(page.sessions.every((s) => s.items.length === 0)).toBe(true);
    expect(((await bench.get('/api/today')).body as TodayItem[]).some((t) => t.kind === 'stop sign' && t.traineeId === traineeId)).toBe(
      true,
    );
    const record = (await bench.get(`${at}/record`)).body as RecordReply;
    expect(record.symptoms.find((s) => s.intensity === 7)?.reportedBy).toBe('trainee');
    expect(record.clearances[0]?.withdrawnBy).toBe('stop sign');
  });

  it('in the morning after may shut a gate, and does not open one: that it was quiet a coach has to have heard', async () => {
    const gate = async () => ((await bench.get(`${at}/readiness`)).body as ReadinessReply).gate;
    const unmet = async () => (await gate())?.unmet.map((f) => f.rule);
    await reachOpenGate(bench, traineeId);
    bench.passDays(1);
    const session = sessionDto(past(0.9), {}, [PREPARES]);
    await bench.post(`${at}/sessions`, session);
    expect(await unmet()).toContain('mornings');
    const one = await phone();
    const quiet = symptomDto(past(0.01), { sessionId: session.id });
    expect((await one.post('symptoms', quiet)).status).toBe(201);
    expect(await unmet()).toContain('mornings');
    await bench.post(`${at}/symptoms`, { ...quiet, id: v7() });
    expect(await unmet()).not.toContain('mornings');
    await one.post('symptoms', symptomDto(past(0.005), { sessionId: session.id, intensity: 2, kind: 'ache' }));
    expect(await unmet()).toContain('mornings');
  });

  it('that is quiet goes on', async () => {
    const told = await (await phone()).post('symptoms', symptomDto(past(0.001), { intensity: 1, kind: 'ache', moment: 'during' }));
    expect(told).toMatchObject({ status: 201, body: { stop: null } });
  });
});

describe('words both ways', () => {
  it('wait on Today until a coach has read or answered them; the answer stands on the page', async () => {
    const today = async () => ((await bench.get('/api/today')).body as TodayItem[]).filter((t) => t.kind === 'note');
    const one = await phone();
    const [first, second] = ['The wall slides are easy.', '<b>And</b> the bar is gone.'].map((text, i) => ({
      ...{ id: v7(), at: instant(past(0.02 - i * 0.01)), text, drillId: i === 0 ? 'wall-slides' : null },
    }));
    for (const note of [first, first, second]) expect((await one.post('notes', note!)).status).toBe(201);
    expect(await today()).toMatchObject([{ traineeId, text: first?.text, more: 1 }]);
    await bench.post(`${at}/notes-seen`, { upTo: first?.at });
    expect(await today()).toMatchObject([{ text: second?.text, more: 0 }]);
    await bench.post(`${at}/notes`, { id: v7(), at: instant(past(0.001)), text: 'Then two more.' });
    expect(await today()).toEqual([]);
    expect((await one.page()).notes.map((n) => [n.text, n.coach !== undefined, n.drill])).toEqual([
      [first?.text, false, expect.stringMatching(/^Wall slides/)],
      [second?.text, false, undefined],
      ['Then two more.', true, undefined],
    ]);
    expect((await one.post('notes', { ...first, id: v7(), text: ' '.repeat(4) })).status).toBe(422);
    expect((await one.post('notes', { ...first, id: v7(), text: 'x'.repeat(1001) })).status).toBe(422);
  });
});

describe('the calendar’s address', () => {
  it('reads the calendar and opens nothing else; a phone’s key and the link read no calendar', async () => {
    await answerScreening(bench, at, screeningDto(past(6)));
    await saved(planOf(['wall-slides']));
    const { secret } = await link();
    const { key, feed } = (await opened(secret)).body as LinkOpenReply;
    const read = await bench.get(`/api/own/calendar/${feed}.ics`);
    expect(read).toMatchObject({ status: 200, type: expect.stringContaining('text/calendar') });
    const events = new ICAL.Component(ICAL.parse(read.body as string) as []).getAllSubcomponents('vevent');
    expect(events.some((e) => String(e.getFirstPropertyValue('description')).includes('Wall slides: 2 × 5–10 reps'))).toBe(true);
    // It reminds at eight in the morning of a day for which no hour is known; the coach's own file does not ring.
    const triggers = (text: unknown) =>
      new ICAL.Component(ICAL.parse(text as string) as [])
        .getAllSubcomponents('vevent')
        .flatMap((e) => e.getAllSubcomponents('valarm').map((a) => String(a.getFirstPropertyValue('trigger'))));
    expect(triggers(read.body)).toEqual(['PT8H']);
    expect(triggers((await bench.get(`${at}/calendar.ics`)).body)).toEqual([]);
    for (const wrong of [key, secret]) expect((await bench.get(`/api/own/calendar/${wrong}`)).status).toBe(403);
    expect((await (await phone(feed)).get('page')).status).toBe(403);
    await bench.delete(`${at}/link`);
    expect((await bench.get(`/api/own/calendar/${feed}.ics`)).status).toBe(403);
  });
});

describe('the program’s log', () => {
  it('says what was asked for and holds no secret', async () => {
    const { secret } = await link();
    const { key, feed } = (await opened(secret)).body as LinkOpenReply;
    const lines: string[] = [];
    const write = process.stdout.write.bind(process.stdout);
    process.stdout.write = (text: string | Uint8Array) => lines.push(String(text)) > 0;
    try {
      const app = await buildApp(() => ({ studio: bench.services, actor: BUILT_IN_COACH }), bench.now, {
        log: true,
        studioOf: () => ({ name: 'Test studio', services: bench.services }),
      });
      const headers = { host: '127.0.0.1' };
      await app.inject({ url: `/api/own/calendar/${feed}.ics`, headers });
      await app.inject({ url: '/api/own/page', headers: { ...headers, 'x-myokinet-link': key } });
      await app.inject({ method: 'POST', url: '/api/own/open', headers, payload: { link: secret } });
      await app.close();
    } finally {
      process.stdout.write = write;
    }
    const log = lines.join('');
    expect(log).toContain('/api/own/calendar/…');
    expect(log).toContain('/api/own/page');
    for (const text of [secret, key, feed]) expect(log).not.toContain(text.split('.')[1]);
  });
});
