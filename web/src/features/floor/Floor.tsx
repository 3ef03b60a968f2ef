import { whoseTurn } from '@myokinet/core/floor';
import { useState, useRef } from 'react';
import { After } from './After.tsx';
import { FloorBar } from './FloorBar.tsx';
import { FloorClock } from './floorClock.ts';
import type { FloorPerson } from './floorPeople.ts';
import { Stage } from './Stage.tsx';
import { Stopped, stopsOf } from './Stopped.tsx';
import type { LastSet } from './useStage.ts';
import { useWakeLock } from './useWakeLock.ts';

/** Whoever's turn it is, on one screen. */
export function Floor({ people }: { readonly people: readonly FloorPerson[] }) {
  const [clock] = useState(() => new FloorClock());
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      whoseTurn(
        people.map((p) => p.open.length),
        -1,
      ),
    ),
  );
  const [lastSets, setLastSets] = useState<Readonly<Record<string, LastSet>>>({});
  const [picked, setPicked] = useState<Readonly<Record<string, string>>>({});
  const [ending, setEnding] = useState<ReadonlySet<string>>(new Set());
  /** Stop signs and locks that this page has been told of, by run. */
  const [told, setTold] = useState<Readonly<Record<string, string>>>({});
  const wake = useWakeLock();
  const underWayRef = useRef<(() => void) | undefined>(undefined);
  const person = people[at] ?? people[0];
  if (!person) return null;

  const { runId, open, run } = person;
  const step = open.find((s) => s.itemId === picked[runId]) ?? open[0];
  const last = lastSets[runId];
  const setLast = (set: LastSet | undefined) =>
    setLastSets((now) => Object.fromEntries(Object.entries({ ...now, [runId]: set }).flatMap(([id, s]) => (s ? [[id, s]] : []))));
  const logged = () => {
    // What was just done is not open any more.
    const next = whoseTurn(
      people.map((p, i) => (i === at ? p.open.length - 1 : p.open.length)),
      at,
    );
    if (next >= 0) setAt(next);
  };
  const end = (ends: boolean) => {
    const now = new Set(ending);
    if (ends) now.add(runId);
    else now.delete(runId);
    setEnding(now);
  };
  const stops = stopsOf(person).join('\n');
  const isOver = run.closed !== undefined || run.givenUp || ending.has(runId);
  const isStopped = !isOver && stops !== '' && (!step || told[runId] !== stops);

  return (
    <div data-focused className="flex min-h-dvh flex-col bg-base-100 text-base-content">
      <title>{`Floor: ${person.name} · Myokinet`}</title>
      <FloorBar {...{ people, at, go: setAt, clock, wake }} endSet={() => underWayRef.current?.()} />
      <main className="mx-auto flex w-full max-w-6xl flex-1 flex-col px-3 pb-3 sm:px-6">
        {isStopped ? (
          <Stopped person={person} end={() => end(true)} goOn={step && (() => setTold({ ...told, [runId]: stops }))} />
        ) : isOver || !step ? (
          <After
            key={runId}
            {...{ person, last, setLast }}
            back={() => end(false)}
            canGoBack={!run.closed && !run.givenUp && step !== undefined}
          />
        ) : (
          <Stage
            // A new set is a new stage; turning the dial or another device's news is not.
            key={`${runId}/${step.itemId}/${step.round}/${step.side}`}
            {...{ clock, person, step, last, logged, setLast, underWayRef }}
            others={people.filter((p) => p !== person)}
            pick={(itemId) => setPicked({ ...picked, [runId]: itemId })}
            end={() => end(true)}
          />
        )}
      </main>
    </div>
  );
}
