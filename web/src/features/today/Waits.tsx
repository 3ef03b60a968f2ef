import type { TodayItem } from '@myokinet/core/contracts';
import { PLACES } from '@myokinet/core/planning';
import { dueInWords } from '@myokinet/core/words';
import { useState } from 'react';
import { Link } from 'react-router';
import { useLibrary } from '../../client/LibraryContext.ts';
import { StillBody } from '../../kit/body/StillBody.tsx';
import { TakeAlong } from '../floor/index.ts';
import { Act } from './Act.tsx';

interface Section {
  readonly kind: TodayItem['kind'];
  readonly title: string;
  /** Hurts if left: on top, and unlike the rest. */
  readonly urgent?: boolean;
  /** One way to do all of them, where there is one. */
  readonly forAll?: { readonly words: string; readonly to: (first: TodayItem) => string };
}

/** What waits to be done: what hurts if left, then the day as it will be, then the rest. */
const SECTIONS: readonly Section[] = [
  { kind: 'stop sign', title: 'Stop signs', urgent: true },
  { kind: 'withdrawn', title: 'Clearances taken back', urgent: true },
  { kind: 'session', title: 'Training today' },
  { kind: 'sign', title: 'Ready to sign' },
  { kind: 'note', title: 'Notes from trainees' },
  { kind: 'morning', title: 'Mornings after' },
  {
    kind: 'screening',
    title: 'Screenings to ask',
    forAll: { words: 'Go through them', to: ({ traineeId }) => `/trainees/${traineeId}/screening` },
  },
  { kind: 're-check', title: 'Re-checks due', forAll: { words: 'By week', to: () => '/rechecks' } },
  { kind: 'outcome', title: 'What became of it', forAll: { words: 'Looking back', to: () => '/looking-back' } },
];

/** Up to so many lines of a kind stand one by one; more are one line that opens. */
const ONE_BY_ONE = 6;

export function Waits({ items }: { readonly items: readonly TodayItem[] }) {
  return SECTIONS.map((section) => {
    const here = items.filter((i) => i.kind === section.kind);
    return here.length === 0 ? null : <Waiting key={section.kind} section={section} items={inOrder(here)} />;
  });
}

/** Sessions by the time at which they begin, those without one last. */
function inOrder(items: readonly TodayItem[]): readonly TodayItem[] {
  const startOf = (item: TodayItem) => (item.kind === 'session' ? (item.startsAt ?? '~') : '');
  return [...items].sort((a, b) => startOf(a).localeCompare(startOf(b)));
}

function Waiting({
  section: { kind, title, urgent = false, forAll },
  items,
}: {
  readonly section: Section;
  readonly items: readonly TodayItem[];
}) {
  const folds = items.length > ONE_BY_ONE && kind !== 'session' && !urgent;
  const [open, setOpen] = useState(false);
  const [first] = items;
  const people = [...new Set(items.map((i) => i.name))];
  return (
    <section className={`mt-5 ${urgent ? 'border-s-4 border-error bg-error/10 px-3 pt-2 pb-1' : ''}`}>
      <div className="flex flex-wrap items-end gap-x-3 border-b-2 border-base-content pb-1">
        <h2 className={urgent ? 'text-error' : ''}>
          {title} <span className="aside font-sans text-base font-normal">{items.length}</span>
        </h2>
        {kind === 'session' && <TakeAlong trainees={items} />}
      </div>
      {folds && (
        <p className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-base-300 py-2">
          <span>
            {people.slice(0, 3).join(', ')}
            {people.length > 3 ? ` and ${people.length - 3} more` : ''}
          </span>
          {forAll && first && (
            <Link className="btn btn-sm btn-outline" to={forAll.to(first)} aria-label={`${forAll.words}: ${title}`}>
              {forAll.words}
            </Link>
          )}
          <button type="button" className="link" aria-expanded={open} onClick={() => setOpen(!open)}>
            {open ? 'Fold them' : `Show all ${items.length}`}
          </button>
        </p>
      )}
      {(!folds || open) && (
        <ul>
          {items.map((item, i) => (
            <Line key={keyOf(item, i)} item={item} again={items[i - 1]?.traineeId === item.traineeId} />
          ))}
        </ul>
      )}
    </section>
  );
}

/** What a line is about stays with it while others go. */
function keyOf(item: TodayItem, i: number): string {
  if (item.kind === 'morning') return item.sessionId;
  if (item.kind === 'outcome') return item.clearanceId;
  return `${item.traineeId} ${i}`;
}

/** @param again the line before is about the same person, so the name is not said twice */
function Line({ item, again }: { readonly item: TodayItem; readonly again: boolean }) {
  const { measure, hasDrill, drill } = useLibrary();
  const mainDrillId = item.kind === 'session' ? item.mainDrillId : undefined;
  const when = item.kind === 'session' ? whenAndWhere(item) : '';
  return (
    <li
      className={`grid items-center gap-x-4 gap-y-1 py-2 sm:grid-cols-[11rem_1fr_auto] ${again ? '' : 'border-t border-base-300 first:border-t-0'}`}
    >
      <span>
        <Link className={again ? 'sr-only' : 'font-semibold hover:underline'} to={`/trainees/${item.traineeId}`}>
          {item.name}
        </Link>
        {when && <span className="block text-sm font-semibold tabular-nums">{when}</span>}
      </span>
      <span className="flex items-center gap-3">
        {mainDrillId !== undefined && <MainDrill id={mainDrillId} />}
        <span>
          {dueInWords(item, { measureOf: measure, now: new Date() })}
          {mainDrillId !== undefined && hasDrill(mainDrillId) && <span className="aside block text-sm">{drill(mainDrillId).name}</span>}
        </span>
      </span>
      <Act item={item} />
    </li>
  );
}

function whenAndWhere({ startsAt, place }: Extract<TodayItem, { kind: 'session' }>): string {
  const where = place !== undefined && Object.hasOwn(PLACES, place) ? PLACES[place as keyof typeof PLACES] : place;
  return [startsAt, where].filter((part) => part !== undefined).join(', ');
}

/** What the session is for, as it is done. */
function MainDrill({ id }: { readonly id: string }) {
  const library = useLibrary();
  return library.hasDrill(id) ? (
    <Link className="flex-none" to={`/library/drills/${id}`} aria-label={library.drill(id).name} title={library.drill(id).name}>
      <StillBody of={library.drill(id)} size={STILL} />
    </Link>
  ) : null;
}

const STILL = 48;
