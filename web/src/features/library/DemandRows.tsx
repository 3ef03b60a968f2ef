import type { RungDemand } from '@myokinet/core/ladders';
import type { Measure } from '@myokinet/core/measuring';
import { type Unit, UNITS } from '@myokinet/core/quantities';
import { originInWords } from '@myokinet/core/reference';
import { X } from 'lucide-react';
import { useId } from 'react';
import { STUDIO_ORIGIN } from './blankEntries.ts';
import { useLibrary } from '../../client/LibraryContext.ts';

export interface DemandRowsProps {
  readonly demands: readonly RungDemand[];
  readonly problemOf: (field: string) => string | undefined;
  readonly change: (demands: readonly RungDemand[]) => void;
}

/** What a rung asks, check by check; a figure is always read in the unit of its check. */
export function DemandRows({ demands, problemOf, change }: DemandRowsProps) {
  const { measures, measure: measureOf } = useLibrary();
  const free = measures.filter((m) => demands.every((d) => d.measureId !== m.id));
  const add = (measureId: string) => {
    const { unit, better, inside, limits } = measureOf(measureId);
    const asked =
      better === 'inside' && inside
        ? ({ direction: 'within', value: inside.from, upTo: inside.to } as const)
        : better === 'less'
          ? ({ direction: 'at most', value: limits.max } as const)
          : ({ direction: 'at least', value: limits.min } as const);
    change([...demands, { measureId, unit, ...asked, origin: STUDIO_ORIGIN }]);
  };
  return (
    <fieldset>
      <legend className="text-sm font-semibold">Demands</legend>
      <ul>
        {demands.map((demand, i) => (
          <DemandRow
            key={demand.measureId}
            demand={demand}
            problem={FIELDS.map((field) => problemOf(`demands/${i}/${field}`)).find((p) => p)}
            change={(part) => change(demands.map((d) => (d === demand ? { ...d, ...part, origin: STUDIO_ORIGIN } : d)))}
            remove={() => change(demands.filter((d) => d !== demand))}
          />
        ))}
      </ul>
      <select className="select select-sm mt-2 w-full sm:w-72" aria-label="Add a demand" value="" onChange={(e) => add(e.target.value)}>
        <option value="">another demand…</option>
        {free.map((m) => (
          <option key={m.id} value={m.id}>
            {m.name} ({m.choices ? 'level' : UNITS[m.unit].name})
          </option>
        ))}
      </select>
    </fieldset>
  );
}

/** Where something can be wrong with a demand. */
const FIELDS = ['value', 'upTo', 'per', 'direction', 'measureId', 'unit'] as const;

const PERCENT = 100;

const BASES: Readonly<Partial<Record<Unit, { per: NonNullable<RungDemand['per']>; start: number; words: string; of: string }>>> = {
  kg: { per: 'bodyMass', start: 0.3, words: 'share of body mass', of: 'body mass' },
  percentBodyWeight: {
    per: 'setUpLoad',
    start: 1,
    words: 'share of what the set-up of the rung puts on the hands',
    of: 'its own load',
  },
};

/** Another direction: only a range has an upper end. */
function turned(direction: RungDemand['direction'], value: number, { max }: Measure['limits']): Partial<RungDemand> {
  return { direction, upTo: (direction === 'within' ? Math.max(value, max) : undefined) as never };
}

function DemandRow({
  demand,
  problem,
  change,
  remove,
}: {
  readonly demand: RungDemand;
  readonly problem: string | undefined;
  readonly change: (part: Partial<RungDemand>) => void;
  readonly remove: () => void;
}) {
  const id = useId();
  const measure = useLibrary().measure(demand.measureId);
  const relative = demand.per !== undefined;
  // Shares of body mass go with kilograms, shares of the set-up's load with tolerated hand loads.
  const share = BASES[measure.unit];
  const setBasis = (basis: string) => {
    if (basis === 'share' && share) change({ per: share.per, value: share.start });
    else change({ per: undefined as never, value: measure.limits.min });
  };
  return (
    <li className="border-t border-base-300 py-1">
      <div className="flex flex-wrap items-center gap-2 text-sm">
        <span className="min-w-44 flex-1 leading-tight">
          {measure.name}{' '}
          <span className="aside block" title={originInWords(demand.origin)}>
            {demand.origin.kind === 'studio' ? 'the studio’s own' : demand.origin.kind}
          </span>
        </span>
        <select
          className="select select-xs w-22"
          aria-label={`${measure.name}: at least, at most or within`}
          value={demand.direction}
          onChange={(e) => change(turned(e.target.value as RungDemand['direction'], demand.value, measure.limits))}
        >
          <option>at least</option>
          <option>at most</option>
          {!measure.choices && !relative && <option>within</option>}
        </select>
        {measure.choices ? (
          <select
            className="select select-xs w-40"
            aria-label={`${measure.name}: level asked`}
            value={demand.value}
            onChange={(e) => change({ value: Number(e.target.value) })}
          >
            {measure.choices.map((choice, i) => (
              <option key={choice} value={i}>
                {choice}
              </option>
            ))}
          </select>
        ) : (
          <>
            <input
              className={`input input-xs w-16 text-center ${problem ? 'input-error' : ''}`}
              type="number"
              step={relative ? 1 : measure.limits.step}
              aria-label={`${measure.name}: figure asked`}
              {...(problem ? { 'aria-invalid': true, 'aria-describedby': id } : {})}
              value={Number.isNaN(demand.value) ? '' : relative ? Math.round(demand.value * PERCENT) : demand.value}
              onChange={(e) => {
                const figure = e.target.value === '' ? Number.NaN : Number(e.target.value);
                change({ value: relative ? figure / PERCENT : figure });
              }}
            />
            {demand.direction === 'within' && (
              <>
                to
                <input
                  className={`input input-xs w-16 text-center ${problem ? 'input-error' : ''}`}
                  type="number"
                  step={measure.limits.step}
                  aria-label={`${measure.name}: upper end asked`}
                  value={demand.upTo === undefined || Number.isNaN(demand.upTo) ? '' : demand.upTo}
                  onChange={(e) => change({ upTo: e.target.value === '' ? Number.NaN : Number(e.target.value) })}
                />
              </>
            )}
            {share ? (
              <select
                className="select select-xs w-36"
                aria-label={`${measure.name}: in ${UNITS[measure.unit].name} or as a ${share.words}`}
                value={relative ? 'share' : 'plain'}
                onChange={(e) => setBasis(e.target.value)}
              >
                <option value="plain">{UNITS[measure.unit].name}</option>
                <option value="share">% of {share.of}</option>
              </select>
            ) : (
              <span className="w-36">{UNITS[measure.unit].name}</span>
            )}
          </>
        )}
        <label className="flex items-center gap-1" title="A capacity whose error band straddles the mark passes">
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            aria-label={`${measure.name}: on the mark passes`}
            checked={demand.allowOnTheMark ?? false}
            onChange={(e) => change({ allowOnTheMark: e.target.checked })}
          />
          on the mark passes
        </label>
        <button type="button" className="btn btn-ghost btn-xs btn-square" aria-label={`No demand on ${measure.name}`} onClick={remove}>
          <X size={14} aria-hidden />
        </button>
      </div>
      {problem && (
        <p id={id} role="alert" className="text-sm text-error">
          {problem}
        </p>
      )}
    </li>
  );
}
