import type { OwnItem, OwnPageReply, OwnSession } from '@myokinet/core/contracts';
import type { DrillSkipReason } from '@myokinet/core/floor';
import { useEffect, useState } from 'react';
import { MovingBody } from '../kit/body/MovingBody.tsx';
import { useMovement } from '../kit/body/useMovement.ts';
import { clock as time } from '../client/clock.ts';
import { newId } from '../client/newId.ts';
import { DrillNotes } from './Notes.tsx';
import { keptOf } from './onPhone.ts';
import { asSession, begun, isOver, type Practice, setsDone, withoutLast, withSet } from './practice.ts';
import { useWakeLock } from '../client/useWakeLock.ts';
import { voice } from '../client/voice.ts';
import { PracticeEnding } from './PracticeEnding.tsx';
import { PracticeSets } from './PracticeSets.tsx';
import { clock } from './usePacedSet.ts';
import { hashOf, toToday } from './useView.ts';
import { tell } from './waiting.ts';
import { BREATH_WORDS, PART_WORDS, SKIP_WORDS } from './words.ts';

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
    return before?.sessionId === session.id ? before : begun(session, newId(), time.now(), newId);
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
  // What comes is said when it comes: one who lies on the floor reads nothing.
  const announced = finished ? '' : `${item.name}. ${item.dose.replace(' × ', ' times ')}`;
  useEffect(() => voice.say(announced), [announced]);
  if (finished)
    return (
      <PracticeEnding
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
      <PracticeSets
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
      <DrillNotes key={`notes ${item.id}`} ownKey={ownKey} name={page.name} notes={page.notes} drillId={item.drillId} told={told} />
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
