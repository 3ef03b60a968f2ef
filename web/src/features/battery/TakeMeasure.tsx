import type { TraineeReply } from '@myokinet/core/contracts';
import type { Measure, OwnError } from '@myokinet/core/measuring';
import { formatAmount, type Instant } from '@myokinet/core/quantities';
import { templateFor } from '@myokinet/core/landmarks';
import { instrumentFor } from '@myokinet/core/instruments';
import type { Demand } from '@myokinet/core/ladders';
import { enoughFor } from '@myokinet/core/readiness';
import { Suspense, useEffect, useEffectEvent, useRef, useState } from 'react';
import { firstEmpty, readCell, stepsOf, substitutesFor, type TrialStep } from '@myokinet/core/checking';
import { traineeBody } from '@myokinet/core/statics';
import { type CheckDesk, ProtocolLines, whatCounts } from '../checks/index.ts';
import { InstrumentPanel } from '../instruments/index.ts';
import { canBeFilmed, ClipPanel } from '../clips/index.ts';
import { PicturePanel } from '../pictures/index.ts';
import { Waiting } from '../../kit/Waiting.tsx';
import { AsRead } from './AsRead.tsx';
import { Keypad } from './Keypad.tsx';
import { SkipForm } from './SkipForm.tsx';
import { SubstitutePanel } from './SubstitutePanel.tsx';
import { TrialStrip } from './TrialStrip.tsx';
import { useRest } from './useRest.ts';
import { useStopwatch } from './useStopwatch.ts';

export interface TakeMeasureProps {
  readonly measure: Measure;
  readonly trainee: TraineeReply;
  readonly desk: CheckDesk;
  readonly now: Instant;
  readonly ownError: OwnError | undefined;
  /** What the next gate asks. */
  readonly demands: readonly Demand[];
  /** Whether the trainee changes position for it. */
  readonly changes: boolean;
  readonly unit: string;
  readonly back: (() => void) | undefined;
  readonly next: () => void;
}

const FIRST: TrialStep = { key: '', side: 'whole', ordinal: 0 };

type Aid = 'instrument' | 'picture' | 'clip' | 'substitute' | 'skip';

/** One check of the battery: how it is taken, its trials, and a large entry for the one in hand. */
export function TakeMeasure({ measure, trainee, desk, now, ownError, demands, changes, unit, back, next }: TakeMeasureProps) {
  const steps = stepsOf(measure);
  const [current, setCurrent] = useState(() => firstEmpty(measure, desk.value));
  const [aid, setAid] = useState<Aid | undefined>(desk.value.skips[measure.id] ? 'skip' : undefined);
  const entry = useRef<HTMLInputElement>(null);
  const watch = useStopwatch();
  const step = steps[current] ?? FIRST;
  const rest = useRest(measure, step, (key) => desk.value.cells[key]?.text ?? '');
  const text = desk.value.cells[step.key]?.text ?? '';
  const { problem } = readCell(measure, text);
  const read = instrumentFor(measure);
  const timed = read?.kind === 'timer';
  const substituted = substitutesFor(measure).length > 0;
  const asked = demands.find((d) => d.measureId === measure.id && d.side === step.side);
  const enough = timed && asked ? enoughFor(asked, measure, ownError) : undefined;
  /** Left out: nothing is entered or started until that is taken back. */
  const skipped = desk.value.skips[measure.id];

  // The entry keeps the focus, so that digits and Enter always find it; the open aid has its own fields.
  useEffect(() => {
    if (aid !== undefined) return;
    entry.current?.focus();
    entry.current?.select();
  }, [step.key, aid]);

  const write = (value: string) => desk.setCell(step.key, { text: value });
  const forward = () => (current + 1 < steps.length ? setCurrent(current + 1) : next());
  const backward = () => (current > 0 ? setCurrent(current - 1) : back?.());
  const stopWatch = () => {
    const rounded = Math.round(watch.stop() / measure.limits.step) * measure.limits.step;
    desk.setCell(step.key, {
      text: String(rounded),
      reading: { kind: 'instrument', instrument: watch.name, simulated: false },
    });
  };
  /** While a picture or an instrument is open, its own button takes the figure: nothing passes over it. */
  const reading = aid === undefined || aid === 'skip' ? undefined : aid;
  /** These need the whole page. */
  const wide = aid === 'picture' || aid === 'clip' || aid === 'substitute';
  /** What the one large button, Enter and the pedal do. */
  const primary = () => {
    if (reading) return;
    if (timed && watch.running) stopWatch();
    else if (skipped) next();
    else if (timed && text === '') watch.start();
    else if (!problem) forward();
  };
  // Heard wherever the focus is, so that a pedal works after a tap; what is typed into another field is that field's.
  const onKeyDown = useEffectEvent((event: KeyboardEvent) => {
    const target = event.target instanceof Element ? event.target : document.body;
    const elsewhere = target !== entry.current && target.matches('input, select, textarea');
    const pressed = target.matches('button, a, summary') && ['Enter', ' '].includes(event.key);
    if (elsewhere || pressed || target.closest('[role=slider]') || event.ctrlKey || event.metaKey || event.altKey) return;
    if (event.key === 'PageUp' || (event.key === 'Enter' && event.shiftKey)) backward();
    else if (event.key === 'PageDown' || event.key === 'Enter') primary();
    else if (timed && event.key === ' ') primary();
    else if (!skipped && measure.choices && /^[1-9]$/.test(event.key) && Number(event.key) <= measure.choices.length) {
      write(String(Number(event.key) - 1));
      forward();
    } else return;
    event.preventDefault();
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => onKeyDown(event);
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
  const takeReading = (value: number, reading: NonNullable<(typeof desk.value.cells)[string]['reading']>) => {
    desk.setCell(step.key, { text: String(value), reading });
    if (current + 1 < steps.length) setCurrent(current + 1);
  };
  /** The next trial wants a picture or clip of its own; what the last one gave is seen among the others. */
  const takeAndLeave: typeof takeReading = (value, read) => {
    takeReading(value, read);
    if (current + 1 === steps.length) setAid(undefined);
  };
  const label = `${measure.name}${step.side === 'whole' ? '' : `, ${step.side}`}, trial ${step.ordinal + 1}`;
  const toggle = (which: Aid) => setAid(aid === which ? undefined : which);
  return (
    <div className="mt-2 flex flex-1 flex-col">
      {changes && <p className="state-mark text-sm font-semibold">Change of position: {measure.position}</p>}
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h1>{measure.name}</h1>
        <span className="aside text-sm">
          {measure.position} · {unit}
        </span>
      </div>
      <div className={`mt-1 grid flex-1 content-start gap-x-8 gap-y-2 ${wide ? '' : 'lg:grid-cols-[20rem_1fr]'}`}>
        <div className={`text-sm lg:text-base ${wide ? 'hidden' : ''}`}>
          <ProtocolLines measure={measure} size={96} />
          <p className="aside mt-1 text-sm max-lg:hidden">
            {whatCounts(measure)} Sharp pain, a pinch, numbness or tingling: stop, and skip with “pain”.
          </p>
        </div>
        <div className="flex flex-col gap-2">
          <div className={aid === 'picture' ? 'max-lg:hidden' : ''}>
            <TrialStrip measure={measure} draft={desk.value} ownError={ownError} now={now} current={current} go={setCurrent} />
          </div>
          {rest.left > 0 && !skipped && (
            <p role="timer" aria-live="off" className="state-mark flex items-center gap-3">
              <span>
                Rest{step.side === 'whole' ? '' : `, ${step.side}`}: <strong className="tabular-nums">{restInWords(rest.left)}</strong>{' '}
                before the next trial.
              </span>
              <button type="button" className="btn btn-sm" onClick={rest.over}>
                Rested enough
              </button>
            </p>
          )}
          {aid === 'skip' && (
            <div>
              <SkipForm
                name={measure.name}
                traineeId={trainee.id}
                reason={skipped}
                choose={(reason) => {
                  // Without its instrument a check may have a substitute: that is offered before it is left out.
                  if (reason === 'no equipment' && substituted) {
                    desk.setSkip(measure.id, undefined);
                    setAid('substitute');
                    return;
                  }
                  desk.setSkip(measure.id, reason);
                  if (reason && reason !== 'pain') next();
                }}
              />
            </div>
          )}
          {aid === 'instrument' && (
            <div>
              <Suspense fallback={<Waiting />}>
                <InstrumentPanel measure={measure} trainee={trainee} label={label} take={takeReading} />
              </Suspense>
            </div>
          )}
          {aid === 'substitute' && (
            <SubstitutePanel
              {...{ measure, label }}
              body={traineeBody(trainee)}
              take={takeAndLeave}
              leave={() => setAid(undefined)}
              leaveOut={() => {
                desk.setSkip(measure.id, 'no equipment');
                setAid(undefined);
                next();
              }}
            />
          )}
          {aid === 'clip' && (
            <Suspense fallback={<Waiting />}>
              <ClipPanel {...{ measure, label }} side={step.side} take={takeAndLeave} leave={() => setAid(undefined)} />
            </Suspense>
          )}
          {aid === 'picture' && (
            <div>
              <Suspense fallback={<Waiting />}>
                <PicturePanel {...{ measure, trainee, label }} side={step.side} take={takeAndLeave} leave={() => setAid(undefined)} />
              </Suspense>
            </div>
          )}
          {(aid === undefined || aid === 'skip') &&
            !skipped &&
            (measure.choices ? (
              <div className="grid gap-2" role="group" aria-label={label}>
                {measure.choices.map((choice, i) => (
                  <button
                    key={choice}
                    type="button"
                    className={`btn btn-lg h-14 justify-start ${text === String(i) ? 'btn-neutral' : ''}`}
                    aria-pressed={text === String(i)}
                    onClick={() => {
                      write(String(i));
                      forward();
                    }}
                  >
                    <kbd className="kbd kbd-sm">{i + 1}</kbd> {choice}
                  </button>
                ))}
              </div>
            ) : (
              <div className="mx-auto w-full max-w-md lg:mx-0">
                <label className="block text-sm">
                  {label}
                  <span className={`input input-lg mt-0.5 flex h-15 w-full items-center ${problem ? 'input-error' : ''}`}>
                    <input
                      ref={entry}
                      className="grow text-3xl"
                      inputMode="none"
                      autoComplete="off"
                      aria-invalid={problem !== undefined}
                      value={watch.running ? watch.seconds.toFixed(1) : text}
                      readOnly={watch.running}
                      onChange={(e) => write(e.target.value)}
                    />
                    <span className="aside">{unit}</span>
                  </span>
                </label>
                {enough !== undefined && asked && (
                  <p role="status" className="text-sm">
                    {watch.running && watch.seconds >= enough ? (
                      <span className="state-mark font-semibold">Enough for the next gate: it may end here.</span>
                    ) : (
                      `The next gate asks ${formatAmount(asked.value, asked.unit)}: from ${enough} s on it is enough, with the error. End it there, or at the first fault.`
                    )}
                  </p>
                )}
                {problem && (
                  <p role="alert" className="text-sm text-error">
                    {problem}
                  </p>
                )}
                <div className="mt-2">
                  <Keypad
                    signed={measure.limits.min < 0}
                    type={(c) => write(selected(entry.current) ? c : text + c)}
                    erase={() => write(selected(entry.current) ? '' : text.slice(0, -1))}
                  />
                </div>
                <AsRead key={step.key} {...{ measure, write }} mass={trainee.mass} />
              </div>
            ))}
        </div>
      </div>
      <div
        className={`sticky bottom-0 -mx-3 mt-2 flex-wrap gap-1.5 border-t border-base-300 bg-base-100 px-3 py-2 sm:gap-2 ${wide ? 'hidden' : 'flex'}`}
      >
        <button type="button" className="btn h-11 px-3 sm:h-13" onClick={backward} disabled={current === 0 && !back}>
          Back
        </button>
        <button type="button" className="btn h-11 px-3 sm:h-13" aria-expanded={aid === 'skip'} onClick={() => toggle('skip')}>
          Skip
        </button>
        {read && (
          <button type="button" className="btn h-11 px-3 sm:h-13" aria-expanded={aid === 'instrument'} onClick={() => toggle('instrument')}>
            Instrument
          </button>
        )}
        {substituted && (
          <button type="button" className="btn h-11 px-3 sm:h-13" aria-expanded={aid === 'substitute'} onClick={() => toggle('substitute')}>
            {measure.device === 'squeeze' ? 'No dynamometer' : 'No scale'}
          </button>
        )}
        {canBeFilmed(measure) && (
          <button type="button" className="btn h-11 px-3 sm:h-13" aria-expanded={aid === 'clip'} onClick={() => toggle('clip')}>
            Clip
          </button>
        )}
        {templateFor(measure) && (
          <button type="button" className="btn h-11 px-3 sm:h-13" aria-expanded={aid === 'picture'} onClick={() => toggle('picture')}>
            Picture
          </button>
        )}
        <button
          type="button"
          className={`btn h-13 min-w-40 text-lg ${reading ? '' : 'btn-primary flex-1'}`}
          disabled={problem !== undefined && !skipped}
          onClick={reading ? () => setAid(undefined) : primary}
        >
          {reading
            ? `Close the ${reading}`
            : timed && watch.running
              ? 'Stop'
              : skipped
                ? 'Next check'
                : timed && text === ''
                  ? 'Start'
                  : current + 1 < steps.length
                    ? 'Next trial'
                    : 'Next check'}
        </button>
      </div>
    </div>
  );
}

/** `1:05`; below a minute `45 s`. */
function restInWords(seconds: number): string {
  return seconds < 60 ? `${seconds} s` : `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

/** Whether the whole entry is marked, so that the next digit takes its place. */
function selected(input: HTMLInputElement | null): boolean {
  return input !== null && input.value !== '' && input.selectionStart === 0 && input.selectionEnd === input.value.length;
}
