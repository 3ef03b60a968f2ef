import { doseInWords } from '@myokinet/core/drills';
import { calendarDay } from '@myokinet/core/quantities';
import { PencilLine } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { SetUpLine } from '../lab/index.ts';
import { useCurrentBody, useCurrentTrainee } from '../trainee/index.ts';
import { doseBecauseInWords, type PencilledDose, pencilledDoses, withDoses } from '@myokinet/core/planning';
import { usePlanFacts } from './PlanGate.tsx';
import { usePlanRules } from './planRules.ts';
import type { PlanDesk } from './usePlanDesk.ts';

const SHOWN_AT_ONCE = 3;

/** Next doses that the log has earned or asks for: pencilled until the coach inks them in. */
export function Pencilled({ desk, now }: { readonly desk: PlanDesk; readonly now: Date }) {
  const { library, schools, foothold } = usePlanRules();
  const { record, done } = usePlanFacts();
  const body = useCurrentBody();
  const practiceId = library.ladder(foothold.ladderId).rungs[foothold.here]?.practice;
  const doses = pencilledDoses(desk.weeks, {
    logged: record.sessions,
    library,
    body,
    progress: schools.progress,
    practiceId,
    today: calendarDay(now),
    done,
    shown: foothold.shown,
  });
  // A few are shown at once; from then on it is the coach who opens and closes.
  const [open, setOpen] = useState(doses.length <= SHOWN_AT_ONCE);
  if (doses.length === 0) return null;
  const accept = (accepted: readonly PencilledDose[]) => desk.edit(withDoses(desk.weeks, accepted));
  return (
    <details className="no-print my-2 border-s-4 border-secondary ps-3" open={open} onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="cursor-pointer">
        <PencilLine size={16} aria-hidden className="me-1 inline" />
        <span className="font-semibold">
          {doses.length} {doses.length === 1 ? 'next dose is' : 'next doses are'} pencilled
        </span>{' '}
        from what was logged
      </summary>
      {doses.length > 1 && (
        <button type="button" className="btn btn-xs my-1" onClick={() => accept(doses)}>
          Accept all
        </button>
      )}
      <ul className="max-w-4xl">
        {doses.map((dose) => (
          <PencilledLine key={dose.drillId} dose={dose} accept={() => accept([dose])} />
        ))}
      </ul>
    </details>
  );
}

function PencilledLine({ dose: { drillId, next, to, itemIds }, accept }: { readonly dose: PencilledDose; readonly accept: () => void }) {
  const { library, schools } = usePlanRules();
  const body = useCurrentBody();
  const trainee = useCurrentTrainee();
  const drill = library.drill(drillId);
  return (
    <li className="flex flex-wrap items-start gap-x-3 border-t border-base-300 py-1 text-sm">
      <span className="min-w-0 flex-1 leading-snug">
        <span className="font-semibold">{drill.name}</span>: {doseInWords(to, drill.dose, schools.progress)}
        {next.loadChange !== 0 &&
          `, hands ${next.loadChange > 0 ? '+' : '−'}${Math.abs(Math.round(next.loadChange * 100))} points of body weight`}
        . <span className="aside">{doseBecauseInWords(next)}</span> In {itemIds.length} coming{' '}
        {itemIds.length === 1 ? 'session' : 'sessions'}.
        {to.support && <SetUpLine support={to.support} body={body} traineeId={trainee.id} />}
        {next.offersCheck && (
          <>
            {' '}
            <Link className="link" to="../checks/new" relative="path">
              Take the next rung’s check
            </Link>
          </>
        )}
      </span>
      <button type="button" className="btn btn-xs" aria-label={`Accept the next dose of ${drill.name}`} onClick={accept}>
        Accept
      </button>
    </li>
  );
}
