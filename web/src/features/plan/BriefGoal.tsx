import type { Goal } from '@myokinet/core/planning';
import { type CalendarDay, calendarDay } from '@myokinet/core/quantities';
import { addMonths } from 'date-fns';
import { Plus, Trash2 } from 'lucide-react';
import { useLibrary } from '../../client/LibraryContext.ts';
import { useCurrentTrainee } from '../trainee/index.ts';

interface BriefGoalProps {
  readonly goal: Goal | null;
  readonly change: (goal: Goal | null) => void;
}

/** A day by which the trainee wants to stand on a rung: a crossing, a course, an exam. */
export function BriefGoal({ goal, change }: BriefGoalProps) {
  const trainee = useCurrentTrainee();
  const { rungs } = useLibrary().ladder(trainee.ladderId);
  const begin = () => change({ name: 'Goal', day: calendarDay(addMonths(new Date(), 3)), rungId: rungs.at(-1)?.id ?? '' });
  return (
    <section aria-label="Goal">
      <h3>Goal with a day</h3>
      <p className="aside text-sm">Readiness says whether it is on course. No gate is weakened by it.</p>
      {goal ? (
        <div className="mt-1 flex flex-wrap items-center gap-2">
          <input
            className="input input-sm w-40"
            aria-label="Name of the goal"
            placeholder="Crossing, course, exam"
            value={goal.name}
            onChange={(e) => change({ ...goal, name: e.target.value })}
          />
          <input
            type="date"
            className="input input-sm w-auto"
            aria-label="Day of the goal"
            value={goal.day}
            onChange={(e) => e.target.value && change({ ...goal, day: e.target.value as CalendarDay })}
          />
          <select
            className="select select-sm w-auto"
            aria-label="Rung of the goal"
            value={rungs.some((r) => r.id === goal.rungId) ? goal.rungId : ''}
            onChange={(e) => change({ ...goal, rungId: e.target.value })}
          >
            {!rungs.some((r) => r.id === goal.rungId) && <option value="">choose a rung of this ladder</option>}
            {rungs.map((r) => (
              <option key={r.id} value={r.id}>
                {r.name}
              </option>
            ))}
          </select>
          <button type="button" className="btn btn-ghost btn-sm btn-square" aria-label="Take the goal away" onClick={() => change(null)}>
            <Trash2 size={16} aria-hidden />
          </button>
        </div>
      ) : (
        <button type="button" className="btn btn-sm mt-1" onClick={begin}>
          <Plus size={16} aria-hidden /> Set a goal
        </button>
      )}
    </section>
  );
}
