import {
  bladeCue,
  bladeOf,
  courseInWords,
  doseInWords,
  type Drill,
  effortInWords,
  EQUIPMENT,
  handLoadInWords,
  tempoInWords,
} from '@myokinet/core/drills';
import { originInWords } from '@myokinet/core/reference';
import { BLADES } from '@myokinet/core/schools';
import { format, parseISO } from 'date-fns';
import { ArrowDown, ArrowUp, Pencil } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link, Outlet, useParams } from 'react-router';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useLibrary, useSchools } from '../../client/LibraryContext.ts';
import { DrillFaults } from './DrillFaults.tsx';
import { DrillMotion } from './DrillMotion.tsx';
import { HowItIsDone } from './HowItIsDone.tsx';
import { CopyLink } from './CopyLink.tsx';
import { usePlanUsesQuery } from './endpoints.ts';
import { NoSuchEntry } from './NoSuchEntry.tsx';
import { OwnPictures } from './OwnPictures.tsx';
import { StandingNote } from './StandingNote.tsx';
import { BLADE_WORDS, capital, jointsInWords, STRENGTH_WORDS } from './words.ts';
import { CAUTION_WORDS } from '@myokinet/core/words';

export function DrillPage() {
  const { drillId = '' } = useParams();
  const library = useLibrary();
  if (!library.hasDrill(drillId)) return <NoSuchEntry kind="drill" />;
  return <Drilled drill={library.drill(drillId)} />;
}

function Drilled({ drill }: { readonly drill: Drill }) {
  return (
    <article aria-labelledby="drill-name">
      <title>{`${drill.name} · Library · Myokinet`}</title>
      <StandingNote kind="drill" id={drill.id} now={new Date()} />
      <div className="mb-3 flex flex-wrap items-center gap-3">
        <h2 id="drill-name" className="!text-2xl">
          {drill.name}
        </h2>
        <CopyLink kind="drill" id={drill.id} />
        <Link className="btn btn-sm" to="edit">
          <Pencil size={15} aria-hidden /> Edit for the studio
        </Link>
      </div>
      <div className="grid items-start gap-x-10 gap-y-5 lg:grid-cols-[20rem_minmax(0,1fr)]">
        <div>
          <div className="sheet p-3">
            <DrillMotion drill={drill} />
          </div>
          <Facts drill={drill} />
        </div>
        <div className="grid gap-5">
          <Cues drill={drill} />
          <HowItIsDone drill={drill} />
          <OwnPictures kind="drill" entry={drill.id} name={drill.name} />
          {/* Whether somebody may do it: planning knows. */}
          <Outlet />
          <DrillFaults drill={drill} />
          <div className="grid gap-5 md:grid-cols-2">
            <Neighbours drill={drill} />
            <Uses drill={drill} />
          </div>
          <Cautions drill={drill} />
        </div>
      </div>
    </article>
  );
}

function Facts({ drill }: { readonly drill: Drill }) {
  const schools = useSchools();
  const tempo = tempoInWords(drill.dose);
  const course = courseInWords(drill.dose.course);
  const equipment = drill.equipment.map((e) => EQUIPMENT[e] + (drill.standIns[e] ? ` (or ${drill.standIns[e]})` : ''));
  const facts: readonly (readonly [string, ReactNode])[] = [
    ['Part of a session', drill.phase],
    ['Joints, directions', jointsInWords(drill)],
    ['Quality', drill.quality],
    ['Position', drill.position],
    ['Equipment', equipment.length > 0 ? equipment.join('; ') : 'none'],
    ['Dose', doseInWords(drill.dose, drill.dose, schools.progress)],
    ...(tempo ? [['Tempo', tempo] as const] : []),
    ...(course ? [['Course', course] as const] : []),
    ['Rest between sets', drill.dose.restSeconds > 0 ? `${drill.dose.restSeconds} s` : 'none, straight on'],
    ['How hard', effortInWords(drill.effort)],
    ['Hands carry', `${handLoadInWords(drill)}${drill.support ? ', worked out for each trainee' : ''}`],
    ['Bearable with', drill.aids.length > 0 ? drill.aids.join('; ') : 'nothing special'],
    ['Where it comes from', originInWords(drill.origin)],
  ];
  return (
    <dl className="mt-3 grid grid-cols-[8.5rem_1fr] gap-x-3 gap-y-1.5 text-sm leading-snug">
      {facts.map(([term, fact]) => (
        <div key={term} className="contents">
          <dt className="aside">{term}</dt>
          <dd>{typeof fact === 'string' ? capital(fact) : fact}</dd>
        </div>
      ))}
    </dl>
  );
}

/** The drill's own cue, and what each blade school adds; the one in force stands out. */
function Cues({ drill }: { readonly drill: Drill }) {
  const schools = useSchools();
  const inForce = bladeOf(drill, schools);
  // Where the drill's own rule stands in every school, no other is told.
  const told = BLADES.filter((blade) => BLADES.some((school) => bladeOf(drill, { blade: school }) === blade));
  return (
    <section aria-label="Cues">
      <p className="border-s-4 border-base-content ps-3 text-lg leading-snug">{drill.cue}</p>
      {drill.blade && (
        <dl className="mt-2 grid grid-cols-[6rem_1fr] gap-x-3 gap-y-1 text-sm">
          {told.map((blade) => (
            <div key={blade} className="contents">
              <dt className={blade === inForce ? 'font-semibold' : 'aside'}>
                {BLADE_WORDS[blade]}
                {blade === drill.blade && <span className="aside font-normal"> ({told.length > 1 ? 'its own' : 'in every school'})</span>}
              </dt>
              <dd className={blade === inForce ? 'font-semibold' : 'aside'}>{bladeCue(drill, blade)}</dd>
            </div>
          ))}
        </dl>
      )}
    </section>
  );
}

function Neighbours({ drill }: { readonly drill: Drill }) {
  const library = useLibrary();
  const groups = [
    { title: 'Harder', icon: ArrowUp, drills: library.harderThan(drill.id), none: 'Nothing harder in the library.' },
    { title: 'Easier', icon: ArrowDown, drills: library.easierThan(drill.id), none: 'Nothing easier in the library.' },
  ];
  return (
    <section aria-label="Neighbours" className="grid content-start gap-3">
      {groups.map(({ title, icon: Icon, drills, none }) => (
        <div key={title}>
          <h3 className="flex items-center gap-1.5">
            <Icon size={16} aria-hidden /> {title}
          </h3>
          {drills.length === 0 ? (
            <p className="aside">{none}</p>
          ) : (
            <ul>
              {drills.map(({ id, name }) => (
                <li key={id}>
                  <Link className="link" to={`/library/drills/${id}`}>
                    {name}
                  </Link>
                </li>
              ))}
            </ul>
          )}
        </div>
      ))}
    </section>
  );
}

function Uses({ drill }: { readonly drill: Drill }) {
  const library = useLibrary();
  const trains = Object.entries(drill.trains).sort(([, a], [, b]) => b - a);
  const rungs = library.practisedOn(drill.id);
  return (
    <section aria-label="Where it is used">
      <h3>Trains these checks</h3>
      {trains.length === 0 ? (
        <p className="aside">None by itself: it opens or closes a session.</p>
      ) : (
        <ul>
          {trains.map(([id, strength]) => (
            <li key={id}>
              {library.measure(id).name} <span className="aside">{STRENGTH_WORDS[strength]}</span>
            </li>
          ))}
        </ul>
      )}
      {rungs.length > 0 && (
        <>
          <h3 className="mt-3">Practice of</h3>
          <ul>
            {rungs.map(({ ladder, rung }) => (
              <li key={ladder.id + rung.id}>
                <Link className="link" to={`/library/ladders/${ladder.id}`}>
                  {ladder.name}
                </Link>
                , {rung.name}
              </li>
            ))}
          </ul>
        </>
      )}
      <PlannedFor drill={drill} />
    </section>
  );
}

const MOST_PLANS = 10;

/** Who has it before them, so that a coach sees whom an edit reaches. */
function PlannedFor({ drill }: { readonly drill: Drill }) {
  const { currentData: uses, error, refetch } = usePlanUsesQuery(drill.id);
  return (
    <>
      <h3 className="mt-3">In plans from this week on</h3>
      <ProblemNote error={error} retry={() => void refetch()} />
      {uses?.length === 0 && <p className="aside">In nobody’s.</p>}
      <ul>
        {uses?.slice(0, MOST_PLANS).map(({ traineeId, name, weekStart, days }) => (
          <li key={traineeId + weekStart}>
            <Link className="link" to={`/trainees/${traineeId}/plan?week=${weekStart}`}>
              {name}
            </Link>{' '}
            <span className="aside text-sm">{days.map((day) => format(parseISO(day), 'EEE d MMM')).join(', ')}</span>
          </li>
        ))}
      </ul>
      {uses && uses.length > MOST_PLANS && <p className="aside">and {uses.length - MOST_PLANS} more</p>}
    </>
  );
}

function Cautions({ drill }: { readonly drill: Drill }) {
  return (
    <section aria-label="Cautions that exclude it">
      <h3>Cautions that exclude it</h3>
      {drill.excludedBy.length === 0 ? (
        <p className="aside">None. Sharp pain, a pinch, numbness or tingling: stop, note it, step back.</p>
      ) : (
        <ul className="text-sm">
          {drill.excludedBy.map((id) => (
            <li key={id} className="mt-1 border-s-4 border-error ps-2.5">
              <span className="font-semibold">{CAUTION_WORDS[id].name}:</span> {CAUTION_WORDS[id].consequence}
            </li>
          ))}
        </ul>
      )}
    </section>
  );
}
