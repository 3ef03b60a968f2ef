import { type Dose, type Drill, drillSeconds, isLoaded, type Phase } from '../drills/index.ts';
import { type CautionInForce, cautionOf } from '../safety/index.ts';
import type { Schools } from '../schools/index.ts';
import { itemSeconds, type SessionForm } from './plan.ts';
import { isPartner } from './pairs.ts';
import { mainNeed, mostWorth, type Need, needInWords, worth } from './needs.ts';
import type { ShownSets } from './shownSets.ts';
import { doseFor, halvedDose, startingDose, worksRebuilding } from './usualDose.ts';
import { practiceReason } from './practiceOf.ts';

export interface ComposedItem extends Dose {
  readonly drillId: string;
  readonly why: string;
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
  /** Of a light week. */
  readonly light?: boolean;
}

export interface SessionBrief extends FrameBrief {
  readonly seconds: number;
  /** The practice of the rung in hand; below the ladder what prepares for it. */
  readonly practiceId?: string | undefined;
  /** Drills the trainee has done before; others start at half dose. */
  readonly known: ReadonlySet<string>;
}

/** Warm-up in all, before loaded work (common practice, no source); unloaded mobility needs less (project default). */
export const WARM_UP_SECONDS = { loaded: 600, mobility: 180 } as const;
/** From 60 on before loaded work (professional judgement, from memory). */
const LONGER_WARM_UP_SECONDS = 900;

/** How long the warm-up of a session is, in seconds. */
export function warmUpSeconds(kind: FrameBrief['kind'], cautions: readonly Pick<CautionInForce, 'id'>[]): number {
  return kind === 'loaded' && cautions.some(({ id }) => id === 'from-60') ? LONGER_WARM_UP_SECONDS : WARM_UP_SECONDS[kind];
}

/** How many drills of a phase one session holds at most (project default: a session stays readable). */
export const MOST_PER_PHASE: Partial<Record<Phase, number>> = {
  'active mobility': 3,
  'blade activation': 2,
  stability: 4,
  skill: 1,
  strength: 2,
  isolation: 1,
  'cool-down': 2,
};

/** How the reason of a hold begins that stands before load on purpose. */
export const BEFORE_LOAD = 'Forearm hold before load';

/** Marginal worth below which a drill is not added. */
const WORTH_ADDING = 0.6;

/** Parts that hold no matter what: warm-up first, cool-down last. */
export function frame({ kind, allowed, needs, cautions, sets, stretching, form, light }: FrameBrief): readonly ComposedItem[] {
  // The sort is stable: what serves nothing in particular keeps its customary place.
  const wrists = allowed
    .filter((d) => d.phase === 'wrists and forearms' && !d.byChoice)
    .sort((a, b) => worth(b, needs, []) - worth(a, needs, []));
  const warmUps = allowed.filter((d) => d.phase === 'warm-up');
  // Four minutes of pulse come before anything bears on a wrist.
  const pulse = allowed.filter((d) => d.phase === 'pulse').slice(0, 1);
  const openers: Drill[] =
    kind === 'mobility'
      ? wrists
      : [...pulse, ...wrists.flatMap((w, i) => [w, ...warmUps.slice(i, i + 1)]), ...warmUps.slice(wrists.length)];
  const items: ComposedItem[] = [];
  /** A light week is light in all: what bears on the hands in a warm-up comes at half its dose, and something else fills the minutes. */
  const doseOf = (drill: Drill) => {
    const usual = doseFor(drill, { cautions, sets });
    return light && drill.handLoad ? halvedDose(usual) : usual;
  };
  const add = (drill: Drill, why: string) => items.push(asItem(drill, doseOf(drill), why, cautions));
  let seconds = 0;
  // In a light week what bears on the hands comes only where nothing else fills the minutes.
  const chosen = light ? openers.toSorted((a, b) => Number(a.handLoad !== undefined) - Number(b.handLoad !== undefined)) : openers;
  for (const drill of chosen) {
    if (seconds >= warmUpSeconds(kind, cautions)) break;
    const dose = doseOf(drill);
    const { perSet, once } = itemSeconds(drill, dose, form);
    seconds += dose.sets * perSet + once;
    const why =
      kind === 'loaded'
        ? `Warm-up: at least ${warmUpSeconds(kind, cautions) / 60} minutes before any load.`
        : 'Wrists and forearms first, as in every session.';
    add(drill, why);
  }
  const passive = (d: Drill) => d.phase === 'cool-down' && d.quality === 'mobility passive';
  const hold =
    stretching === 'any time' && kind === 'loaded'
      ? mostWorth(
          allowed.filter((d) => passive(d) && d.joint === 'wrist'),
          needs,
          [],
        )
      : undefined;
  const early = hold && hold.worth > 0 ? hold.drill : undefined;
  if (early) add(early, `${BEFORE_LOAD}, as this plan’s school allows.`);
  const closing = allowed.filter((d) => d.phase === 'cool-down' && d !== early).sort((a, b) => worth(b, needs, []) - worth(a, needs, []));
  const calm = closing.find((d) => Object.keys(d.trains).length === 0) ?? closing[0];
  const stretch = closing.find((d) => d !== calm && worth(d, needs, []) >= WORTH_ADDING);
  if (stretch) add(stretch, reason(stretch, needs, 'Longer holds belong after the load'));
  if (calm) add(calm, 'Cool-down: every session ends quietly.');
  return items;
}

/** A drill in a session with its reason, which says so when the dose is a reduced one. */
function asItem(drill: Drill, dose: Dose, why: string, cautions: readonly CautionInForce[]): ComposedItem {
  const reduced = worksRebuilding(drill, cautions) ? ' Reduced dose: the joint is being rebuilt.' : '';
  return { drillId: drill.id, ...dose, why: `${why}${reduced}` };
}

/** Fills a session between its warm-up and cool-down, most valuable drill first. */
export function composeSession(brief: SessionBrief): readonly ComposedItem[] {
  const items: ComposedItem[] = [...frame(brief)];
  const chosen: Drill[] = [];
  let left = brief.seconds - items.reduce((sum, item) => sum + secondsOf(item, brief), 0);

  const add = (drill: Drill, why: string): boolean => {
    const most = MOST_PER_PHASE[drill.phase] ?? 0;
    if (chosen.includes(drill) || chosen.filter((d) => d.phase === drill.phase).length >= most) return false;
    const dose = doseThatFits(drill, brief, left);
    if (!dose) return false;
    left -= drillSeconds(drill, dose);
    chosen.push(drill);
    const half = brief.known.has(drill.id) || worksRebuilding(drill, brief.cautions) ? '' : ' New, so half dose.';
    items.push(asItem(drill, dose, `${why}${half}`, brief.cautions));
    return true;
  };

  const pool = brief.allowed.filter(
    (d) =>
      (MOST_PER_PHASE[d.phase] ?? 0) > 0 &&
      d.phase !== 'cool-down' &&
      !d.byChoice &&
      (brief.kind === 'loaded' || !isLoaded(d)) &&
      (!d.rung || d.id === brief.practiceId),
  );
  const practice = brief.kind === 'loaded' ? pool.find((d) => d.id === brief.practiceId) : undefined;
  if (practice) add(practice, practiceReason(practice));

  const claim = claimUnder(brief.cautions);
  const tried = new Set<Drill>(chosen);
  for (;;) {
    const found = mostWorth(
      pool.filter((d) => !tried.has(d)),
      brief.needs,
      chosen,
      claim,
    );
    if (!found || found.worth < WORTH_ADDING) return items;
    const best = found.drill;
    tried.add(best);
    if (!add(best, reason(best, brief.needs, 'For'))) continue;
    const partner = best.quality === 'mobility active' && brief.kind === 'loaded' ? partnerOf(best, pool, chosen, brief.needs) : undefined;
    if (partner && add(partner, `Pairs with “${best.name}”: new range needs stability in the same direction.`)) tried.add(partner);
  }
}

/** How much more a shoulder's stability may claim where a caution puts it first (project default). */
const STABILITY_CLAIM = 1.5;

/** How much more or less than usual each drill may claim under the cautions in force. */
export function claimUnder(cautions: readonly CautionInForce[]): (drill: Drill) => number {
  if (!cautions.some(({ id }) => cautionOf(id).stabilityFirst)) return () => 1;
  return ({ quality, joint }) => (quality === 'stability' && (joint === 'shoulder' || joint === 'scapula') ? STABILITY_CLAIM : 1);
}

/** A stability drill for the same joint and a shared direction, unless one is chosen already. */
export function partnerOf(mobility: Drill, pool: readonly Drill[], chosen: readonly Drill[], needs: readonly Need[]): Drill | undefined {
  const pairs = (d: Drill) => isPartner(mobility, d);
  if (chosen.some(pairs)) return undefined;
  return mostWorth(pool.filter(pairs), needs, chosen)?.drill;
}

/** Full sets, or half for a new drill, then fewer until it fits; nothing when not even one set does. */
function doseThatFits(drill: Drill, { known, ...trainee }: SessionBrief, left: number): Dose | undefined {
  const most = startingDose(drill, { ...trainee, knownDrills: [...known] });
  for (let { sets } = most; sets >= 1; sets--) {
    const dose = { ...most, sets };
    if (drillSeconds(drill, dose) <= left) return dose;
  }
  return undefined;
}

function secondsOf(item: ComposedItem, { allowed }: SessionBrief): number {
  const drill = allowed.find((d) => d.id === item.drillId);
  return drill ? drillSeconds(drill, item) : 0;
}

function reason(drill: Drill, needs: readonly Need[], lead: string): string {
  const need = mainNeed(drill, needs);
  return need ? `${lead}${lead === 'For' ? ' ' : ': '}${needInWords(need)}.` : `${lead}.`;
}
