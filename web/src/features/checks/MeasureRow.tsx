import type { BodySide } from '@myokinet/core/anatomy';
import { type Measure, measureSides, type OwnError, formatReadingWithBand } from '@myokinet/core/measuring';
import { type Instant, UNITS } from '@myokinet/core/quantities';
import { type KeyboardEvent, useId } from 'react';
import { type CheckDraft, cellKey, readCell, readMeasure } from '@myokinet/core/checking';
import { strayInWords } from '@myokinet/core/words';

export interface MeasureRowProps {
  readonly measure: Measure;
  readonly draft: CheckDraft;
  readonly ownError: OwnError | undefined;
  readonly now: Instant;
  readonly focus: () => void;
  readonly type: (key: string, text: string) => void;
}

/** One check: three trials a side, and the capacity they already give. */
export function MeasureRow({ measure, draft, ownError, now, focus, type }: MeasureRowProps) {
  const id = useId();
  const readings = readMeasure(draft, measure, now, ownError);
  const problems = readings.flatMap((r) => r.problems);
  const strays = readings.flatMap(({ side, stray }) =>
    stray ? [`${side === 'whole' ? '' : `${side}: `}${strayInWords(stray, measure)}`] : [],
  );
  return (
    <div className="border-b border-base-300 py-1.5" onFocus={focus}>
      <div className="grid items-center gap-x-4 gap-y-1 sm:grid-cols-[13rem_1fr]">
        <div className="leading-tight">
          <span className="font-semibold">{measure.name}</span>{' '}
          <span className="aside text-sm">{measure.choices ? 'by eye' : UNITS[measure.unit].name}</span>
        </div>
        <div className="flex flex-wrap gap-x-6 gap-y-1.5">
          {measureSides(measure).map((side) => {
            const capacity = readings.find((r) => r.side === side)?.capacity;
            return (
              <div key={side} className="flex items-center gap-1.5">
                {side !== 'whole' && <span className="w-10">{side === 'left' ? 'Left' : 'Right'}</span>}
                {Array.from({ length: measure.trials }, (_, i) => (
                  <TrialCell key={i} measure={measure} side={side} ordinal={i} draft={draft} type={type} errorId={`${id}-problem`} />
                ))}
                <output className="min-w-20 ps-1 text-sm" aria-label={`${measure.name} ${side === 'whole' ? '' : side} so far`}>
                  {capacity && !measure.choices ? formatReadingWithBand(measure, capacity.value, capacity.band) : ''}
                </output>
              </div>
            );
          })}
        </div>
      </div>
      {problems.length > 0 && (
        <p id={`${id}-problem`} role="alert" className="mt-1 text-sm text-error">
          {problems[0]}
        </p>
      )}
      {strays.length > 0 && (
        <p role="status" className="state-mark mt-1 text-sm first-letter:uppercase">
          {strays.join(' ')}
        </p>
      )}
    </div>
  );
}

function TrialCell({
  measure,
  side,
  ordinal,
  draft,
  type,
  errorId,
}: {
  readonly measure: Measure;
  readonly side: BodySide;
  readonly ordinal: number;
  readonly draft: CheckDraft;
  readonly type: MeasureRowProps['type'];
  readonly errorId: string;
}) {
  const key = cellKey(measure.id, side, ordinal);
  const text = draft.cells[key]?.text ?? '';
  const { problem, value } = readCell(measure, text);
  const wrong = problem ? { 'aria-invalid': true, 'aria-describedby': errorId } : {};
  const label = `${measure.name}${side === 'whole' ? '' : `, ${side}`}`;
  if (measure.choices)
    return (
      <select
        data-figure={key}
        className="select select-sm w-44"
        aria-label={label}
        value={text}
        onChange={(e) => type(key, e.target.value)}
        {...wrong}
      >
        <option value="">not looked at</option>
        {measure.choices.map((choice, i) => (
          <option key={choice} value={i}>
            {choice}
          </option>
        ))}
      </select>
    );
  const nudge = (event: KeyboardEvent<HTMLInputElement>) => {
    const direction = { ArrowUp: 1, ArrowDown: -1 }[event.key];
    if (!direction || value === undefined) return;
    event.preventDefault();
    const { step, min, max } = measure.limits;
    const decimals = String(step).split('.')[1]?.length ?? 0;
    type(key, Math.max(min, Math.min(max, value + direction * step)).toFixed(decimals));
  };
  return (
    <input
      data-figure={key}
      className={`input input-sm w-14 px-1.5 text-center text-base ${problem ? 'input-error' : ''}`}
      inputMode={measure.limits.min < 0 ? 'text' : 'decimal'}
      autoComplete="off"
      aria-label={`${label}, trial ${ordinal + 1}`}
      {...wrong}
      value={text}
      onChange={(e) => type(key, e.target.value)}
      onKeyDown={nudge}
    />
  );
}
