import type { PlanReply } from '@myokinet/core/contracts';
import { weeksLater, weekStartOf } from '@myokinet/core/planning';
import type { CalendarDay } from '@myokinet/core/quantities';
import { format, getISODay, parseISO } from 'date-fns';
import { WandSparkles } from 'lucide-react';
import { type ReactNode, useState } from 'react';
import { Link } from 'react-router';
import { Empty } from '../../kit/Empty.tsx';
import { DeskBar } from './DeskBar.tsx';
import { JointTable } from './JointTable.tsx';
import { MissedNotes } from './MissedNotes.tsx';
import { Pencilled } from './Pencilled.tsx';
import { usePlanFacts } from './PlanGate.tsx';
import { ProposalNote } from './ProposalNote.tsx';
import { SearchNote } from './SearchNote.tsx';
import { SessionOverlay } from './SessionOverlay.tsx';
import { TemplatePanel } from './TemplatePanel.tsx';
import type { PlanDesk } from './usePlanDesk.ts';
import { LONGER_SECONDS, usePlanning } from './usePlanning.ts';
import { WeekColumns } from './WeekColumns.tsx';

/** As weeks are counted from Monday. */
const FRIDAY = 5;

interface WeeksDeskProps {
  readonly desk: PlanDesk;
  readonly saved: readonly PlanReply[];
  readonly from: CalendarDay;
  readonly now: Date;
  readonly note: ReactNode;
}

/** Weeks as columns, sessions as stacks: planned by the solver, changed by hand, checked as one goes. */
export function WeeksDesk({ desk, saved, from, now, note }: WeeksDeskProps) {
  const { done } = usePlanFacts();
  const [opened, setOpened] = useState<string | undefined>();
  const { planner, latest, close, plan } = usePlanning(desk, { from, now });
  const empty = desk.weeks.every((w) => w.sessions.length === 0);
  const title = `${desk.weeks.length} ${desk.weeks.length === 1 ? 'week' : 'weeks'} from ${format(parseISO(from), 'd MMM yyyy')}`;
  return (
    <>
      <DeskBar desk={desk} from={from} title={title} by="from">
        <button
          type="button"
          className={`btn btn-sm ${empty ? 'btn-primary' : ''}`}
          disabled={planner.running !== undefined}
          onClick={() => void plan()}
        >
          <WandSparkles size={16} aria-hidden /> {empty ? 'Plan these weeks' : 'Plan the rest again'}
        </button>
      </DeskBar>
      {note}
      <SearchNote planner={planner} />
      {latest && !planner.running && <ProposalNote proposal={latest} close={close} longer={() => void plan(LONGER_SECONDS)} />}
      <MissedNotes desk={desk} now={now} />
      <Pencilled desk={desk} now={now} />
      {empty && !planner.running && saved.every((w) => !w.unreadable) && (
        <div className="mt-4">
          <Empty title="Nothing is planned for these weeks">
            <p>
              The planner aims at the limiter and the other short demands, inside the minutes, equipment and rules of the{' '}
              <Link className="link" to="brief">
                brief
              </Link>
              , and says why each drill is there. You change what you like.
            </p>
            {from === weekStartOf(now) && getISODay(now) >= FRIDAY && (
              <p className="mt-2">
                It is {format(now, 'EEEE')}: most of the first week is over.{' '}
                <Link className="btn min-h-11" to={`?from=${weeksLater(from, 1)}`}>
                  Begin on Monday, {format(parseISO(weeksLater(from, 1)), 'd MMMM')}
                </Link>
              </p>
            )}
          </Empty>
        </div>
      )}
      <WeekColumns desk={desk} now={now} done={done} open={setOpened} />
      <JointTable weeks={desk.weeks} />
      <TemplatePanel desk={desk} from={from} now={now} />
      {opened && <SessionOverlay sessionId={opened} desk={desk} saved={saved} now={now} close={() => setOpened(undefined)} />}
    </>
  );
}
