import type { LastingPainReply } from '@myokinet/core/contracts';
import { addDays, type Instant, shortDay } from '@myokinet/core/quantities';
import { BODY_PLACES, LASTING_DAYS, LASTING_MOST, type LastingPain, usualAt } from '@myokinet/core/safety';
import { placeInWords } from '@myokinet/core/words';
import { useState } from 'react';
import { ReasonForm } from '../../client/ReasonForm.tsx';
import { newId } from '../../client/newId.ts';
import { SelectField } from '../../kit/EntryFields.tsx';
import { nobodyHeard, ProfessionalFields } from '../../kit/ProfessionalFields.tsx';
import { useCurrentTrainee } from '../trainee/index.ts';
import { useRecordLastingPainMutation } from './endpoints.ts';

const SIDES = [
  { value: 'left', label: 'left' },
  { value: 'right', label: 'right' },
  { value: 'whole', label: 'both or middle' },
];
const PLACES = BODY_PLACES.map((place) => ({ value: place, label: placeInWords({ place, side: 'whole' }) }));
const LEVELS = Array.from({ length: LASTING_MOST }, (_, i) => ({ value: String(i + 1), label: `${i + 1} of 10` }));

/** Pains that are known and last, with a licensed professional's word: what is usual there is no alarm. */
export function LastingPains() {
  const { id: traineeId, lastingPains } = useCurrentTrainee();
  const now = new Date();
  const newest = lastingPains.filter(
    (p, i) => lastingPains.findIndex((q) => q.place === p.place && q.side === p.side) === i && p.level > 0,
  );
  return (
    <section aria-label="Lasting pains" className="sheet mt-4 p-3.5">
      <h2>Lasting pains</h2>
      <p className="aside mt-1 text-sm">
        Three months and more, known to a licensed professional. Up to what is usual there, training goes on; it steps back at 4 and stops
        at 5. Asked again every half year.
      </p>
      {newest.length === 0 && <p className="mt-1.5">None on record.</p>}
      <ul>
        {newest.map((pain) => (
          <Pain key={pain.id} pain={pain} traineeId={traineeId} now={now} />
        ))}
      </ul>
      <NewPain key={lastingPains.length} traineeId={traineeId} now={now} />
    </section>
  );
}

function Pain({ pain, traineeId, now }: { readonly pain: LastingPainReply; readonly traineeId: string; readonly now: Date }) {
  const counts = usualAt([pain], pain, now) !== undefined;
  const until = addDays(`${pain.consultedOn}T12:00:00.000Z` as Instant, LASTING_DAYS);
  return (
    <li className="mt-2 border-s-4 border-base-content ps-2.5 leading-snug">
      <span className="inline-block font-semibold first-letter:uppercase">
        {placeInWords(pain)}, usually {pain.level} of 10
      </span>
      , by a {pain.role}, {shortDay(`${pain.consultedOn}T12:00:00.000Z` as Instant, now)}: {pain.said}
      <span className={`block text-sm ${counts ? 'aside' : 'state-short font-semibold'}`}>
        {counts ? `Counts until ${shortDay(until, now)}.` : 'Too old: counts no more until a professional was heard again.'}
      </span>
      <WordForm {...{ traineeId, now }} open="It is over…" pain={{ place: pain.place, side: pain.side, level: 0 }} />
    </li>
  );
}

function NewPain({ traineeId, now }: { readonly traineeId: string; readonly now: Date }) {
  const [pain, setPain] = useState<Pick<LastingPain, 'place' | 'side' | 'level'>>({ place: 'shoulder', side: 'left', level: 2 });
  return (
    <WordForm {...{ traineeId, now, pain }} open="A lasting pain was looked at…">
      <div className="mb-1 flex flex-wrap gap-2">
        <SelectField
          label="Place"
          options={PLACES}
          value={pain.place}
          change={(place) => setPain({ ...pain, place: place as LastingPain['place'] })}
        />
        <SelectField
          label="Side"
          options={SIDES}
          value={pain.side}
          change={(side) => setPain({ ...pain, side: side as LastingPain['side'] })}
        />
        <SelectField
          label="Usual"
          options={LEVELS}
          value={String(pain.level)}
          change={(level) => setPain({ ...pain, level: Number(level) })}
        />
      </div>
    </WordForm>
  );
}

function WordForm({
  traineeId,
  now,
  open,
  pain,
  children,
}: {
  readonly traineeId: string;
  readonly now: Date;
  readonly open: string;
  readonly pain: Pick<LastingPain, 'place' | 'side' | 'level'>;
  readonly children?: React.ReactNode;
}) {
  const [record, { isLoading: busy, error }] = useRecordLastingPainMutation();
  const [heard, setHeard] = useState(() => nobodyHeard(now));
  const { role, consultedOn } = heard;
  return (
    <ReasonForm
      open={open}
      label="What was seen and said"
      confirm="Put on record"
      {...{ busy, error }}
      besides={{
        fields: (
          <>
            {children}
            <ProfessionalFields value={heard} change={setHeard} />
          </>
        ),
        ready: role !== '',
      }}
      submit={(said) => role !== '' && record({ traineeId, body: { ...pain, id: newId(), role, consultedOn, said } })}
    />
  );
}
