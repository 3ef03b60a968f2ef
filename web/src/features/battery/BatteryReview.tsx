import {
  type Measure,
  measureSides,
  type OwnError,
  formatReadingWithBand,
  type SkipReason,
  formatReading,
  stopsMovement,
} from '@myokinet/core/measuring';
import type { Instant } from '@myokinet/core/quantities';
import { type CheckDraft, readMeasure, stateOf } from '@myokinet/core/checking';

export interface RunReviewProps {
  readonly measures: readonly Measure[];
  readonly draft: Pick<CheckDraft, 'cells' | 'skips'>;
  readonly ownErrors: Readonly<Record<string, OwnError>>;
  readonly now: Instant;
  readonly go: (measureId: string) => void;
}

/** The whole battery before it is saved: what each check gave, what is missing and why. */
export function BatteryReview({ measures, draft, ownErrors, now, go }: RunReviewProps) {
  return (
    <ul className="mt-2">
      {measures.map((measure) => {
        const readings = readMeasure(draft, measure, now, ownErrors[measure.id]);
        const problems = readings.flatMap((r) => r.problems);
        const reason = draft.skips[measure.id];
        const stopped = reason !== undefined && stopsMovement(reason);
        return (
          <li key={measure.id} className="grid items-baseline gap-x-3 border-b border-base-300 py-1.5 sm:grid-cols-[14rem_1fr_auto]">
            <span className="font-semibold">{measure.name}</span>
            <span>
              {measureSides(measure).map((side) => {
                const { capacity } = readings.find((r) => r.side === side) ?? {};
                if (!capacity) return null;
                return (
                  <span key={side} className="me-4 whitespace-nowrap">
                    {side === 'whole' ? '' : `${side} `}
                    {stopped
                      ? `reached ${formatReading(measure, capacity.value)}`
                      : formatReadingWithBand(measure, capacity.value, capacity.band)}
                    {capacity.provisional && <span className="state-mark"> {capacity.provisional}</span>}
                  </span>
                );
              })}
              <StateNote state={stateOf(measure, draft)} reason={reason} />
              {problems[0] && <span className="text-error"> {problems[0]}</span>}
            </span>
            <button
              type="button"
              className="btn btn-ghost btn-sm justify-self-start"
              aria-label={`Go to ${measure.name}`}
              onClick={() => go(measure.id)}
            >
              Go to it
            </button>
          </li>
        );
      })}
    </ul>
  );
}

function StateNote({ state, reason }: { readonly state: ReturnType<typeof stateOf>; readonly reason: SkipReason | undefined }) {
  switch (state) {
    case 'done':
      return null;
    case 'begun':
      return <span className="state-mark">trials missing</span>;
    case 'skipped':
      return <span className="aside">{reason && stopsMovement(reason) ? `stopped: ${reason}` : `skipped: ${reason}`}</span>;
    case 'open':
      return <span className="aside">not taken</span>;
  }
}
