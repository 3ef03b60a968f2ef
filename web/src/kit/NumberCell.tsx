import { useState } from 'react';

interface NumberCellProps {
  readonly label: string;
  readonly value: number;
  readonly least?: number;
  readonly most: number;
  readonly locked?: boolean;
  readonly set: (value: number) => void;
}

/** A small whole number; what is no such number stays in the field, marked, and changes nothing. */
export function NumberCell({ label, value, least = 1, most, locked = false, set }: NumberCellProps) {
  const [typed, setTyped] = useState<string | undefined>();
  const text = typed ?? String(value);
  const read = (t: string) => (/^\d+$/.test(t) && Number(t) >= least && Number(t) <= most ? Number(t) : undefined);
  const wrong = read(text) === undefined;
  return (
    <input
      className={`input input-xs w-10 px-1 text-center ${wrong ? 'input-error' : ''}`}
      inputMode="numeric"
      aria-label={label}
      aria-invalid={wrong}
      title={wrong ? `A whole number from ${least} to ${most}` : undefined}
      disabled={locked}
      value={text}
      onChange={(e) => {
        setTyped(e.target.value);
        const next = read(e.target.value);
        if (next !== undefined && next !== value) set(next);
      }}
      onBlur={() => setTyped(undefined)}
    />
  );
}
