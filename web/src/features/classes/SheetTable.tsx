import type { ClassSheetReply } from '@myokinet/core/contracts';
import type { Library } from '@myokinet/core/library';
import { drillNameIn } from '../../client/drillName.ts';
import { Empty } from '../../kit/Empty.tsx';
import { itemInWords } from './words.ts';

interface SheetTableProps {
  readonly sheet: ClassSheetReply;
  readonly library: Library;
  readonly begun: boolean;
  readonly begin: () => void;
}

/** What each would do, and what is left out or less, with the reason. */
export function SheetTable({ sheet: { moments, members }, library, begun, begin }: SheetTableProps) {
  const minutes = Math.round(moments.reduce((sum, m) => sum + m.seconds, 0) / 60);
  const working = members.filter((m) => m.items.length > 0);
  if (working.length === 0)
    return (
      <Empty title="There is nothing that anybody here may do">
        <ul className="text-start">
          {members.map((m) => (
            <li key={m.traineeId}>
              {m.name}: {[...m.stopped, ...m.locks, ...m.less.map((l) => l.says)][0] ?? 'no session is planned for today.'}
            </li>
          ))}
        </ul>
      </Empty>
    );
  return (
    <>
      <div className="flex flex-wrap items-center gap-4">
        <p>
          <strong>{minutes} min</strong>, {working.length} of {members.length} work.
        </p>
        <button type="button" className="btn btn-primary ms-auto" disabled={begun} onClick={begin}>
          Begin the class
        </button>
      </div>
      <ul className="mt-3 grid gap-3 xl:grid-cols-2">
        {members
          .toSorted((a, b) => a.name.localeCompare(b.name))
          .map((m) => (
            <li key={m.traineeId} className="rounded border border-base-300 p-3">
              <strong>{m.name}</strong>
              {m.stopped.map((reason) => (
                <p key={reason} className="state-short">
                  Stop sign: {reason} No work in this class.
                </p>
              ))}
              {m.locks.map((reason) => (
                <p key={reason} className="state-mark text-sm">
                  {reason}
                </p>
              ))}
              {m.stopped.length === 0 && m.items.length === 0 && m.less.length === 0 && (
                <p className="aside">No session is planned for today.</p>
              )}
              <ul className="mt-1 list-disc ps-5">
                {m.items.map((item) => (
                  <li key={item.slotId}>{itemInWords(item, library)}</li>
                ))}
              </ul>
              {m.less.length > 0 && (
                <details className="state-mark mt-1 text-sm">
                  <summary className="min-h-8 cursor-pointer content-center">
                    {m.less.length === 1 ? 'One drill is' : `${m.less.length} drills are`} left out, less or another
                  </summary>
                  <ul className="list-disc ps-5">
                    {m.less.map(({ slotId, drillId, says, instead }) => (
                      <li key={slotId}>
                        {drillNameIn(library, drillId)}
                        {instead ? `, ${drillNameIn(library, instead)} instead` : ''}: {says}
                      </li>
                    ))}
                  </ul>
                </details>
              )}
            </li>
          ))}
      </ul>
    </>
  );
}
