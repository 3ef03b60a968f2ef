import { type ReactNode, useId } from 'react';

/** A choice of a list. */
export interface Option {
  readonly value: string;
  readonly label: string;
}

interface Labelled {
  readonly label: string;
  readonly unit?: string | undefined;
  readonly problem?: string | undefined;
  readonly className?: string | undefined;
}

/** A label above its control, and the sentence under it when something is wrong. */
function Labelled({
  label,
  unit,
  problem,
  className,
  children,
}: Labelled & { readonly children: (props: Readonly<Record<string, unknown>> & { readonly id: string }) => ReactNode }) {
  const id = useId();
  return (
    <div className={className}>
      <label htmlFor={id} className="block text-sm font-semibold">
        {label} {unit && <span className="aside font-normal">({unit})</span>}
      </label>
      {children({ id, ...(problem ? { 'aria-invalid': true, 'aria-describedby': `${id}-problem` } : {}) })}
      {problem && (
        <p id={`${id}-problem`} role="alert" className="text-sm text-error">
          {problem}
        </p>
      )}
    </div>
  );
}

export function TextField({
  value,
  change,
  long,
  autoFocus,
  ...rest
}: Labelled & {
  readonly value: string;
  readonly change: (value: string) => void;
  readonly long?: boolean;
  readonly autoFocus?: boolean;
}) {
  return (
    <Labelled {...rest}>
      {(props) =>
        long ? (
          <textarea className="textarea mt-0.5 min-h-0 w-full" rows={2} value={value} onChange={(e) => change(e.target.value)} {...props} />
        ) : (
          <input
            className="input input-sm mt-0.5 w-full"
            autoComplete="off"
            autoFocus={autoFocus}
            value={value}
            onChange={(e) => change(e.target.value)}
            {...props}
          />
        )
      }
    </Labelled>
  );
}

/** A number; what is no number stays out, and the contract says so when it is saved. */
export function NumberField({
  value,
  change,
  step,
  ...rest
}: Labelled & { readonly value: number | undefined; readonly change: (value: number) => void; readonly step?: number | undefined }) {
  return (
    <Labelled {...rest}>
      {(props) => (
        <input
          className="input input-sm mt-0.5 w-full"
          type="number"
          inputMode="decimal"
          step={step ?? 1}
          value={value === undefined || value === null || Number.isNaN(value) ? '' : value}
          onChange={(e) => change(e.target.value === '' ? Number.NaN : Number(e.target.value))}
          {...props}
        />
      )}
    </Labelled>
  );
}

export function SelectField({
  value,
  change,
  options,
  ...rest
}: Labelled & { readonly value: string; readonly change: (value: string) => void; readonly options: readonly Option[] }) {
  return (
    <Labelled {...rest}>
      {(props) => (
        <select className="select select-sm mt-0.5 w-full" value={value} onChange={(e) => change(e.target.value)} {...props}>
          {options.map((o) => (
            <option key={o.value} value={o.value}>
              {o.label}
            </option>
          ))}
        </select>
      )}
    </Labelled>
  );
}

/** Several of many. */
export function TicksField<T extends string>({
  legend,
  values,
  options,
  change,
}: {
  readonly legend: string;
  readonly values: readonly T[];
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly change: (values: T[]) => void;
}) {
  return (
    <fieldset>
      <legend className="text-sm font-semibold">{legend}</legend>
      <div className="mt-0.5 flex flex-wrap gap-x-4 gap-y-1">
        {options.map(({ value, label }) => (
          <label key={value} className="flex cursor-pointer items-center gap-1.5 text-sm">
            <input
              type="checkbox"
              className="checkbox checkbox-xs"
              checked={values.includes(value)}
              onChange={(e) => change(e.target.checked ? [...values, value] : values.filter((v) => v !== value))}
            />
            {label}
          </label>
        ))}
      </div>
    </fieldset>
  );
}
