import type { AskedFilter } from '@myokinet/core/library';
import { RANGES } from '@myokinet/core/motion';
import { ASKED_LIMITS, type AskedName } from './useDrillFilter.ts';
import { capital } from './words.ts';

interface AskedFieldsProps {
  readonly asks: AskedFilter | undefined;
  readonly set: (name: AskedName, value: string) => void;
}

/** Narrows to drills whose movement asks for at most, or at least, so much of a range. */
export function AskedFields({ asks, set }: AskedFieldsProps) {
  return (
    <fieldset className="flex flex-wrap items-end gap-x-2 gap-y-1 max-sm:w-full">
      <legend className="text-sm font-semibold">Movement asks for</legend>
      <select
        className="select select-sm w-56 max-sm:w-full"
        aria-label="Range"
        value={asks?.range ?? ''}
        onChange={(e) => set('range', e.target.value)}
      >
        <option value="">any range</option>
        {/* Straight is all that is asked of an elbow. */}
        {RANGES.filter((r) => r !== 'elbow extension').map((range) => (
          <option key={range} value={range}>
            {capital(range)}
          </option>
        ))}
      </select>
      {asks && (
        <>
          <select className="select select-sm w-28" aria-label="Bound" value={asks.bound} onChange={(e) => set('bound', e.target.value)}>
            <option value="most">at most</option>
            <option value="least">at least</option>
          </select>
          <label className="flex items-center gap-1">
            <input
              className="input input-sm w-20"
              type="number"
              aria-label="Degrees"
              {...ASKED_LIMITS}
              value={asks.degrees}
              onChange={(e) => set('degrees', e.target.value)}
            />
            °
          </label>
        </>
      )}
    </fieldset>
  );
}
