import {
  paceAt,
  paceOf,
  type Pace,
  type RunState,
  type SetPlace,
  type Step,
  timesSeen,
  type Tone,
  tonesOf,
  transitionTo,
  type Transition,
} from '@myokinet/core/floor';
import type { FaultId } from '@myokinet/core/drills';
import type { Feeling } from '@myokinet/core/readiness';
import { useEffect, useState } from 'react';
import { newId } from '../../client/newId.ts';
import type { FloorClock } from './floorClock.ts';
import type { FloorPerson } from './floorPeople.ts';
import { useWhenDue } from './useWhenDue.ts';

/** What is going on with the set in hand. */
export type Phase =
  | { readonly kind: 'ready' }
  /** A rest, a change of side, drill or station. */
  | { readonly kind: 'between'; readonly since: number; readonly transition: Transition }
  /** Three seconds to get into position. */
  | { readonly kind: 'lead'; readonly until: number }
  | { readonly kind: 'work'; readonly since: number }
  /** By feel: how it was. */
  | { readonly kind: 'feel'; readonly amount: number }
  /** It could not be kept anywhere: it is not logged until it is. */
  | { readonly kind: 'unkept'; readonly deed: LoggedSet };

export type LoggedSet = SetPlace & { readonly kind: 'set'; readonly amount: number; readonly feeling?: Feeling };

/** The set that was done last on this page, and when. */
export interface LastSet {
  readonly step: Step;
  readonly setId: string;
  readonly amount: number;
  readonly feeling?: Feeling | undefined;
  readonly endedAt: number;
}

/** A fault just seen: kept as staying until somebody says that the cue mended it. */
export interface SeenFault extends SetPlace {
  readonly eventId: string;
  readonly faultId: FaultId;
  readonly times: number;
  readonly during: boolean;
}

const LEAD_SECONDS = 3;
const LEAD_TONES = [0, 1, 2].map((at) => ({ at, pitch: 'tick' as const }));

/** The last three seconds of a rest, and its end. */
function restTones(seconds: number): readonly Tone[] {
  const ticks = LEAD_TONES.map((t): Tone => ({ ...t, at: seconds - LEAD_SECONDS + t.at }));
  return [...ticks, { at: seconds, pitch: 'end' }];
}

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
}

/** One set from "get ready" to "logged": the only place that knows what may follow what. */
export function useStage({ clock, person, step, last, alone, logging, logged, unlogged }: StageInput) {
  const { head } = person.run;
  const byFeel = head.progress === 'feel';
  const [phase, setPhase] = useState<Phase>(() => firstPhase(clock.now(), { step, last, head, alone }));
  const [fault, setFault] = useState<SeenFault | undefined>();
  const [busy, setBusy] = useState(false);
  const pace: Pace = paceOf(step.drill.dose, step.item.now.max);
  const place = { itemId: step.itemId, round: step.round, side: step.side };

  const begin = () => {
    const since = clock.now();
    setPhase({ kind: 'work', since });
    // By feel nothing is counted; a tone tells that the most that was planned is reached.
    clock.sound(byFeel ? [{ at: pace.seconds, pitch: 'end' }] : tonesOf(pace), since);
  };
  const lead = () => {
    const since = clock.now();
    clock.sound(LEAD_TONES, since);
    setPhase({ kind: 'lead', until: since + LEAD_SECONDS });
  };

  const log = async (amount: number, feeling?: Feeling) => {
    const deed: LoggedSet = { kind: 'set', ...place, amount, ...(feeling ? { feeling } : {}) };
    const setId = newId();
    setBusy(true);
    // Said first: as soon as the set is kept, the next one takes this one's place.
    logging({ step, setId, amount, feeling, endedAt: clock.now() });
    const kept = await person.happen(deed, setId);
    setBusy(false);
    if (kept) logged();
    else {
      unlogged();
      setPhase({ kind: 'unkept', deed });
    }
  };
  const finish = (amount: number) => {
    clock.hush();
    if (byFeel) setPhase({ kind: 'feel', amount });
    else void log(amount);
  };
  const amountNow = () => (phase.kind === 'work' ? Math.min(step.item.now.max, paceAt(pace, clock.now() - phase.since).done) : 0);

  // What happens by itself when its time has come.
  useWhenDue(clock, ['between', 'lead', 'work'].includes(phase.kind), (at) => {
    if (phase.kind === 'lead' && at >= phase.until) begin();
    else if (phase.kind === 'work' && !byFeel && !busy && at - phase.since >= pace.seconds) finish(step.item.now.max);
    else if (phase.kind === 'between' && at - phase.since >= phase.transition.seconds) {
      if (phase.transition.runsOn) begin();
      else setPhase({ kind: 'ready' });
    }
  });
  // The end of a rest is heard by whoever looks elsewhere.
  const resting = phase.kind === 'between' && !phase.transition.runsOn ? phase : undefined;
  useEffect(() => {
    if (resting && resting.transition.seconds > 0) clock.sound(restTones(resting.transition.seconds), resting.since);
  }, [clock, resting]);
  useEffect(() => () => clock.hush(), [clock]);

  const see = async (faultId: FaultId) => {
    const during = phase.kind === 'work';
    const at = during || !last ? place : last.step;
    if (fault?.faultId === faultId && during) {
      // Seen again while the cue was given: it stays, and quality ends the set.
      setFault(undefined);
      finish(amountNow());
      return;
    }
    const deed = { kind: 'fault', itemId: at.itemId, round: at.round, side: at.side, faultId, mended: false } as const;
    const eventId = await person.happen(deed);
    if (!eventId) return;
    const item = during || !last ? step.item : (person.run.items.find((i) => i.now.id === at.itemId) ?? step.item);
    setFault({ ...deed, eventId, times: timesSeen(item, faultId) + 1, during });
  };
  const mended = async () => {
    if (!fault) return;
    const { eventId, itemId, round, side, faultId } = fault;
    setFault(undefined);
    await person.happen({ kind: 'take back', eventId });
    await person.happen({ kind: 'fault', itemId, round, side, faultId, mended: true });
  };
  const stayed = () => {
    const ends = fault?.during && phase.kind === 'work';
    setFault(undefined);
    if (ends) finish(amountNow());
  };

  return {
    phase,
    pace,
    fault,
    busy,
    byFeel,
    see,
    mended,
    stayed,
    closeFault: () => setFault(undefined),
    feel: (feeling: Feeling) => {
      if (phase.kind === 'feel') void log(feeling === 'too easy' || feeling === 'right' ? step.item.now.max : step.item.now.min, feeling);
    },
    /** The one thing to do now; by feel, that it was right. */
    go: () => {
      if (busy) return;
      if (fault) void mended();
      else if (phase.kind === 'feel') void log(step.item.now.max, 'right');
      else if (phase.kind === 'ready' || phase.kind === 'between') {
        if (clock.asleep) void clock.wake().then(lead);
        else lead();
      } else if (phase.kind === 'lead') begin();
      else if (phase.kind === 'work') finish(byFeel ? step.item.now.max : amountNow());
      else if (phase.kind === 'unkept') void log(phase.deed.amount, phase.deed.feeling);
    },
    /** Out of the set that is under way, without logging it. Returns whether there was one. */
    leaveSet: (): boolean => {
      if (!['lead', 'work', 'feel'].includes(phase.kind)) return false;
      clock.hush();
      setFault(undefined);
      setPhase({ kind: 'ready' });
      return true;
    },
  };
}

function firstPhase(
  now: number,
  { step, last, head, alone }: Pick<StageInput, 'step' | 'last' | 'alone'> & { readonly head: RunState['head'] },
): Phase {
  const transition = transitionTo(last?.step, step, head.form);
  if (!last || now - last.endedAt >= transition.seconds) return { kind: 'ready' };
  return { kind: 'between', since: last.endedAt, transition: alone ? transition : { ...transition, runsOn: false } };
}
