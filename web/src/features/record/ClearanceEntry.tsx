import type { ClearanceReply } from '@myokinet/core/contracts';
import { shortDay } from '@myokinet/core/quantities';
import { capacityInWords, chanceInWords, headroomInWords, say } from '@myokinet/core/words';
import { useState } from 'react';
import { useLibrary } from '../../client/LibraryContext.ts';
import { UnreadableNote } from '../../kit/UnreadableNote.tsx';

/** Who signed what, when, on which figures, and what took it back. */
export function ClearanceEntry({ clearance: c, now }: { readonly clearance: ClearanceReply; readonly now: Date }) {
  const { measure } = useLibrary();
  const unmet = (c.findings ?? []).filter((f) => !f.met);
  const [open, setOpen] = useState(false);
  return (
    <li className="border-b border-base-300 py-1.5">
      <p>
        <span className="font-semibold">{c.rungName}</span>{' '}
        <span className="aside text-sm">
          signed {shortDay(c.signedAt, now)}, {c.initials}
          {c.likelihood === undefined ? '' : `, all truly met with about ${chanceInWords(c.likelihood)}`}
        </span>
        {c.against && (
          <span className="state-mark block text-sm">
            Signed against {unmet.length === 1 ? 'an unmet line' : `${unmet.length} unmet lines`}: {c.against}
          </span>
        )}
      </p>
      {c.withdrawnAt && (
        <p className="state-short text-sm">
          Withdrawn {shortDay(c.withdrawnAt, now)}: {c.withdrawnReason}
        </p>
      )}
      <UnreadableNote sentences={c.unreadable ? [`${c.unreadable} Without it the clearance does not stand.`] : []} />
      {!c.unreadable && (
        <button type="button" className="link aside text-sm" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open
            ? 'Hide what it rested on'
            : `The ${c.findings ? `${c.findings.length} lines and ` : ''}${c.figures.length} figures it rested on`}
        </button>
      )}
      {open && c.findings && (
        <ul className="list-disc ps-5 text-sm" aria-label="Lines as they were found">
          {c.findings.map((f) => (
            <li key={JSON.stringify(f)} className={f.met ? '' : 'state-short'}>
              {say(f, { headrooms: c.figures, measureOf: measure, now: new Date(c.signedAt) })}
            </li>
          ))}
        </ul>
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
