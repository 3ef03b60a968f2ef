import seedrandom from 'seedrandom';
import { expect, inject, it } from 'vitest';
import type { Symptom } from '../safety/index.ts';
import { addDays, instant } from '../quantities/index.ts';
import type { FloorDeed, FloorEvent } from './events.ts';
import { headOf, itemOf, library } from './testing.ts';
import {
  doneSoFar,
  isUnderWay,
  openSteps,
  paceOf,
  runOf,
  type StageEvent,
  type StageSet,
  type StageState,
  stageAfter,
  stageFor,
  type Step,
  verdictOn,
} from './index.ts';

/**
 * Two devices run one session under taps, keys, time-outs, freezes, reloads, corrections and symptoms, in random order. Beside them a
 * ledger, kept by what persons did and by the clock alone, says what has to be on record. It shares nothing with the reducers but the
 * events it feeds them.
 */
const RUNS = inject('long') ? 20_000 : 1_000;
const HEAD = headOf([itemOf('plank', { sets: 2, min: 3, max: 6, restSeconds: 5 }), itemOf('kneeling-plank', { sets: 1, min: 3, max: 5 })]);
const HOLDS = { stopSigns: [], cautions: [], felt: { history: [] } };
const START = instant('2026-11-26T17:00:00Z');
/** So late a tap belongs to what is on the screen now. */
const SETTLED = 1;

interface Ledger {
  amount: number;
  confirmed: boolean;
  gone?: true;
}

it(`the record is what persons did: each set once, with the last amount said, whatever happens (${RUNS} stories)`, () => {
  let [sets, unconfirmed, clean, felt] = [0, 0, 0, 0];
  for (let run = 0; run < RUNS; run++) {
    const story = play(`floor ${run}`);
    const state = runOf(HEAD, story.events);
    const done = state.items.flatMap((i) => i.done);
    const due = [...story.ledger].filter(([, l]) => !l.gone);
    expect(done.map((d) => [d.id, d.amount, !d.unconfirmed]).sort()).toEqual(due.map(([id, l]) => [id, l.amount, l.confirmed]).sort());
    expect(state.symptoms.map((s) => s.id).sort()).toEqual([...story.symptoms].sort());
    expect(story.lost).toBe(0);
    const verdict = verdictOn(state, library, 5);
    // Clean only where every set that was asked for was said to be done.
    const said = HEAD.items.every(
      (item) => done.filter((d) => d.itemId === item.id && !d.unconfirmed && d.amount >= item.max).length >= item.sets,
    );
    if (verdict.clean) expect(said).toBe(true);
    sets += due.length;
    unconfirmed += due.filter(([, l]) => !l.confirmed).length;
    clean += verdict.clean ? 1 : 0;
    felt += story.symptoms.length;
  }
  // The stories reach what they are about.
  expect([sets > RUNS, unconfirmed > RUNS / 8, clean > 0, felt > RUNS / 8]).toEqual([true, true, true, true]);
}, 600_000);

/** One device: what it knows, its stage, and what its tab remembers of a set under way. */
interface Device {
  events: FloorEvent[];
  stage: { state: StageState; set: StageSet; step: Step } | undefined;
  tab: { itemId: string; round: number; amount: number } | undefined;
  last: { id: string; step: Step; endedAt: number } | undefined;
}

function play(seed: string) {
  const random = seedrandom(seed);
  const chance = (share: number) => random() < share;
  const pick = <T>(some: readonly T[]): T => some[Math.floor(random() * some.length)] as T;
  const ledger = new Map<string, Ledger>();
  const symptoms: string[] = [];
  let [now, made, lost] = [100, 0, 0];
  const blank = (): Device => ({ events: [], stage: undefined, tab: undefined, last: undefined });
  const devices = [blank(), blank()] as const;

  const log = (device: Device, deed: FloorDeed): string => {
    made += 1;
    const { nextOrder } = runOf(HEAD, device.events);
    const id = `${seed} ${String(made).padStart(3, '0')}`;
    device.events = [...device.events, { id, order: nextOrder, at: addDays(START, now / 86_400), ...deed } as FloorEvent];
    return id;
  };
  const sync = () => {
    const all = [...new Map([...devices[0].events, ...devices[1].events].map((e) => [e.id, e])).values()];
    for (const device of devices) device.events = all;
  };
  /** Puts the set that is due on the stage; one under way is interrupted where it is no longer due. */
  const show = (device: Device): void => {
    const state = runOf(HEAD, device.events);
    const [step] = openSteps(state, library, HOLDS);
    const { stage } = device;
    if (stage && step && stage.step.itemId === step.itemId && stage.step.round === step.round) return;
    if (stage) send(device, { kind: 'interrupted', at: now }, 'clock');
    if (!step) {
      device.stage = undefined;
      return;
    }
    const fresh = runOf(HEAD, device.events);
    const held = device.last && fresh.items.flatMap((i) => i.done).find((d) => d.id === device.last?.id);
    const last = device.last && { ...device.last, unconfirmed: held?.unconfirmed === true };
    const set: StageSet = { run: fresh, step, last, pace: paceOf(step.drill.dose, step.item.now.max) };
    device.stage = { state: stageFor(set, now, true).state, set, step };
    if (device.tab && device.tab.itemId === step.itemId && device.tab.round === step.round)
      send(device, { kind: 'resumed', at: now, amount: device.tab.amount }, 'clock');
  };
  const send = (device: Device, event: StageEvent, by: 'person' | 'clock'): void => {
    const { stage } = device;
    if (!stage) return;
    const after = stageAfter(stage.state, event, stage.set);
    stage.state = after.state;
    device.tab = ['work', 'leaving'].includes(after.state.phase.kind)
      ? { itemId: stage.step.itemId, round: stage.step.round, amount: doneSoFar(after.state, now, stage.set) }
      : undefined;
    for (const effect of after.does) {
      if (effect.kind === 'confirm last' && device.last) amend(device, device.last.id, ledger.get(device.last.id)?.amount ?? 0);
      if (effect.kind !== 'keep set') continue;
      const id = log(device, effect.deed);
      // By whom it ended, not by what the deed says of itself.
      ledger.set(id, { amount: effect.deed.amount, confirmed: by === 'person' });
      device.last = { id, step: stage.step, endedAt: effect.endedAt };
      send(device, { kind: 'kept' }, by);
      device.stage = undefined;
      show(device);
    }
  };
  const amend = (device: Device, setId: string, amount: number) => {
    // What the other device took back in the meantime stays so.
    const entry = ledger.get(setId);
    log(device, { kind: 'amend', setId, amount });
    if (entry) Object.assign(entry, { amount, confirmed: true });
    device.stage = undefined;
    show(device);
  };

  for (const device of devices) show(device);
  for (let i = 0; i < 60; i++) {
    // Devices hear of each other before each deed, so that "last" means the same to both; the order of events settles the rest.
    sync();
    const device = chance(0.8) ? devices[0] : devices[1];
    show(device);
    now += pick([0.05, 0.2, SETTLED, 1.5, 3]);
    const underWay = device.stage ? doneSoFar(device.stage.state, now, device.stage.set) : 0;
    const remembered = device.tab?.amount ?? 0;
    const known = ledger.size;
    const { last } = device;
    // Corrected between sets: while one is under way the page offers none.
    const busy = device.stage !== undefined && isUnderWay(device.stage.state);
    const stands = last && !busy && !ledger.get(last.id)?.gone ? last : undefined;
    const does = random();
    if (does < 0.3) send(device, { kind: 'go', at: now, asleep: false }, 'person');
    else if (does < 0.62) {
      // Time passes on a page that is awake, or after a freeze.
      const until = now + pick([0.5, 2, 4, 8]);
      if (chance(0.15)) now = until + 30;
      else
        while (now < until) {
          send(device, { kind: 'tick', at: now }, 'clock');
          now += 0.5;
        }
      send(device, { kind: 'tick', at: now }, 'clock');
    } else if (does < 0.68) send(device, { kind: 'leave', at: now }, 'person');
    else if (does < 0.71) send(device, { kind: 'discard', at: now }, 'person');
    else if (does < 0.74) send(device, { kind: 'stay', at: now }, 'person');
    else if (does < 0.79) {
      send(device, { kind: 'hold', at: now }, 'person');
      now += pick([1, 40]);
      send(device, { kind: 'tick', at: now }, 'clock');
      if (chance(0.5)) {
        send(device, { kind: 'hurts', at: now }, 'person');
        const symptom: Omit<Symptom, 'at'> = { intensity: 1, place: 'shoulder', side: 'left', kind: 'ache', moment: 'during' };
        symptoms.push(log(device, { kind: 'symptom', symptom }));
      } else send(device, { kind: 'go on', at: now }, 'person');
    } else if (does < 0.87 && stands) {
      // A correction by steps, however fast they come: it stays one set.
      let amount = ledger.get(stands.id)?.amount ?? 0;
      for (let tap = 0; tap < pick([1, 3, 5]); tap++) {
        amount = Math.max(0, amount + pick([-1, 1]));
        amend(device, stands.id, amount);
      }
    } else if (does < 0.9 && stands) {
      log(device, { kind: 'take back', eventId: stands.id });
      Object.assign(ledger.get(stands.id) ?? {}, { gone: true });
      device.last = undefined;
      device.stage = undefined;
      show(device);
    } else if (does < 0.95) {
      // The page goes and comes back: only what its tab remembers is left.
      device.stage = undefined;
      device.last = undefined;
      show(device);
      if (remembered > 0 && ledger.size === known) lost += 1;
    } else if (chance(0.5)) {
      // Somebody else takes the stage.
      send(device, { kind: 'interrupted', at: now }, 'clock');
      if (underWay > 0 && ledger.size === known) lost += 1;
    }
  }
  sync();
  return { events: devices[0].events, ledger, symptoms, lost };
}
