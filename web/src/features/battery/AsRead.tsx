import { widthsFrom } from '@myokinet/core/checking';
import { handLoadFromScale, type ScalePlace } from '@myokinet/core/instruments';
import type { Measure } from '@myokinet/core/measuring';
import { useState } from 'react';

export interface AsReadProps {
  readonly measure: Measure;
  /** Body mass, kilograms. */
  readonly mass: number;
  /** The figure in the check’s unit. */
  readonly write: (text: string) => void;
}

/** Kilograms and centimetres typed as they are read; the share or the ratio is worked out. Nothing where a figure is read as it counts. */
export function AsRead(props: AsReadProps) {
  if (props.measure.unit === 'percentBodyWeight') return <OnScale {...props} />;
  return props.measure.unit === 'ratio' ? <OnStrap {...props} /> : null;
}

const figure = (text: string) => {
  const value = Number(text.replace(',', '.'));
  return text.trim() !== '' && Number.isFinite(value) && value >= 0 ? value : undefined;
};
const stepped = (value: number, { limits }: Measure) => String(Number((Math.round(value / limits.step) * limits.step).toFixed(3)));

function OnScale({ measure, mass, write }: AsReadProps) {
  const [place, setPlace] = useState<ScalePlace>('under the hands');
  const [kg, setKg] = useState('');
  const tell = (text: string, at: ScalePlace) => {
    const value = figure(text);
    if (value !== undefined) write(stepped(handLoadFromScale(value, mass, at), measure));
  };
  return (
    <fieldset className="mt-2 flex flex-wrap items-end gap-x-3 gap-y-1 text-sm">
      <legend className="aside float-start w-full">Or as the scale shows it, of {mass} kg body weight</legend>
      <span className="input flex h-11 w-28 items-center">
        <input
          aria-label="Kilograms on the scale"
          inputMode="decimal"
          value={kg}
          onChange={(e) => {
            setKg(e.target.value);
            tell(e.target.value, place);
          }}
        />
        kg
      </span>
      <select
        className="select h-11 w-40"
        aria-label="Where the scale lies"
        value={place}
        onChange={(e) => {
          const at = e.target.value as ScalePlace;
          setPlace(at);
          tell(kg, at);
        }}
      >
        <option>under the hands</option>
        <option>under the feet</option>
      </select>
    </fieldset>
  );
}

function OnStrap({ measure, write }: AsReadProps) {
  const [apart, setApart] = useState('');
  const [width, setWidth] = useState('');
  const tell = (one: string, other: string) => {
    const [a, b] = [figure(one), figure(other)];
    if (a !== undefined && b) write(stepped(widthsFrom(a, b), measure));
  };
  const field = (label: string, value: string, change: (text: string) => void) => (
    <label>
      {label}
      <span className="input flex h-11 w-32 items-center">
        <input aria-label={`${label}, centimetres`} inputMode="decimal" value={value} onChange={(e) => change(e.target.value)} />
        cm
      </span>
    </label>
  );
  return (
    <fieldset className="mt-2 flex flex-wrap items-end gap-x-3 gap-y-1 text-sm">
      <legend className="aside float-start w-full">Or as the tape shows it</legend>
      {field('Hands apart', apart, (text) => {
        setApart(text);
        tell(text, width);
      })}
      {field('Shoulder width', width, (text) => {
        setWidth(text);
        tell(apart, text);
      })}
    </fieldset>
  );
}
