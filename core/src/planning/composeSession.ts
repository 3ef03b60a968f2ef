import { type Dose, type Drill, drillSeconds, isLoaded } from '../drills/index.ts';
import { type CautionInForce, cautionOf } from '../safety/index.ts';
import type { Because } from './because.ts';
import { asItem, type ComposedItem, frame, type FrameBrief, WORTH_ADDING } from './frame.ts';
import { isChosenPhase, mostOfPhase } from './kinds.ts';
import { isPartner } from './pairs.ts';
import { mainNeed, mostWorth, type Need } from './needs.ts';
import { startingDose, worksRebuilding } from './usualDose.ts';

export interface SessionBrief extends FrameBrief {
  /** The practice of the rung in hand; below the ladder what prepares for it. */
  readonly practiceId?: string | undefined;
  /** Drills the trainee has done before; others start at half dose. */
  readonly known: ReadonlySet<string>;
}

/** Fills a session between its warm-up and cool-down, most valuable drill first. */
export function composeSession(brief: SessionBrief): readonly ComposedItem[] {
  const items: ComposedItem[] = [...frame(brief)];
  const chosen: Drill[] = [];
  let left = brief.minutes * 60 - items.reduce((sum, item) => sum + secondsOf(item, brief), 0);

  const add = (drill: Drill, because: Because): boolean => {
    const most = mostOfPhase(drill.phase, { minutes: brief.minutes, loaded: brief.kind === 'loaded' });
    if (chosen.includes(drill) || chosen.filter((d) => d.phase === drill.phase).length >= most) return false;
    const dose = doseThatFits(drill, brief, left);
    if (!dose) return false;
    left -= drillSeconds(drill, dose);
    chosen.push(drill);
    const isNew = !brief.known.has(drill.id) && !worksRebuilding(drill, brief.cautions);
    items.push(asItem(drill, dose, [because, ...(isNew ? [{ code: 'new' } as const] : [])], brief.cautions));
    return true;
  };

  const pool = brief.allowed.filter(
    (d) =>
      isChosenPhase(d.phase) &&
      d.phase !== 'cool-down' &&
      !d.byChoice &&
      (brief.kind === 'loaded' || !isLoaded(d)) &&
      (!d.rung || d.id === brief.practiceId),
  );
  const practice = brief.kind === 'loaded' ? pool.find((d) => d.id === brief.practiceId) : undefined;
  if (practice) add(practice, { code: 'practice', ofRung: practice.rung !== undefined });

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
    if (!add(best, because(best, brief.needs))) continue;
    const partner = best.quality === 'mobility active' && brief.kind === 'loaded' ? partnerOf(best, pool, chosen, brief.needs) : undefined;
    if (partner && add(partner, { code: 'pairs', withName: best.name })) tried.add(partner);
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

function because(drill: Drill, needs: readonly Need[]): Because {
  const need = mainNeed(drill, needs);
  return need ? { code: 'need', need } : { code: 'balance' };
}
