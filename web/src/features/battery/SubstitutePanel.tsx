import { HELD_SECONDS, type Substitute, substituteBand, substituteFigure, substitutesFor } from '@myokinet/core/checking';
import { Refusal } from '@myokinet/core/errors';
import { formatReadingWithBand } from '@myokinet/core/measuring';
import { dialInWords, dialOf, handLoad, type KnownBody, modelOf, type SetUp, setUpInWords } from '@myokinet/core/statics';
import { useState } from 'react';
import { stood } from '../../kit/figure.ts';
import { SetUpFigure } from '../../kit/SetUpFigure.tsx';
import type { TakeReading } from '../instruments/index.ts';
import { useStopwatch } from './useStopwatch.ts';

interface SubstitutePanelProps extends TakeReading {
  readonly body: KnownBody;
  /** Back to typing the figure. */
  readonly leave: () => void;
  /** Leaves the check out after all. */
  readonly leaveOut: () => void;
}

/** Without a scale or a dynamometer: a set-up whose load is known, held for ten quiet seconds. */
export function SubstitutePanel({ measure, body, label, take, leave, leaveOut }: SubstitutePanelProps) {
  const choices = substitutesFor(measure);
  const [chosen, setChosen] = useState(0);
  const [turned, setTurned] = useState<Readonly<Record<number, SetUp>>>({});
  const watch = useStopwatch();
  const [held, setHeld] = useState<number | undefined>();
  const substitute = choices[chosen];
  if (!substitute) return null;
  const setUp = turned[chosen] ?? substitute.setUp;
  const figure = figureOf(measure, body, setUp);
  const seconds = watch.running ? watch.seconds : (held ?? 0);
  const enough = seconds >= HELD_SECONDS;
  return (
    <section aria-label={`${label}, without the instrument`} className="sheet grid gap-3 p-3">
      <h2 className="text-lg">{label}, without the instrument</h2>
      <p className="text-sm">
        Hold one of these for {HELD_SECONDS} quiet seconds: no pain, no shrug, nothing slips. What it puts on the hands follows from the
        set-up; it counts with its own, wider band, and no more than was held is claimed.
      </p>
      <div className="flex flex-wrap gap-2" role="group" aria-label="Set-up">
        {choices.map((c, i) => (
          <button
            key={nameOf(c)}
            type="button"
            className={`btn h-auto min-h-11 max-w-full whitespace-normal text-start ${i === chosen ? 'btn-neutral' : ''}`}
            aria-pressed={i === chosen}
            onClick={() => setChosen(i)}
          >
            {nameOf(c)}
          </button>
        ))}
      </div>
      <DialSlider
        key={chosen}
        dial={substitute.dial}
        setUp={setUp}
        change={(next) => {
          setTurned({ ...turned, [chosen]: next });
          setHeld(undefined);
        }}
      />
      {'problem' in figure ? (
        <p role="alert" className="text-error">
          {figure.problem}
        </p>
      ) : (
        <div className="flex items-center gap-4">
          <SetUpFigure figure={stood(figure.stance)} size={110} />
          <p>
            {capital(setUpInWords(setUp))}: shows <strong>{formatReadingWithBand(measure, figure.value, substituteBand(figure))}</strong>
            {setUp.position === 'carry' ? '. A litre of water is a kilogram: count the can and the bag.' : '.'}
          </p>
        </div>
      )}
      <div className="flex flex-wrap items-center gap-3">
        <button
          type="button"
          className="btn h-13 min-w-36"
          onClick={() => {
            if (watch.running) setHeld(watch.stop());
            else {
              setHeld(undefined);
              watch.start();
            }
          }}
        >
          {watch.running ? 'Let go' : 'Start the hold'}
        </button>
        <span className="text-3xl tabular-nums" role="timer">
          {seconds.toFixed(1)} s
        </span>
        {watch.running && enough && <span className="state-mark font-semibold">Long enough: it may end here.</span>}
      </div>
      <div className="flex flex-wrap gap-2">
        <button
          type="button"
          className="btn btn-primary h-13"
          disabled={'problem' in figure || watch.running || !enough}
          onClick={() => {
            if ('problem' in figure) return;
            take(figure.value, {
              kind: 'set-up',
              instrument: 'Known set-up held',
              simulated: false,
              standardError: figure.standardError,
              setUp,
              heldSeconds: Math.floor(seconds * 10) / 10,
            });
            setHeld(undefined);
          }}
        >
          {'problem' in figure ? 'Use it' : `Use ${formatReadingWithBand(measure, figure.value, substituteBand(figure))}`}
        </button>
        <button type="button" className="btn h-13" onClick={leave}>
          Type it instead
        </button>
        <button type="button" className="btn h-13" onClick={leaveOut}>
          Skip this check
        </button>
      </div>
      {held !== undefined && !enough && (
        <p role="status">
          {held.toFixed(1)} s show nothing: {HELD_SECONDS} are needed. Take an easier set-up, or rest and try again.
        </p>
      )}
    </section>
  );
}

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1);

function nameOf({ setUp, dial }: Substitute): string {
  const { name, dials } = modelOf(setUp.position);
  return `${name}${dial === 'heelsAheadM' ? `, ${(dials[dial]?.label ?? '').toLowerCase().replace(/ of the bar$/, '')}` : ''}`;
}

function figureOf(measure: TakeReading['measure'], body: KnownBody, setUp: SetUp) {
  try {
    return { ...substituteFigure(measure, body, setUp), stance: handLoad(body, setUp).stance };
  } catch (error) {
    if (error instanceof Refusal) return { problem: error.detail };
    throw error;
  }
}

function DialSlider({ dial, setUp, change }: { readonly dial: string; readonly setUp: SetUp; readonly change: (setUp: SetUp) => void }) {
  const model = modelOf(setUp.position).dials[dial];
  if (!model) return null;
  const value = dialOf(setUp, dial);
  return (
    <label className="block text-sm">
      {model.label}: <strong>{dialInWords(model, value)}</strong>
      <input
        type="range"
        className="range mt-1 w-full"
        min={model.min}
        max={model.max}
        step={model.step}
        value={value}
        onChange={(e) => change({ ...setUp, [dial]: Number(e.target.value) } as SetUp)}
      />
    </label>
  );
}
