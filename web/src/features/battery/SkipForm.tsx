import { SKIP_REASONS, type SkipReason, stopsMovement } from '@myokinet/core/measuring';
import { ReportSymptom } from '../record/index.ts';

export interface SkipFormProps {
  readonly name: string;
  readonly traineeId: string;
  readonly reason: SkipReason | undefined;
  readonly choose: (reason: SkipReason | undefined) => void;
}

/** Why a check is left out today. */
export function SkipForm({ name, traineeId, reason, choose }: SkipFormProps) {
  return (
    <fieldset className="sheet p-3">
      <legend className="px-1 font-semibold">
        {reason
          ? `${stopsMovement(reason) ? 'Stopped' : 'Skipped'}: ${reason}`
          : `What stopped ${name.toLowerCase()}, or why is it left out?`}
      </legend>
      <div className="flex flex-wrap gap-2">
        {SKIP_REASONS.map((r) => (
          <button
            key={r}
            type="button"
            className={`btn ${r === reason ? 'btn-neutral' : ''}`}
            aria-pressed={r === reason}
            onClick={() => choose(r === reason ? undefined : r)}
          >
            {r}
          </button>
        ))}
      </div>
      {reason && stopsMovement(reason) && (
        <p className="aside mt-2 text-sm">
          Figures taken until then stay on record as what was reached. They count as no end of range, and what an earlier check showed
          counts no more.
        </p>
      )}
      {reason === 'pain' && (
        <div className="mt-2">
          <p className="text-sm">Stop, note it, step back. What was felt goes on the record:</p>
          <ReportSymptom traineeId={traineeId} />
        </div>
      )}
    </fieldset>
  );
}
