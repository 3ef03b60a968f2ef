import { rhythmMoments } from '@myokinet/core/classes';
import type { ClassReply, ClassRow, ClassSheetReply, ReadinessReply, RecordReply } from '@myokinet/core/contracts';
import { addDays, instant } from '@myokinet/core/quantities';
import { v7 } from 'uuid';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { PREPARES, reachOpenGate, symptomDto, type TestBench, testBench, traineeDto } from '../testBench.ts';

let bench: TestBench;
let [ada, bea] = ['', ''];
beforeEach(async () => {
  bench = await testBench();
  const people = ['Ada', 'Bea'].map((name) => traineeDto({ name, equipment: ['wall', 'bench', 'bar'] }));
  for (const dto of people) await bench.post('/api/trainees', dto);
  [ada, bea] = people.map((p) => p.id) as [string, string];
});
afterEach(() => bench.close());

const SLOT = { id: v7(), drillId: 'plank' };
const MOMENTS = rhythmMoments([SLOT.id], { work: 40, rest: 20, change: 30, rounds: 2, circle: false });
const member = (traineeId: string, own: object = {}) => ({
  ...{ traineeId, from: 0, plannedSessionId: null },
  items: [{ slotId: SLOT.id, drillId: 'plank', sets: 2, min: 10, max: 30 }],
  ...own,
});
/** A class as one device knows it. */
function device(id = v7()) {
  let order = 0;
  const head = () => ({
    ...{ id, groupId: null as string | null, name: 'Tuesday', startedAt: instant(addDays(bench.now(), -0.1)), preparation: null },
    ...{ slots: [SLOT], moments: MOMENTS },
  });
  return {
    id,
    event: (deed: object, at = (order += 1)) => ({ ...deed, id: v7(), order: at, at: instant(bench.now()) }),
    send: (events: readonly object[], members: readonly object[] = [member(ada), member(bea)], own: object = {}) =>
      bench.put(`/api/classes/${id}`, { head: { ...head(), ...own }, members, events }),
  };
}
const passed = (moment: number) => ({ kind: 'passed', moment });
const CLOSE = { kind: 'close', effort: 5, minutes: 12, note: '' };
const record = async (id: string): Promise<RecordReply> => (await bench.get(`/api/trainees/${id}/record`)).body;
const read = async (id: string): Promise<ClassReply> => (await bench.get(`/api/classes/${id}`)).body;

describe('a class', () => {
  it('becomes a session of each who did something, whose sets nobody counted', async () => {
    const one = device();
    const out = { kind: 'sits', who: bea, moment: 0, out: true };
    const { status } = await one.send([one.event(passed(1)), one.event(passed(3)), one.event(out), one.event(CLOSE)]);
    expect(status).toBe(200);
    expect((await record(ada)).sessions).toMatchObject([
      {
        inClass: 'Tuesday',
        clean: false,
        effort: 5,
        minutes: 12,
        items: [{ drillId: 'plank', sets: [{ amount: 30, unconfirmed: true }, { amount: 30 }] }],
      },
    ]);
    expect((await record(bea)).sessions).toEqual([]);
    expect(((await bench.get('/api/classes')).body as readonly ClassRow[])[0]).toMatchObject({ ended: true, trained: [ada] });
  });

  it('is the sum of what two devices know, whatever comes twice', async () => {
    const one = device();
    const two = device(one.id);
    const first = one.event(passed(1));
    await one.send([first]);
    await two.send([two.event(passed(1)), two.event({ kind: 'fault', who: ada, moment: 1, faultId: 'shrug' })]);
    await one.send([first, one.event(CLOSE)]);
    expect((await record(ada)).sessions).toMatchObject([{ items: [{ sets: [{ faults: [{ faultId: 'shrug' }] }] }] }]);
    // What comes after the end makes the next version of whom it changes, and of nobody else.
    const [before] = (await record(bea)).sessions;
    await two.send([two.event({ kind: 'count', who: ada, moment: 1, side: 'whole', amount: 21 })]);
    expect((await record(ada)).sessions).toMatchObject([{ items: [{ sets: [{ amount: 21 }] }], replaced: { sets: 1 } }]);
    expect((await record(bea)).sessions).toEqual([before]);
    // Closed by both: once, as last said.
    await two.send([two.event({ ...CLOSE, effort: 7 }, 90)]);
    expect((await record(ada)).sessions).toMatchObject([{ effort: 7 }]);
  });

  it('opens no gate with what nobody counted, and does with what the coach counted, as a session does', async () => {
    await reachOpenGate(bench, ada);
    const shown = async () => ((await bench.get(`/api/trainees/${ada}/readiness`)).body as ReadinessReply).planner.shown.sets;
    const before = await shown();
    const one = device();
    const long = [member(ada, { items: [{ slotId: SLOT.id, drillId: PREPARES, sets: 1, min: 10, max: 3000 }] })];
    await one.send([one.event(passed(1)), one.event(CLOSE)], long);
    expect(await shown()).toEqual(before);
  });

  it('hears at once what hurts: a stop sign stands before the class is over, and belongs to the session after', async () => {
    const one = device();
    const symptom = { intensity: 6, kind: 'sharp', place: 'shoulder', side: 'left', moment: 'during' };
    await one.send([one.event(passed(1)), one.event({ kind: 'symptom', who: ada, moment: 3, symptom })]);
    expect((await record(ada)).stopSigns).toHaveLength(1);
    expect((await read(one.id)).stopped[ada]).toHaveLength(1);
    await one.send([one.event(passed(3)), one.event(CLOSE)]);
    expect((await record(ada)).sessions).toMatchObject([{ items: [{ sets: [{ amount: 30 }] }], symptoms: [{ intensity: 6 }] }]);
    expect((await record(bea)).sessions).toMatchObject([{ items: [{ sets: [{}, {}] }], symptoms: [] }]);
  });

  it('makes no session again of one that was taken back', async () => {
    const one = device();
    await one.send([one.event(passed(1)), one.event(CLOSE)]);
    const [session] = (await record(ada)).sessions;
    await bench.post(`/api/trainees/${ada}/taken-back`, { id: v7(), kind: 'session', factId: session?.id, reason: 'was not there' });
    expect((await record(ada)).sessions).toEqual([]);
    await one.send([one.event(passed(3))]);
    expect((await record(ada)).sessions).toEqual([]);
    expect((await record(bea)).sessions).toHaveLength(1);
  });

  it('takes a late comer from the moment they came, and of one named twice what was known first', async () => {
    const one = device();
    await one.send([one.event(passed(1))], [member(ada)]);
    await one.send([one.event(passed(3))], [member(bea, { from: 2 }), member(ada, { items: [] })]);
    await one.send([one.event(CLOSE)], []);
    expect((await record(bea)).sessions).toMatchObject([{ minutes: 7, items: [{ sets: [{}] }] }]);
    expect((await record(ada)).sessions).toMatchObject([{ items: [{ sets: [{}, {}] }] }]);
  });

  it.each([
    ['21 people', 'A class has room for 20 people.', () => Array.from({ length: 21 }, () => member(v7()))],
    ['the same person twice', 'The same person is in it twice.', () => [member(ada), member(ada)]],
  ])('is refused with %s', async (_, message, members) => {
    const { status, body } = await device().send([], members());
    expect([status, JSON.stringify(body)]).toEqual([422, expect.stringContaining(message)]);
  });

  it('is refused with somebody whom nobody knows, or a group of elsewhere, and nothing is half-written', async () => {
    const one = device();
    expect((await one.send([one.event(passed(1))], [member(ada), member(v7())])).body).toMatchObject({ code: 'trainee-missing' });
    expect((await one.send([], [], { groupId: v7() })).body).toMatchObject({ code: 'group-missing' });
    expect((await bench.get(`/api/classes/${one.id}`)).body).toMatchObject({ code: 'class-missing' });
  });

  it('goes on without somebody who was erased meanwhile', async () => {
    const one = device();
    await one.send([one.event(passed(1))]);
    const { status } = await bench.post(`/api/trainees/${bea}/erasure`, { id: v7(), name: 'Bea', reason: 'asked for it' });
    expect(status).toBeLessThan(300);
    const { status: sent } = await one.send([one.event({ kind: 'fault', who: bea, moment: 1 }), one.event(CLOSE)]);
    expect(sent).toBe(200);
    expect(JSON.stringify(await read(one.id))).not.toContain(bea);
    expect((await record(ada)).sessions).toHaveLength(1);
  });
});

describe('what a class may do', () => {
  const rhythm = { work: 40, rest: 20, change: 30, rounds: 2, circle: false };
  const sheet = (body: object) => bench.post('/api/class-sheets', body);
  const routine = async (drillId: string) => {
    const id = v7();
    const step = { id: v7(), kind: 'drill', drillId, amount: 20, restSeconds: 10 };
    const block = { id: v7(), name: '', part: 'work', way: 'rounds', rounds: 2, mirrored: false, steps: [step] };
    await bench.put(`/api/routines/${id}`, { revision: v7(), name: 'Warm hands', purpose: 'preparation', note: '', blocks: [block] });
    return id;
  };

  it('is each one’s own within what they may, with easier and harder beside it', async () => {
    const { status, body } = await sheet({ traineeIds: [ada, bea], routineId: await routine('plank') });
    const { members, slots, preparation } = body as ClassSheetReply;
    expect([status, preparation, slots.length]).toEqual([200, 'Warm hands', 1]);
    expect(members.map((m) => m.name)).toEqual(['Ada', 'Bea']);
    // Nobody has been screened: no loaded work, and the reason is said.
    for (const one of members) {
      expect(one.less).toHaveLength(1);
      expect(one.items.every((i) => i.drillId !== 'plank')).toBe(true);
    }
  });

  it('is nothing behind a stop sign, and says why', async () => {
    await bench.post(`/api/trainees/${ada}/symptoms`, symptomDto(bench.now(), { intensity: 7, kind: 'sharp' }));
    const { body } = await sheet({ traineeIds: [ada], routineId: await routine('wrist-circles') });
    expect((body as ClassSheetReply).members).toMatchObject([{ items: [], stopped: [expect.any(String)] }]);
  });

  it('is nobody’s where nobody has a plan today', async () => {
    const { body } = await sheet({ traineeIds: [ada], rhythm });
    expect(body).toMatchObject({ slots: [], moments: [], members: [{ items: [] }] });
  });

  it('is refused without a rhythm or with an unknown routine', async () => {
    expect((await sheet({ traineeIds: [ada] })).status).toBe(422);
    expect((await sheet({ traineeIds: [ada], routineId: v7() })).body).toMatchObject({ code: 'routine-missing' });
    expect((await sheet({ traineeIds: [ada], rhythm: { ...rhythm, rounds: 0 } })).status).toBe(422);
  });
});
