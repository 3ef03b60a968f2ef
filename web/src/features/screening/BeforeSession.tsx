import { type CalendarDay, calendarDay, type Instant, instant } from '@myokinet/core/quantities';
import {
  afterIllness,
  BEFORE_SESSION,
  type BeforeQuestion,
  type BeforeSession as Form,
  FEVER_CLEAR_HOURS,
  stillCounts,
  withoutSlips,
} from '@myokinet/core/safety';
import { BEFORE_SESSION_WORDS } from '@myokinet/core/words';
import { format } from 'date-fns';
import { Check } from 'lucide-react';
import { useEffect, useId, useState } from 'react';
import { Link } from 'react-router';
import { nowInstant } from '../../client/clock.ts';
import { newId } from '../../client/newId.ts';
import { isOffline } from '../../client/problem.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { ReportSymptom, useRecordQuery } from '../record/index.ts';
import { formsHere } from './beforeSessionHere.ts';
import { useRecordBeforeSessionMutation, useScreeningsQuery } from './endpoints.ts';

/** Whether a session may begin: not before the form was answered, nor with a fever, a change unscreened, or a pain unreported. */
export type ReadyToStart = 'ask' | 'go' | 'wait';

/** A form as it was answered on this page. */
type Answered = Form & { readonly id: string; readonly replaces?: string };

/** The short form before a session: one tap where nothing speaks against it. */
export function BeforeSession({
  traineeId,
  name,
  onState,
}: {
  readonly traineeId: string;
  readonly name: string;
  readonly onState: (traineeId: string, state: ReadyToStart) => void;
}) {
  const { data } = useScreeningsQuery(traineeId);
  const [here, setHere] = useState<Answered | undefined>();
  const [again, setAgain] = useState(false);
  const [now] = useState(() => new Date());
  const recorded = data?.health.before ?? [];
  const known = withoutSlips(here && !recorded.some((f) => f.id === here.id) ? [here, ...recorded] : recorded);
  const newest = known[0];
  const counts = newest !== undefined && !again && stillCounts(newest, new Date());
  const record = useRecordQuery(traineeId, { skip: !counts || !newest.yes.includes('pain') });
  const reported = (record.data?.symptoms ?? []).some((s) => newest !== undefined && calendarDay(s.at) === calendarDay(newest.at));
  const ill = afterIllness(known, now);
  const screenedAt = data?.current?.takenAt;
  // Whoever said it: a form since then that says no does not answer what happened.
  const anew = known.some((f) => f.yes.some((q) => q === 'medicine' || q === 'injury') && (!screenedAt || screenedAt <= f.at));
  const state: ReadyToStart = !counts
    ? 'ask'
    : ill?.allows === 'nothing' || anew || (newest.yes.includes('pain') && !reported)
      ? 'wait'
      : 'go';
  useEffect(() => onState(traineeId, state), [traineeId, state, onState]);

  if (!counts)
    return (
      <Questions
        traineeId={traineeId}
        name={name}
        // Asked again by whoever answered on this page: the answer before was a slip, if it was just now.
        replaces={again && here ? here.id : undefined}
        done={(form) => {
          setHere(form);
          setAgain(false);
        }}
      />
    );
  return (
    <div className={`mt-2 border-s-4 ps-3 leading-snug ${state === 'wait' ? 'border-error' : 'border-base-content'}`}>
      <p>
        <span className="font-semibold">{name}</span>, asked at {format(new Date(newest.at), 'HH:mm')}:{' '}
        {newest.yes.length === 0 ? 'nothing speaks against it.' : `${newest.yes.map((q) => BEFORE_SESSION_WORDS[q].fact).join(', ')}.`}{' '}
        <button type="button" className="btn btn-xs" onClick={() => setAgain(true)}>
          Ask again
        </button>
      </p>
      {ill?.allows === 'nothing' && (
        <p className="font-semibold text-error">
          No session: {FEVER_CLEAR_HOURS} hours without fever first
          {ill.until ? `, that is from ${format(new Date(ill.until), 'EEE d MMM, HH:mm')}` : ''}; then half for as many days as it lasted.
        </p>
      )}
      {ill?.allows === 'half' && ill.until && (
        <p className="font-semibold">Half of every dose until {format(new Date(ill.until), 'EEE d MMM')}: after an illness.</p>
      )}
      {anew && (
        <p className="font-semibold text-error">
          Answer the{' '}
          <Link className="link" to={`/trainees/${traineeId}/screening`}>
            screening
          </Link>{' '}
          anew first: something has changed since.
        </p>
      )}
      {newest.yes.includes('unfed') && <p>Eat and drink first; no efforts above 5 today.</p>}
      {newest.yes.includes('pain') && !reported && (
        <div>
          <p className="font-semibold">Report what hurts, so that the session knows.</p>
          <ReportSymptom traineeId={traineeId} />
        </div>
      )}
    </div>
  );
}

function Questions({
  traineeId,
  name,
  replaces,
  done,
}: {
  readonly traineeId: string;
  readonly name: string;
  readonly replaces: string | undefined;
  readonly done: (form: Answered) => void;
}) {
  const id = useId();
  const [send, { isLoading, error }] = useRecordBeforeSessionMutation();
  const [yes, setYes] = useState<readonly BeforeQuestion[]>([]);
  const [since, setSince] = useState<CalendarDay>(() => calendarDay(new Date()));
  const [clear, setClear] = useState('');
  const save = async () => {
    const ill = yes.includes('fever') ? { since, ...(clear ? { clearSince: instant(new Date(clear)) satisfies Instant } : {}) } : undefined;
    const body = { id: newId(), at: nowInstant(), yes: [...yes], ...(ill ? { ill } : {}), ...(replaces ? { replaces } : {}) };
    const result = await send({ traineeId, body });
    if (result.error && !isOffline(result.error)) return;
    if (result.error) formsHere.keep({ traineeId, body });
    done(body);
  };
  return (
    <fieldset className="sheet mt-2 p-3" disabled={isLoading}>
      <legend className="sr-only">Ask {name}</legend>
      <p aria-hidden className="font-semibold">
        Ask {name}
      </p>
      <ul className="grid gap-x-6 sm:grid-cols-2">
        {BEFORE_SESSION.map((q) => (
          <li key={q}>
            <label className="flex min-h-11 cursor-pointer items-center gap-2.5">
              <input
                type="checkbox"
                className="checkbox"
                checked={yes.includes(q)}
                onChange={() => setYes(yes.includes(q) ? yes.filter((y) => y !== q) : [...yes, q])}
              />
              {BEFORE_SESSION_WORDS[q].text}
            </label>
          </li>
        ))}
      </ul>
      {yes.includes('fever') && (
        <div className="mt-1 flex flex-wrap gap-3">
          <div>
            <label htmlFor={`${id}-since`} className="block text-sm font-semibold">
              Ill since
            </label>
            <input
              id={`${id}-since`}
              type="date"
              className="input input-sm w-auto"
              max={calendarDay(new Date())}
              value={since}
              onChange={(e) => setSince(e.target.value as CalendarDay)}
            />
          </div>
          <div>
            <label htmlFor={`${id}-clear`} className="block text-sm font-semibold">
              Without fever since (leave open while it lasts)
            </label>
            <input
              id={`${id}-clear`}
              type="datetime-local"
              className="input input-sm w-auto"
              value={clear}
              onChange={(e) => setClear(e.target.value)}
            />
          </div>
        </div>
      )}
      <button
        type="button"
        className={`btn mt-2 max-sm:w-full ${yes.length === 0 ? 'btn-primary' : ''}`}
        disabled={yes.includes('fever') && !since}
        onClick={() => void save()}
      >
        <Check size={18} aria-hidden />
        {yes.length === 0 ? 'None of these' : 'That is how it is'}
      </button>
      <ProblemNote error={isOffline(error) ? undefined : error} />
    </fieldset>
  );
}
