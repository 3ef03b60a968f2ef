import { UNITS } from '@myokinet/core/quantities';
import { type Measure, type OwnError, stopsMovement } from '@myokinet/core/measuring';
import type { TraineeReply } from '@myokinet/core/contracts';
import { useMemo, useState } from 'react';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { readCell, stateOf, whereToGoOn } from '@myokinet/core/checking';
import { nowInstant } from '../../client/clock.ts';
import { useLibrary } from '../../client/LibraryContext.ts';
import { EmergencyButton } from '../emergency/index.ts';
import { type CheckDesk, ClosedChecks, scopeFrom, TakenOn, useCheckDesk, useScope } from '../checks/index.ts';
import { useReadinessQuery } from '../readiness/index.ts';
import { useMeasuringQuery } from '../measuring/index.ts';
import { Empty } from '../../kit/Empty.tsx';
import { NoteField } from '../../kit/NoteField.tsx';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { UndoRedo } from '../../kit/UndoRedo.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useCurrentTrainee } from '../trainee/index.ts';
import { BatteryReview } from './BatteryReview.tsx';
import { ChooseBattery } from './ChooseBattery.tsx';
import { TakeMeasure } from './TakeMeasure.tsx';

const REVIEW = 'review';
const NO_ERRORS: Readonly<Record<string, OwnError>> = {};

/** A battery at the trainee's side: one check at a time, on whatever device is at hand. */
export function BatteryPage() {
  const trainee = useCurrentTrainee();
  const [search] = useSearchParams();
  const asked = search.get('scope');
  const library = useLibrary();
  const desk = useCheckDesk(trainee.id, asked ? scopeFrom(asked, library) : undefined);
  // A battery that is under way knows what it is about.
  const scope = scopeFrom(asked ?? desk.value.scope, library);
  const { measures, closed, isLoading } = useScope(trainee, scope);
  const measuring = useMeasuringQuery();
  if (isLoading || desk.isLoading) return <Waiting />;
  if (asked === null && !desk.exists) return <ChooseBattery trainee={trainee} notice={desk.notice} />;
  if (measures.length === 0)
    return (
      <div className="p-6">
        <ClosedChecks closed={closed} />
        <Empty title="No check to take">
          <p>{closed.length > 0 ? 'Every check of these is closed.' : 'The next gate of this trainee asks for no check.'}</p>
          <Link className="btn mt-3" to="?scope=all" replace>
            {closed.length > 0 ? 'Take what is open of every check' : 'Take every check'}
          </Link>
        </Empty>
      </div>
    );
  return (
    <>
      <ClosedChecks closed={closed} />
      <Battery key={scope} {...{ trainee, desk, measures }} ownErrors={measuring.data?.ownErrors ?? NO_ERRORS} />
    </>
  );
}

/** Checks that are in the battery although this page was opened for others: another device, or an earlier start. */
function elsewhere(measures: readonly Measure[], { cells, skips }: CheckDesk['value'], all: readonly Measure[]): readonly Measure[] {
  const there = new Set([
    ...Object.keys(cells)
      .filter((key) => cells[key]?.text.trim())
      .map((key) => key.split('/')[0]),
    ...Object.keys(skips),
  ]);
  return all.filter((m) => there.has(m.id) && !measures.includes(m));
}

interface BatteryProps {
  readonly trainee: TraineeReply;
  readonly desk: CheckDesk;
  readonly measures: readonly Measure[];
  readonly ownErrors: Readonly<Record<string, OwnError>>;
}

function Battery({ trainee, desk, measures, ownErrors }: BatteryProps) {
  const navigate = useNavigate();
  const { everyMeasure } = useLibrary();
  const [at, setAt] = useState(() => whereToGoOn(measures, desk.value)?.id ?? REVIEW);
  const now = useMemo(() => nowInstant(), []);
  const index = measures.findIndex((m) => m.id === at);
  // From the review any check of the battery can be gone to.
  const measure = measures[index] ?? everyMeasure.find((m) => m.id === at);
  const readiness = useReadinessQuery(trainee.id);
  const settled = measures.filter((m) => ['done', 'skipped'].includes(stateOf(m, desk.value))).length;
  const go = (to: number) => setAt(measures[to]?.id ?? REVIEW);
  const filled = Object.entries(desk.value.cells).filter(([, c]) => c.text.trim() !== '');
  const nothing = filled.length === 0 && !Object.values(desk.value.skips).some(stopsMovement);
  const wrong = filled.some(([key, c]) => {
    const of = measures.find((m) => key.startsWith(`${m.id}/`));
    return of && readCell(of, c.text).problem;
  });
  const pause = () => void navigate(`/trainees/${trainee.id}/checks`);
  const save = async () => {
    if (await desk.save()) await navigate(`/trainees/${trainee.id}`);
  };
  return (
    <div data-focused className="mx-auto flex w-full max-w-5xl flex-1 flex-col px-3 pt-2 pb-3 sm:px-6">
      <header className="flex flex-wrap items-center gap-x-3 gap-y-1">
        <span className="font-semibold">{trainee.name}</span>
        <span className="aside text-sm" role="status">
          {measure ? (index < 0 ? 'a check from before' : `check ${index + 1} of ${measures.length}`) : 'review'} ·{' '}
          {desk.synced ? 'kept on the server' : 'on this device, sending…'}
        </span>
        <span className="ms-auto flex items-center max-sm:[&_.btn]:px-1.5">
          <EmergencyButton traineeId={trainee.id} name={trainee.name} />
          <UndoRedo desk={desk} />
          {measure && (
            <button type="button" className="btn btn-sm min-h-11" onClick={() => setAt(REVIEW)}>
              End here
            </button>
          )}
          <button type="button" className="btn btn-sm min-h-11" onClick={pause}>
            Pause
          </button>
        </span>
      </header>
      <progress
        className="progress progress-primary mt-1 h-1.5 w-full"
        value={settled}
        max={measures.length}
        aria-label={`${settled} of ${measures.length} checks done or skipped`}
      />
      {desk.notice && (
        <p role="status" className="sheet mt-2 p-2">
          {desk.notice}
        </p>
      )}
      <ProblemNote error={desk.failure} />
      {measure ? (
        <TakeMeasure
          key={measure.id}
          {...{ measure, trainee, desk, now }}
          ownError={ownErrors[measure.id]}
          demands={readiness.data?.headrooms.map((h) => h.demand) ?? []}
          changes={index > 0 && measures[index - 1]?.position !== measure.position}
          unit={measure.choices ? 'by eye' : UNITS[measure.unit].name}
          back={index > 0 ? () => go(index - 1) : undefined}
          next={() => go(index < 0 ? measures.length : index + 1)}
        />
      ) : (
        <section className="mt-3" aria-label="Review">
          <h1>Before it is saved</h1>
          <BatteryReview
            measures={[...measures, ...elsewhere(measures, desk.value, everyMeasure)]}
            draft={desk.value}
            ownErrors={ownErrors}
            now={now}
            go={setAt}
          />
          <TakenOn desk={desk} />
          <NoteField value={desk.value.note} change={desk.setNote} />
          <ProblemNote error={desk.error} retry={() => void save()} />
          <div className="mt-3 flex flex-wrap gap-2">
            <button type="button" className="btn btn-primary btn-lg" disabled={nothing || wrong || desk.saving} onClick={() => void save()}>
              {desk.saving ? 'Saving…' : 'Save the battery'}
            </button>
            <button type="button" className="btn btn-lg" onClick={() => go(measures.length - 1)}>
              Back to the last check
            </button>
          </div>
        </section>
      )}
    </div>
  );
}
