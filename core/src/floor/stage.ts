import type { Side } from '../anatomy/index.ts';
import type { FaultId } from '../drills/index.ts';
import type { Feeling } from '../readiness/index.ts';
import { amountByFeel } from './feel.ts';
import { paceAt, type Tone, tonesOf } from './pacer.ts';
import { transitionTo } from './steps.ts';
import { timesSeen } from './run.ts';
import type { LoggedSet, SeenFault, StageSet, StageState } from './stageState.ts';

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
  | { readonly kind: 'fault kept'; readonly at: number; readonly fault: SeenFault }
  /** On which side it showed; the event that says so is kept under this id in the place of the one before. */
  | { readonly kind: 'fault on'; readonly at: number; readonly on: Side; readonly eventId: string }
  | { readonly kind: 'mended'; readonly at: number }
  | { readonly kind: 'stayed'; readonly at: number }
  | { readonly kind: 'close fault'; readonly at: number }
  /** Back, out of the set that is under way: what was done of it is never thrown away unasked. */
  | { readonly kind: 'leave'; readonly at: number }
  /** What was left is not to be logged. */
  | { readonly kind: 'discard'; readonly at: number }
  /** It was not to be left. */
  | { readonly kind: 'stay'; readonly at: number }
  /** Something else takes its place: another trainee, another drill, another device. What was done stays, unconfirmed. */
  | { readonly kind: 'interrupted'; readonly at: number }
  /** The page came back after it went in mid-set: so much had been done, or by feel nobody knows. */
  | { readonly kind: 'resumed'; readonly at: number; readonly amount: number }
  /** Something is in the way (something hurts): whatever counts stands still, and nothing goes on by itself. */
  | { readonly kind: 'hold'; readonly at: number }
  | { readonly kind: 'go on'; readonly at: number }
  /** It hurts: the set under way ends with what was done of it. */
  | { readonly kind: 'hurts'; readonly at: number }
  | { readonly kind: 'kept' }
  | { readonly kind: 'not kept' };

/** What is to be done about it, in order. */
export type StageEffect =
  | { readonly kind: 'wake' }
  | { readonly kind: 'sound'; readonly tones: readonly Tone[]; readonly since: number }
  | { readonly kind: 'hush' }
  /** Keep the set; answer `kept` or `not kept`. */
  | { readonly kind: 'keep set'; readonly deed: LoggedSet; readonly endedAt: number }
  /** Somebody says that the set before, which ran out, was done. */
  | { readonly kind: 'confirm last' }
  /** Keep the fault; answer `fault kept` where it is. */
  | { readonly kind: 'keep fault'; readonly fault: Omit<SeenFault, 'eventId'> }
  /** The cue helped: the fault was mended. */
  | { readonly kind: 'mend fault'; readonly fault: SeenFault }
  /** Its side is known: kept anew in the place of what was kept. */
  | { readonly kind: 'side fault'; readonly was: SeenFault; readonly fault: SeenFault };

export interface StageStep {
  readonly state: StageState;
  readonly does: readonly StageEffect[];
}

const LEAD_SECONDS = 3;
/** So long after its meaning changed a tap on the one thing to do counts for nothing: no two meanings share a place within it. */
export const DOUBLE_TAP_SECONDS = 1;
/** So long without a sign of life, and the device was asleep (project default). */
const ASLEEP_SECONDS = 4;
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
  if (!last || now - last.endedAt >= transition.seconds)
    return { state: { phase: { kind: 'ready' }, means: last ? last.endedAt : now - DOUBLE_TAP_SECONDS }, does: [] };
  const runsOn = alone && transition.runsOn;
  const since = last.endedAt;
  return {
    state: { phase: { kind: 'between', since, transition: { ...transition, runsOn } }, means: since },
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
 * @example stageAfter({ phase: { kind: 'ready' }, means: 0 }, { kind: 'go', at: 10, asleep: false }, set).state.phase // { kind: 'lead', until: 13 }
 */
export function stageAfter(state: StageState, event: StageEvent, set: StageSet): StageStep {
  const { phase, fault, means } = state;
  const byFeel = set.run.head.progress === 'feel';
  const top = set.step.item.now.max;
  const { itemId, round, side } = set.step;
  const stay: StageStep = { state, does: [] };

  const lead = (at: number): StageStep => ({
    state: { phase: { kind: 'lead', until: at + LEAD_SECONDS }, means: at, ...(fault ? { fault } : {}) },
    does: [{ kind: 'sound', tones: LEAD_TONES, since: at }],
  });
  const begin = (at: number): StageStep => ({
    state: { ...state, phase: { kind: 'work', since: at, alive: at }, means: at },
    // By feel nothing is counted; a tone tells that the most that was planned is reached.
    does: [{ kind: 'sound', tones: byFeel ? [{ at: set.pace.seconds, pitch: 'end' }] : tonesOf(set.pace), since: at }],
  });
  const keep = (amount: number, at: number, own: Pick<LoggedSet, 'feeling' | 'ranOut'> = {}): StageStep => {
    // Nothing done is no set.
    if (amount === 0) return { state: { phase: { kind: 'ready' }, means: at, nothing: true }, does: [{ kind: 'hush' }] };
    const deed: LoggedSet = { kind: 'set', itemId, round, side, amount, ...own };
    return { state: { phase: { kind: 'keeping', deed }, means: at }, does: [{ kind: 'hush' }, { kind: 'keep set', deed, endedAt: at }] };
  };
  /** The set ends with what was done of it by now. */
  const finish = (at: number): StageStep => {
    if (phase.kind !== 'work') return { state: { phase, means }, does: [] };
    if (byFeel) return { state: { phase: { kind: 'feel' }, means: at }, does: [{ kind: 'hush' }] };
    return keep(doneBy(at), at);
  };
  const doneBy = (at: number): number => doneSoFar(state, at, set);
  /** The fault is answered: a count that stood still goes on where it stood. */
  const answered = (at: number): StageStep => {
    if (phase.kind !== 'work' || phase.paused === undefined) return { state: { phase, means: at }, does: [] };
    const { paused, ...counting } = phase;
    const since = phase.since + (at - paused);
    return {
      state: { phase: { ...counting, since, alive: at }, means: at },
      does: [{ kind: 'sound', tones: byFeel ? [{ at: set.pace.seconds, pitch: 'end' }] : tonesOf(set.pace), since }],
    };
  };
  const tooSoon = (at: number): boolean => at - means < DOUBLE_TAP_SECONDS;

  switch (event.kind) {
    case 'go':
      if (fault) return tooSoon(event.at) ? stay : stageAfter(state, { kind: 'mended', at: event.at }, set);
      // What is not kept yet may be tried again at once.
      if (tooSoon(event.at) && phase.kind !== 'unkept') return stay;
      switch (phase.kind) {
        case 'ready':
        case 'between':
          // What ran out by the clock is answered for first: silence is never an answer.
          if (set.last?.unconfirmed) return { state: { ...state, means: event.at }, does: [{ kind: 'confirm last' }] };
          return event.asleep ? { state, does: [{ kind: 'wake' }] } : lead(event.at);
        case 'lead':
          return begin(event.at);
        case 'work':
          return finish(event.at);
        case 'feel':
          return keep(amountByFeel('right', set.step.item.now), event.at, { feeling: 'right' });
        case 'leaving':
          if (byFeel) return { state: { phase: { kind: 'feel' }, means: event.at }, does: [] };
          return keep(phase.amount, event.at);
        case 'unkept':
          return keep(phase.deed.amount, event.at, keptOf(phase.deed));
        case 'keeping':
          return stay;
      }
      return stay;
    case 'awake':
      return phase.kind === 'ready' || phase.kind === 'between' ? lead(event.at) : stay;
    case 'tick':
      if (phase.kind === 'lead' && event.at >= phase.until) return begin(event.at);
      if (phase.kind === 'work') {
        // A locked phone or a frozen page: the set ends where this device was last awake. One that stands still waits, whatever is entered.
        if (phase.paused === undefined && event.at - phase.alive > ASLEEP_SECONDS)
          return byFeel ? finish(phase.alive) : keep(doneBy(phase.alive), phase.alive, { ranOut: true });
        if (!byFeel && phase.paused === undefined && event.at - phase.since >= set.pace.seconds)
          return keep(top, event.at, { ranOut: true });
        return { state: { ...state, phase: { ...phase, alive: event.at } }, does: [] };
      }
      if (phase.kind === 'between' && event.at - phase.since >= phase.transition.seconds)
        return phase.transition.runsOn ? begin(event.at) : { state: { ...state, phase: { kind: 'ready' } }, does: [] };
      return stay;
    case 'feel':
      return phase.kind === 'feel' ? keep(amountByFeel(event.feeling, set.step.item.now), event.at, { feeling: event.feeling }) : stay;
    case 'see': {
      if (phase.kind === 'keeping' || phase.kind === 'leaving') return stay;
      const during = phase.kind === 'work';
      // Seen again while the cue was given: it stays, and quality ends the set.
      if (during && fault?.faultId === event.faultId) return finish(event.at);
      const about = during || !set.last ? set.step : set.last.step;
      const item = during || !set.last ? set.step.item : (set.run.items.find((i) => i.now.id === about.itemId) ?? set.step.item);
      const place = { itemId: about.itemId, round: about.round, side: about.side };
      const seen = { ...place, faultId: event.faultId, times: timesSeen(item, event.faultId) + 1, during };
      return { state, does: [{ kind: 'keep fault', fault: seen }] };
    }
    case 'fault kept': {
      if (phase.kind !== 'work' || !event.fault.during) return { state: { ...state, fault: event.fault, means: event.at }, does: [] };
      // Nobody counts on while a fault stands.
      const paused = phase.paused ?? event.at;
      return { state: { phase: { ...phase, paused }, fault: event.fault, means: event.at }, does: [{ kind: 'hush' }] };
    }
    case 'fault on': {
      if (!fault || fault.on === event.on) return stay;
      const sided = { ...fault, on: event.on, eventId: event.eventId };
      return { state: { ...state, fault: sided }, does: [{ kind: 'side fault', was: fault, fault: sided }] };
    }
    case 'mended': {
      if (!fault) return stay;
      const { state: after, does } = answered(event.at);
      return { state: after, does: [{ kind: 'mend fault', fault }, ...does] };
    }
    case 'stayed':
      return fault?.during && phase.kind === 'work' ? finish(event.at) : answered(event.at);
    case 'close fault':
      return answered(event.at);
    case 'hold':
      if (phase.kind === 'work')
        return { state: { ...state, phase: { ...phase, paused: phase.paused ?? event.at }, means: event.at }, does: [{ kind: 'hush' }] };
      return phase.kind === 'lead' || (phase.kind === 'between' && phase.transition.runsOn)
        ? { state: { phase: { kind: 'ready' }, means: event.at }, does: [{ kind: 'hush' }] }
        : stay;
    case 'go on':
      return fault || phase.kind !== 'work' ? stay : answered(event.at);
    case 'hurts':
      return isUnderWay(state) ? keep(doneBy(event.at), event.at) : stay;
    case 'leave': {
      const out: StageStep = { state: { phase: { kind: 'ready' }, means: event.at }, does: [{ kind: 'hush' }] };
      if (phase.kind === 'lead') return out;
      if (phase.kind !== 'work' && phase.kind !== 'feel') return stay;
      const amount = doneBy(event.at);
      if (!byFeel && amount === 0) return out;
      return { state: { phase: { kind: 'leaving', amount, since: event.at, from: phase }, means: event.at }, does: [{ kind: 'hush' }] };
    }
    case 'discard':
      return phase.kind === 'leaving' && !tooSoon(event.at) ? { state: { phase: { kind: 'ready' }, means: event.at }, does: [] } : stay;
    case 'stay': {
      if (phase.kind !== 'leaving') return stay;
      const { from, since } = phase;
      if (from.kind === 'feel') return { state: { phase: from, means: event.at }, does: [] };
      const standing: StageState = { phase: { ...from, paused: from.paused ?? since }, means };
      return stageAfter(standing, { kind: 'go on', at: event.at }, set);
    }
    case 'interrupted':
      if (!isUnderWay(state)) return stay;
      return keep(doneBy(event.at), event.at, { ranOut: true });
    case 'resumed':
      if (phase.kind !== 'ready' && phase.kind !== 'between') return stay;
      return byFeel
        ? { state: { phase: { kind: 'feel' }, means: event.at }, does: [] }
        : keep(Math.min(top, event.amount), event.at, { ranOut: true });
    case 'kept':
      return phase.kind === 'keeping' ? { state: { phase: { kind: 'ready' }, means }, does: [] } : stay;
    case 'not kept':
      return phase.kind === 'keeping' ? { state: { ...state, phase: { kind: 'unkept', deed: phase.deed } }, does: [] } : stay;
  }
}

/**
 * How much of the set in hand is done by a moment, in the unit of its dose; 0 where none is under way, and by feel, where nothing counts.
 *
 * @param at seconds of the floor's clock
 * @example doneSoFar({ phase: { kind: 'work', since: 3, alive: 12 }, means: 3 }, 12.5, plank) // 9
 */
export function doneSoFar({ phase }: StageState, at: number, { run, step, pace }: StageSet): number {
  if (run.head.progress === 'feel') return 0;
  if (phase.kind === 'leaving') return phase.amount;
  return phase.kind === 'work' ? Math.min(step.item.now.max, paceAt(pace, Math.min(at, phase.paused ?? at) - phase.since).done) : 0;
}

/** Whether a set has begun and is not over. */
export function isUnderWay({ phase }: StageState): boolean {
  return phase.kind === 'lead' || phase.kind === 'work' || phase.kind === 'feel' || phase.kind === 'leaving';
}

/** What a set is kept with beside its amount. */
function keptOf({ feeling, ranOut }: LoggedSet): Pick<LoggedSet, 'feeling' | 'ranOut'> {
  return { ...(feeling ? { feeling } : {}), ...(ranOut ? { ranOut } : {}) };
}
