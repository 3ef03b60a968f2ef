import { type DoseUnit, type Phase, UNIT_WORDS } from '@myokinet/core/drills';
import type { Library } from '@myokinet/core/library';
import { drillNameIn } from '../../client/drillName.ts';
import type { BlockWay, RoutineBlock, RoutineFinding, RoutineMoment, RoutinePart, RoutinePurpose } from '@myokinet/core/routines';

export const PURPOSE_WORDS: Readonly<Record<RoutinePurpose, { readonly name: string; readonly says: string }>> = {
  session: { name: 'Session', says: 'Trained and logged as a session.' },
  preparation: { name: 'Preparation', says: 'Before a class, a climb, work: counts as light work, never as a session.' },
  'short break': { name: 'Short break', says: 'A few minutes in a working day: counts as light work, never as a session.' },
};

export const PART_WORDS: Readonly<Record<RoutinePart, string>> = { 'warm-up': 'Warm-up', work: 'Work', 'cool-down': 'Cool-down' };

export const WAY_WORDS: Readonly<Record<BlockWay, string>> = {
  once: 'once',
  rounds: 'in rounds',
  time: 'for a time',
  stations: 'stations by breaths',
};

/** How a block is gone through, in a few words. */
export function wayInWords({ way, rounds, minutes, breaths, mirrored }: RoutineBlock): string {
  const how = { once: 'once', rounds: `${rounds} rounds`, time: `${minutes} min`, stations: `${breaths} breaths each` }[way];
  return mirrored ? `${how}, left then right` : how;
}

export function findingInWords(finding: RoutineFinding, library: Library): string {
  switch (finding.code) {
    case 'nothing to do':
      return 'There is no drill in it yet.';
    case 'empty block':
      return 'A block is empty.';
    case 'drill gone':
      return `${drillNameIn(library, finding.drillId)} is no longer offered: it is left out where the routine runs.`;
    case 'long':
      return `It takes ${finding.minutes} min; this kind is meant for ${finding.usual} at most.`;
    case 'round cut':
      return 'One round is longer than the time of its block: it is cut off.';
  }
}

/** A place that is filled for each trainee. */
export const choiceInWords = (phase: Phase): string => `A drill of their own: ${phase}`;

export const amountInWords = (amount: number, unit: DoseUnit): string => `${amount} ${UNIT_WORDS[unit]}`;

/** What is done now, in the words of whoever does it. */
export function momentInWords({ kind, drillId, side, amount, unit, text, phase }: RoutineMoment, library: Library): string {
  switch (kind) {
    case 'rest':
      return 'Rest';
    case 'pause':
      return 'Pause';
    case 'breath':
      return `Breathe, ${amount} slow breaths`;
    case 'transition':
      return text ? text : 'Change place';
    case 'choice':
      return phase ? choiceInWords(phase) : '';
    case 'drill': {
      const name = drillId === undefined ? '' : drillNameIn(library, drillId);
      return `${name}${side ? `, ${side}` : ''}${amount !== undefined && unit ? `, ${amountInWords(amount, unit)}` : ''}`;
    }
  }
}

/** `7 min`, `45 s`. */
export function lastsInWords(seconds: number): string {
  if (seconds < 90) return `${Math.round(seconds)} s`;
  const minutes = seconds / 60;
  return `${minutes < 10 ? Math.round(minutes * 2) / 2 : Math.round(minutes)} min`;
}
