import { type ReactNode, useId } from 'react';
import type { FieldError, Merge, UseFormRegisterReturn } from 'react-hook-form';

type AnyError = FieldError | Merge<FieldError, (FieldError | undefined)[]> | undefined;

interface ControlProps {
  readonly id: string;
  readonly 'aria-invalid'?: boolean;
  readonly 'aria-describedby'?: string;
}

/** A labelled control with its unit and, when something is wrong, the sentence right under it. */
export function Field({
  label,
  unit,
  error,
  wide,
  children,
}: {
  readonly label: string;
  readonly unit?: string;
  readonly error?: AnyError;
  readonly wide?: boolean;
  readonly children: (props: ControlProps) => ReactNode;
}) {
  const id = useId();
  return (
    <div className={`min-w-0 ${wide ? 'sm:col-span-2' : ''}`}>
      <label htmlFor={id} className="mb-1 block font-semibold">
        {label} {unit && <span className="aside font-normal">({unit})</span>}
      </label>
      {children({ id, ...(error ? { 'aria-invalid': true, 'aria-describedby': `${id}-error` } : {}) })}
      {error && (
        <p id={`${id}-error`} role="alert" className="mt-1 text-sm text-error">
          {error.message}
        </p>
      )}
    </div>
  );
}

/** Several of many, as ticks. */
export function Ticks({
  legend,
  options,
  error,
  register,
}: {
  readonly legend: string;
  readonly options: readonly { readonly value: string; readonly label: string; readonly full?: string }[];
  readonly error?: AnyError;
  readonly register: () => UseFormRegisterReturn;
}) {
  return (
    <fieldset className="sm:col-span-2">
      <legend className="mb-1 font-semibold">{legend}</legend>
      <div className="flex flex-wrap gap-x-4 gap-y-1.5">
        {options.map(({ value, label, full }) => (
          <label key={value} className="flex cursor-pointer items-center gap-1.5">
            <input
              type="checkbox"
              className="checkbox checkbox-sm"
              value={value}
              {...register()}
              {...(full ? { 'aria-label': full } : {})}
            />
            {label}
          </label>
        ))}
      </div>
      {error && (
        <p role="alert" className="mt-1 text-sm text-error">
          {error.message}
        </p>
      )}
    </fieldset>
  );
}
