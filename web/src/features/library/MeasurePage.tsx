import { rungDemandInWords } from '@myokinet/core/words';
import { askingFor } from '@myokinet/core/library';
import { type Measure, measureSides, formatReading } from '@myokinet/core/measuring';
import { UNITS } from '@myokinet/core/quantities';
import { originInWords } from '@myokinet/core/reference';
import { Pencil } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link, useParams } from 'react-router';
import { CheckFigure } from '../../kit/body/CheckFigure.tsx';
import { CopyLink } from './CopyLink.tsx';
import { LeadList } from './LeadList.tsx';
import { useLibrary } from '../../client/LibraryContext.ts';
import { DEVICE_WORDS, errorInWords, goodInWords, pictureInWords } from './measureWords.ts';
import { NoSuchEntry } from './NoSuchEntry.tsx';
import { OwnPictures } from './OwnPictures.tsx';
import { StandingNote } from './StandingNote.tsx';
import { capital, STRENGTH_WORDS } from './words.ts';

/** One check: how it is taken, how it is read, who asks for it and what trains it. */
export function MeasurePage() {
  const { measureId = '' } = useParams();
  const library = useLibrary();
  if (!library.hasMeasure(measureId)) return <NoSuchEntry kind="measure" />;
  return <Measured measure={library.measure(measureId)} />;
}

function Measured({ measure: m }: { readonly measure: Measure }) {
  const library = useLibrary();
  const asking = askingFor(library.content, m.id);
  return (
    <article aria-labelledby="check-name">
      <title>{`${m.name} · Library · Myokinet`}</title>
      <StandingNote kind="measure" id={m.id} now={new Date()} asking={asking} />
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h2 id="check-name" className="!text-2xl">
          {m.name}
        </h2>
        <p className="aside">
          {m.joint}, {m.motion}
        </p>
        <CopyLink kind="measure" id={m.id} />
        <Link className="btn btn-sm" to="edit">
          <Pencil size={15} aria-hidden /> Edit for the studio
        </Link>
      </div>
      <div className="mt-3 grid items-start gap-x-10 gap-y-5 lg:grid-cols-2">
        <div>
          <div className="flex items-start gap-4">
            <CheckFigure check={m} size={150} />
            <ol className="list-decimal space-y-1 ps-5">
              {m.protocol.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ol>
          </div>
          <dl className="mt-4 grid grid-cols-[auto_1fr] gap-x-6 gap-y-1">
            <Said what="Taken">
              {capital(m.position)}; {m.instrument}
            </Said>
            <Said what="Sides">{measureSides(m).length === 2 ? 'Left and right, always both' : 'None: the whole body'}</Said>
            <Said what="Trials">{m.trials === 1 ? 'One look' : `${m.trials}, the ${m.combine === 'mean' ? 'mean' : 'best'} counts`}</Said>
            <Said what="Reads">
              {m.choices
                ? m.choices.join(', ')
                : `${formatReading(m, m.limits.min)} to ${formatReading(m, m.limits.max)}, in ${UNITS[m.unit].name}`}
            </Said>
            <Said what="Good">{goodInWords(m)}</Said>
            <Said what="May be off by">{errorInWords(m)}</Said>
            <Said what="Fresh for">
              {m.freshDays} days{m.aboutNextRung ? '; asked anew after every signature' : ''}
            </Said>
            {m.device && <Said what="Device">{DEVICE_WORDS[m.device]}</Said>}
            {m.picture && <Said what="Off a picture">{pictureInWords(m.picture, library)}</Said>}
            <Said what="From">{originInWords(m.origin)}</Said>
          </dl>
          <LeadList measure={m} />
          <OwnPictures kind="measure" entry={m.id} name={m.name} />
        </div>
        <div>
          <Asking measure={m} />
          <Training measure={m} />
        </div>
      </div>
    </article>
  );
}

function Said({ what, children }: { readonly what: string; readonly children: ReactNode }) {
  return (
    <>
      <dt className="aside">{what}</dt>
      <dd>{children}</dd>
    </>
  );
}

function Asking({ measure }: { readonly measure: Measure }) {
  const { ladders } = useLibrary();
  const rungs = ladders.flatMap((ladder) =>
    ladder.rungs.flatMap((rung) => rung.demands.filter((d) => d.measureId === measure.id).map((demand) => ({ ladder, rung, demand }))),
  );
  return (
    <section aria-label="Asked by">
      <h3>Asked by</h3>
      {rungs.length === 0 ? (
        <p className="aside">No rung asks for it yet: write a demand into a ladder.</p>
      ) : (
        <ul>
          {rungs.map(({ ladder, rung, demand }) => (
            <li key={ladder.id + rung.id}>
              <Link className="link" to={`/library/ladders/${ladder.id}`}>
                {ladder.name}
              </Link>
              , {rung.name}: {rungDemandInWords(demand, measure)}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}

function Training({ measure }: { readonly measure: Measure }) {
  const { drills } = useLibrary();
  const training = drills.filter((d) => d.trains[measure.id]).sort((a, b) => (b.trains[measure.id] ?? 0) - (a.trains[measure.id] ?? 0));
  return (
    <section aria-label="Trained by" className="mt-4">
      <h3>Trained by</h3>
      {training.length === 0 ? (
        <p className="aside">No drill trains it yet: say so in the drills that do.</p>
      ) : (
        <ul className="columns-1 gap-6 sm:columns-2">
          {training.map((d) => (
            <li key={d.id}>
              <Link className="link" to={`/library/drills/${d.id}`}>
                {d.name}
              </Link>{' '}
              <span className="aside text-sm">{STRENGTH_WORDS[d.trains[measure.id] ?? 1]}</span>
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
