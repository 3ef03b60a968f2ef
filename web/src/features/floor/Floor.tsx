import { type Step, whoseTurn } from '@myokinet/core/floor';
import { useState, useRef } from 'react';
import { After } from './After.tsx';
import { tabMemory } from '../../client/onDevice.ts';
import { EmergencyButton } from '../emergency/index.ts';
import { firstName, FloorBar } from './FloorBar.tsx';
import { FloorClock } from '../../client/floorClock.ts';
import type { FloorPerson } from './floorPeople.ts';
import { Stage } from './Stage.tsx';
import { feltBefore, reportFelt } from './reportFelt.ts';
import { Stopped, stopsOf } from './Stopped.tsx';
import { SymptomSheet } from './SymptomSheet.tsx';
import { useHurting } from './useHurting.ts';
import type { LastSet } from './useStage.ts';
import { useWakeLock } from '../../client/useWakeLock.ts';

function nameOf(step: Step | undefined): string {
  if (!step) return '';
  return step.side === 'whole' ? step.drill.name : `${step.drill.name}, ${step.side}`;
}

/** Where this tab was: whose turn, and which drill was picked by run. A reload comes back there. */
interface Where {
  readonly turn?: string | undefined;
  readonly picked?: Readonly<Record<string, string>>;
}
const WHERE = 'myokinet.floor.where';

/** Whoever's turn it is, on one screen. */
export function Floor({ people }: { readonly people: readonly FloorPerson[] }) {
  const [clock] = useState(() => new FloorClock());
  const [where, setWhere] = useState(() => tabMemory.read<Where>(WHERE) ?? {});
  const go = (now: Where) => {
    tabMemory.write(WHERE, now);
    setWhere(now);
  };
  const before = people.findIndex((p) => p.runId === where.turn);
  const [first] = useState(() =>
    Math.max(
      0,
      whoseTurn(
        people.map((p) => p.open.length),
        -1,
      ),
    ),
  );
  const at = before >= 0 ? before : first;
  const setAt = (now: number) => go({ ...where, turn: people[now]?.runId });
  const [lastSets, setLastSets] = useState<Readonly<Record<string, LastSet>>>({});
  const [ending, setEnding] = useState<ReadonlySet<string>>(new Set());
  /** Stop signs and locks that this page has been told of, by run. */
  const [told, setTold] = useState<Readonly<Record<string, string>>>({});
  const wake = useWakeLock();
  /** What to mind in the set in hand, by run. */
  const [minded, setMinded] = useState<Readonly<Record<string, string>>>({});
  const { hurting, begin, change, over } = useHurting();
  const underWayRef = useRef<{ readonly end: () => void; readonly goOn: () => void } | undefined>(undefined);
  const person = people[at] ?? people[0];
  if (!person) return null;

  const { runId, open, run } = person;
  const step = open.find((s) => s.itemId === where.picked?.[runId]) ?? open[0];
  const last = lastSets[runId];
  const setLast = (set: LastSet | undefined) =>
    setLastSets((now) => Object.fromEntries(Object.entries({ ...now, [runId]: set }).flatMap(([id, s]) => (s ? [[id, s]] : []))));
  // What is in hand is not open any more once it is done; in a group somebody else may be next.
  const next = whoseTurn(
    people.map((p, i) => (i === at ? p.open.length - 1 : p.open.length)),
    at,
  );
  const after = people[next];
  const logged = () => {
    setMinded(({ [runId]: _, ...others }) => others);
    if (next >= 0) setAt(next);
  };
  const end = (ends: boolean) => {
    const now = new Set(ending);
    if (ends) now.add(runId);
    else now.delete(runId);
    setEnding(now);
  };
  const whose = people.find((p) => p.runId === hurting?.runId);
  const stops = stopsOf(person).join('\n');
  const isOver = run.closed !== undefined || run.givenUp || ending.has(runId);
  const isStopped = !isOver && stops !== '' && (!step || told[runId] !== stops);

  return (
    <div data-focused className="flex min-h-dvh flex-col bg-base-100 text-base-content has-[[data-at-work]]:h-dvh">
      <title>{`Floor: ${person.name} · Myokinet`}</title>
      <FloorBar {...{ people, at, go: setAt, clock, wake }} endSet={() => underWayRef.current?.end()} />
      <main className="@container mx-auto flex w-full max-w-6xl flex-1 flex-col px-[12px] pb-[10px] has-[[data-at-work]]:min-h-0 sm:px-6 low:pb-1.5">
        {isStopped ? (
          <Stopped person={person} end={() => end(true)} goOn={step && (() => setTold({ ...told, [runId]: stops }))} />
        ) : isOver || !step ? (
          <After
            key={runId}
            {...{ person, last, setLast }}
            hurts={() => begin(runId, 'after')}
            hurting={whose !== undefined}
            back={() => end(false)}
            canGoBack={!run.closed && !run.givenUp && step !== undefined}
          />
        ) : (
          <Stage
            // A new set is a new stage; turning the dial or another device's news is not.
            key={`${runId}/${step.itemId}/${step.round}/${step.side}`}
            {...{ clock, person, step, last, logged, setLast, underWayRef }}
            hurts={(moment) => begin(runId, moment)}
            hurting={whose !== undefined}
            then={after && after !== person ? `${firstName(after.name)}: ${nameOf(after.open[0])}` : undefined}
            minded={minded[runId]}
            others={people.filter((p) => p !== person)}
            pick={(itemId) => go({ ...where, picked: { ...where.picked, [runId]: itemId } })}
            end={() => end(true)}
          />
        )}
      </main>
      {hurting && whose && (
        <SymptomSheet
          title={people.length > 1 ? `What does ${firstName(whose.name)} feel?` : 'What is felt?'}
          {...{ change, draft: hurting.draft, moment: hurting.moment, context: feltBefore(whose) }}
          emergency={
            <EmergencyButton
              traineeId={whose.kept.pack.trainee.id}
              name={whose.name}
              before={() => {
                over();
                if (whose === person) underWayRef.current?.end();
              }}
            />
          }
          close={() => {
            over();
            if (whose === person) underWayRef.current?.goOn();
          }}
          record={(felt) => {
            over();
            if (whose === person) underWayRef.current?.end();
            void reportFelt(whose, whose === person ? step : whose.open[0], felt).then((said) => {
              if (said) setMinded((now) => ({ ...now, [whose.runId]: said }));
            });
          }}
        />
      )}
    </div>
  );
}
