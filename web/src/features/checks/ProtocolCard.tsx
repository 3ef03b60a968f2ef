import type { TraineeReply } from '@myokinet/core/contracts';
import { type Measure, formatReading } from '@myokinet/core/measuring';
import { originInWords, referencesFor } from '@myokinet/core/reference';
import { formatAmount } from '@myokinet/core/quantities';
import { CheckFigure } from '../../kit/body/CheckFigure.tsx';
import { personOf } from '../trainee/index.ts';

/** The figure and the steps of a protocol. */
export function ProtocolLines({ measure, size }: { readonly measure: Measure; readonly size: number }) {
  return (
    <div className="flex items-start gap-3">
      <CheckFigure check={measure} size={size} />
      <ol className="list-decimal space-y-0.5 ps-5">
        {measure.protocol.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ol>
    </div>
  );
}

/** Which of the trials becomes the capacity, and what is none. */
export function whatCounts({ choices, trials, combine, unit, better }: Measure): string {
  if (choices) return 'Two looks, best from film; the worse counts.';
  const which = trials === 1 ? 'One attempt counts.' : combine === 'mean' ? 'The mean of the trials counts.' : 'The best trial counts.';
  const end =
    unit === 'deg' && better === 'more'
      ? ' What pain or worry ends is no end of range: enter what was reached, then “Skip” with that reason.'
      : '';
  return `${which}${end}`;
}

/** How the check in focus is taken, step by step. */
export function ProtocolCard({ measure, trainee }: { readonly measure: Measure; readonly trainee: TraineeReply }) {
  const references = referencesFor(measure.id, personOf(trainee, new Date()), 'right');
  return (
    <aside className="sheet hidden p-4 lg:block" aria-label="Protocol">
      <div className="flex items-center gap-3">
        <CheckFigure check={measure} size={96} />
        <div>
          <h2>{measure.name}</h2>
          <p className="aside text-sm">{measure.instrument}</p>
        </div>
      </div>
      <ol className="mt-3 list-decimal space-y-1.5 ps-5">
        {measure.protocol.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </ol>
      <p className="aside mt-3 text-sm">
        {whatCounts(measure)} Stays fresh for {measure.freshDays} days
        {measure.aboutNextRung ? ', and is asked anew after every signature' : ''}. Reads {formatReading(measure, measure.limits.min)} to{' '}
        {formatReading(measure, measure.limits.max)}. Protocol and error: {originInWords(measure.origin)}.
      </p>
      {references.length > 0 && (
        <p className="aside mt-2 text-sm">
          For comparison:{' '}
          {references
            .map((r) => `${r.name} ${formatAmount(r.mean, r.unit)}${r.sd ? ` (SD ${formatAmount(r.sd, r.unit)})` : ''}`)
            .join('; ')}
          .
        </p>
      )}
      <p className="aside mt-2 text-sm">Sharp pain, a pinch, numbness or tingling: stop, note it, step back.</p>
    </aside>
  );
}
