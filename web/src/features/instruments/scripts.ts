import { instrumentFor, type Movement } from '@myokinet/core/instruments';
import type { Measure } from '@myokinet/core/measuring';
import { referencesFor } from '@myokinet/core/reference';
import type { personOf } from '../trainee/index.ts';

/** What a stand-in does for a check. A hold is timed off an inclinometer that rises and stays. */
export function movementFor(measure: Measure): { readonly kind: string; readonly movement: Movement } {
  const use = instrumentFor(measure);
  return !use || use.kind === 'timer' ? { kind: 'inclinometer', movement: 'rise and hold' } : use;
}

const USUAL = { squeeze: 40, 'step on': 30, swing: 25, repetitions: 40, 'rise and hold': 90 } as const;

/** A plausible figure to act, in the instrument's terms: the published mean where there is one. Invented otherwise. */
export function usualTarget(measure: Measure, person: ReturnType<typeof personOf>): number {
  const { movement } = movementFor(measure);
  const [reference] = referencesFor(measure.id, person, measure.sided ? 'right' : 'whole');
  return reference && reference.unit === measure.unit && movement !== 'repetitions' ? Math.round(reference.mean) : USUAL[movement];
}
