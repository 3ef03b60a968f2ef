import type { SymptomContext } from '@myokinet/core/safety';
import { useTraineeQuery } from '../trainee/index.ts';
import { useRecordQuery } from './endpoints.ts';

/**
 * What a symptom that is being reported is read beside, as far as this page knows; the server judges it anew.
 *
 * @param reporting nothing is fetched before something is reported
 */
export function useSymptomContext(traineeId: string, reporting = true): SymptomContext {
  const skip = { skip: !reporting };
  const { data: trainee } = useTraineeQuery(traineeId, skip);
  const { data: record } = useRecordQuery(traineeId, skip);
  return {
    history: record ? [...record.symptoms, ...record.sessions.flatMap((s) => s.symptoms)] : [],
    under18: trainee?.screening.cautions.some((c) => c.id === 'minor') ?? false,
    lasting: trainee?.lastingPains ?? [],
  };
}
