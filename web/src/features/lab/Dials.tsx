import type { BandReply } from '@myokinet/core/contracts';
import { choiceOf, type Dial, dialInWords, dialOf, modelOf, type SetUp, STATIC_POSITIONS } from '@myokinet/core/statics';
import { useId } from 'react';
import { SelectField } from '../../kit/EntryFields.tsx';
import { asOptions } from '../library/index.ts';
import { clampTo } from './handles.ts';

export interface DialsProps {
  readonly setUp: SetUp;
  readonly change: (setUp: SetUp) => void;
  readonly bands: readonly BandReply[];
}

/** The position and everything about it that can be set. */
export function Dials({ setUp, change, bands }: DialsProps) {
  const { dials, choices } = modelOf(setUp.position);
  const banded = 'bandShare' in dials;
  const set = (key: string, value: unknown) => change({ ...setUp, [key]: value } as SetUp);
  return (
    <div className="grid gap-x-5 gap-y-2 sm:grid-cols-2">
      <SelectField
        label="Position"
        className="sm:col-span-2"
        value={setUp.position}
        options={STATIC_POSITIONS.map((p) => ({ value: p, label: modelOf(p).name }))}
        change={(position) => change({ position } as SetUp)}
      />
      {banded && (
        <SelectField
          label="Band"
          value={setUp.band?.name ?? ''}
          options={[{ value: '', label: 'a share of body weight' }, ...bands.map((b) => ({ value: b.name, label: b.name }))]}
          change={(name) => set('band', bands.find((b) => b.name === name)?.curve)}
        />
      )}
      {Object.entries(dials)
        .filter(([key]) => !(key === 'bandShare' && setUp.band) && !(key === 'wedgeDeg' && choiceOf(setUp, 'hands') !== 'flat'))
        .map(([key, dial]) => (
          <DialField key={key} dial={dial} value={dialOf(setUp, key)} change={(value) => set(key, value)} />
        ))}
      {Object.entries(choices).map(([key, choice]) => (
        <SelectField
          key={key}
          label={choice.label}
          value={choiceOf(setUp, key)}
          options={asOptions(choice.options)}
          change={(value) => set(key, value)}
        />
      ))}
    </div>
  );
}

/** Metres are typed in centimetres, shares in percent. */
const FACTOR = { m: 100, share: 100, deg: 1, kg: 1 } as const;
const UNIT = { m: 'cm', share: '%', deg: '°', kg: 'kg' } as const;

function DialField({ dial, value, change }: { readonly dial: Dial; readonly value: number; readonly change: (value: number) => void }) {
  const id = useId();
  const factor = FACTOR[dial.unit];
  const shown = (v: number) => Math.round(v * factor * 100) / 100;
  return (
    <div>
      <label htmlFor={id} className="block text-sm font-semibold">
        {dial.label} <span className="aside font-normal">({UNIT[dial.unit]})</span>
      </label>
      <div className="mt-0.5 flex items-center gap-2">
        <input
          id={id}
          className="input input-sm w-20"
          type="number"
          inputMode="decimal"
          step={shown(dial.step)}
          min={shown(dial.min)}
          max={shown(dial.max)}
          value={shown(value)}
          onChange={(e) => {
            const typed = Number(e.target.value);
            if (e.target.value !== '' && Number.isFinite(typed)) change(Math.round((typed / factor) * 1e6) / 1e6);
          }}
        />
        <input
          className="range range-xs flex-1"
          type="range"
          aria-label={`${dial.label}, slider`}
          aria-valuetext={dialInWords(dial, value)}
          min={dial.min}
          max={dial.max}
          step={dial.step}
          value={value}
          onChange={(e) => change(clampTo(Number(e.target.value), dial))}
        />
      </div>
    </div>
  );
}
