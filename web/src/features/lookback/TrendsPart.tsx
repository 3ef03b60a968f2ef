import type { StudioTrendsReply } from '@myokinet/core/contracts';
import type { HeadroomState } from '@myokinet/core/readiness';
import { drillSymptomsInWords, stallInWords } from '@myokinet/core/words';
import { Link } from 'react-router';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useLibrary } from '../../client/LibraryContext.ts';
import { Empty } from '../../kit/Empty.tsx';
import { STATE_CLASS } from '../../kit/StateMark.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useTrendsQuery } from './endpoints.ts';
import { Folded } from './Folded.tsx';
import { ShareBar } from './ShareBar.tsx';

/** Who stalls and why, which rung holds most, what people are short of, beside which drills something was felt. */
export function TrendsPart() {
  const { data, error, isLoading, refetch } = useTrendsQuery();
  if (isLoading) return <Waiting />;
  return (
    <section aria-label="The studio now">
      <h2>The studio now</h2>
      <ProblemNote error={error} retry={() => void refetch()} />
      {data?.people === 0 && (
        <div className="mt-3">
          <Empty title="No trainees yet">
            <Link className="btn btn-primary mt-3" to="/trainees/new">
              Add a trainee
            </Link>
          </Empty>
        </div>
      )}
      {data && data.people > 0 && (
        <div className="mt-2 grid gap-x-8 gap-y-6 lg:grid-cols-2">
          <Stalls data={data} />
          <Demands data={data} />
          <Rungs data={data} />
          <Drills data={data} />
        </div>
      )}
    </section>
  );
}

interface PartProps {
  readonly data: StudioTrendsReply;
}

function Stalls({ data: { stalls } }: PartProps) {
  const { measure, hasLadder, rung } = useLibrary();
  return (
    <div>
      <h3>Eight weeks and more before one rung</h3>
      {stalls.length === 0 && <p className="aside">Nobody.</p>}
      <Folded>
        {stalls.map((s) => (
          <li key={s.traineeId} className="border-b border-base-300 py-1.5 leading-snug">
            <span className="flex justify-between gap-3">
              <Who {...s} />
              <span className="tabular-nums">{s.weeks} weeks</span>
            </span>
            <span className="block text-sm">
              {hasLadder(s.ladderId) && <span className="aside">To: {rung(s.ladderId, s.rungId).name}. </span>}
              Probably: {stallInWords(s, measure)}.
            </span>
          </li>
        ))}
      </Folded>
    </div>
  );
}

const STATES: readonly HeadroomState[] = ['short', 'on the mark', 'unknown', 'spare'];
const STATE_WORDS: Readonly<Record<HeadroomState, string>> = {
  short: 'short',
  'on the mark': 'inside the band',
  unknown: 'not known',
  spare: 'to spare',
};

function Demands({ data: { demands } }: PartProps) {
  const { measure } = useLibrary();
  return (
    <div>
      <h3>What next gates ask, and who has it</h3>
      <p className="aside flex flex-wrap gap-x-3 text-sm" aria-hidden>
        {STATES.map((state) => (
          <span key={state} className={STATE_CLASS[state]}>
            ■ {STATE_WORDS[state]}
          </span>
        ))}
      </p>
      <Folded>
        {demands.map(({ measureId, count, short }) => {
          const all = STATES.reduce((sum, state) => sum + count[state], 0);
          const words = STATES.filter((state) => count[state] > 0)
            .map((state) => `${count[state]} ${STATE_WORDS[state]}`)
            .join(', ');
          return (
            <li key={measureId} className="border-b border-base-300 py-1.5 leading-snug">
              <span className="flex justify-between gap-3">
                <Link className="hover:underline" to={`/library/checks/${measureId}`}>
                  {measure(measureId).name}
                </Link>
                <span className="aside text-end text-sm">{words}</span>
              </span>
              <span className="mt-1 flex h-2" aria-hidden>
                {STATES.map((state) => (
                  <span key={state} className={`bg-current ${STATE_CLASS[state]}`} style={{ width: `${(100 * count[state]) / all}%` }} />
                ))}
              </span>
              {short.length > 0 && <People label="Short:" people={short} />}
            </li>
          );
        })}
      </Folded>
    </div>
  );
}

function Rungs({ data: { rungs } }: PartProps) {
  const library = useLibrary();
  return (
    <div>
      <h3>Rungs before which most people stand</h3>
      {rungs.length === 0 && <p className="aside">None.</p>}
      <Folded>
        {rungs.map(({ ladderId, rungId, people, weeks }) => (
          <li key={ladderId + rungId} className="border-b border-base-300 py-1.5 leading-snug">
            <span className="flex justify-between gap-3">
              <Link className="hover:underline" to={`/library/ladders/${ladderId}`}>
                {library.hasLadder(ladderId) ? `${library.rung(ladderId, rungId).name} (${library.ladder(ladderId).name})` : rungId}
              </Link>
              <span className="tabular-nums">
                {people.length} {people.length === 1 ? 'person' : 'people'}, {weeks} {weeks === 1 ? 'week' : 'weeks'}
              </span>
            </span>
            <People people={people} />
          </li>
        ))}
      </Folded>
      <p className="aside mt-1 text-sm">The weeks are those that half of them stand there at least.</p>
    </div>
  );
}

function Drills({ data: { drills, symptomWeeks } }: PartProps) {
  const { drill } = useLibrary();
  return (
    <div>
      <h3>Drills beside which something loud was felt</h3>
      {drills.length === 0 && <p className="aside">None twice in {symptomWeeks} weeks.</p>}
      <Folded>
        {drills.map((d) => (
          <li key={d.drillId} className="border-b border-base-300 py-1.5 leading-snug">
            <span className="flex justify-between gap-3">
              <Link className="hover:underline" to={`/library/drills/${d.drillId}`}>
                {drill(d.drillId).name}
              </Link>
              <span className="text-sm">{drillSymptomsInWords(d)}</span>
            </span>
            <ShareBar {...d} words={drillSymptomsInWords(d)} />
            <People people={d.people} />
          </li>
        ))}
      </Folded>
      <p className="aside mt-1 text-sm">
        Sessions of {symptomWeeks} weeks. What stands in every session stands beside every symptom: a place to look, and no cause.
      </p>
    </div>
  );
}

interface Person {
  readonly traineeId: string;
  readonly name: string;
}

function Who({ traineeId, name }: Person) {
  return (
    <Link className="font-semibold hover:underline" to={`/trainees/${traineeId}`}>
      {name}
    </Link>
  );
}

function People({ label, people }: { readonly label?: string; readonly people: readonly Person[] }) {
  return (
    <span className="block text-sm">
      {label && <span className="aside">{label} </span>}
      {people.map((p, i) => (
        <span key={p.traineeId}>
          {i > 0 && ', '}
          <Link className="hover:underline" to={`/trainees/${p.traineeId}`}>
            {p.name}
          </Link>
        </span>
      ))}
    </span>
  );
}
