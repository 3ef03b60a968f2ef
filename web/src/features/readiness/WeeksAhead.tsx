import type { ForecastReply } from '@myokinet/core/contracts';
import { EQUIPMENT, type Equipment } from '@myokinet/core/drills';
import { type GateForecast, type GateOutlook, usualWeeks, WHAT_IF_LIMITS, whatIf, type WhatIf } from '@myokinet/core/forecast';
import { forecastInWords, shiftInWords } from '@myokinet/core/words';
import { RotateCcw } from 'lucide-react';
import { useDeferredValue, useId, useMemo, useState } from 'react';
import { useLibrary } from '../../client/LibraryContext.ts';
import { FanChart } from './FanChart.tsx';
import type { HeadroomChartProps } from './HeadroomChart.tsx';
import { useGateForecast } from './useFutures.ts';

interface WeeksAheadProps extends Pick<HeadroomChartProps, 'headrooms' | 'trails'> {
  readonly data: ForecastReply;
}

/** Where every figure is going, and what other weeks would change. Nothing here is saved, and no gate changes by it. */
export function WeeksAhead({ data, headrooms, trails }: WeeksAheadProps) {
  const { outlook, forecast } = data;
  return outlook && forecast ? <Ahead {...{ data, outlook, forecast, headrooms, trails }} /> : null;
}

type AheadProps = WeeksAheadProps & { readonly outlook: GateOutlook; readonly forecast: GateForecast };

function Ahead({ data, outlook, forecast, headrooms, trails }: AheadProps) {
  const { measure } = useLibrary();
  const usual = useMemo(() => usualWeeks(outlook), [outlook]);
  const [changes, setChanges] = useState<WhatIf>();
  const asked = useDeferredValue(changes);
  const changed = useMemo(() => (asked ? whatIf(outlook, asked) : undefined), [outlook, asked]);
  const then = useGateForecast(changed, data.seed);
  const now = new Date(data.at);
  const reader = { measureOf: measure, now };
  const shift = then && shiftInWords(forecast, then);
  return (
    <section aria-label="The weeks ahead" className="mt-6">
      <h2>The weeks ahead</h2>
      <FanChart outlook={changed ?? outlook} headrooms={headrooms} trails={trails} now={now} measureOf={measure} />
      <fieldset className="sheet mt-3 p-3.5">
        <legend className="sr-only">What if the weeks were others?</legend>
        <div className="flex flex-wrap items-baseline justify-between gap-2">
          <h3>What if the weeks were others?</h3>
          <button type="button" className="btn btn-ghost btn-sm" disabled={!changes} onClick={() => setChanges(undefined)}>
            <RotateCcw size={15} aria-hidden /> As they have been
          </button>
        </div>
        <Sliders outlook={outlook} weeks={changes ?? usual} change={setChanges} />
        <dl className="mt-3 grid gap-x-6 gap-y-2 leading-snug sm:grid-cols-2" aria-live="polite">
          <div>
            <dt className="aside text-sm">As they have been</dt>
            <dd>{forecastInWords(forecast, reader)}</dd>
          </div>
          <div>
            <dt className="aside text-sm">With these weeks</dt>
            <dd className="font-semibold">
              {!changed && 'Move a slider.'}
              {changed && (then ? `${forecastInWords(then, reader)}${shift ? ` Compared: ${shift}.` : ''}` : 'Drawing the futures…')}
            </dd>
          </div>
        </dl>
        <p className="aside mt-2 text-sm">
          Sets grow and shrink with the minutes of a week, and each further set gives less. More than a body takes is not seen here: the
          planner keeps its limits, and the gate keeps its rules.
        </p>
      </fieldset>
    </section>
  );
}

interface SlidersProps {
  readonly outlook: GateOutlook;
  readonly weeks: WhatIf;
  readonly change: (weeks: WhatIf) => void;
}

function Sliders({ outlook, weeks, change }: SlidersProps) {
  const { measure, hasDrill, drill } = useLibrary();
  const focus = useId();
  const measureIds = [...new Set(outlook.demands.map((d) => d.measureId))];
  const drillIds = [...new Set(outlook.demands.flatMap((d) => d.work.map((w) => w.drillId)))].filter(hasDrill);
  const equipment = [...new Set(drillIds.flatMap((id) => drill(id).equipment))];
  const needing = (of: readonly Equipment[]) => drillIds.filter((id) => drill(id).equipment.some((e) => of.includes(e)));
  const missing = equipment.filter((e) => needing([e]).every((id) => weeks.without?.includes(id)));
  const setMissing = (of: readonly Equipment[]) => change({ ...weeks, without: needing(of) });
  const { daysPerWeek, minutesPerDay, missedDays, checkDays } = WHAT_IF_LIMITS;
  return (
    <div className="mt-2 grid gap-x-6 gap-y-3 sm:grid-cols-2">
      <Slider
        {...{ label: 'Sessions a week', limits: daysPerWeek, step: 0.5, value: weeks.daysPerWeek, words: `${weeks.daysPerWeek}` }}
        change={(value) => change({ ...weeks, daysPerWeek: value })}
      />
      <Slider
        {...{ label: 'Minutes a session', limits: minutesPerDay, step: 5, value: weeks.minutesPerDay, words: `${weeks.minutesPerDay} min` }}
        change={(value) => change({ ...weeks, minutesPerDay: value })}
      />
      <Slider
        {...{ label: 'Days missed from today', limits: missedDays, step: 7, value: weeks.missedDays, words: `${weeks.missedDays} days` }}
        change={(value) => change({ ...weeks, missedDays: value })}
      />
      <Slider
        {...{ label: 'Days between checks', limits: checkDays, step: 1, value: weeks.checkDays, words: `${weeks.checkDays} days` }}
        change={(value) => change({ ...weeks, checkDays: value })}
      />
      <label className="block" htmlFor={focus}>
        <span>Twice the work on, taken from the rest</span>
        <select
          id={focus}
          className="select select-sm mt-1 w-full"
          value={weeks.focus ?? ''}
          onChange={(e) => change({ ...weeks, focus: e.target.value === '' ? undefined : e.target.value })}
        >
          <option value="">nothing in particular</option>
          {measureIds.map((id) => (
            <option key={id} value={id}>
              {measure(id).name}
            </option>
          ))}
        </select>
      </label>
      {equipment.length > 0 && (
        <fieldset>
          <legend>Without</legend>
          <div className="mt-1 flex flex-wrap gap-x-4 gap-y-1">
            {equipment.map((e) => (
              <label key={e} className="flex min-h-6 items-center gap-2">
                <input
                  type="checkbox"
                  className="checkbox checkbox-sm"
                  checked={missing.includes(e)}
                  onChange={() => setMissing(missing.includes(e) ? missing.filter((m) => m !== e) : [...missing, e])}
                />
                {EQUIPMENT[e]}
              </label>
            ))}
          </div>
        </fieldset>
      )}
    </div>
  );
}

interface SliderProps {
  readonly label: string;
  readonly limits: { readonly min: number; readonly max: number };
  readonly step: number;
  readonly value: number;
  readonly words: string;
  readonly change: (value: number) => void;
}

function Slider({ label, limits, step, value, words, change }: SliderProps) {
  const id = useId();
  return (
    <div>
      <label className="flex justify-between" htmlFor={id}>
        <span>{label}</span>
        <span className="font-semibold tabular-nums">{words}</span>
      </label>
      <input
        id={id}
        type="range"
        className="range range-sm range-primary mt-1 w-full"
        aria-valuetext={words}
        {...{ ...limits, step, value }}
        onChange={(e) => change(Number(e.target.value))}
      />
    </div>
  );
}
