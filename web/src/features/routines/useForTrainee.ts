import { fittedTo, type Library } from '@myokinet/core/library';
import { mayDo, mayInWords, weekStartOf, whenOf } from '@myokinet/core/planning';
import { dosesOf, filledFor, type MostOf, type Routine } from '@myokinet/core/routines';
import { traineeBody } from '@myokinet/core/statics';
import { skipToken } from '@reduxjs/toolkit/query';
import { nowInstant } from '../../client/clock.ts';
import { useLibrary, useSchools } from '../../client/LibraryContext.ts';
import { planRules, useBriefQuery } from '../plan/index.ts';
import { useReadinessQuery } from '../readiness/index.ts';
import { useTraineeQuery } from '../trainee/index.ts';

/** What stands against a drill of a routine for one trainee. */
export interface AgainstDrill {
  readonly most: MostOf;
  readonly says: string;
}

interface ForTrainee<R> {
  /** The routine as it is for them: places to fill are filled. */
  readonly own: R;
  /** By step: the drill that fills it. */
  readonly chosen: ReadonlyMap<string, string>;
  /** By drill: what may not be done, or only with less, in a sentence. */
  readonly against: ReadonlyMap<string, AgainstDrill>;
  /** Open stop signs, each with its reason. */
  readonly stopped: readonly string[];
  /** Fitted to the trainee, once known. */
  readonly library: Library;
  readonly pending: boolean;
  readonly error: unknown;
}

/** A routine as one trainee may do it: nobody chosen, nothing is said. */
export function useForTrainee<R extends Pick<Routine, 'blocks'>>(traineeId: string, routine: R | undefined): ForTrainee<R | undefined> {
  const studio = useLibrary();
  const schools = useSchools();
  const asked = traineeId === '' ? skipToken : traineeId;
  const trainee = useTraineeQuery(asked);
  const readiness = useReadinessQuery(asked);
  const brief = useBriefQuery(asked);
  const nobody = {
    own: routine,
    chosen: new Map<string, string>(),
    against: new Map<string, AgainstDrill>(),
    stopped: [],
    library: studio,
  };
  if (traineeId === '' || !routine) return { ...nobody, pending: false, error: undefined };
  const error = [trainee, readiness, brief].find((q) => q.error && !q.data)?.error;
  if (!trainee.data || !readiness.data || !brief.data) return { ...nobody, pending: !error, error };
  const library = fittedTo(studio, traineeBody(trainee.data));
  const now = new Date(nowInstant());
  const rules = planRules(trainee.data, readiness.data, { weekStart: weekStartOf(now), now, library, schools, brief: brief.data });
  const facts = { ...rules, equipment: brief.data.equipment.gym };
  const { routine: own, chosen } = filledFor(routine, { facts, headrooms: readiness.data.headrooms, when: whenOf(nowInstant()) });
  const against = new Map(
    dosesOf(own, (id) => (library.hasDrill(id) ? library.drill(id) : undefined)).flatMap((dose): [string, AgainstDrill][] => {
      const may = mayDo(facts, dose, whenOf(nowInstant()));
      if (may.answer === 'may') return [];
      return [
        [
          dose.drillId,
          { most: may.answer === 'may not' ? 'closed' : may.dose, says: mayInWords(may, library.drill(dose.drillId), library) },
        ],
      ];
    }),
  );
  const stopped = readiness.data.stopSigns.filter((s) => !s.closure).map((s) => s.reason);
  return { own, chosen, against, stopped, library, pending: false, error: undefined };
}
