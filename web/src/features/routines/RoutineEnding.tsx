import type { RoutineReply } from '@myokinet/core/contracts';
import type { Drill } from '@myokinet/core/drills';
import { doneOf, PREPARATION_LIMITS, type RoutineMoment, type RoutineRun } from '@myokinet/core/routines';
import { useState } from 'react';
import { Link } from 'react-router';
import { nowInstant } from '../../client/clock.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useLogSessionMutation } from '../session/index.ts';
import { asItems, asSession } from './asSession.ts';
import { lastsInWords, PURPOSE_WORDS } from './words.ts';

interface RoutineEndingProps {
  readonly routine: RoutineReply;
  readonly traineeId: string;
  /** Under which it goes on record. */
  readonly id: string;
  readonly moments: readonly RoutineMoment[];
  readonly run: RoutineRun;
  readonly drillOf: (id: string) => Drill | undefined;
  readonly back: () => void;
  readonly forget: () => void;
  /** From the beginning, as a run of its own. */
  readonly again: () => void;
}

const TEN = 10;

/** The end: what ran is put on record where somebody says that it was done, and nothing is where nobody does. */
export function RoutineEnding({ routine, traineeId, id, moments, run, drillOf, back, forget, again }: RoutineEndingProps) {
  const [send, { isLoading, error }] = useLogSessionMutation();
  const [effort, setEffort] = useState(3);
  const [told] = useState(() => ({ id, at: nowInstant(), items: asItems(doneOf(moments, run, drillOf)) }));
  // What was sent once is sent again as it was: an answer that was lost must not make two of it.
  const [tried, setTried] = useState(false);
  const [kept, setKept] = useState(false);
  const done = doneOf(moments, run, drillOf);
  const seconds = run.gone.reduce((sum, i) => sum + (moments[i]?.seconds ?? 0), 0);
  const ran = done.filter((d) => d.sets.length > 0).length;
  const heavy = routine.purpose !== 'session' && (effort > PREPARATION_LIMITS.effort || seconds > PREPARATION_LIMITS.minutes * 60);
  const log = async () => {
    setTried(true);
    const body = asSession({ ...told, name: routine.name, purpose: routine.purpose, seconds, effort });
    const { data } = await send({ traineeId, body });
    if (!data) return;
    forget();
    setKept(true);
  };
  if (kept)
    return (
      <p role="status" className="mt-4 text-lg">
        On record.{' '}
        <Link className="link" to={`/trainees/${traineeId}/record`}>
          See the record
        </Link>
      </p>
    );
  return (
    <section aria-label="The end" className="mt-4 flex flex-col gap-3">
      <h2>It is over</h2>
      <p>
        {ran} of {done.length} drills ran to their end, {lastsInWords(seconds)} in all. {PURPOSE_WORDS[routine.purpose].says}
      </p>
      {traineeId === '' ? (
        <p className="aside">Nobody is chosen: nothing is put on record.</p>
      ) : ran === 0 ? (
        <p className="aside">No drill ran to its end: nothing is put on record.</p>
      ) : (
        <>
          <label className="flex flex-col">
            <span>
              How hard it was: <strong>{effort}</strong> of 10
            </span>
            <input
              type="range"
              className="range w-full"
              min={0}
              max={TEN}
              value={effort}
              disabled={tried}
              aria-valuetext={`${effort} of 10`}
              onChange={(e) => setEffort(Number(e.target.value))}
            />
            {heavy && (
              <span className="state-mark text-sm">
                An effort above {PREPARATION_LIMITS.effort} or more than {PREPARATION_LIMITS.minutes} minutes counts as a session, and as
                none that is clean.
              </span>
            )}
          </label>
          <button type="button" className="btn btn-primary min-h-14 text-lg" disabled={isLoading} onClick={() => void log()}>
            {isLoading ? 'Saving…' : 'It was done: put it on record'}
          </button>
          <ProblemNote error={error} retry={() => void log()} />
        </>
      )}
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn" onClick={back}>
          Back to the last one
        </button>
        <button type="button" className="btn btn-ghost" onClick={again}>
          From the beginning
        </button>
        <Link className="btn btn-ghost" to="/library/routines" onClick={forget}>
          Leave without a record
        </Link>
      </div>
    </section>
  );
}
