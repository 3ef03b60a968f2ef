import type { TodayItem } from '@myokinet/core/contracts';
import { dueInWords } from '@myokinet/core/words';
import { format } from 'date-fns';
import { Link } from 'react-router';
import { useLibrary } from '../../client/LibraryContext.ts';
import { useTodayQuery } from '../caseload/index.ts';
import { WithLibrary } from '../library/index.ts';
import { ClassesHere } from '../classes/index.ts';
import { HereOnDevice, TakeAlong } from '../floor/index.ts';
import { StillBody } from '../../kit/body/StillBody.tsx';
import { Empty } from '../../kit/Empty.tsx';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { MorningForm } from '../record/index.ts';

/** What waits to be done, most pressing first. */
const SECTIONS: readonly { readonly kind: TodayItem['kind']; readonly title: string }[] = [
  { kind: 'stop sign', title: 'Stop signs' },
  { kind: 'withdrawn', title: 'Clearances taken back' },
  { kind: 'screening', title: 'Screenings to ask' },
  { kind: 'sign', title: 'Ready to sign' },
  { kind: 'session', title: 'Training today' },
  { kind: 'note', title: 'Notes from trainees' },
  { kind: 'morning', title: 'Mornings after' },
  { kind: 're-check', title: 'Re-checks due' },
];

/** What trainees tell on their own pages is here within so long. */
const LOOK_AGAIN_MS = 15_000;

export function TodayPage() {
  const { data, error, isLoading, refetch } = useTodayQuery(undefined, { pollingInterval: LOOK_AGAIN_MS, skipPollingIfUnfocused: true });
  if (isLoading) return <Waiting />;
  return (
    <div className="mx-auto w-full max-w-4xl px-4 py-5 sm:px-6">
      <title>Today · Myokinet</title>
      <div className="flex flex-wrap items-baseline justify-between gap-2">
        <h1>{format(new Date(), 'EEEE d MMMM')}</h1>
        <Link className="link" to="/rechecks">
          Re-check calendar
        </Link>
      </div>
      <ProblemNote error={error} retry={() => void refetch()} />
      <HereOnDevice />
      <ClassesHere />
      {data?.length === 0 && (
        <div className="mt-5">
          <Empty title="Nothing waits">
            <p>No session, no check and no signature is due.</p>
            <Link className="btn btn-primary mt-3" to="/caseload">
              Open the caseload
            </Link>
          </Empty>
        </div>
      )}
      {data && data.length > 0 && (
        <WithLibrary>
          <Waits items={data} />
        </WithLibrary>
      )}
    </div>
  );
}

function Waits({ items }: { readonly items: readonly TodayItem[] }) {
  const { measure, hasDrill, drill } = useLibrary();
  const nameOf = (id: string) => (hasDrill(id) ? drill(id).name : '');
  const now = new Date();
  return SECTIONS.map(({ kind, title }) => {
    const here = items.filter((i) => i.kind === kind);
    return here.length === 0 ? null : (
      <section key={kind} className="mt-5">
        <div className="flex flex-wrap items-end border-b-2 border-base-content pb-1">
          <h2>
            {title} <span className="aside font-sans text-base font-normal">{here.length}</span>
          </h2>
          {kind === 'session' && <TakeAlong trainees={here} />}
        </div>
        <ul>
          {here.map((item) => {
            const sentence = dueInWords(item, { measureOf: measure, now });
            return (
              <li
                key={item.traineeId + sentence}
                className="grid items-center gap-x-4 gap-y-1 border-b border-base-300 py-2 sm:grid-cols-[11rem_1fr_auto]"
              >
                <Link className="font-semibold hover:underline" to={`/trainees/${item.traineeId}`}>
                  {item.name}
                </Link>
                <span className="flex items-center gap-3">
                  {item.kind === 'session' && item.mainDrillId !== undefined && <MainDrill id={item.mainDrillId} />}
                  <span>
                    {sentence}
                    {item.kind === 'session' && item.mainDrillId !== undefined && (
                      <span className="aside block text-sm">{nameOf(item.mainDrillId)}</span>
                    )}
                  </span>
                </span>
                <Act item={item} />
              </li>
            );
          })}
        </ul>
      </section>
    );
  });
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

/** The one thing to do about a line, done in place where that is possible. */
function Act({ item }: { readonly item: TodayItem }) {
  const { kind, traineeId, name } = item;
  const at = `/trainees/${traineeId}`;
  switch (kind) {
    case 'morning':
      return <MorningForm traineeId={traineeId} sessionId={item.sessionId} name={name} />;
    case 'note':
      return <Go to={`${at}/record`} label={`Read and answer: ${name}`} words="Read and answer" />;
    case 'withdrawn':
      return <Go to={`${at}/record`} label={`See the record: ${name}`} words="See the record" />;
    case 'sign':
      return <Go to={at} label={`Look and sign: ${name}`} words="Look and sign" />;
    case 'stop sign':
      return <Go to={at} label={`See to the stop sign: ${name}`} words="See to it" />;
    case 'screening':
      return <Go to={`${at}/screening`} label={`Ask the screening: ${name}`} words="Ask the screening" />;
    case 'session':
      return <Go to={`${at}/floor`} label={`Run the session: ${name}`} words="Run the session" />;
    case 're-check':
      return <Go to={`${at}/checks/new`} label={`Take the check: ${name}`} words="Take the check" />;
  }
}

function Go({ to, label, words }: { readonly to: string; readonly label: string; readonly words: string }) {
  return (
    <Link className="btn btn-sm btn-outline" to={to} aria-label={label}>
      {words}
    </Link>
  );
}
