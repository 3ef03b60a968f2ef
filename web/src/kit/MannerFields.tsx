import { type Band, BANDS, type Drill, KG_LIMITS, type Manner, takes, type Tempo } from '@myokinet/core/drills';
import { useState } from 'react';

interface MannerFieldsProps {
  /** As it is planned or was done, its weight, band and tempo with it. */
  readonly drill: Drill;
  readonly manner: Manner | undefined;
  readonly locked?: boolean;
  /** Nothing where no weight, band or tempo is named any more. */
  readonly set: (manner: Manner | undefined) => void;
}

const PARTS = { out: 'out', hold: 'held', back: 'back' } as const satisfies Record<keyof Tempo, string>;
const MOST_SECONDS = 60;

/** The weight or band that a drill is done with, and its tempo; nothing for a drill that takes none of these. */
export function MannerFields({ drill, manner = {}, locked = false, set }: MannerFieldsProps) {
  const may = takes(drill);
  if (!may.kg && !may.band && !may.tempo) return null;
  const change = (part: { readonly [K in keyof Manner]: Manner[K] | undefined }) => {
    const { kg, band, tempo } = { ...manner, ...part };
    const next = {
      ...(kg === undefined ? {} : { kg }),
      ...(band === undefined ? {} : { band }),
      ...(tempo === undefined ? {} : { tempo }),
    };
    set(Object.keys(next).length > 0 ? next : undefined);
  };
  const { tempo } = drill.dose;
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1 text-sm">
      {may.kg && (
        <label className="flex items-center gap-1">
          with
          <NumberField
            label={`Weight for ${drill.name}, kilograms`}
            value={manner.kg}
            limits={KG_LIMITS}
            locked={locked}
            set={(kg) => change({ kg })}
          />
          kg
        </label>
      )}
      {may.band && (
        <select
          className="select select-xs w-auto"
          aria-label={`Band for ${drill.name}`}
          disabled={locked}
          value={manner.band ?? ''}
          onChange={(e) => change({ band: e.target.value === '' ? undefined : (e.target.value as Band) })}
        >
          <option value="">band not named</option>
          {BANDS.map((band) => (
            <option key={band} value={band}>
              {band} band
            </option>
          ))}
        </select>
      )}
      {may.tempo && tempo && (
        <details className="no-print">
          <summary className="cursor-pointer">
            tempo {tempo.out}–{tempo.hold}–{tempo.back} s{manner.tempo ? ', its own' : ''}
          </summary>
          <span className="flex flex-wrap items-center gap-1">
            {(Object.keys(PARTS) as (keyof Tempo)[]).map((part) => (
              <label key={part} className="flex items-center gap-1">
                {PARTS[part]}
                <NumberField
                  label={`Seconds ${PARTS[part]}, ${drill.name}`}
                  value={tempo[part]}
                  limits={{ min: 0, max: MOST_SECONDS, step: 0.5 }}
                  locked={locked}
                  set={(seconds) => change({ tempo: seconds === undefined ? undefined : { ...tempo, [part]: seconds } })}
                />
              </label>
            ))}
            s
            {manner.tempo && !locked && (
              <button type="button" className="link" onClick={() => change({ tempo: undefined })}>
                the drill’s own
              </button>
            )}
          </span>
        </details>
      )}
    </div>
  );
}

interface NumberFieldProps {
  readonly label: string;
  readonly value: number | undefined;
  readonly limits: { readonly min: number; readonly max: number; readonly step: number };
  readonly locked: boolean;
  readonly set: (value: number | undefined) => void;
}

/** A small number with a step; empty is none, and what is no such number stays in the field, marked, and changes nothing. */
function NumberField({ label, value, limits: { min, max, step }, locked, set }: NumberFieldProps) {
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
