import type { RoutineReply } from '@myokinet/core/contracts';
import { limitedMoments, momentsOf, type RoutineMoment } from '@myokinet/core/routines';
import { Pause, Play, SkipBack, SkipForward } from 'lucide-react';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { MovingBody } from '../../kit/body/MovingBody.tsx';
import { useMovement } from '../../kit/body/useMovement.ts';
import { Empty } from '../../kit/Empty.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { ReportSymptom } from '../record/index.ts';
import { useRoutinesQuery } from '../library/index.ts';
import { RoutineEnding } from './RoutineEnding.tsx';
import { TraineeChoice } from './TraineeChoice.tsx';
import { useDrillOf } from './useDrillOf.ts';
import { useForTrainee } from './useForTrainee.ts';
import { useRoutineRun } from './useRoutineRun.ts';
import { lastsInWords, momentInWords } from './words.ts';

/** A routine by the clock, for one trainee within what they may do, or for nobody in particular. */
export function RunRoutinePage() {
  const { routineId = '' } = useParams();
  const { data: routines, error, refetch } = useRoutinesQuery();
  const [search, setSearch] = useSearchParams();
  const traineeId = search.get('for') ?? '';
  const routine = routines?.find((r) => r.id === routineId);
  const forTrainee = useForTrainee(traineeId, routine);
  const [turn, setTurn] = useState(0);
  if (!routines) return error ? <ProblemNote error={error} retry={() => void refetch()} /> : <Waiting />;
  if (!routine || routine.unreadable)
    return (
      <Empty title="This routine is not on the list">
        <p>{routine?.unreadable ?? 'It was taken off, or its address is not whole.'}</p>
        <Link className="btn mt-3" to="/library/routines">
          To the routines
        </Link>
      </Empty>
    );
  return (
    <div className="mx-auto w-full max-w-2xl px-4 py-3">
      <title>{`${routine.name} · Myokinet`}</title>
      <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
        <h1 className="text-xl">{routine.name}</h1>
        <TraineeChoice label="For" value={traineeId} set={(id) => setSearch(id === '' ? {} : { for: id }, { replace: true })} />
      </div>
      <ProblemNote error={forTrainee.error} />
      {forTrainee.pending ? (
        <Waiting />
      ) : (
        !forTrainee.error && (
          <Run
            key={`${routine.revision} ${traineeId} ${turn}`}
            routine={forTrainee.own ?? routine}
            traineeId={traineeId}
            forTrainee={forTrainee}
            again={() => setTurn(turn + 1)}
          />
        )
      )}
    </div>
  );
}

interface RunProps {
  readonly routine: RoutineReply;
  readonly traineeId: string;
  readonly forTrainee: ReturnType<typeof useForTrainee>;
  readonly again: () => void;
}

function Run({ routine, traineeId, again, forTrainee: { against, library, stopped } }: RunProps) {
  const drillOf = useDrillOf(library);
  // What may be done is found anew with every answer of the server: a run goes on with what it began with, and ends where that changes.
  const limits = JSON.stringify([...against].map(([drillId, { most }]) => [drillId, most]));
  const [begunWith] = useState(limits);
  const [moments] = useState(() =>
    limitedMoments(momentsOf(routine, drillOf), new Map([...against].map(([drillId, { most }]) => [drillId, most])), drillOf),
  );
  const changed = limits !== begunWith;
  const { id, run, running, over, press, forget } = useRoutineRun({
    kept: `${routine.revision}.${traineeId}`,
    limits: begunWith,
    moments,
    says: (m) => momentInWords(m, library),
  });
  const moment = moments[run.at];
  const next = moments[run.at + 1];
  const left = [...against].map(([drillId, { says }]) => `${library.drill(drillId).name}: ${says}`);
  const whole = moments.reduce((sum, m) => sum + m.seconds, 0);
  const past = moments.slice(0, run.at).reduce((sum, m) => sum + m.seconds, 0) + (moment ? moment.seconds - run.left : 0);
  if (stopped.length > 0)
    return (
      <div role="alert" className="mt-3 border-s-8 border-error bg-error/10 p-3">
        <p className="font-semibold">A stop sign is open: nothing is run until it is closed.</p>
        {stopped.map((reason) => (
          <p key={reason}>{reason}</p>
        ))}
        <Link className="link" to={`/trainees/${traineeId}`}>
          To the stop sign
        </Link>
      </div>
    );
  if (moments.length === 0)
    return (
      <Empty title="Nothing of it can be run">
        <ul className="text-start">
          {left.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      </Empty>
    );
  return (
    <>
      {left.length > 0 && (
        <details className="state-mark mt-1 text-sm">
          <summary className="min-h-8 cursor-pointer content-center font-semibold">
            {left.length === 1 ? 'One drill is' : `${left.length} drills are`} left out or less for this trainee
          </summary>
          <ul className="list-disc ps-5">
            {left.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
        </details>
      )}
      {changed && (
        <p role="alert" className="border-s-4 border-warning bg-warning/10 mt-2 p-2">
          What this trainee may do has changed since it began: it ends here.
        </p>
      )}
      {over || !moment || changed ? (
        <RoutineEnding
          routine={routine}
          traineeId={traineeId}
          id={id}
          moments={moments}
          run={run}
          drillOf={drillOf}
          back={() => press('back')}
          forget={forget}
          again={() => {
            forget();
            again();
          }}
        />
      ) : (
        <section aria-label="Now">
          <div className="mx-auto mt-2 max-w-60 sm:max-w-80">
            {moment.drillId !== undefined && <Figure key={`${moment.drillId} ${moment.side}`} moment={moment} library={library} />}
          </div>
          <p role="status" className="mt-2 text-2xl leading-tight font-semibold">
            {momentInWords(moment, library)}
          </p>
          <p role="timer" className="text-7xl leading-none font-semibold tabular-nums" aria-label={`${Math.ceil(run.left)} seconds left`}>
            {Math.ceil(run.left)}
            <span className="aside text-2xl font-normal"> s</span>
          </p>
          <p className="aside mt-1 min-h-6 leading-tight">{next ? `Then: ${momentInWords(next, library)}` : 'Then it is over.'}</p>
          <progress className="progress mt-2 w-full" value={past} max={whole} aria-label="How far it is" />
          <p className="aside text-sm">
            {lastsInWords(whole - past)} left of {lastsInWords(whole)}
            {moment.rounds > 1 ? `; round ${moment.round} of ${moment.rounds}` : ''}
          </p>
          <div className="mt-3 flex gap-2">
            <button
              type="button"
              className="btn min-h-14"
              aria-label="Back to the one before"
              disabled={run.at === 0}
              onClick={() => press('back')}
            >
              <SkipBack size={20} aria-hidden />
            </button>
            <button type="button" className="btn btn-primary min-h-14 flex-1 text-xl" onClick={() => press(running ? 'stand' : 'go')}>
              {running ? <Pause size={20} aria-hidden /> : <Play size={20} aria-hidden />}
              {running ? 'Stand still' : run.gone.length + run.at > 0 || run.left < moment.seconds ? 'Go on' : 'Begin'}
            </button>
            <button type="button" className="btn min-h-14" aria-label="On to the next" onClick={() => press('skip')}>
              <SkipForward size={20} aria-hidden />
            </button>
          </div>
        </section>
      )}
      {traineeId !== '' && (
        <div className="mt-4" onClickCapture={() => press('stand')}>
          <ReportSymptom traineeId={traineeId} />
        </div>
      )}
    </>
  );
}

function Figure({ moment, library }: { readonly moment: RoutineMoment; readonly library: ReturnType<typeof useForTrainee>['library'] }) {
  const drill = moment.drillId !== undefined && library.hasDrill(moment.drillId) ? library.drill(moment.drillId) : undefined;
  const prepared = useMovement(drill, undefined, moment.side === 'left' ? 'mirrored' : 'as written');
  if (!drill || !prepared) return null;
  return <MovingBody prepared={prepared} beat={drill.dose.tempo} label={`${drill.name}, shown`} />;
}
