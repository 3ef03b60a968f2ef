import { capacityInWords, headroomInWords } from '@myokinet/core/words';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { newId } from '../../client/newId.ts';
import { useLibrary } from '../../client/LibraryContext.ts';
import { HeadroomChart } from './HeadroomChart.tsx';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { ReasonForm } from '../../client/ReasonForm.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useForecastQuery, useReadinessQuery, useWithdrawClearanceMutation } from './endpoints.ts';
import { buildOf, useCurrentBody, useCurrentTrainee } from '../trainee/index.ts';
import { ForecastNote } from './ForecastNote.tsx';
import { GatePanel } from './GatePanel.tsx';
import { GoalNote } from './GoalNote.tsx';
import { LadderView } from './LadderView.tsx';
import { ScreeningNote } from './ScreeningNote.tsx';
import { StopSigns } from './StopSigns.tsx';
import { WeeksAhead } from './WeeksAhead.tsx';

/** The verdict on one trainee; what stands between the gate and a withdrawal is handed in. */
export function ReadinessPage({ children }: { readonly children: ReactNode }) {
  const library = useLibrary();
  const trainee = useCurrentTrainee();
  const body = useCurrentBody();
  const { data, error, isLoading, refetch } = useReadinessQuery(trainee.id);
  const forecast = useForecastQuery(trainee.id);
  const [withdraw, withdrawal] = useWithdrawClearanceMutation();
  if (isLoading) return <Waiting />;
  if (!data) return <ProblemNote error={error} retry={() => void refetch()} />;
  const now = new Date(data.judgedAt);
  const ladder = library.ladder(data.ladderId);
  const rung = data.rungId ? library.rung(ladder.id, data.rungId) : undefined;
  const inHand = data.standing.rungs[data.standing.here];
  const neverChecked = data.headrooms.length > 0 && data.headrooms.every((h) => !h.capacity);
  const closed = data.gate !== undefined && !data.gate.open;
  return (
    <div className="grid flex-1 content-start gap-x-6 gap-y-6 px-4 py-3 sm:px-6 lg:grid-cols-[14rem_minmax(0,1fr)_17.5rem]">
      <div className="order-3 lg:order-1">
        <LadderView
          ladder={ladder}
          standing={data.standing}
          closed={data.closedRungs}
          gate={data.gate}
          build={buildOf(trainee)}
          body={body}
          now={now}
        />
      </div>
      <div className="order-2">
        <ProblemNote error={error} retry={() => void refetch()} />
        <ScreeningNote screening={trainee.screening} />
        {neverChecked && (
          <p className="mb-3 flex flex-wrap items-center gap-3 border-s-4 border-primary bg-primary/10 px-4 py-2.5">
            Nothing has been checked yet, so nothing is known.
            <Link className="btn btn-primary btn-sm" to="checks/new">
              Take the first check
            </Link>
          </p>
        )}
        <HeadroomChart
          measureOf={library.measure}
          title={rung ? `Headroom for ${rung.name}` : `Headroom on the top rung`}
          headrooms={data.headrooms}
          limiter={data.gate?.limiter}
          trails={data.trails}
          now={now}
        />
        {closed && forecast.data && <WeeksAhead data={forecast.data} headrooms={data.headrooms} trails={data.trails} />}
      </div>
      <div className="order-1 flex flex-col gap-3 lg:order-3">
        <StopSigns traineeId={trainee.id} signs={data.stopSigns} now={now} />
        {rung && data.gate ? (
          <GatePanel
            key={rung.id}
            traineeId={trainee.id}
            ladderId={ladder.id}
            rung={rung}
            gate={data.gate}
            headrooms={data.headrooms}
            measureOf={library.measure}
            now={now}
            renewal={inHand?.state === 'lapsed'}
          />
        ) : (
          <p className="sheet p-3.5">The top of this ladder is signed. Choose the next target in the profile.</p>
        )}
        {forecast.data?.goal && <GoalNote goal={forecast.data.goal} at={forecast.data.at} />}
        {closed && forecast.data && <ForecastNote data={forecast.data} measureOf={library.measure} />}
        {closed && forecast.isError && <p className="aside text-sm">When the gate may open could not be worked out just now.</p>}
        {data.slipped.length > 0 && (
          <div className="border-s-4 border-warning bg-warning/10 p-3 leading-snug">
            <p className="font-semibold">The rung in hand has slipped</p>
            <ul className="list-disc ps-5">
              {data.slipped.map((h) => (
                <li key={h.demand.measureId + h.side}>
                  {capacityInWords(h, library.measure(h.demand.measureId))}: {headroomInWords(h, library.measure(h.demand.measureId))}.
                </li>
              ))}
            </ul>
          </div>
        )}
        {children}
        {inHand?.clearance && (
          <ReasonForm
            key={inHand.clearance.id}
            open={`Withdraw “${ladder.rungs[data.standing.here]?.name}”…`}
            label="Why is the clearance withdrawn?"
            confirm="Withdraw the clearance"
            busy={withdrawal.isLoading}
            error={withdrawal.error}
            submit={(reason) => withdraw({ traineeId: trainee.id, body: { id: newId(), clearanceId: inHand.clearance?.id ?? '', reason } })}
          />
        )}
        <p className="aside mt-auto text-sm">Coaching aid, not medical advice.</p>
      </div>
    </div>
  );
}
