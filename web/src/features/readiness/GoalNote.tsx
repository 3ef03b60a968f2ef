import type { ForecastReply } from '@myokinet/core/contracts';
import { goalInWords } from '@myokinet/core/words';
import { Flag } from 'lucide-react';
import { Link } from 'react-router';

interface GoalNoteProps {
  readonly goal: NonNullable<ForecastReply['goal']>;
  readonly at: string;
}

/** How the trainee does towards the day that the brief names. */
export function GoalNote({ goal, at }: GoalNoteProps) {
  return (
    <section aria-label="Goal" className="sheet p-3.5 leading-snug">
      <h2 className="flex items-center gap-2">
        <Flag size={18} aria-hidden /> Goal
      </h2>
      <p className="mt-1">{goalInWords(goal.outlook, goal, new Date(at))}</p>
      <p className="aside mt-1 text-sm">
        No gate is weakened by a day.{' '}
        <Link className="link" to="plan/brief">
          Change it in the brief
        </Link>
      </p>
    </section>
  );
}
