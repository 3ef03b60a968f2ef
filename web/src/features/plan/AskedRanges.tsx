import type { Drill } from '@myokinet/core/drills';
import { formatReadingWithBand } from '@myokinet/core/measuring';
import { type AskedRange, type HeldRange, heldRanges, type HeldState, type RangeFit, rangesOf, type Shown } from '@myokinet/core/motion';
import { shortDay } from '@myokinet/core/quantities';
import { useMemo } from 'react';
import { nowInstant } from '../../client/clock.ts';
import { useLibrary } from '../../client/LibraryContext.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { ANY_BODY } from '../../kit/body/anyBody.ts';
import { shownBody } from '../../kit/body/shownBody.ts';
import { useMovement } from '../../kit/body/useMovement.ts';
import { useChecksQuery } from '../checks/index.ts';
import { useTraineeQuery } from '../trainee/index.ts';

const STATES: Readonly<Record<HeldState, { readonly says: string; readonly mark: string }>> = {
  enough: { says: 'enough', mark: 'state-spare' },
  about: { says: 'too close to call', mark: 'state-mark' },
  short: { says: 'short', mark: 'state-short font-semibold' },
  stale: { says: 'checked too long ago', mark: 'state-unknown' },
  unchecked: { says: 'never checked', mark: 'state-unknown' },
  'not measured': { says: '', mark: '' },
};

/** The peak angle of each joint that a drill's movement asks for, by side; against one trainee where one is chosen. */
export function AskedRanges({ drill, traineeId }: { readonly drill: Drill; readonly traineeId: string }) {
  return (
    <section aria-label="What the movement asks of the joints" className="mt-3">
      <h3>What the movement asks of the joints</h3>
      {traineeId === '' ? <Asked drill={drill} shown={ANY_BODY} /> : <OfTrainee drill={drill} traineeId={traineeId} />}
    </section>
  );
}

function OfTrainee({ drill, traineeId }: { readonly drill: Drill; readonly traineeId: string }) {
  const trainee = useTraineeQuery(traineeId);
  const checks = useChecksQuery(traineeId);
  const failed = [trainee, checks].find((q) => q.error && !q.data);
  const shown = useMemo((): Shown | undefined => trainee.data && shownBody(trainee.data), [trainee.data]);
  if (failed) return <ProblemNote error={failed.error} retry={() => void failed.refetch()} />;
  if (!shown || !checks.data) return <Asked drill={drill} shown={ANY_BODY} />;
  const capacities = checks.data.filter((c) => !c.takenBack).flatMap((c) => c.capacities);
  return <Asked drill={drill} shown={shown} held={(asked, measures) => heldRanges(asked, capacities, measures, new Date(nowInstant()))} />;
}

type Hold = (asked: readonly AskedRange[], measures: Parameters<typeof heldRanges>[2]) => readonly HeldRange[];

function Asked({ drill, shown, held }: { readonly drill: Drill; readonly shown: Shown; readonly held?: Hold }) {
  const library = useLibrary();
  const prepared = useMovement(drill, shown);
  const rows = useMemo(() => {
    if (!prepared) return undefined;
    const asked = rangesOf(prepared);
    const measures = new Map(library.everyMeasure.map((m) => [m.id, m]));
    return held ? held(asked, measures) : asked.map((a): HeldRange => ({ asked: a, state: 'not measured' }));
  }, [prepared, library, held]);
  if (!rows) return <p className="aside">…</p>;
  if (rows.length === 0) return <p className="aside">Nothing that everybody has not.</p>;
  const pairs = pairsOf(rows);
  return (
    <div className="overflow-x-auto">
      <table className="plain-table dense text-sm">
        <thead>
          <tr>
            <th scope="col">Range</th>
            <th scope="col">Asked</th>
            {held && <th scope="col">Has, left</th>}
            {held && <th scope="col">Has, right</th>}
          </tr>
        </thead>
        <tbody>
          {pairs.map(({ key, left, right }) => (
            <tr key={key}>
              <th scope="row" className="font-normal">
                {key}
              </th>
              <td>{askedInWords(left?.asked, right?.asked)}</td>
              {held && <td>{left && <Has held={left} />}</td>}
              {held && <td>{right && <Has held={right} />}</td>}
            </tr>
          ))}
        </tbody>
      </table>
      <p className="aside mt-1 text-sm">
        Peak angles of the drawn movement, worked out on {held ? 'this trainee’s build' : 'a body of 1.70 m'}; within about 5°.
      </p>
    </div>
  );
}

interface Pair {
  readonly key: string;
  readonly left?: HeldRange;
  readonly right?: HeldRange;
}

/** Both sides of a range in one row. */
function pairsOf(rows: readonly HeldRange[]): readonly Pair[] {
  const pairs = new Map<string, Pair>();
  for (const row of rows) {
    const { range, loaded, side } = row.asked;
    const key = `${range.charAt(0).toUpperCase()}${range.slice(1)}${loaded ? ' under load' : ''}`;
    pairs.set(key, { key, ...pairs.get(key), [side]: row });
  }
  return [...pairs.values()];
}

function askedInWords(left: AskedRange | undefined, right: AskedRange | undefined): string {
  const say = ({ range, degrees }: AskedRange) => (range === 'elbow extension' ? 'straight' : `${Math.round(degrees)}°`);
  if (left && right) return say(left) === say(right) ? say(left) : `left ${say(left)}, right ${say(right)}`;
  if (left) return `left ${say(left)}`;
  return right ? `right ${say(right)}` : '';
}

function fitInWords(fit: RangeFit): string {
  if (fit.kind === 'straight wrist') return 'on fists, handles or forearms';
  return fit.kind === 'heel raised' ? `heel of the hand raised by ${fit.degrees}°` : `only as far as ${fit.degrees}°`;
}

function Has({ held: { state, measure, capacity, fit } }: { readonly held: HeldRange }) {
  return (
    <>
      {measure && capacity && (
        <>
          {formatReadingWithBand(measure, capacity.value, capacity.band)}, {shortDay(capacity.takenAt, new Date(nowInstant()))}:{' '}
        </>
      )}
      <span className={STATES[state].mark}>{STATES[state].says}</span>
      {fit && `: ${fitInWords(fit)}`}
    </>
  );
}
