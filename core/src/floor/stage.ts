import type { FaultId } from '../drills/index.ts';
import type { Feeling } from '../readiness/index.ts';
import type { FloorDeed, SetPlace } from './events.ts';
import { amountByFeel } from './feel.ts';
import { type Pace, paceAt, type Tone, tonesOf } from './pacer.ts';
import { type Step, type Transition, transitionTo } from './steps.ts';
import { type RunState, timesSeen } from './run.ts';

/** What is going on with the set in hand. Seconds are those of a clock that never goes back. */
export type StagePhase =
  | { readonly kind: 'ready' }
  /** A rest, a change of side, drill or station. */
  | { readonly kind: 'between'; readonly since: number; readonly transition: Transition }
  /** Three seconds to get into position. */
  | { readonly kind: 'lead'; readonly until: number }
  | { readonly kind: 'work'; readonly since: number }
  /** By feel: how it was. */
  | { readonly kind: 'feel' }
  /** Handed over to be kept: no key does anything until it is, or is not. */
  | { readonly kind: 'keeping'; readonly deed: LoggedSet }
  /** It could not be kept anywhere: it is not logged until it is. */
  | { readonly kind: 'unkept'; readonly deed: LoggedSet };

export type LoggedSet = Extract<FloorDeed, { kind: 'set' }>;

/** A fault just seen: kept as staying until somebody says that the cue mended it. */
export interface SeenFault extends SetPlace {
  readonly eventId: string;
  readonly faultId: FaultId;
  /** How often it was seen in this drill, this time among them. */
  readonly times: number;
  /** Seen while the set was under way. */
  readonly during: boolean;
}

export interface StageState {
  readonly phase: StagePhase;
  readonly fault?: SeenFault;
}

/** What the stage is about: the set in hand, and the one before it on this page. */
export interface StageSet {
  readonly run: RunState;
  readonly step: Step;
  readonly last?: { readonly step: Step; readonly endedAt: number } | undefined;
  readonly pace: Pace;
}

/** What happens to a stage. `at`: seconds of the floor's clock. */
export type StageEvent =
  /** The one thing to do now; by feel, that it was right. `asleep`: sound could be had and must be woken first. */
  | { readonly kind: 'go'; readonly at: number; readonly asleep: boolean }
  | { readonly kind: 'awake'; readonly at: number }
  /** Time passes. */
  | { readonly kind: 'tick'; readonly at: number }
  | { readonly kind: 'feel'; readonly at: number; readonly feeling: Feeling }
  | { readonly kind: 'see'; readonly at: number; readonly faultId: FaultId }
  /** The fault is kept, under this id. */
  | { readonly kind: 'fault kept'; readonly fault: SeenFault }
  | { readonly kind: 'mended' }
  | { readonly kind: 'stayed'; readonly at: number }
  | { readonly kind: 'close fault' }
  /** Out of the set that is under way, without logging it. */
  | { readonly kind: 'leave' }
  | { readonly kind: 'kept' }
  | { readonly kind: 'not kept' };

/** What is to be done about it, in order. */
export type StageEffect =
  | { readonly kind: 'wake' }
  | { readonly kind: 'sound'; readonly tones: readonly Tone[]; readonly since: number }
  | { readonly kind: 'hush' }
  /** Keep the set; answer `kept` or `not kept`. */
  | { readonly kind: 'keep set'; readonly deed: LoggedSet; readonly endedAt: number }
  /** Keep the fault; answer `fault kept` where it is. */
  | { readonly kind: 'keep fault'; readonly fault: Omit<SeenFault, 'eventId'> }
  /** The cue helped: the fault was mended. */
  | { readonly kind: 'mend fault'; readonly fault: SeenFault };

export interface StageStep {
  readonly state: StageState;
  readonly does: readonly StageEffect[];
}

const LEAD_SECONDS = 3;
const LEAD_TONES = [0, 1, 2].map((at): Tone => ({ at, pitch: 'tick' }));

/** The last three seconds of a rest, and its end: heard by whoever looks elsewhere. */
function restTones(seconds: number): readonly Tone[] {
  return [...LEAD_TONES.map((t): Tone => ({ ...t, at: seconds - LEAD_SECONDS + t.at })), { at: seconds, pitch: 'end' }];
}

/**
 * How the stage of a set begins: ready, or still resting from the set before.
 *
 * @param now seconds of the floor's clock
 * @param alone false in a group, where the next trainee waits to be called
 */
export function stageFor({ run, step, last }: Omit<StageSet, 'pace'>, now: number, alone: boolean): StageStep {
  const transition = transitionTo(last?.step, step, run.head.form);
  if (!last || now - last.endedAt >= transition.seconds) return { state: { phase: { kind: 'ready' } }, does: [] };
  const runsOn = alone && transition.runsOn;
  const since = last.endedAt;
  return {
    state: { phase: { kind: 'between', since, transition: { ...transition, runsOn } } },
    does: runsOn || transition.seconds === 0 ? [] : [{ kind: 'sound', tones: restTones(transition.seconds), since }],
  };
}

/**
 * What follows when something happens: the only place that knows what may follow what, from "get ready" to "logged".
 *
 * @param state where the stage stands
 * @param event what happened
 * @param set what the stage is about
 * @returns the state after it, and what is to be done
 * @example stageAfter({ phase: { kind: 'ready' } }, { kind: 'go', at: 10, asleep: false }, set).state.phase // { kind: 'lead', until: 13 }
 */
export function stageAfter(state: StageState, event: StageEvent, set: StageSet): StageStep {
  const { phase, fault } = state;
  const byFeel = set.run.head.progress === 'feel';
  const top = set.step.item.now.max;
  const { itemId, round, side } = set.step;
  const stay: StageStep = { state, does: [] };

  const lead = (at: number): StageStep => ({
    state: { ...state, phase: { kind: 'lead', until: at + LEAD_SECONDS } },
    does: [{ kind: 'sound', tones: LEAD_TONES, since: at }],
  });
  const begin = (at: number): StageStep => ({
    state: { ...state, phase: { kind: 'work', since: at } },
    // By feel nothing is counted; a tone tells that the most that was planned is reached.
    does: [{ kind: 'sound', tones: byFeel ? [{ at: set.pace.seconds, pitch: 'end' }] : tonesOf(set.pace), since: at }],
  });
  const keep = (amount: number, at: number, feeling?: Feeling): StageStep => {
    const deed: LoggedSet = { kind: 'set', itemId, round, side, amount, ...(feeling ? { feeling } : {}) };
    return { state: { phase: { kind: 'keeping', deed } }, does: [{ kind: 'hush' }, { kind: 'keep set', deed, endedAt: at }] };
  };
  /** The set ends with what was done of it by now. */
  const finish = (at: number): StageStep => {
    if (phase.kind !== 'work') return { state: { phase }, does: [] };
    if (byFeel) return { state: { phase: { kind: 'feel' } }, does: [{ kind: 'hush' }] };
    return keep(Math.min(top, paceAt(set.pace, at - phase.since).done), at);
  };
  const withoutFault: StageState = { phase };

  switch (event.kind) {
    case 'go':
      if (fault) return stageAfter(state, { kind: 'mended' }, set);
      switch (phase.kind) {
        case 'ready':
        case 'between':
          return event.asleep ? { state, does: [{ kind: 'wake' }] } : lead(event.at);
        case 'lead':
          return begin(event.at);
        case 'work':
          return finish(event.at);
        case 'feel':
          return keep(amountByFeel('right', set.step.item.now), event.at, 'right');
        case 'unkept':
          return keep(phase.deed.amount, event.at, phase.deed.feeling);
        case 'keeping':
          return stay;
      }
      return stay;
    case 'awake':
      return phase.kind === 'ready' || phase.kind === 'between' ? lead(event.at) : stay;
    case 'tick':
      if (phase.kind === 'lead' && event.at >= phase.until) return begin(event.at);
      if (phase.kind === 'work' && !byFeel && event.at - phase.since >= set.pace.seconds) return keep(top, event.at);
      if (phase.kind === 'between' && event.at - phase.since >= phase.transition.seconds)
        return phase.transition.runsOn ? begin(event.at) : { state: { ...state, phase: { kind: 'ready' } }, does: [] };
      return stay;
    case 'feel':
      return phase.kind === 'feel' ? keep(amountByFeel(event.feeling, set.step.item.now), event.at, event.feeling) : stay;
    case 'see': {
      if (phase.kind === 'keeping') return stay;
      const during = phase.kind === 'work';
      // Seen again while the cue was given: it stays, and quality ends the set.
      if (during && fault?.faultId === event.faultId) return finish(event.at);
      const about = during || !set.last ? set.step : set.last.step;
      const item = during || !set.last ? set.step.item : (set.run.items.find((i) => i.now.id === about.itemId) ?? set.step.item);
      const place = { itemId: about.itemId, round: about.round, side: about.side };
      const seen = { ...place, faultId: event.faultId, times: timesSeen(item, event.faultId) + 1, during };
      return { state, does: [{ kind: 'keep fault', fault: seen }] };
    }
    case 'fault kept':
      return { state: { ...state, fault: event.fault }, does: [] };
    case 'mended':
      return fault ? { state: withoutFault, does: [{ kind: 'mend fault', fault }] } : stay;
    case 'stayed':
      return fault?.during && phase.kind === 'work' ? finish(event.at) : { state: withoutFault, does: [] };
    case 'close fault':
      return { state: withoutFault, does: [] };
    case 'leave':
      return isUnderWay(state) ? { state: { phase: { kind: 'ready' } }, does: [{ kind: 'hush' }] } : stay;
    case 'kept':
      return phase.kind === 'keeping' ? { state: { phase: { kind: 'ready' } }, does: [] } : stay;
    case 'not kept':
      return phase.kind === 'keeping' ? { state: { ...state, phase: { kind: 'unkept', deed: phase.deed } }, does: [] } : stay;
  }
}

/** Whether there is a set to leave. */
export function isUnderWay({ phase }: StageState): boolean {
  return phase.kind === 'lead' || phase.kind === 'work' || phase.kind === 'feel';
}
