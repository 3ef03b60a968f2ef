import { useState } from 'react';

interface SmallNumberProps {
  readonly label: string;
  readonly value: number | undefined;
  readonly limits: { readonly min: number; readonly max: number; readonly step: number };
  readonly locked: boolean;
  readonly set: (value: number | undefined) => void;
}

/** A small number with a step; empty is none, and what is no such number stays in the field, marked, and changes nothing. */
export function SmallNumber({ label, value, limits: { min, max, step }, locked, set }: SmallNumberProps) {
  const [typed, setTyped] = useState<string | undefined>();
  const text = typed ?? (value === undefined ? '' : String(value));
  const read = (t: string) => {
    const number = Number(t.replace(',', '.'));
    return t.trim() !== '' && number >= min && number <= max && Number.isInteger(number / step) ? number : undefined;
  };
  const wrong = text.trim() !== '' && read(text) === undefined;
  return (
    <input
      className={`input input-xs w-12 px-1 text-center ${wrong ? 'input-error' : ''}`}
      inputMode="decimal"
      aria-label={label}
      aria-invalid={wrong}
      title={wrong ? `From ${min} to ${max}, in steps of ${step}` : undefined}
      disabled={locked}
      value={text}
      onChange={(e) => {
        setTyped(e.target.value);
        const next = read(e.target.value);
        if ((next !== undefined || e.target.value.trim() === '') && next !== value) set(next);
      }}
      onBlur={() => setTyped(undefined)}
    />
  );
}
