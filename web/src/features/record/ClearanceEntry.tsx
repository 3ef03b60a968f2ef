import type { ClearanceReply } from '@myokinet/core/contracts';
import { shortDay } from '@myokinet/core/quantities';
import { capacityInWords, headroomInWords } from '@myokinet/core/words';
import { useState } from 'react';
import { useLibrary } from '../../client/LibraryContext.ts';
import { UnreadableNote } from '../../kit/UnreadableNote.tsx';

/** Who signed what, when, on which figures, and what took it back. */
export function ClearanceEntry({ clearance: c, now }: { readonly clearance: ClearanceReply; readonly now: Date }) {
  const { measure } = useLibrary();
  const [open, setOpen] = useState(false);
  return (
    <li className="border-b border-base-300 py-1.5">
      <p>
        <span className="font-semibold">{c.rungName}</span>{' '}
        <span className="aside text-sm">
          signed {shortDay(c.signedAt, now)}, {c.initials}
        </span>
      </p>
      {c.withdrawnAt && (
        <p className="state-short text-sm">
          Withdrawn {shortDay(c.withdrawnAt, now)}: {c.withdrawnReason}
        </p>
      )}
      <UnreadableNote sentences={c.unreadable ? [`${c.unreadable} Without it the clearance does not stand.`] : []} />
      {!c.unreadable && (
        <button type="button" className="link aside text-sm" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? 'Hide the figures' : `The ${c.figures.length} figures it rested on`}
        </button>
      )}
      {open && (
        <ul className="text-sm">
          {c.figures.map((h) => (
            <li key={h.demand.measureId + h.side}>
              {capacityInWords(h, measure(h.demand.measureId))}: {headroomInWords(h, measure(h.demand.measureId))}
              {h.capacity ? `, checked ${shortDay(h.capacity.takenAt, now)}` : ''}.
            </li>
          ))}
        </ul>
      )}
    </li>
  );
}
