import type { Joint } from '../anatomy/index.ts';
import type { Dose, Drill } from '../drills/index.ts';
import type { CautionInForce } from '../safety/index.ts';
import type { Schools } from '../schools/index.ts';
import type { Because } from './because.ts';
import { mostOf, setSeconds } from './doseLimits.ts';
import { fitTo, type Work } from './focus.ts';
import { mainNeed, mostWorth, type Need, worth } from './needs.ts';
import { itemSeconds, type SessionForm } from './plan.ts';
import type { ShownSets } from './shownSets.ts';
import { doseFor, halvedDose, worksRebuilding } from './usualDose.ts';

export interface ComposedItem extends Dose {
  readonly drillId: string;
  readonly because: readonly Because[];
}

/** What the warm-up and cool-down of a session depend on. */
export interface FrameBrief {
  readonly kind: 'loaded' | 'mobility';
  readonly allowed: readonly Drill[];
  readonly needs: readonly Need[];
  /** Joints that are being rebuilt get the reduced doses. */
  readonly cautions: readonly CautionInForce[];
  /** What single sets have shown in the last weeks. */
  readonly sets?: ShownSets | undefined;
  readonly stretching: Schools['stretching'];
  readonly form?: SessionForm;
  /** Of the whole session: a long one closes with more. */
  readonly minutes: number;
  /** What the session works, as far as that is known: its openers and closers fit that. */
  readonly work: Work;
  /** Of a light week. */
  readonly light?: boolean;
}

/** Warm-up in all, before loaded work (common practice, no source); unloaded mobility needs less (project default). */
const WARM_UP_SECONDS = { loaded: 600, mobility: 180 } as const;
/** From 60 on before loaded work (professional judgement, from memory). */
const LONGER_WARM_UP_SECONDS = 900;

/** How long the warm-up of a session is, in seconds. */
export function warmUpSeconds(kind: FrameBrief['kind'], cautions: readonly Pick<CautionInForce, 'id'>[]): number {
  return kind === 'loaded' && cautions.some(({ id }) => id === 'from-60') ? LONGER_WARM_UP_SECONDS : WARM_UP_SECONDS[kind];
}

/** Marginal worth from which a drill is added. */
export const WORTH_ADDING = 0.6;

/** A session this long closes with one more hold, and an unloaded one with another (project default). */
const LONG_MINUTES = 40;

/** Parts that hold no matter what: warm-up first, cool-down last. */
export function frame(brief: FrameBrief): readonly ComposedItem[] {
  const { kind, allowed, needs, cautions, stretching, form, light } = brief;
  const items: ComposedItem[] = [];
  const doseOf = doseIn(brief);
  const add = (drill: Drill, because: Because) => items.push(asItem(drill, doseOf(drill), [because], cautions));
  let seconds = 0;
  const openers = openersFor(brief);
  // In a light week what bears on the hands comes only where nothing else fills the minutes.
  const chosen = light ? openers.toSorted((a, b) => Number(a.handLoad !== undefined) - Number(b.handLoad !== undefined)) : openers;
  for (const drill of chosen) {
    if (seconds >= warmUpSeconds(kind, cautions)) break;
    const dose = doseOf(drill);
    const { perSet, once } = itemSeconds(drill, dose, form);
    seconds += dose.sets * perSet + once;
    add(drill, kind === 'loaded' ? { code: 'warm-up', minutes: warmUpSeconds(kind, cautions) / 60 } : { code: 'opens' });
  }
  const early =
    stretching === 'any time' && kind === 'loaded'
      ? mostWorth(
          closing(allowed).filter((d) => isPassive(d) && d.joint === 'wrist'),
          needs,
          [],
        )
      : undefined;
  const hold = early && early.worth > 0 ? early.drill : undefined;
  if (hold) add(hold, { code: 'before load' });
  for (const drill of closersFor(brief, hold)) add(drill, closerBecause(drill, brief));
  return items;
}

/** A light week is light in all: what bears on the hands in a warm-up comes at half its dose, and something else fills the minutes. */
function doseIn({ cautions, sets, light }: FrameBrief): (drill: Drill) => Dose {
  return (drill) => {
    const usual = doseFor(drill, { cautions, sets });
    return light && drill.handLoad ? halvedDose(usual) : usual;
  };
}

/** Four minutes of pulse come before anything bears on a wrist; then wrists and shoulders in turn, what fits the work first. */
function openersFor({ kind, allowed, needs, work }: FrameBrief): readonly Drill[] {
  // The sort is stable: what serves nothing in particular keeps its customary place.
  const byFit = (a: Drill, b: Drill) => worth(b, needs, []) + fitTo(b, work) - worth(a, needs, []) - fitTo(a, work);
  const wrists = allowed.filter((d) => d.phase === 'wrists and forearms' && !d.byChoice).sort(byFit);
  const warmUps = allowed.filter((d) => d.phase === 'warm-up').sort((a, b) => fitTo(b, work) - fitTo(a, work));
  if (kind === 'mobility') return [...wrists, ...warmUps];
  const pulse = allowed.filter((d) => d.phase === 'pulse').slice(0, 1);
  return [...pulse, ...wrists.flatMap((w, i) => [w, ...warmUps.slice(i, i + 1)]), ...warmUps.slice(wrists.length)];
}

const closing = (allowed: readonly Drill[]) => allowed.filter((d) => d.phase === 'cool-down');
const isPassive = (d: Drill) => d.quality === 'mobility passive';

/**
 * Long holds for what is needed, a shake-out or a hold that fits the work last: nothing is added merely because it trains no demand.
 * No joint is held for longer than a session may.
 */
function closersFor(brief: FrameBrief, early: Drill | undefined): readonly Drill[] {
  const { kind, allowed, needs, work, minutes } = brief;
  const free = closing(allowed).filter((d) => d !== early);
  const held: Partial<Record<Joint, number>> = {};
  const doseOf = doseIn(brief);
  const secondsOf = (d: Drill) => (isPassive(d) ? doseOf(d).sets * setSeconds(d, doseOf(d), 'mobility passive') : 0);
  const chosen: Drill[] = [];
  const take = (drill: Drill) => {
    held[drill.joint] = (held[drill.joint] ?? 0) + secondsOf(drill);
    chosen.push(drill);
  };
  if (early) held[early.joint] = secondsOf(early);
  const mayHold = (d: Drill) =>
    !chosen.includes(d) && (held[d.joint] ?? 0) + secondsOf(d) <= (mostOf('mobility passive', 'session seconds') ?? Infinity);
  const long = minutes >= LONG_MINUTES ? (kind === 'mobility' ? 2 : 1) : 0;
  for (let n = 0; n < 1 + long; n++) {
    const best = mostWorth(
      free.filter((d) => isPassive(d) && mayHold(d)),
      needs,
      chosen,
    );
    if (!best || best.worth < WORTH_ADDING) break;
    take(best.drill);
  }
  const last = lastCloser(free.filter(mayHold), work);
  if (last) take(last);
  return chosen;
}

/** What ends a session: nothing that is held for a need, and what fits the work best. */
export function lastCloser(drills: readonly Drill[], work: Work): Drill | undefined {
  return drills.toSorted((a, b) => Number(calms(b)) - Number(calms(a)) || fitTo(b, work) - fitTo(a, work))[0];
}

/** Whether it lets go of what was worked and holds nothing for its own sake. */
export function calms(drill: Drill): boolean {
  return drill.phase === 'cool-down' && Object.keys(drill.trains).length === 0;
}

/** A drill in a session with its reasons, the last of which says so when the dose is a reduced one. */
export function asItem(drill: Drill, dose: Dose, because: readonly Because[], cautions: readonly CautionInForce[]): ComposedItem {
  const reduced: readonly Because[] = worksRebuilding(drill, cautions) ? [{ code: 'rebuilding' }] : [];
  return { drillId: drill.id, ...dose, because: [...because, ...reduced] };
}

function closerBecause(drill: Drill, { needs }: FrameBrief): Because {
  return calms(drill) ? { code: 'lets go' } : { code: 'long hold', need: mainNeed(drill, needs) };
}
