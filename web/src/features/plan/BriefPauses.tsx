import { daysLater, type Pause, PAUSE_REASONS, type PauseReason } from '@myokinet/core/planning';
import { type CalendarDay, calendarDay } from '@myokinet/core/quantities';
import { Plus, Trash2 } from 'lucide-react';

const USUAL_DAYS = 6;

/** Days without training; the first week after a longer one is a light one. */
export function BriefPauses({
  pauses,
  change,
}: {
  readonly pauses: readonly Pause[];
  readonly change: (pauses: readonly Pause[]) => void;
}) {
  const set = (index: number, part: Partial<Pause>) => change(pauses.map((p, i) => (i === index ? { ...p, ...part } : p)));
  return (
    <section aria-label="Pauses">
      <h3>Pauses</h3>
      <p className="aside text-sm">Nothing is planned in a pause; after five days or more the first week back is a light one.</p>
      <ul className="mt-1">
        {pauses.map((pause, i) => (
          <li key={i} className="flex flex-wrap items-center gap-2 border-t border-base-300 py-1.5 text-sm">
            <select
              className="select select-xs w-auto"
              aria-label={`Reason of pause ${i + 1}`}
              value={pause.reason}
              onChange={(e) => set(i, { reason: e.target.value as PauseReason })}
            >
              {Object.entries(PAUSE_REASONS).map(([id, name]) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
            {(['from', 'to'] as const).map((end) => (
              <label key={end} className="flex items-center gap-1">
                {end}
                <input
                  type="date"
                  className="input input-xs w-auto"
                  aria-label={`Pause ${i + 1}, ${end}`}
                  value={pause[end]}
                  onChange={(e) => e.target.value && set(i, { [end]: e.target.value as CalendarDay })}
                />
              </label>
            ))}
            {pause.to < pause.from && <span className="text-error">It ends before it begins.</span>}
            <button
              type="button"
              className="btn btn-ghost btn-xs btn-square ms-auto"
              aria-label={`Remove pause ${i + 1}`}
              onClick={() => change(pauses.filter((_, k) => k !== i))}
            >
              <Trash2 size={14} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      <button
        type="button"
        className="btn btn-xs mt-1"
        onClick={() => {
          const from = calendarDay(new Date());
          change([...pauses, { from, to: daysLater(from, USUAL_DAYS), reason: 'illness' }]);
        }}
      >
        <Plus size={14} aria-hidden /> Add a pause
      </button>
    </section>
  );
}
