import type { Side } from '@myokinet/core/anatomy';
import type { FaultId } from '@myokinet/core/drills';
import {
  doneSoFar,
  isUnderWay,
  paceOf,
  samePlace,
  type SetPlace,
  stageAfter,
  type StageEffect,
  type StageEvent,
  stageFor,
  type StageSet,
  type Step,
} from '@myokinet/core/floor';
import type { Feeling } from '@myokinet/core/readiness';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { newId } from '../../client/newId.ts';
import { tabMemory } from '../../client/onDevice.ts';
import type { FloorClock } from '../../client/floorClock.ts';
import type { FloorPerson } from './floorPeople.ts';
import { useWhenDue } from './useWhenDue.ts';

/** The set that was done last on this page, and when. */
export interface LastSet {
  readonly step: Step;
  readonly setId: string;
  readonly amount: number;
  readonly feeling?: Feeling | undefined;
  /** It ran out by the clock, and nobody has said that it was done. */
  readonly unconfirmed?: boolean;
  readonly endedAt: number;
}

/** A set that was under way when the page went, by run; this tab alone knows of it. */
interface UnderWay extends SetPlace {
  readonly amount: number;
}
const underWayKey = (runId: string) => `myokinet.floor.underWay.${runId}`;

interface StageInput {
  readonly clock: FloorClock;
  readonly person: FloorPerson;
  readonly step: Step;
  readonly last: LastSet | undefined;
  /** In a group the next trainee waits to be called. */
  readonly alone: boolean;
  /** A set is being logged; it is the last one unless `unlogged` follows. */
  readonly logging: (last: LastSet) => void;
  readonly logged: () => void;
  readonly unlogged: () => void;
  /** Somebody says that the set before was done. */
  readonly confirmLast: () => void;
}

/** The machine of one set, wired to the clock, its sound and what keeps sets. What may follow what is the machine's business. */
export function useStage({ clock, person, step, last, alone, logging, logged, unlogged, confirmLast }: StageInput) {
  const [begun] = useState(() => stageFor({ run: person.run, step, last }, clock.now(), alone));
  const [state, setState] = useState(begun.state);
  // Events come faster than pages are drawn: each goes on from where the one before it led.
  const latest = useRef(begun.state);
  const set: StageSet = { run: person.run, step, last, pace: paceOf(step.drill.dose, step.item.now.max) };

  const send = (event: StageEvent): void => {
    const after = stageAfter(latest.current, event, set);
    latest.current = after.state;
    setState(after.state);
    noteUnderWay(after.state);
    for (const effect of after.does) void carryOut(effect);
  };

  const noted = useRef<number | undefined>(undefined);
  const noteUnderWay = (now: typeof state): void => {
    const inHand = ['work', 'feel', 'leaving'].includes(now.phase.kind);
    const amount = inHand ? doneSoFar(now, clock.now(), set) : undefined;
    if (amount === noted.current) return;
    noted.current = amount;
    tabMemory.write(underWayKey(person.runId), amount === undefined ? undefined : { ...placeOf(step), amount });
  };

  const carryOut = async (effect: StageEffect): Promise<void> => {
    switch (effect.kind) {
      case 'wake':
        await clock.wake();
        send({ kind: 'awake', at: clock.now() });
        return;
      case 'sound':
        clock.sound(effect.tones, effect.since);
        return;
      case 'hush':
        clock.hush();
        return;
      case 'keep set': {
        const { deed, endedAt } = effect;
        const setId = newId();
        // Said first: as soon as the set is kept, the next one takes this one's place.
        logging({ step, setId, amount: deed.amount, feeling: deed.feeling, unconfirmed: deed.ranOut === true, endedAt });
        const kept = await person.happen(deed, setId);
        if (!kept) unlogged();
        // Whoever took its place keeps it.
        else if (!gone.current) logged();
        send({ kind: kept ? 'kept' : 'not kept' });
        return;
      }
      case 'confirm last':
        confirmLast();
        return;
      case 'keep fault': {
        const eventId = await person.happen({ kind: 'fault', ...placeOf(effect.fault), faultId: effect.fault.faultId, mended: false });
        if (eventId) send({ kind: 'fault kept', at: clock.now(), fault: { ...effect.fault, eventId } });
        return;
      }
      case 'mend fault': {
        const { eventId, faultId, on } = effect.fault;
        await person.happen({ kind: 'take back', eventId });
        await person.happen({ kind: 'fault', ...placeOf(effect.fault), faultId, mended: true, ...(on ? { on } : {}) });
        return;
      }
      case 'side fault': {
        const { was, fault } = effect;
        const { eventId, faultId, on } = fault;
        await person.happen({ kind: 'take back', eventId: was.eventId });
        await person.happen({ kind: 'fault', ...placeOf(fault), faultId, mended: false, ...(on ? { on } : {}) }, eventId);
      }
    }
  };

  const { phase, fault, nothing = false } = state;
  // What happens by itself when its time has come.
  useWhenDue(clock, ['between', 'lead', 'work'].includes(phase.kind), (at) => send({ kind: 'tick', at }));
  const comeBack = useEffectEvent(() => {
    const before = tabMemory.read<UnderWay>(underWayKey(person.runId));
    if (before && samePlace(before, step)) send({ kind: 'resumed', at: clock.now(), amount: before.amount });
  });
  // Another trainee, another drill or another device takes the stage: what was done of the set is kept.
  const gone = useRef(false);
  const interrupted = useEffectEvent(() => {
    const { phase } = latest.current;
    // By feel nobody can say how much it was: it is asked when this set is on the stage again.
    if (!isUnderWay(latest.current) || (phase.kind !== 'lead' && person.run.head.progress === 'feel')) return;
    gone.current = true;
    send({ kind: 'interrupted', at: clock.now() });
  });
  useEffect(() => {
    comeBack();
    return () => interrupted();
  }, []);
  useEffect(() => {
    for (const effect of begun.does) if (effect.kind === 'sound') clock.sound(effect.tones, effect.since);
    return () => clock.hush();
  }, [clock, begun]);

  return {
    phase,
    pace: set.pace,
    fault,
    busy: phase.kind === 'keeping',
    /** The set ended before anything was done of it. */
    nothing,
    byFeel: person.run.head.progress === 'feel',
    see: (faultId: FaultId) => send({ kind: 'see', at: clock.now(), faultId }),
    faultOn: (on: Side) => send({ kind: 'fault on', at: clock.now(), on, eventId: newId() }),
    mended: () => send({ kind: 'mended', at: clock.now() }),
    stayed: () => send({ kind: 'stayed', at: clock.now() }),
    closeFault: () => send({ kind: 'close fault', at: clock.now() }),
    /** Whatever counts stands still. */
    hold: () => send({ kind: 'hold', at: clock.now() }),
    goOn: () => send({ kind: 'go on', at: clock.now() }),
    /** It hurts: the set under way ends with what was done of it. */
    hurts: () => send({ kind: 'hurts', at: clock.now() }),
    feel: (feeling: Feeling) => send({ kind: 'feel', at: clock.now(), feeling }),
    /** The one thing to do now; by feel, that it was right. */
    go: () => send({ kind: 'go', at: clock.now(), asleep: clock.asleep }),
    /** Back: out of the set that is under way, or into it again where that is being asked. Returns whether there was one. */
    leaveSet: (): boolean => {
      const leaves = isUnderWay(latest.current);
      if (leaves) send({ kind: latest.current.phase.kind === 'leaving' ? 'stay' : 'leave', at: clock.now() });
      return leaves;
    },
    /** What was done of the set that is being left is not to be logged. */
    discard: () => send({ kind: 'discard', at: clock.now() }),
    /** Something else takes the place of the set under way; what was done of it is kept. */
    interrupt: () => send({ kind: 'interrupted', at: clock.now() }),
  };
}

function placeOf({ itemId, round, side }: SetPlace): SetPlace {
  return { itemId, round, side };
}
