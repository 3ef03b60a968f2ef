import { type Step, turnSupport } from '@myokinet/core/floor';
import { type Symptom, type SymptomContext, symptomResponse } from '@myokinet/core/safety';
import { setUpInWords } from '@myokinet/core/statics';
import { responseInWords } from '@myokinet/core/words';
import { nowInstant } from '../../client/clock.ts';
import type { FloorPerson } from './floorPeople.ts';

/** What a symptom that is felt now is read beside: the days before, and this run. */
export function feltBefore({ felt, run }: FloorPerson): SymptomContext {
  return { ...felt, history: [...felt.history, ...run.symptoms] };
}

/**
 * Reports what is felt; the pain rule acts at once.
 *
 * @param step the set in hand, which it may make lighter or end
 * @returns what to mind from here on, in words; nothing where it is not on record, or where the stop says it
 */
export async function reportFelt(person: FloorPerson, step: Step | undefined, felt: Omit<Symptom, 'at'>): Promise<string | undefined> {
  const { happen, body } = person;
  const { act, finding, loadChange } = symptomResponse([{ ...felt, at: nowInstant() }], feltBefore(person));
  if (!(await happen({ kind: 'symptom', symptom: felt })) || act === 'stop') return undefined;
  const said = responseInWords(finding);
  if (act === 'step back' && step) {
    const turned = turnSupport(body, step.drill, loadChange);
    if ('problem' in turned) return `${said} ${turned.problem}`;
    await happen({ kind: 'turn', itemId: step.itemId, support: turned.support, harder: false });
    return `${said} Now ${setUpInWords(turned.on.setUp)}.`;
  }
  if (act === 'leave drill' && step) await happen({ kind: 'skip', itemId: step.itemId, reason: 'pain' });
  return said;
}
