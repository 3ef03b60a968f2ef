import { doseInWords, type Drill, type Manner, plannedDoseInWords } from '@myokinet/core/drills';
import { drillSearch } from '@myokinet/core/library';
import { useState } from 'react';
import { DRILL_SKIP_REASONS, type DrillSkipReason, type ItemState } from '@myokinet/core/floor';
import type { FloorPerson } from './floorPeople.ts';
import { Sheet } from './Sheet.tsx';
import type { OtherDrill } from './useFloorTools.ts';
import { WeightChoice } from './WeightChoice.tsx';

const ROW = 'btn btn-outline h-auto min-h-16 w-full justify-start border-base-300 px-4 py-2 text-start text-lg font-normal';

/** An easier or harder drill in place of this one, or any other that may be done now. */
export function SwapSheet({
  drill,
  weigh,
  neighbours,
  everyOther,
  choose,
  close,
}: {
  /** The drill in hand, as it is done now. */
  readonly drill: Drill;
  readonly weigh: (manner: Manner) => void;
  readonly neighbours: readonly OtherDrill[];
  readonly everyOther: () => readonly OtherDrill[];
  readonly choose: (other: OtherDrill) => void;
  readonly close: () => void;
}) {
  const [text, setText] = useState('');
  const [search] = useState(() => {
    const byId = new Map(everyOther().map((o) => [o.drill.id, o]));
    const find = drillSearch([...byId.values()].map((o) => o.drill));
    return (asked: string) => find(asked).flatMap((d) => byId.get(d.id) ?? []);
  });
  const asked = text.trim();
  const found = asked === '' ? [] : search(asked);
  const open = found.filter((o) => o.excluded === undefined);
  return (
    <Sheet title="Change the drill" close={close}>
      <label className="mb-3 block text-lg font-semibold">
        Find any drill
        <input
          type="search"
          className="input mt-1 min-h-13 w-full text-lg font-normal"
          placeholder="name, joint, position, equipment"
          value={text}
          onChange={(e) => setText(e.target.value)}
        />
      </label>
      {asked === '' ? (
        <>
          <WeightChoice drill={drill} choose={weigh} />
          {neighbours.length === 0 && (
            <p className="text-lg">This drill has no neighbours in the library. Find another, skip it, or turn the support.</p>
          )}
          {neighbours.some((n) => n.plane) && (
            <section className="mb-4">
              <h2>Between front and side</h2>
              <OtherDrills these={neighbours.filter((n) => n.plane)} choose={choose} />
            </section>
          )}
          {([false, true] as const).map((harder) => {
            const these = neighbours.filter((n) => n.harder === harder && !n.plane);
            return these.length === 0 ? null : (
              <section key={String(harder)} className="mb-4">
                <h2>{harder ? 'Harder' : 'Easier'}</h2>
                <OtherDrills these={these} choose={choose} />
              </section>
            );
          })}
        </>
      ) : (
        <section aria-label="Found">
          <p className="aside" role="status">
            {open.length === 0 ? 'Nothing that may be done now' : `${open.length} that may be done now`}
            {found.length > open.length ? `, ${found.length - open.length} that may not` : ''}.
          </p>
          <OtherDrills
            these={[...open.slice(0, MOST_FOUND), ...found.filter((o) => o.excluded !== undefined).slice(0, MOST_CLOSED)]}
            choose={choose}
          />
        </section>
      )}
    </Sheet>
  );
}

const MOST_FOUND = 12;
/** Of those that may not be done a few are shown with their reason. */
const MOST_CLOSED = 4;

function OtherDrills({ these, choose }: { readonly these: readonly OtherDrill[]; readonly choose: (other: OtherDrill) => void }) {
  return (
    <ul className="mt-1 flex flex-col gap-1.5">
      {these.map((n) => (
        <li key={n.drill.id}>
          <button type="button" className={ROW} disabled={n.excluded !== undefined} onClick={() => choose(n)}>
            <span>
              <span className="font-semibold">{n.drill.name}</span>{' '}
              <span className="block text-base">
                {n.excluded ?? `${n.reduced ?? doseInWords(n.dose, n.drill.dose)}${n.harder ? ' Harder.' : ''}`}
              </span>
            </span>
          </button>
        </li>
      ))}
    </ul>
  );
}

const SKIP_WORDS: Readonly<Record<DrillSkipReason, string>> = {
  pain: 'Pain',
  'not safe today': 'Not safe today',
  'no equipment': 'No equipment',
  'out of time': 'Out of time',
  'asked not to': 'Asked not to',
  'stop sign': 'Stop sign',
};

export function SkipSheet({
  name,
  choose,
  close,
}: {
  readonly name: string;
  readonly choose: (reason: DrillSkipReason) => void;
  readonly close: () => void;
}) {
  return (
    <Sheet title={`Skip ${name}: why?`} close={close}>
      <ul className="flex flex-col gap-1.5">
        {DRILL_SKIP_REASONS.filter((r) => r !== 'stop sign').map((reason) => (
          <li key={reason}>
            <button type="button" className={ROW} onClick={() => choose(reason)}>
              {SKIP_WORDS[reason]}
            </button>
          </li>
        ))}
      </ul>
    </Sheet>
  );
}

/** The whole session, to go to another drill, take a skip back, or end it. */
export function ListSheet({
  person,
  here,
  pick,
  unskip,
  end,
  close,
}: {
  readonly person: FloorPerson;
  readonly here: string | undefined;
  readonly pick: (itemId: string) => void;
  readonly unskip: (eventId: string) => void;
  readonly end: () => void;
  readonly close: () => void;
}) {
  const open = new Set(person.open.map((s) => s.itemId));
  return (
    <Sheet title="This session" close={close}>
      <ul className="flex flex-col gap-1.5">
        {person.run.items.map((item) => {
          const drill = person.library.asPlanned(item.now);
          const { skipped } = item;
          return (
            <li key={item.now.id}>
              <button
                type="button"
                className={`${ROW} ${item.now.id === here ? 'border-primary' : ''}`}
                disabled={!skipped && !open.has(item.now.id)}
                onClick={() => (skipped ? unskip(skipped.eventId) : pick(item.now.id))}
              >
                <span>
                  <span className="font-semibold">{drill.name}</span>
                  <span className="block text-base">
                    {plannedDoseInWords(item.now, drill, person.run.head.progress)} · {standing(item, open.has(item.now.id))}
                  </span>
                </span>
              </button>
            </li>
          );
        })}
      </ul>
      <button type="button" className="btn btn-primary mt-4 min-h-16 text-xl" onClick={end}>
        End the session here
      </button>
    </Sheet>
  );
}

function standing({ done, skipped }: ItemState, isOpen: boolean): string {
  const sets = `${done.length} ${done.length === 1 ? 'set' : 'sets'} logged`;
  if (skipped) return `skipped: ${skipped.reason}; tap to take back`;
  if (isOpen) return done.length > 0 ? sets : 'to do';
  return done.length > 0 ? sets : 'closed';
}
