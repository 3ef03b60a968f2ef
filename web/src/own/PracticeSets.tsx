import type { OwnItem } from '@myokinet/core/contracts';
import type { PacePart } from '@myokinet/core/floor';
import { useCallback, useRef, useState } from 'react';
import { CountDown } from './CountDown.tsx';
import { clock, type Running, usePacedSet } from './usePacedSet.ts';
import { AMOUNT_WORDS } from './words.ts';

interface PracticeSetsProps {
  readonly item: OwnItem;
  readonly done: number;
  readonly paused: boolean;
  readonly restUntil: number | undefined;
  readonly rested: () => void;
  readonly add: (amount: number) => void;
  readonly takeBack: () => void;
}

/** Two taps within so long are one. */
const ONE_TAP_MS = 900;

/** What a moment of a paced set is called. */
const MOMENT_WORDS: Readonly<Record<PacePart, string>> = {
  ...{ out: 'out', pulse: 'pulse', hold: 'hold', back: 'back', rest: 'wait', in: 'breathe in', still: 'hold' },
};

/** One tap a set, with what was done of it; a clock paces it for who wants one, and what was tapped by mistake is taken back. */
export function PracticeSets({ item, done, paused, restUntil, rested, add, takeBack }: PracticeSetsProps) {
  const [amount, setAmount] = useState(item.min);
  const [run, setRun] = useState<number>();
  const [ranOut, setRanOut] = useState(false);
  const tapped = useRef(-Infinity);
  const stop = useCallback(() => {
    setRun(undefined);
    setRanOut(true);
  }, []);
  const running = usePacedSet(item, amount, run, paused, stop);
  const unit = AMOUNT_WORDS[item.unit];
  const over = done >= item.sets;
  const step = item.unit === 's' ? 5 : 1;
  const change = (by: number) => setAmount((a) => Math.min(3600, Math.max(1, a + by)));
  const begin = async () => {
    await clock.wake();
    rested();
    setRanOut(false);
    setRun(clock.now());
  };
  return (
    <section aria-label="Sets" className="border-y-2 border-base-content py-3">
      <p role="status" className="text-base">
        {done} of {item.sets} {item.sets === 1 ? 'set' : 'sets'} done{item.perSide ? ', each on both sides' : ''}
        {ranOut && !over && '. The clock ran out: say what you did.'}
      </p>
      {restUntil !== undefined && !over && run === undefined && <CountDown until={restUntil} paused={paused} says="rest" over={rested} />}
      {running && <RunningSet running={running} item={item} paused={paused} />}
      {!over && run !== undefined && (
        <button type="button" className="btn mt-2 min-h-14 w-full text-xl" onClick={stop}>
          Stop the clock
        </button>
      )}
      {!over && run === undefined && (
        <>
          <div className="mt-2 flex items-center gap-3">
            <button
              type="button"
              className="btn btn-square min-h-14 min-w-14 text-2xl"
              aria-label={`Fewer ${unit}`}
              onClick={() => change(-step)}
            >
              −
            </button>
            <span className="min-w-28 text-center leading-tight">
              <span className="text-3xl font-semibold">{told(amount, item.unit)}</span>
              <span className="aside block text-base">
                {item.unit === 's' && amount >= LONG ? 'minutes' : unit}
                {item.perSide ? ' a side' : ''}
              </span>
            </span>
            <button
              type="button"
              className="btn btn-square min-h-14 min-w-14 text-2xl"
              aria-label={`More ${unit}`}
              onClick={() => change(step)}
            >
              +
            </button>
            <button type="button" className="btn min-h-14 flex-1 text-lg" onClick={() => void begin()} aria-label="Run a set by the clock">
              Clock
            </button>
          </div>
          <button
            type="button"
            className="btn btn-primary mt-2 min-h-14 w-full text-xl"
            onClick={() => {
              // A thumb that trembles has done one set.
              if (performance.now() - tapped.current < ONE_TAP_MS) return;
              tapped.current = performance.now();
              setRanOut(false);
              add(amount);
            }}
          >
            Set {done + 1} done
          </button>
        </>
      )}
      {done > 0 && run === undefined && (
        <button type="button" className="btn btn-ghost mt-1 min-h-11 text-base font-normal" onClick={takeBack}>
          Take the last set back
        </button>
      )}
    </section>
  );
}

/** Seconds that are told in minutes from here on. */
const LONG = 120;
const told = (amount: number, unit: OwnItem['unit']): string =>
  unit === 's' && amount >= LONG ? `${Math.floor(amount / 60)}:${String(amount % 60).padStart(2, '0')}` : String(amount);

function RunningSet({ running, item, paused }: { readonly running: Running; readonly item: OwnItem; readonly paused: boolean }) {
  const turn = running.is === 'running' ? running.moment.turn : undefined;
  const side = running.side ?? turn;
  const [count, says] =
    running.is === 'waiting'
      ? [running.seconds, 'get into place']
      : running.moment.part === 'still'
        ? [told(Math.ceil(running.moment.setLeft), 's'), 'left']
        : [running.moment.count, MOMENT_WORDS[running.moment.part]];
  return (
    <p className="py-2 text-center leading-none" aria-label={`${item.name} by the clock`}>
      <span className="block text-8xl font-semibold">{count}</span>
      <span className="mt-2 block text-2xl">
        {paused ? 'stands still' : says}
        {side ? `, ${side} side` : ''}
      </span>
    </p>
  );
}
