import MiniSearch from 'minisearch';
import type { Joint, Motion } from '../anatomy/index.ts';
import { mostAsked } from '../asked/index.ts';
import { type Drill, EQUIPMENT, type Equipment, type Position, type Quality } from '../drills/index.ts';
import type { RangeName } from '../motion/index.ts';
import type { Blade } from '../schools/index.ts';
import { searchWords } from './searchWords.ts';

/** What the list is narrowed to; what is absent narrows nothing. */
export interface DrillFilter {
  readonly joint?: Joint | undefined;
  readonly motion?: Motion | undefined;
  readonly quality?: Quality | undefined;
  readonly position?: Position | undefined;
  /** Drills that need this piece, or `none` for those that need nothing. */
  readonly equipment?: Equipment | 'none' | undefined;
  /** Drills with this own rule for the shoulder blade. */
  readonly blade?: Blade | undefined;
  /** Drills whose movement asks for at most, or at least, so much of a range. */
  readonly asks?: AskedFilter | undefined;
}

/** A range that is asked for, and how much of it, degrees. */
export interface AskedFilter {
  readonly range: RangeName;
  readonly bound: 'most' | 'least';
  readonly degrees: number;
}

export type DrillSearch = (text: string, filter?: DrillFilter) => readonly Drill[];

/**
 * Prepares a search over drills: every word typed so far must begin a word of the drill (its name,
 * joints, directions, muscles, quality, phase, position, equipment, cue or steps), small slips forgiven in long words.
 * The best match comes first; without text the drills keep their order.
 *
 * @param drills what is searched
 * @example drillSearch(library.drills)('wrist cur').map((d) => d.id) // ['wrist-curls', 'band-wrist-curls']
 */
export function drillSearch(drills: readonly Drill[]): DrillSearch {
  const byId = new Map(drills.map((d) => [d.id, d]));
  // A list that is only narrowed never waits for it.
  let index: MiniSearch | undefined;
  return (text, filter = {}) => {
    const found = text.trim() === '' ? drills : (index ??= indexOf(drills)).search(text).flatMap(({ id }) => byId.get(String(id)) ?? []);
    return found.filter((d) => matches(d, filter));
  };
}

function indexOf(drills: readonly Drill[]): MiniSearch {
  const index = new MiniSearch<Record<string, string>>({
    fields: ['name', 'about', 'words', 'cue', 'taught'],
    searchOptions: {
      combineWith: 'AND',
      prefix: true,
      fuzzy: (term) => (term.length > LONG_WORD ? ONE_SLIP : false),
      boost: { name: 4, about: 2, taught: 0.5 },
    },
  });
  index.addAll(
    drills.map((d) => ({
      id: d.id,
      name: d.name,
      about: [d.joint, ...d.alsoWorks, ...d.motions, d.quality, d.phase, d.position, ...d.equipment.map((e) => EQUIPMENT[e])].join(' '),
      words: searchWords(d),
      cue: d.cue,
      taught: d.teaching ? [d.teaching.felt, d.teaching.why, ...d.teaching.steps.map(({ text }) => text)].join(' ') : '',
    })),
  );
  return index;
}

/** Words from here on may hold one slip. */
const LONG_WORD = 5;
const ONE_SLIP = 1;

function matches(drill: Drill, { joint, motion, quality, position, equipment, blade, asks }: DrillFilter): boolean {
  return (
    (!joint || drill.joint === joint || drill.alsoWorks.includes(joint)) &&
    (!motion || drill.motions.includes(motion)) &&
    (!quality || drill.quality === quality) &&
    (!position || drill.position === position) &&
    (!equipment || (equipment === 'none' ? drill.equipment.length === 0 : drill.equipment.includes(equipment))) &&
    (!blade || drill.blade === blade) &&
    (!asks || asksFor(drill, asks))
  );
}

/** What asks for nothing worth saying asks for next to none of it. */
function asksFor(drill: Drill, { range, bound, degrees }: AskedFilter): boolean {
  const asked = mostAsked(drill, range);
  return bound === 'most' ? asked <= degrees : asked >= degrees;
}
