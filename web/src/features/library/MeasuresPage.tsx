import { type Measure, measureSides, WORKING_POSITIONS } from '@myokinet/core/measuring';
import { UNITS } from '@myokinet/core/quantities';
import { Plus } from 'lucide-react';
import { Link } from 'react-router';
import { newId } from '../../client/newId.ts';
import { useLibrary, useStudioLibrary } from '../../client/LibraryContext.ts';
import { SetAsideList } from './SetAsideList.tsx';
import { capital } from './words.ts';

/** Every check by the position it is taken in: what it reads, who asks for it, what trains it. */
export function MeasuresPage() {
  const { measures } = useLibrary();
  return (
    <section aria-label="Checks">
      <div className="flex flex-wrap items-center gap-3">
        <p role="status">{measures.length} checks, in the order that avoids getting up and down</p>
        <Link className="btn btn-sm ms-auto" to={`/library/checks/${newId()}/edit?new=1`}>
          <Plus size={16} aria-hidden /> Write a check
        </Link>
      </div>
      <div className="relative overflow-x-auto" tabIndex={0} role="region" aria-label="All checks">
        <table className="plain-table mt-2">
          <thead>
            <tr>
              <th scope="col">Check</th>
              <th scope="col" className="max-sm:hidden">
                Read in
              </th>
              <th scope="col">Sides</th>
              <th scope="col">Fresh for</th>
              <th scope="col">Asked by</th>
              <th scope="col">Trained by</th>
            </tr>
          </thead>
          {WORKING_POSITIONS.map((position) => {
            const here = measures.filter((m) => m.position === position);
            if (here.length === 0) return null;
            return (
              <tbody key={position}>
                <tr>
                  <th scope="rowgroup" colSpan={6} className="!pt-3 font-display">
                    {capital(position)}
                  </th>
                </tr>
                {here.map((m) => (
                  <MeasureRow key={m.id} measure={m} />
                ))}
              </tbody>
            );
          })}
        </table>
      </div>
      <SetAsideList kind="measure" />
    </section>
  );
}

function MeasureRow({ measure: m }: { readonly measure: Measure }) {
  const { library, reply } = useStudioLibrary();
  const own = reply.own.some((e) => e.kind === 'measure' && e.id === m.id && e.standing === 'own');
  const rungs = library.ladders.flatMap((l) => l.rungs.filter((r) => r.demands.some((d) => d.measureId === m.id))).length;
  const drills = library.drills.filter((d) => d.trains[m.id]).length;
  return (
    <tr>
      <th scope="row" className="!border-b !border-base-300 !font-normal !whitespace-normal">
        <Link className="hover:underline" to={`/library/checks/${m.id}`}>
          {m.name}
        </Link>
        {own && <span className="ms-2 border-s-4 border-primary bg-primary/10 px-1.5 text-sm">the studio’s</span>}
      </th>
      <td className="max-sm:hidden">{m.choices ? `${m.choices.length} levels` : UNITS[m.unit].name}</td>
      <td>{measureSides(m).length === 2 ? 'both' : 'none'}</td>
      <td>{m.freshDays} days</td>
      <td>{counted(rungs, 'rung')}</td>
      <td>{counted(drills, 'drill')}</td>
    </tr>
  );
}

function counted(n: number, word: string): string {
  return n === 0 ? `no ${word}` : `${n} ${word}${n === 1 ? '' : 's'}`;
}
