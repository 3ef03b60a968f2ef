import type { PlanBriefReply, PlanReply, ReadinessReply } from '@myokinet/core/contracts';
import { schoolsOf } from '@myokinet/core/schools';
import { format, parseISO } from 'date-fns';
import { Link, useSearchParams } from 'react-router';
import { useSchools } from '../../client/LibraryContext.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Empty } from '../../kit/Empty.tsx';
import { useAllChecksQuery } from '../checks/index.ts';
import { useForecastQuery } from '../readiness/index.ts';
import { useRecordQuery } from '../record/index.ts';
import { useRoutinesQuery } from '../library/index.ts';
import { useDrillOf, useForTrainee } from '../routines/index.ts';
import { useCurrentBody, useCurrentTrainee, useFittedLibrary } from '../trainee/index.ts';
import { handOutSheets, type HandOutWith, heldBack } from './handOut.ts';
import { type Reader, reportSheets } from './report.ts';
import { routineSheets } from './routineSheets.ts';

interface HandOutOf {
  readonly readiness: ReadinessReply;
  readonly brief: PlanBriefReply;
  readonly plan: PlanReply | undefined;
  readonly now: Date;
  readonly told: HandOutWith;
}

/** The hand-out of a saved week, or of one session of it. */
export function useHandOut({ readiness, brief, plan, now, told }: HandOutOf) {
  const trainee = useCurrentTrainee();
  const body = useCurrentBody();
  const library = useFittedLibrary();
  const schools = schoolsOf(useSchools(), plan?.schools);
  const [search] = useSearchParams();
  const sessions = [...(plan?.sessions ?? [])].filter((s) => s.items.length > 0).sort((a, b) => a.day.localeCompare(b.day));
  const asked = search.get('session');
  const chosen = sessions.some((s) => s.id === asked) ? (asked ?? '') : '';
  const back = heldBack({ trainee, readiness, now });
  const facts = { trainee, body, readiness, brief, library, schools, now };
  return {
    back,
    chosen,
    days: sessions.map((s) => ({ id: s.id, words: format(parseISO(s.day), 'EEEE d MMM') })),
    sheets:
      back.length > 0
        ? undefined
        : handOutSheets(
            sessions.filter((s) => chosen === '' || s.id === chosen),
            facts,
            told,
          ),
  };
}

/** The readiness report, as one reader is given it. */
export function useReport(readiness: ReadinessReply, reader: Reader, now: Date) {
  const trainee = useCurrentTrainee();
  const library = useFittedLibrary();
  const checks = useAllChecksQuery(trainee.id);
  const record = useRecordQuery(trainee.id);
  const forecast = useForecastQuery(trainee.id);
  const failed = checks.error ?? record.error;
  return {
    problem: failed ? <ProblemNote error={failed} retry={() => [checks, record].forEach((q) => void q.refetch())} /> : undefined,
    sheets:
      checks.data && record.data && !forecast.isLoading
        ? reportSheets(
            { trainee, readiness, checks: checks.data, record: record.data, forecast: forecast.data?.forecast, library, now },
            reader,
          )
        : undefined,
  };
}

/** A routine of the studio, for this trainee: the first of them where none is named. */
export function useRoutineSheets(asked: string, told: HandOutWith) {
  const trainee = useCurrentTrainee();
  const { data: routines, error, refetch } = useRoutinesQuery();
  const schools = useSchools();
  const readable = routines?.filter((r) => !r.unreadable);
  const routine = readable?.find((r) => r.id === asked) ?? readable?.[0];
  const { own, against, library, pending, error: unknown } = useForTrainee(routine ? trainee.id : '', routine);
  const drillOf = useDrillOf(library);
  const failed = error ?? unknown;
  const none = readable?.length === 0;
  return {
    chosen: routine?.id ?? '',
    options: readable && !none ? Object.fromEntries(readable.map((r) => [r.id, r.name])) : undefined,
    problem: failed ? (
      <ProblemNote error={failed} retry={() => void refetch()} />
    ) : none ? (
      <Empty title="No routine yet">
        <Link className="btn mt-3" to="/library/routines">
          To the routines
        </Link>
      </Empty>
    ) : undefined,
    sheets: own && !pending && !failed ? routineSheets(own, { against, library, schools, drillOf }, told) : undefined,
  };
}
