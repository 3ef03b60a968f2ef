import { CAUTION_WORDS } from '../../words/index.ts';
import type { Library } from '../../library/index.ts';
import { SCHOOLS } from '../../schools/index.ts';
import type { BlockRule } from '../block/rules.ts';
import { PAUSE_REASONS } from '../brief.ts';
import type { LightBecause, PlanNote, SpareBecause, UnservedBecause } from '../planNote.ts';
import { dayShort } from '../spacing.ts';
import type { CalendarDay } from '../../quantities/index.ts';
import { closedByInWords, heldBackInWords } from './beyond.ts';
import { leftOutInWords } from './may.ts';
import { needInWords } from './needs.ts';

/**
 * What shaped the weeks, in a sentence.
 *
 * @example noteInWords({ code: 'spare', days: ['2026-11-30'], minutes: 21, because: 'served' }, library)
 * // 'Up to 21 minutes stay free on Mon 30 Nov: more of what may stand there would add next to nothing this week.'
 */
export function noteInWords(note: PlanNote, library: Library): string {
  switch (note.code) {
    case 'stopped':
      return `Loaded work pauses while a stop sign is open: ${note.sign}`;
    case 'rhythm':
      return rhythmInWords(note);
    case 'building up':
      return `${SCHOOLS.rhythm.choices['building up'].name}: month ${note.month}, so ${note.days} of the ${note.chosen} days.`;
    case 'light':
      return `The week of ${dayShort(note.weekStart)} is ${lightInWords(note.because)}: half the sets, and at most ${Math.round(note.most * 100)}% of the hand load.`;
    case 'pause': {
      const { from, to, reason } = note.pause;
      return `${PAUSE_REASONS[reason]}: nothing is planned from ${dayShort(from)} to ${dayShort(to)}.`;
    }
    case 'caution':
      return cautionInWords(note);
    case 'held back':
      return heldBackInWords(note, library);
    case 'days unloaded': {
      const [first] = note.days;
      const joints = note.joints.join(', ');
      const by = closedByInWords(note.by);
      return note.days.length === 1 && first
        ? `${dayShort(first)} stays unloaded for the ${joints}: ${by}.`
        : `${listed(note.days)} stay unloaded for the ${joints}: ${by}, and so on.`;
    }
    case 'days empty':
      return `Nothing is planned on ${listed(note.days)}: what is needed does not fit its minutes and rules.`;
    case 'days apart':
      return `Loaded on ${note.loaded} of ${note.of} days, 48 hours apart for each joint; unloaded: ${listed(note.unloaded)}.`;
    case 'spare':
      return `Up to ${note.minutes} minutes stay free on ${listed(note.days)}: ${SPARE_WORDS[note.because]}.`;
    case 'binding':
      return bindingInWords(note);
    case 'sets taken':
      return note.kept
        ? `Sets were taken away so that the hands carry at most ${Math.round(note.growth * 100)}% more than in the last whole week (${Math.round(note.lastWeek)} body-weight seconds).`
        : `Even at one set each the hands carry ${Math.round(note.more * 100)}% more than in the last whole week, above the ${Math.round(note.growth * 100)}% limit: take a drill out, or accept it knowingly.`;
    case 'loaded days': {
      const done = note.done > 0 ? ` (${note.done} loaded ${note.done === 1 ? 'day is' : 'days are'} done this week)` : '';
      const last = note.lastLoadedDay ? ` The last loaded session was on ${dayShort(note.lastLoadedDay)}.` : '';
      return `Loaded work on ${note.loaded} of ${note.of} days${done}, at least 48 hours apart; the other days stay unloaded.${last}`;
    }
    case 'unserved':
      return `Not served: ${needInWords(note.need)}. ${unservedInWords(note.because, library)}`;
  }
}

type Note<C extends PlanNote['code']> = Extract<PlanNote, { readonly code: C }>;

function rhythmInWords({ rhythm, minutes }: Note<'rhythm'>): string {
  const { name } = SCHOOLS.rhythm.choices[rhythm];
  if (rhythm === 'little daily') return `${name}: every day, ${minutes} minutes.`;
  if (rhythm === 'stability twice') return `${name}: ${minutes} minutes of mobility at home on the days between.`;
  return `${name}: ${minutes} minutes each.`;
}

/**
 * Why a week is a light one.
 *
 * @example lightInWords({ code: 'every', every: 4 }) // 'a light one, every 4th'
 */
export function lightInWords(because: LightBecause): string {
  if (because.code === 'every') return `a light one, every ${ordinal(because.every)}`;
  return `the first after a pause (${PAUSE_REASONS[because.reason].toLowerCase()})`;
}

function ordinal(n: number): string {
  return n === 1 ? 'week' : n === 2 ? 'second' : n === 3 ? 'third' : `${n}th`;
}

function cautionInWords({ caution, out, reduced, stabilityFirst }: Note<'caution'>): string {
  const parts = [
    ...(out > 0 ? [`${out} ${out === 1 ? 'drill is' : 'drills are'} left out`] : []),
    ...(reduced > 0 ? [`${reduced} ${reduced === 1 ? 'goes' : 'go'} on at reduced doses`] : []),
  ];
  const first = stabilityFirst ? ' Stability of the shoulder comes first.' : '';
  const what = parts.length > 0 ? `${parts.join(' and ')}; the rest goes on.` : 'the rest goes on.';
  return `${CAUTION_WORDS[caution.id].name}: ${what}${first}`;
}

const SPARE_WORDS: Readonly<Record<SpareBecause, string>> = {
  'all in it': 'everything that is needed and may be done there is in it',
  served: 'more of what may stand there would add next to nothing this week',
  kinds: 'it holds as many drills of a kind as a session should',
  load: 'what else would help loads the hands, and 48 hours, growth or balance leave no room for it',
};

const RULE_WORDS: Readonly<Record<BlockRule, string>> = {
  minutes: 'the minutes of the sessions',
  phases: 'how many drills of a kind one session holds',
  spacing: '48 hours between loads of the same joint',
  'loaded days': 'two loaded days a week for each joint',
  ramp: 'the limit on how fast the hand load grows',
  'joint ramp': 'the limit on how fast the load of one joint grows',
  light: 'the light week',
  new: 'half dose for new drills',
  doses: 'the most that a week or a session holds of one kind of work',
  pairs: 'stability beside every new range',
  balance: 'the balance of push and pull',
  always: 'drills of every week',
  pinned: 'pinned drills',
};

function bindingInWords({ rule, gain, growth, moreMinutes }: Note<'binding'>): string {
  const percent = `${(gain * 100).toFixed(gain < 0.1 ? 1 : 0)}%`;
  if (rule === 'minutes') return `The minutes are full: ${moreMinutes} more a session could serve the needs up to ${percent} better.`;
  const name = rule === 'ramp' ? `hand load growing by at most ${Math.round(growth * 100)}% a week` : RULE_WORDS[rule];
  return `${name.charAt(0).toUpperCase()}${name.slice(1)}: without it the needs could be served up to ${percent} better.`;
}

function unservedInWords(because: UnservedBecause, library: Library): string {
  switch (because.code) {
    case 'no drill':
      return 'No drill of the library trains it.';
    case 'left out':
      return `All ${because.drills} drills that train it are left out: ${leftOutInWords(because.mostly, library)}`;
    case 'no loaded day':
      return 'Every drill that trains it is loaded, and no day can be loaded for it.';
    case 'minutes':
      return 'The minutes serve other needs better.';
  }
}

const MOST_LISTED = 6;

/** Some of the days are enough where there are many. */
function listed(days: readonly CalendarDay[]): string {
  const named = days.slice(0, MOST_LISTED).map(dayShort).join(', ');
  return `${named}${days.length > MOST_LISTED ? ` and ${days.length - MOST_LISTED} more` : ''}`;
}
