import type { PlanReply } from '@myokinet/core/contracts';
import { weekStartOf } from '@myokinet/core/planning';
import { type CalendarDay } from '@myokinet/core/quantities';
import { schoolsOf } from '@myokinet/core/schools';
import { useSearchParams } from 'react-router';
import { useSchools } from '../../client/LibraryContext.ts';
import { ConflictNote } from '../../kit/ConflictNote.tsx';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { usePlansQuery } from './endpoints.ts';
import { useCurrentTrainee, useFittedLibrary } from '../trainee/index.ts';
import { usePlanFacts } from './PlanGate.tsx';
import { PlanRulesContext, planRules } from './planRules.ts';
import { usePlanDesk } from './usePlanDesk.ts';
import { WeeksDesk } from './WeeksDesk.tsx';
import { WeekView } from './WeekView.tsx';
import { UnreadableNote } from '../../kit/UnreadableNote.tsx';
import { weekInWords } from './week.ts';

/** The weeks side by side, or one of them near. */
export function PlanPage() {
  const trainee = useCurrentTrainee();
  const { brief } = usePlanFacts();
  const [search] = useSearchParams();
  const near = mondayFrom(search.get('week'));
  const from = near ?? mondayFrom(search.get('from')) ?? weekStartOf(new Date());
  const weeks = near ? 1 : brief.weeks;
  const plans = usePlansQuery({ traineeId: trainee.id, from, weeks });
  if (plans.currentData)
    return <Desk key={`${from} ${weeks}`} from={from} weeks={weeks} near={near !== undefined} saved={plans.currentData} />;
  return plans.error ? <ProblemNote error={plans.error} retry={() => void plans.refetch()} /> : <Waiting />;
}

function mondayFrom(text: string | null): CalendarDay | undefined {
  return text && /^\d{4}-\d\d-\d\d$/.test(text) && !Number.isNaN(Date.parse(text)) ? weekStartOf(new Date(`${text}T12:00:00`)) : undefined;
}

interface DeskProps {
  readonly from: CalendarDay;
  readonly weeks: number;
  readonly near: boolean;
  readonly saved: readonly PlanReply[];
}

function Desk({ from, weeks, near, saved }: DeskProps) {
  const trainee = useCurrentTrainee();
  const { readiness, brief } = usePlanFacts();
  const desk = usePlanDesk(trainee.id, { from, weeks }, saved);
  const now = new Date();
  const library = useFittedLibrary();
  const schools = schoolsOf(useSchools(), desk.weeks[0]?.schools);
  const rules = planRules(trainee, readiness, { weekStart: from, now, library, schools, brief });
  const note = (
    <>
      <UnreadableNote
        sentences={saved.flatMap((w) => (w.unreadable ? [`${weekInWords(w.weekStart as CalendarDay, now)}: ${w.unreadable}`] : []))}
      />
      {desk.conflict ? (
        <ConflictNote what="these weeks" takeTheirs={desk.startOver} keepMine={desk.keepMine} />
      ) : (
        <ProblemNote error={desk.error} retry={() => void desk.save()} />
      )}
    </>
  );
  return (
    <PlanRulesContext value={rules}>
      {near ? (
        <WeekView desk={desk} saved={saved} now={now} note={note} />
      ) : (
        <WeeksDesk desk={desk} saved={saved} from={from} now={now} note={note} />
      )}
      <p className="aside mt-4 text-sm">Coaching aid, not medical advice. Check bar, band and anchor before use.</p>
    </PlanRulesContext>
  );
}
