import { type Capacity, capacityFromTrials, type Measure, measureSides, type OwnError, formatReading } from '@myokinet/core/measuring';
import { formatError, type Instant } from '@myokinet/core/quantities';
import { type CheckDraft, readCell, readMeasure, stepsOf } from '@myokinet/core/checking';
import { BandPlot } from './BandPlot.tsx';
import { PROVISIONAL_WORDS, strayInWords } from '@myokinet/core/words';

export interface TrialStripProps {
  readonly measure: Measure;
  readonly draft: Pick<CheckDraft, 'cells'>;
  readonly ownError: OwnError | undefined;
  readonly now: Instant;
  /** Index among the check's steps. */
  readonly current: number;
  readonly go: (step: number) => void;
}

/** The trials of both sides as they come in, what they give so far, and the one that does not fit. */
export function TrialStrip({ measure, draft, ownError, now, current, go }: TrialStripProps) {
  const steps = stepsOf(measure);
  const readings = readMeasure(draft, measure, now, ownError);
  return (
    <div className="space-y-1.5">
      {measureSides(measure).map((side) => {
        const reading = readings.find((r) => r.side === side);
        const mine = steps.filter((s) => s.side === side);
        const values = mine.flatMap((s) => readCell(measure, draft.cells[s.key]?.text ?? '').value ?? []);
        const sideWord = side === 'whole' ? '' : `${side}, `;
        return (
          <div key={side}>
            <div className="flex flex-wrap items-center gap-x-1 gap-y-1 sm:gap-x-2">
              {side !== 'whole' && <span className="w-10.5 font-semibold sm:w-12 first-letter:uppercase">{side}</span>}
              {mine.map((s) => {
                const { value } = readCell(measure, draft.cells[s.key]?.text ?? '');
                const said = value === undefined ? 'nothing yet' : formatReading(measure, value);
                const stray = reading?.stray?.ordinal === s.ordinal;
                const look =
                  steps[current]?.key === s.key ? 'border-2 border-primary' : stray ? 'border-2 border-warning' : 'border-base-300';
                return (
                  <button
                    key={s.key}
                    type="button"
                    className={`btn h-11 min-w-12 px-1 text-lg sm:min-w-14 font-normal ${look}`}
                    aria-label={`${sideWord}trial ${s.ordinal + 1}: ${said}${stray ? ', off the others' : ''}`}
                    aria-current={steps[current]?.key === s.key ? 'step' : undefined}
                    onClick={() => go(steps.indexOf(s))}
                  >
                    {value === undefined ? '·' : measure.choices ? formatReading(measure, value) : value}
                  </button>
                );
              })}
              {reading?.capacity && !measure.choices && (
                <span className="ms-auto flex items-center gap-1 sm:gap-2">
                  {reading.capacity.band > 0 && (
                    <BandPlot
                      values={values}
                      capacity={reading.capacity}
                      single={capacityFromTrials(measure, [{ side, value: reading.capacity.value }], { takenAt: now, ownError }).band}
                    />
                  )}
                  {reading.capacity.provisional && (
                    <span className="state-mark text-sm" title={PROVISIONAL_WORDS[reading.capacity.provisional]}>
                      {reading.capacity.provisional}
                    </span>
                  )}
                  <output className="text-right sm:min-w-20 font-semibold whitespace-nowrap" aria-label={`${sideWord}so far`}>
                    {soFar(measure, reading.capacity)}
                  </output>
                </span>
              )}
            </div>
            {reading?.stray && (
              <p role="status">
                <button
                  type="button"
                  className="state-mark link mt-0.5 text-sm"
                  onClick={() => go(steps.findIndex((s) => s.side === side && s.ordinal === reading.stray?.ordinal))}
                >
                  {strayInWords(reading.stray, measure)}
                </button>
              </p>
            )}
          </div>
        );
      })}
    </div>
  );
}

/** With one decimal more than elsewhere, so that the band is seen to narrow with each trial. */
function soFar(measure: Measure, { value, band }: Capacity): string {
  return band > 0 ? `${formatReading(measure, value)} ± ${formatError(band, measure.unit)}` : formatReading(measure, value);
}
