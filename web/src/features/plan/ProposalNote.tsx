import type { PlanProposal, Solved } from '@myokinet/core/planning';
import { X } from 'lucide-react';
import { ServedTable } from './ServedTable.tsx';

interface ProposalNoteProps {
  readonly proposal: PlanProposal;
  readonly close: () => void;
  /** Searches on for a better one. */
  readonly longer: () => void;
}

/** What the planner made of the weeks: how good it is, which rules bind, which needs are served. */
export function ProposalNote({ proposal, close, longer }: ProposalNoteProps) {
  const { refusal, solved, notes, foremost, served } = proposal;
  if (refusal)
    return (
      <p role="alert" className="my-3 border-s-4 border-warning bg-warning/10 px-4 py-2.5">
        {refusal} Nothing of the plan was changed.
      </p>
    );
  return (
    <section aria-label="What the planner says" className="sheet relative my-3 p-3 text-sm">
      <h3 className="pe-8">
        Planned.
        {foremost && <span className="font-sans font-normal"> {foremost}</span>}
      </h3>
      {solved?.status === 'best found' && (
        <p>
          A better plan may be found.{' '}
          <button type="button" className="link no-print" onClick={longer}>
            Search longer
          </button>
        </p>
      )}
      <details className="mt-1">
        <summary className="cursor-pointer">What shaped it, and how each need is served</summary>
        <div className="mt-2 grid gap-x-8 gap-y-2 lg:grid-cols-2">
          <ul className="list-disc ps-5 leading-snug">
            {notes.map((note) => (
              <li key={note}>{note}</li>
            ))}
          </ul>
          <ServedTable served={served} />
        </div>
        {solved && <p className="aside mt-2">{howGood(solved)}</p>}
      </details>
      <button
        type="button"
        className="btn btn-ghost btn-xs btn-square no-print absolute end-2 top-2"
        aria-label="Close what the planner says"
        onClick={close}
      >
        <X size={16} aria-hidden />
      </button>
    </section>
  );
}

/** `Planned in 2.1 s, within 0.4% of the best there can be.` */
export function howGood({ gap, seconds, status }: Solved): string {
  const time = `${seconds.toFixed(1)} s`;
  if (!Number.isFinite(gap)) return `The best found in ${time}; how much better it could be is not known.`;
  const near = `within ${(gap * 100).toFixed(1)}% of the best there can be`;
  return status === 'good enough' ? `Planned in ${time}, ${near}.` : `The best found in ${time}, ${near}; more time may find a better one.`;
}
