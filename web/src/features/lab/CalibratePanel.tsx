import type { ScaleReadingReply, TraineeReply } from '@myokinet/core/contracts';
import {
  calibrate,
  canCalibrate,
  type ContactName,
  type KnownBody,
  readingProblem,
  scalePlaces,
  type ScaleReading,
  type SetUp,
  setUpInWords,
} from '@myokinet/core/statics';
import { format } from 'date-fns';
import { memo, useState } from 'react';
import { nowInstant } from '../../client/clock.ts';
import { newId } from '../../client/newId.ts';
import { asOptions } from '../library/index.ts';
import { NumberField, SelectField } from '../../kit/EntryFields.tsx';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { ReasonForm } from '../../client/ReasonForm.tsx';
import { useCalibrationQuery, useRecordScaleReadingMutation, useSetReadingAsideMutation } from './endpoints.ts';
import { percent, spanInWords } from './words.ts';
import { UnreadableNote } from '../../kit/UnreadableNote.tsx';

export interface CalibratePanelProps {
  readonly trainee: TraineeReply;
  readonly body: KnownBody;
  readonly setUp: SetUp;
}

/** A bathroom scale under hands or feet teaches the model how this trainee stands. */
export const CalibratePanel = memo(function CalibratePanel({ trainee, body, setUp }: CalibratePanelProps) {
  const { currentData, error, refetch } = useCalibrationQuery(trainee.id);
  return (
    <section aria-label="Calibrate with a scale">
      <h2>Calibrate with a scale</h2>
      <p className="aside text-sm">
        {body.belief
          ? `The model has learned from ${body.belief.readings} ${body.belief.readings === 1 ? 'reading' : 'readings'} of this trainee.`
          : 'Two or three readings in different set-ups shrink the error band of all of them.'}
      </p>
      {canCalibrate(setUp) ? (
        <TakeReading key={setUp.position} trainee={trainee} body={body} setUp={setUp} earlier={currentData?.readings ?? []} />
      ) : (
        <p className="mt-1 text-sm">In this position the load is how hard the trainee pushes: a scale shows it, and teaches nothing.</p>
      )}
      <ProblemNote error={error} retry={() => void refetch()} />
      <UnreadableNote sentences={currentData?.unreadable ?? []} />
      {currentData && currentData.readings.length > 0 && (
        <ul className="mt-2 divide-y divide-base-300 border-t border-base-300 text-sm leading-snug">
          {currentData.readings.map((reading) => (
            <Taken key={reading.id} traineeId={trainee.id} reading={reading} />
          ))}
        </ul>
      )}
    </section>
  );
});

function TakeReading({ trainee, body, setUp, earlier }: CalibratePanelProps & { readonly earlier: readonly ScaleReadingReply[] }) {
  const places = placesOf(body, setUp);
  const [under, setUnder] = useState<ContactName>('feet');
  const [kg, setKg] = useState<number | undefined>();
  const [mass, setMass] = useState<number>(trainee.mass);
  const [send, { isLoading, error }] = useRecordScaleReadingMutation();
  const place = places.includes(under) ? under : places[0];
  if (!place) return null;
  const reading: ScaleReading | undefined = kg === undefined || Number.isNaN(kg) ? undefined : { setUp, under: place, kg, massKg: mass };
  const problem = reading && readingProblem(body, reading);
  const judged = reading && !problem ? judge(body, reading, earlier) : undefined;
  const record = async (insisted: boolean) => {
    if (!reading || problem) return;
    const body_ = { id: newId(), takenAt: nowInstant(), note: '', ...reading, insisted };
    const result = await send({ traineeId: trainee.id, body: body_ });
    if (result.data) setKg(undefined);
  };
  return (
    <form
      className="mt-1"
      onSubmit={(event) => {
        event.preventDefault();
        if (judged?.state === 'used') void record(false);
      }}
    >
      <div className="grid grid-cols-3 gap-3">
        <SelectField label="Scale under the" value={place} options={asOptions(places)} change={(v) => setUnder(v as ContactName)} />
        <NumberField label="It shows" unit="kg" step={0.1} value={kg} problem={problem} change={setKg} />
        <NumberField label="Body mass today" unit="kg" step={0.1} value={mass} change={setMass} />
      </div>
      {judged && (
        <p
          role="status"
          className={`mt-1.5 border-s-4 ps-2 text-sm leading-snug ${judged.state === 'used' ? 'border-primary' : 'border-error'}`}
        >
          That is {percent(judged.measured)} on the hands; the model expected {percent(judged.expected)}, likely{' '}
          {spanInWords(judged.band, percent)}.
          {judged.state === 'questioned' &&
            ' It contradicts the model by more than its band. Is the set-up the one in the picture, the scale level, the trainee still, the mass of today? If so, let it count.'}
        </p>
      )}
      <div className="mt-1.5 flex flex-wrap gap-2">
        <button type="submit" className="btn btn-sm btn-primary" disabled={judged?.state !== 'used' || isLoading}>
          Record the reading
        </button>
        {judged?.state === 'questioned' && (
          <>
            <button type="button" className="btn btn-sm" disabled={isLoading} onClick={() => void record(true)}>
              It is right, let it count
            </button>
            <button type="button" className="btn btn-sm btn-ghost" disabled={isLoading} onClick={() => void record(false)}>
              Keep it as a question
            </button>
          </>
        )}
      </div>
      <ProblemNote error={error} />
    </form>
  );
}

function placesOf(body: KnownBody, setUp: SetUp): readonly ContactName[] {
  try {
    return scalePlaces(body, setUp);
  } catch {
    // A set-up that can not be built has nothing that stands on a scale.
    return [];
  }
}

/** What the reading says next to those that count already. */
function judge(body: KnownBody, reading: ScaleReading, earlier: readonly ScaleReadingReply[]) {
  const counting = earlier.filter((r) => !r.setAside).toReversed();
  return calibrate(body, [...counting, reading]).readings.at(-1);
}

const STATE_WORDS = {
  used: 'taught the model',
  insisted: 'contradicted the model; counts for less',
  questioned: 'contradicts the model; teaches nothing',
  unusable: 'no longer fits the trainee’s measures',
} as const;

function Taken({ traineeId, reading }: { readonly traineeId: string; readonly reading: ScaleReadingReply }) {
  const [setAside, { isLoading, error }] = useSetReadingAsideMutation();
  const { judged } = reading;
  return (
    <li className={`py-1.5 ${reading.setAside ? 'opacity-70' : ''}`}>
      <span className="font-semibold">{reading.kg} kg</span> under the {reading.under}, {setUpInWords(reading.setUp)}
      <span className="aside">
        {' '}
        · {format(new Date(reading.takenAt), 'd MMM yyyy')}, {reading.coach}
      </span>
      <span className="block">
        {percent(judged.measured)} measured, {percent(judged.expected)} expected:{' '}
        {reading.setAside ? `set aside: ${reading.setAside.reason}` : STATE_WORDS[judged.state]}
      </span>
      {!reading.setAside && (
        <ReasonForm
          open="Set it aside…"
          label="Why shall it no longer count?"
          confirm="Set it aside"
          busy={isLoading}
          error={error}
          submit={(reason) => setAside({ traineeId, body: { id: newId(), readingId: reading.id, reason } })}
        />
      )}
    </li>
  );
}
