import { canShow } from '@myokinet/core/instruments';
import {
  type ChosenTrace,
  guessTraceChoice,
  TIME_UNITS,
  type TimeUnit,
  type TraceChoice,
  traceFrom,
  type TraceTable,
  unitTold,
  VALUE_UNITS,
  type ValueUnit,
} from '@myokinet/core/interchange';
import type { Measure } from '@myokinet/core/measuring';
import { QUANTITY_WORDS } from '@myokinet/core/words';
import { type ReactNode, useMemo, useState } from 'react';

const TIME_WORDS: Readonly<Record<TimeUnit, string>> = {
  s: 'seconds, or date and time',
  ms: 'milliseconds',
  us: 'microseconds',
  min: 'minutes',
  samples: 'counted samples',
};
const UNIT_WORDS: Readonly<Record<ValueUnit, string>> = {
  deg: 'angle, degrees',
  rad: 'angle, radians',
  'deg/s': 'turn rate, °/s',
  'rad/s': 'turn rate, rad/s',
  'm/s2': 'acceleration, m/s²',
  g: 'acceleration, g',
  kg: 'load, kg',
  N: 'load, newtons',
  '% of body': 'height, hundredths of the body',
};
const NO_TIME = -1;

export interface TraceChooserProps {
  readonly table: TraceTable;
  readonly name: string;
  readonly measure: Measure;
  readonly read: (chosen: ChosenTrace) => void;
  readonly close: () => void;
}

/** What is what in a trace file: guessed where the file tells it, asked where it does not, with its first lines beside. */
export function TraceChooser({ table, name, measure, read, close }: TraceChooserProps) {
  const [choice, setChoice] = useState<TraceChoice>(() => guessTraceChoice(table));
  const [rate, setRate] = useState('');
  const counted = choice.time === undefined || choice.timeUnit === 'samples';
  const { columns } = table;
  const units = (Object.keys(VALUE_UNITS) as ValueUnit[]).filter((u) => canShow(measure, VALUE_UNITS[u].quantity));
  const told = choice.unit && VALUE_UNITS[choice.unit].quantity;
  const unfit = told !== undefined && !canShow(measure, told);
  const chosen = useMemo(() => chosenFrom(table, { ...choice, rate: Number(rate.replace(',', '.')) || undefined }), [table, choice, rate]);
  return (
    <div className="mt-2">
      <p>
        <span className="font-semibold">{name}</span>: {table.rows} lines, {columns.length} {columns.length === 1 ? 'column' : 'columns'}
        {table.skippedLines > 0 && `, ${table.skippedLines} ${table.skippedLines === 1 ? 'line' : 'lines'} before them stepped over`}.
      </p>
      {table.simulated && (
        <p className="state-mark font-semibold">The file says that a stand-in gave it: it is marked on the record and opens no gate.</p>
      )}
      <div className="mt-2 flex flex-wrap gap-x-4 gap-y-2">
        <Field label="Time is in">
          <select
            className="select w-44"
            value={choice.time ?? NO_TIME}
            onChange={(e) => {
              const time = Number(e.target.value);
              setChoice({ ...choice, time: time === NO_TIME ? undefined : time });
            }}
          >
            {columns.map((c, i) => (
              <option key={i} value={i}>
                {c.name}
              </option>
            ))}
            <option value={NO_TIME}>no column</option>
          </select>
        </Field>
        {choice.time !== undefined && (
          <Field label="counted in">
            <select
              className="select w-52"
              value={choice.timeUnit}
              onChange={(e) => setChoice({ ...choice, timeUnit: e.target.value as TimeUnit })}
            >
              {TIME_UNITS.map((u) => (
                <option key={u} value={u}>
                  {TIME_WORDS[u]}
                </option>
              ))}
            </select>
          </Field>
        )}
        {counted && (
          <Field label="Samples a second">
            <input className="input w-28" inputMode="decimal" value={rate} onChange={(e) => setRate(e.target.value)} />
          </Field>
        )}
        <Field label="The values are in">
          <select
            className="select w-44"
            value={choice.value}
            onChange={(e) => {
              const value = Number(e.target.value);
              const column = columns[value];
              setChoice({ ...choice, value, unit: column && unitTold(column) });
            }}
          >
            {columns.map((c, i) => (
              <option key={i} value={i}>
                {c.name}
              </option>
            ))}
          </select>
        </Field>
        <Field label="and are">
          <select
            className={`select w-52 ${choice.unit ? '' : 'select-warning'}`}
            value={choice.unit && units.includes(choice.unit) ? choice.unit : ''}
            onChange={(e) => setChoice({ ...choice, unit: e.target.value as ValueUnit })}
          >
            <option value="" disabled>
              which unit?
            </option>
            {units.map((u) => (
              <option key={u} value={u}>
                {UNIT_WORDS[u]}
              </option>
            ))}
          </select>
        </Field>
      </div>
      <div className="mt-2 max-w-full overflow-x-auto" tabIndex={0} role="region" aria-label="First lines of the file">
        <table className="plain-table text-sm">
          <thead>
            <tr>
              {columns.map((c, i) => (
                <th key={i} scope="col" className={i === choice.time || i === choice.value ? '' : 'aside'}>
                  {c.name}
                  <span className="block font-normal">{i === choice.time ? 'time' : i === choice.value ? 'values' : 'not read'}</span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {(columns[0]?.shown ?? []).map((_, row) => (
              <tr key={row}>
                {columns.map((c, i) => (
                  <td key={i} className={i === choice.time || i === choice.value ? '' : 'aside'}>
                    {c.shown[row]}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {unfit && (
        <p role="alert" className="mt-2 text-error">
          The column is {QUANTITY_WORDS[told].name}, and {measure.name.toLowerCase()} cannot be read from that. Choose another column.
        </p>
      )}
      {!unfit && 'problem' in chosen && (
        <p role="status" className="mt-2 state-mark">
          {chosen.problem}
        </p>
      )}
      <div className="mt-2 flex gap-2">
        <button
          type="button"
          className="btn btn-primary"
          disabled={unfit || 'problem' in chosen}
          onClick={() => 'samples' in chosen && read(chosen)}
        >
          Read the trace
        </button>
        <button type="button" className="btn" onClick={close}>
          Another file
        </button>
      </div>
    </div>
  );
}

function chosenFrom(table: TraceTable, choice: TraceChoice): ChosenTrace | { readonly problem: string } {
  try {
    return traceFrom(table, choice);
  } catch (error) {
    return { problem: error instanceof Error ? error.message : 'Say what is what in this file.' };
  }
}

function Field({ label, children }: { readonly label: string; readonly children: ReactNode }) {
  return (
    <label className="text-sm">
      {label}
      <span className="block">{children}</span>
    </label>
  );
}
