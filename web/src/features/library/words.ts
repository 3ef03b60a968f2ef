import type { Breath, Drill, MovePart } from '@myokinet/core/drills';
import type { EntryKind } from '@myokinet/core/library';
import { bodyModel } from '@myokinet/core/statics';
import type { Option } from '../../kit/EntryFields.tsx';
import type { Blade } from '@myokinet/core/schools';

/** What an entry of each kind is called, and where its pages lie. */
export const KIND_WORDS: Readonly<Record<EntryKind, { readonly name: string; readonly path: string }>> = {
  drill: { name: 'drill', path: '/library/drills' },
  ladder: { name: 'ladder', path: '/library/ladders' },
  measure: { name: 'check', path: '/library/checks' },
  fault: { name: 'fault', path: '/library/faults' },
};

/** A figure of nobody in particular. */
export const ANY_BODY_MODEL = bodyModel({ statureM: 1.7, massKg: 70 });

export const BLADE_WORDS: Readonly<Record<Blade, string>> = { set: 'Set', sweep: 'Full sweep', follow: 'Follow' };

export const STRENGTH_WORDS: Readonly<Record<1 | 2 | 3, string>> = { 1: 'a little', 2: 'well', 3: 'strongly' };

/** What the parts of a movement are called. */
export const PART_WORDS: Readonly<Record<MovePart, string>> = { start: 'Start', out: 'Out', hold: 'Hold', back: 'Back', finish: 'Finish' };

export const BREATH_WORDS: Readonly<Record<Breath, string>> = { in: 'breathe in', out: 'breathe out', on: 'breath goes on' };

/** `Shoulder, scapula: flexion, upward rotation`. */
export function jointsInWords({ joint, alsoWorks, motions }: Pick<Drill, 'joint' | 'alsoWorks' | 'motions'>): string {
  return `${[joint, ...alsoWorks].join(', ')}: ${motions.join(', ')}`;
}

export function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}

/** Values as options of a select. */
export function asOptions(values: readonly string[]): readonly Option[] {
  return values.map((value) => ({ value, label: capital(value) }));
}
