import { doseBecauseInWords } from '@myokinet/core/planning';
import type { CheckDto } from '@myokinet/core/contracts';
import { doseInWords } from '@myokinet/core/drills';
import { pencils, testedIn, verdictOn } from '@myokinet/core/floor';
import { formatReading } from '@myokinet/core/measuring';
import { cleannessInWords, PROVISIONAL_WORDS } from '@myokinet/core/words';
import { sessionLoad } from '@myokinet/core/workload';
import { Camera } from 'lucide-react';
import { type ChangeEvent, useState } from 'react';
import { useStore } from 'react-redux';
import { Link } from 'react-router';
import { nowInstant } from '../../client/clock.ts';
import { newId } from '../../client/newId.ts';
import { keptPicture, openPicture } from '../pictures/index.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useRecordCheckMutation } from '../checks/index.ts';
import { DoneList } from './DoneList.tsx';
import type { FloorPerson } from './floorPeople.ts';
import { floor, type FloorHome } from './floorSync.ts';

/** What follows from a logged session: verdict, next doses, capacities it showed, a picture, the morning after. */
export function AfterLogged({ person }: { readonly person: FloorPerson }) {
  const { run, kept } = person;
  const { closed } = run;
  if (!closed) return null;
  const verdict = verdictOn(run, person.library, closed.effort);
  const unsent = kept.unsent.length;
  return (
    <div className="mt-2 grid content-start gap-x-10 gap-y-5 lg:grid-cols-2">
      <section aria-label="Verdict">
        <p className="text-xl">
          <strong className={verdict.clean ? 'state-spare' : ''}>{verdict.clean ? 'Clean.' : 'Not clean.'}</strong>{' '}
          {cleannessInWords(verdict.finding, person.library)}
        </p>
        <p className="mt-1 text-lg">
          Load {sessionLoad(closed.effort, closed.minutes)} (effort {closed.effort} × {closed.minutes} min).{' '}
          {unsent === 0 ? 'All is with the server.' : `${unsent} entries are kept on this device and go out when the server answers.`}
        </p>
        <p className="mt-1 text-lg">How the morning after feels is asked on Today.</p>
        <div className="mt-3">
          <DoneList person={person} />
        </div>
        <Photos person={person} />
      </section>
      <div className="flex flex-col gap-5">
        <NextDoses person={person} />
        <Shown person={person} />
        <Link className="btn btn-primary min-h-16 text-xl" to="/">
          Done
        </Link>
      </div>
    </div>
  );
}

function NextDoses({ person }: { readonly person: FloorPerson }) {
  const { history, foothold } = person.kept.pack;
  const all = pencils(person.run, person.library, { before: history.sessions, foothold });
  const changes = all.filter(({ next }) => next.change !== 'same' || next.offersCheck);
  const traineeId = person.kept.pack.trainee.id;
  return (
    <section aria-label="Next doses">
      <h2 className="text-2xl">Pencilled for next time</h2>
      {changes.length === 0 && (
        <p className="mt-1 text-lg">{all.length === 0 ? 'No drill that grows was done.' : 'The same again for every drill.'}</p>
      )}
      <ul className="mt-1 text-lg">
        {changes.map(({ drillId, next }, i) => {
          const drill = person.library.drill(drillId);
          return (
            <li key={`${drillId}/${i}`} className="border-t border-base-300 py-1.5 leading-snug">
              <span className="font-semibold">{drill.name}</span>: {doseInWords(next.dose, drill.dose, person.run.head.progress)}
              {next.loadChange !== 0 &&
                `, hands ${next.loadChange > 0 ? '+' : '−'}${Math.abs(Math.round(next.loadChange * 100))} points of body weight`}
              . <span className="aside">{doseBecauseInWords(next)}</span>
            </li>
          );
        })}
      </ul>
      <Link className="link text-lg" to={`/trainees/${traineeId}/plan`}>
        Accept or alter them in the plan
      </Link>
    </section>
  );
}

const taken = (runId: string) => `myokinet.floor.taken.${runId}`;

/** Capacities that the session showed beyond the last checks. */
function Shown({ person }: { readonly person: FloorPerson }) {
  const { run, kept, library } = person;
  const [record, { isLoading, error }] = useRecordCheckMutation();
  const [isTaken, setTaken] = useState(() => localStorage.getItem(taken(person.runId)) !== null);
  const offers = testedIn(run, kept.pack.capacities, library);
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const [id] = useState(newId);
  if (offers.length === 0) return null;
  const key = (o: (typeof offers)[number]) => `${o.measureId}/${o.side}`;
  const chosen = offers.filter((o) => !left.has(key(o)));
  const take = async () => {
    const reading = { kind: 'session' as const, instrument: 'Set of a session', simulated: false };
    const body: CheckDto = {
      id,
      takenAt: nowInstant(),
      note: 'Shown in a session.',
      trials: chosen.map(({ measureId, side, value }) => ({ id: newId(), measureId, side, value, reading })),
    };
    const { data } = await record({ traineeId: kept.pack.trainee.id, body });
    if (!data) return;
    localStorage.setItem(taken(person.runId), id);
    setTaken(true);
  };
  return (
    <section aria-label="Capacities shown">
      <h2 className="text-2xl">More than the last check</h2>
      <ul className="mt-1 text-lg">
        {offers.map((offer) => {
          const measure = person.library.measure(offer.measureId);
          return (
            <li key={key(offer)} className="border-t border-base-300 py-1.5">
              <label className="flex items-center gap-3">
                <input
                  type="checkbox"
                  className="checkbox"
                  checked={!left.has(key(offer))}
                  disabled={isTaken}
                  onChange={() =>
                    setLeft(new Set(left.has(key(offer)) ? [...left].filter((k) => k !== key(offer)) : [...left, key(offer)]))
                  }
                />
                <span>
                  {measure.name}
                  {offer.side === 'whole' ? '' : `, ${offer.side}`}: <strong>{formatReading(measure, offer.value)}</strong>,{' '}
                  {offer.last === undefined ? 'never checked' : `last check ${formatReading(measure, offer.last)}`}
                </span>
              </label>
            </li>
          );
        })}
      </ul>
      <p className="aside mt-1">Less trust than a check: {PROVISIONAL_WORDS['in a session']}. It takes no check’s place.</p>
      <ProblemNote error={error} />
      {isTaken ? (
        <p role="status" className="mt-2 text-lg font-semibold">
          Recorded among the checks.
        </p>
      ) : (
        <button type="button" className="btn mt-2 min-h-14 text-lg" disabled={isLoading || chosen.length === 0} onClick={() => void take()}>
          Record as check results
        </button>
      )}
    </section>
  );
}

/** Pictures of the end, kept here first. */
function Photos({ person: { runId, kept } }: { readonly person: FloorPerson }) {
  const home = useStore() as FloorHome;
  const [problem, setProblem] = useState<string | undefined>();
  const add = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0];
    event.target.value = '';
    if (!file) return;
    setProblem(undefined);
    try {
      const picture = await openPicture(file);
      const { image } = await keptPicture(picture);
      URL.revokeObjectURL(picture.url);
      const id = newId();
      await floor.addPhoto(home, { id, runId, photo: { id, takenAt: nowInstant(), image } });
    } catch (error) {
      setProblem(error instanceof Error ? error.message : 'The picture could not be read.');
    }
  };
  return (
    <div className="mt-4">
      <ul className="flex flex-wrap gap-2">
        {kept.photos
          .filter((p) => p.kept)
          .map((p) => (
            <li key={p.id}>
              <img className="h-28 rounded" src={`/api/floor/${runId}/photos/${p.id}`} alt="Picture of this session" />
            </li>
          ))}
        {kept.unsentPhotos.map((p) => (
          <li key={p.id}>
            <img className="h-28 rounded" src={`data:image/jpeg;base64,${p.photo.image}`} alt="Picture of this session, not sent yet" />
          </li>
        ))}
      </ul>
      <label className="btn mt-2 min-h-14 text-lg focus-within:outline-2">
        <Camera size={22} aria-hidden /> Add a picture
        <input type="file" accept="image/*" capture="environment" className="sr-only" onChange={(e) => void add(e)} />
      </label>
      {problem && (
        <p role="alert" className="mt-1 text-error">
          {problem}
        </p>
      )}
    </div>
  );
}
