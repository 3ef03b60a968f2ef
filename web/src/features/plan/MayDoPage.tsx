import { fittedTo } from '@myokinet/core/library';
import { type MayDo, mayDo, mayInWords, weekStartOf, whenOf } from '@myokinet/core/planning';
import { traineeBody } from '@myokinet/core/statics';
import { Ban, CircleCheck, CircleMinus } from 'lucide-react';
import { useId } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { nowInstant } from '../../client/clock.ts';
import { useLibrary, useSchools } from '../../client/LibraryContext.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useCaseloadQuery } from '../caseload/index.ts';
import { useReadinessQuery } from '../readiness/index.ts';
import { useTraineeQuery } from '../trainee/index.ts';
import { AskedRanges } from './AskedRanges.tsx';
import { useBriefQuery } from './endpoints.ts';
import { planRules } from './planRules.ts';

/** Beside a drill of the library, inside its page: whether one trainee may do it today, in its own set-up and dose, and why not. */
export function MayDoPage() {
  const { drillId = '' } = useParams();
  const id = useId();
  const library = useLibrary();
  const [search, setSearch] = useSearchParams();
  const { data: caseload, error, refetch } = useCaseloadQuery();
  const traineeId = search.get('for') ?? '';
  return (
    <section aria-label="May they do it today?">
      <h3>May they do it today?</h3>
      <ProblemNote error={error} retry={() => void refetch()} />
      <label htmlFor={id} className="sr-only">
        Trainee
      </label>
      <select
        id={id}
        className="select mt-1 w-full max-w-xs"
        value={traineeId}
        onChange={(e) => setSearch(e.target.value === '' ? {} : { for: e.target.value }, { replace: true })}
      >
        <option value="">Choose a trainee</option>
        {caseload
          ?.toSorted((a, b) => a.name.localeCompare(b.name))
          .map((row) => (
            <option key={row.id} value={row.id}>
              {row.name}
            </option>
          ))}
      </select>
      {traineeId !== '' && <Answer key={traineeId} traineeId={traineeId} drillId={drillId} />}
      <AskedRanges drill={library.drill(drillId)} traineeId={traineeId} />
    </section>
  );
}

function Answer({ traineeId, drillId }: { readonly traineeId: string; readonly drillId: string }) {
  const studio = useLibrary();
  const schools = useSchools();
  const trainee = useTraineeQuery(traineeId);
  const readiness = useReadinessQuery(traineeId);
  const brief = useBriefQuery(traineeId);
  const queries = [trainee, readiness, brief];
  const failed = queries.find((q) => q.error && !q.data)?.error;
  if (failed) return <ProblemNote error={failed} retry={() => queries.forEach((q) => void q.refetch())} />;
  if (!trainee.data || !readiness.data || !brief.data) return <Waiting />;
  const library = fittedTo(studio, traineeBody(trainee.data));
  const now = new Date(nowInstant());
  const rules = planRules(trainee.data, readiness.data, { weekStart: weekStartOf(now), now, library, schools, brief: brief.data });
  const drill = library.drill(drillId);
  const may = mayDo({ ...rules, equipment: brief.data.equipment.gym }, { drillId, ...drill.dose }, whenOf(nowInstant()));
  const { icon: Icon, says, mark } = ANSWERS[may.answer];
  return (
    <div role="status" className={`mt-2 border-s-4 p-2.5 leading-snug ${mark}`}>
      <p className="flex items-center gap-2 font-semibold">
        <Icon size={18} aria-hidden className="flex-none" /> {says}
      </p>
      <p>{mayInWords(may, drill, library)}</p>
      <Link className="link text-sm" to={`/trainees/${traineeId}`}>
        Open {trainee.data.name}
      </Link>
    </div>
  );
}

const ANSWERS: Readonly<Record<MayDo['answer'], { readonly icon: typeof Ban; readonly says: string; readonly mark: string }>> = {
  may: { icon: CircleCheck, says: 'Yes.', mark: 'border-success bg-success/10' },
  reduced: { icon: CircleMinus, says: 'Yes, with less.', mark: 'border-warning bg-warning/10' },
  'may not': { icon: Ban, says: 'No.', mark: 'border-error bg-error/10' },
};
