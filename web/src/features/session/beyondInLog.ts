import { mayDo, mayInWords } from '@myokinet/core/planning';
import type { TraineeRules } from '../plan/index.ts';
import { type ItemLog, readSet } from './sessionLog.ts';

/**
 * That what was done goes beyond what the trainee may do as far as was shown, in a sentence. It was done and goes on record; what was at
 * hand is no longer asked.
 */
export function beyondInLog(item: ItemLog, rules: TraineeRules): string | undefined {
  const { library } = rules;
  const done = item.sets.flatMap((s) => readSet(s.text, item).amount ?? []).filter((amount) => amount > 0);
  if (done.length === 0 || !library.hasDrill(item.drillId)) return undefined;
  const { drillId, support, manner, plannedSets: sets, min } = item;
  const planned = {
    drillId,
    ...(support ? { support } : {}),
    ...(manner ? { manner } : {}),
    sets,
    min,
    max: Math.max(...done),
    restSeconds: 0,
  };
  const drill = library.asPlanned(planned);
  const may = mayDo({ ...rules, equipment: drill.equipment }, planned);
  return may.answer === 'may' ? undefined : mayInWords(may, drill, library);
}
