import { weeksLater } from '@myokinet/core/planning';
import type { CalendarDay } from '@myokinet/core/quantities';
import { ChevronLeft, ChevronRight, Printer } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link, useSearchParams } from 'react-router';
import { UndoRedo } from '../../kit/UndoRedo.tsx';
import type { PlanDesk } from './usePlanDesk.ts';

interface DeskBarProps {
  readonly desk: PlanDesk;
  readonly from: CalendarDay;
  readonly title: string;
  /** Name of the search parameter that moves the view. */
  readonly by: 'from' | 'week';
  readonly children?: ReactNode;
}

/** Which weeks, undo and redo, print, and saving. */
export function DeskBar({ desk, from, title, by, children }: DeskBarProps) {
  const [, setSearch] = useSearchParams();
  const go = (weeks: number) => setSearch({ [by]: weeksLater(from, weeks) });
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-2">
      <div className="flex items-center gap-1">
        <button type="button" className="btn btn-sm btn-ghost btn-square no-print" aria-label="The week before" onClick={() => go(-1)}>
          <ChevronLeft size={18} aria-hidden />
        </button>
        <h2 className="min-w-56 text-center">{title}</h2>
        <button type="button" className="btn btn-sm btn-ghost btn-square no-print" aria-label="The week after" onClick={() => go(1)}>
          <ChevronRight size={18} aria-hidden />
        </button>
      </div>
      <div className="no-print ms-auto flex flex-wrap items-center gap-2">
        <UndoRedo desk={desk} />
        <Link className="btn btn-sm btn-ghost" to={`../paper?week=${from}`} relative="path">
          <Printer size={16} aria-hidden /> Hand-out
        </Link>
        {children}
        {desk.unsaved && (
          <>
            <button type="button" className="btn btn-sm btn-ghost" onClick={desk.startOver}>
              Throw changes away
            </button>
            <button type="button" className="btn btn-sm btn-primary" disabled={desk.saving} onClick={() => void desk.save()}>
              {desk.saving ? 'Saving…' : 'Save the plan'}
            </button>
          </>
        )}
      </div>
    </div>
  );
}
