import type { SymptomContext } from '@myokinet/core/safety';
import { useCurrentTrainee } from '../trainee/index.ts';
import { useRecordQuery } from './endpoints.ts';

/** What a symptom that is being reported is read beside, as far as this page knows; the server judges it anew. */
export function useSymptomContext(): SymptomContext {
  const { id, screening, lastingPains } = useCurrentTrainee();
  const { data } = useRecordQuery(id);
  return {
    history: data ? [...data.symptoms, ...data.sessions.flatMap((s) => s.symptoms)] : [],
    under18: screening.cautions.some((c) => c.id === 'minor'),
    lasting: lastingPains,
  };
}
