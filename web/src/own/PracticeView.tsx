import type { OwnItem, OwnPageReply, OwnSession } from '@myokinet/core/contracts';
import type { DrillSkipReason } from '@myokinet/core/floor';
import type { PacePart } from '@myokinet/core/floor';
import { useCallback, useRef, useState } from 'react';
import { MovingBody } from '../kit/body/MovingBody.tsx';
import { useMovement } from '../kit/body/useMovement.ts';
import { clock as time } from '../client/clock.ts';
import { newId } from '../client/newId.ts';
import { CountDown } from './CountDown.tsx';
import { keptOf } from './onPhone.ts';
import { asSession, begun, isOver, type Practice, setsDone, setsInAll, withoutLast, withSet } from './practice.ts';
import { useWakeLock } from '../client/useWakeLock.ts';
import { voice } from '../client/voice.ts';
import { clock, type Running, usePacedSet } from './usePacedSet.ts';
import { hashOf, toToday } from './useView.ts';
import { tell } from './waiting.ts';
import { AMOUNT_WORDS, BREATH_WORDS, PART_WORDS, SKIP_WORDS } from './words.ts';

interface PracticeViewProps {
  readonly ownKey: string;
  readonly page: OwnPageReply;
  readonly session: OwnSession;
  /** Something hurts: clocks stand still. */
  readonly paused: boolean;
  readonly told: () => void;
}

/** One drill after another: how it is done, the sets one tap each, rests on a clock; at the end how hard it was. */
export function PracticeView({ ownKey, page, session, paused, told }: PracticeViewProps) {
  const kept = keptOf(ownKey);
  useWakeLock();
  const [practice, setPractice] = useState<Practice>(() => {
    const before = kept.read<Practice | undefined>('under way', undefined);
    return before?.sessionId === session.id ? before : begun(session, newId(), time.now());
  });
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      practice.items.findIndex((i) => !isOver(practice, i)),
    ),
  );
  const [ending, setEnding] = useState(false);
  const [restUntil, setRestUntil] = useState<number>();
  const become = (next: Practice) => {
    kept.keep('under way', next);
    setPractice(next);
  };
  const { items } = practice;
  const item = items[at];
  const stopped = page.stopped.length > 0;
  const finished = ending || stopped || !item;
  const go = (to: number) => {
    setRestUntil(undefined);
    window.scrollTo(0, 0);
    if (to >= items.length) setEnding(true);
    else setAt(to);
  };
  if (finished)
    return (
      <Ending
        practice={practice}
        stopped={stopped}
        {...(stopped
          ? {}
          : {
              back: () => {
                setEnding(false);
                setAt(Math.min(at, items.length - 1));
              },
            })}
        send={(effort) => {
          const skipped = stopped
            ? Object.fromEntries(items.filter((i) => !isOver(practice, i)).map((i) => [i.id, 'stop sign' as DrillSkipReason]))
            : {};
          const body = asSession({ ...practice, skipped: { ...skipped, ...practice.skipped } }, effort, time.now());
          tell(ownKey, { to: 'practice', body });
          kept.drop('under way');
          told();
          toToday();
        }}
        leave={() => {
          kept.drop('under way');
          toToday();
        }}
      />
    );
  const done = setsDone(practice, item.id);
  return (
    <main className="flex flex-col gap-3 p-4">
      <nav className="flex items-center justify-between text-base" aria-label="Practice">
        <a className="link min-h-11 content-center" href={hashOf({ at: 'today' })}>
          Leave it for now
        </a>
        <Sound />
        <span className="aside">
          {at + 1} of {items.length}
        </span>
      </nav>
      <h1>{item.name}</h1>
      <Figure item={item} />
      <p className="text-xl font-semibold">{item.dose}</p>
      {item.changed && <p className="border-s-4 border-warning bg-warning/10 p-2 text-base">{item.changed}</p>}
      <Sets
        key={item.id}
        item={item}
        done={done}
        paused={paused}
        restUntil={restUntil}
        rested={() => setRestUntil(undefined)}
        add={(amount) => {
          const next = withSet(practice, item, amount, newId);
          become(next);
          setRestUntil(isOver(next, item) ? undefined : performance.now() + item.restSeconds * 1000);
        }}
        takeBack={() => become(withoutLast(practice, item.id))}
      />
      <div className="flex gap-2">
        {at > 0 && (
          <button type="button" className="btn min-h-12 text-lg" onClick={() => go(at - 1)}>
            Drill before
          </button>
        )}
        <button
          type="button"
          className={`btn min-h-12 flex-1 text-lg ${isOver(practice, item) ? 'btn-primary' : ''}`}
          onClick={() => go(at + 1)}
        >
          {at + 1 < items.length ? 'Next drill' : 'To the end'}
        </button>
      </div>
      <HowTo item={item} />
      {done < item.sets && (
        <Skip
          reason={practice.skipped[item.id]}
          choose={(reason) => {
            become({ ...practice, skipped: { ...practice.skipped, [item.id]: reason } });
            go(at + 1);
          }}
        />
      )}
    </main>
  );
}

/** Tones and voice: each on or off. */
function Sound() {
  const [muted, setMuted] = useState(clock.muted);
  const [speaks, setSpeaks] = useState(voice.on);
  return (
    <span className="flex gap-1">
      <button
        type="button"
        className="btn btn-ghost min-h-11 px-2 font-normal"
        aria-pressed={!muted}
        onClick={() => {
          clock.mute(!muted);
          setMuted(!muted);
        }}
      >
        Tones {muted ? 'off' : 'on'}
      </button>
      {voice.available && (
        <button
          type="button"
          className="btn btn-ghost min-h-11 px-2 font-normal"
          aria-pressed={speaks}
          onClick={() => {
            voice.turn(!speaks);
            setSpeaks(!speaks);
          }}
        >
          Voice {speaks ? 'on' : 'off'}
        </button>
      )}
    </span>
  );
}

function Figure({ item }: { readonly item: OwnItem }) {
  const [mirrored, setMirrored] = useState(false);
  const prepared = useMovement(item.figure, undefined, mirrored ? 'mirrored' : 'as written');
  if (!prepared) return <div className="aspect-[4/3]" aria-busy="true" />;
  return (
    <MovingBody
      key={item.id}
      prepared={prepared}
      beat={item.beat}
      label={`${item.name}, shown`}
      sides={prepared.movement.sided && { mirrored, turn: setMirrored }}
    />
  );
}

interface SetsProps {
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
function Sets({ item, done, paused, restUntil, rested, add, takeBack }: SetsProps) {
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

function HowTo({ item: { cue, steps, felt, breath, equipment } }: { readonly item: OwnItem }) {
  const breathIn = (part: string) => (part === 'out' || part === 'hold' || part === 'back' ? breath[part] : undefined);
  return (
    <section aria-label="How it is done">
      <p className="border-s-4 border-base-content ps-3">{cue}</p>
      <ol className="mt-2 flex flex-col gap-1.5">
        {steps.map(({ part, text }) => {
          const air = breathIn(part);
          return (
            <li key={part}>
              <span className="text-base font-semibold">{PART_WORDS[part]}</span>
              {air && <span className="aside text-base">, {BREATH_WORDS[air]}</span>}
              <p>{text}</p>
            </li>
          );
        })}
      </ol>
      {felt !== '' && <p className="mt-2 text-base">Felt: {felt}</p>}
      {equipment.length > 0 && <p className="text-base">With: {equipment.join(', ')}</p>}
    </section>
  );
}

function Skip({ reason, choose }: { readonly reason: DrillSkipReason | undefined; readonly choose: (reason: DrillSkipReason) => void }) {
  return (
    <details className="text-base">
      <summary className="min-h-11 cursor-pointer content-center">{reason ? 'Left out' : 'Leave this drill out'}</summary>
      <div className="mt-1 flex flex-col gap-1.5">
        {(Object.entries(SKIP_WORDS) as [DrillSkipReason, string][]).map(([code, words]) => (
          <button key={code} type="button" className="btn min-h-12 justify-start font-normal" onClick={() => choose(code)}>
            {words}
          </button>
        ))}
      </div>
    </details>
  );
}

const TEN = Array.from({ length: 11 }, (_, i) => i);

function Ending({
  practice,
  stopped,
  back,
  send,
  leave,
}: {
  readonly practice: Practice;
  readonly stopped: boolean;
  readonly back?: () => void;
  readonly send: (effort: number) => void;
  readonly leave: () => void;
}) {
  const sets = setsInAll(practice);
  return (
    <main className="flex flex-col gap-4 p-4">
      <h1>{stopped ? 'Stop here' : 'That was it'}</h1>
      {stopped && (
        <p role="alert" className="border-s-8 border-error bg-error/10 p-3">
          Nothing more for today. Your coach sees what you told.
        </p>
      )}
      {sets === 0 ? (
        <>
          <p>No set is done, so there is nothing to tell.</p>
          <button type="button" className="btn min-h-12" onClick={leave}>
            Leave
          </button>
        </>
      ) : (
        <fieldset>
          <legend className="font-semibold">
            {sets} {sets === 1 ? 'set' : 'sets'} done. How hard was all of it? 0 nothing, 10 all you had
          </legend>
          <div className="mt-2 grid grid-cols-4 gap-2">
            {TEN.map((n) => (
              <button key={n} type="button" className="btn min-h-14 text-xl" onClick={() => send(n)}>
                {n}
              </button>
            ))}
          </div>
        </fieldset>
      )}
      {back && (
        <button type="button" className="btn btn-ghost min-h-12" onClick={back}>
          Back to the drills
        </button>
      )}
    </main>
  );
}
