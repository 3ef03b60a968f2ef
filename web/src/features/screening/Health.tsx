import type { ScreeningsReply } from '@myokinet/core/contracts';
import { type CalendarDay, calendarDay, shortDay, type Instant } from '@myokinet/core/quantities';
import {
  consentStands,
  GUARDIAN_ROLES,
  type GuardianRole,
  PRESSURE_FRESH_DAYS,
  PRESSURE_LIMITS,
  pressureLevel,
} from '@myokinet/core/safety';
import { BEFORE_SESSION_WORDS } from '@myokinet/core/words';
import { useId, useState } from 'react';
import { nowInstant } from '../../client/clock.ts';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { SelectField } from '../../kit/EntryFields.tsx';
import { useCurrentTrainee } from '../trainee/index.ts';
import { useRecordBloodPressureMutation, useRecordConsentMutation } from './endpoints.ts';

const LEVEL_WORDS = {
  'very high': 'very high: nothing straining until a doctor’s word',
  raised: 'raised: nothing head down, no efforts above 5, no holds above 20 s',
  normal: 'normal',
} as const;

const atNoon = (day: CalendarDay) => `${day}T12:00:00.000Z` as Instant;

/** Blood pressure as figures, a guardian’s consent, and what was asked before the last sessions. */
export function Health({ health }: Pick<ScreeningsReply, 'health'>) {
  const trainee = useCurrentTrainee();
  const now = new Date();
  const minor = trainee.screening.cautions.some((c) => c.id === 'minor');
  const told = health.before.filter((f) => f.yes.length > 0).slice(0, 5);
  return (
    <>
      {minor && <Consent traineeId={trainee.id} consents={health.consents} now={now} />}
      <Pressure traineeId={trainee.id} pressures={health.pressures} now={now} />
      {told.length > 0 && (
        <section aria-label="Before sessions" className="sheet mt-4 p-3.5">
          <h2>Before sessions</h2>
          <ul>
            {told.map((f) => (
              <li key={f.id} className="mt-1 leading-snug">
                {shortDay(f.at, now)}, {f.coach}: {f.yes.map((q) => BEFORE_SESSION_WORDS[q].fact).join(', ')}
                {f.ill && `; ill since ${shortDay(atNoon(f.ill.since), now)}`}
                {f.ill?.clearSince && `, without fever since ${shortDay(f.ill.clearSince, now)}`}.
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}

function Consent({
  traineeId,
  consents,
  now,
}: {
  readonly traineeId: string;
  readonly consents: ScreeningsReply['health']['consents'];
  readonly now: Date;
}) {
  const id = useId();
  const [record, { isLoading, error }] = useRecordConsentMutation();
  const [role, setRole] = useState<GuardianRole>('parent');
  const [givenOn, setGivenOn] = useState(() => calendarDay(now));
  const stands = consentStands(consents, now);
  const [newest] = consents;
  const say = (agreed: boolean) => void record({ traineeId, body: { id: newId(), role, givenOn, agreed } });
  return (
    <section aria-label="Guardian’s consent" className="sheet mt-4 p-3.5">
      <h2>Guardian’s consent</h2>
      <p className={`mt-1 leading-snug ${stands ? '' : 'state-short font-semibold'}`}>
        {newest
          ? `${newest.agreed ? 'Given' : 'Taken back'} by a ${newest.role} on ${shortDay(atNoon(newest.givenOn), now)}, recorded by ${newest.coach}.`
          : 'Nobody has been asked yet.'}{' '}
        {stands ? 'Counts for a year.' : 'Nothing straining until whoever is responsible has agreed.'}
      </p>
      <div className="mt-2 flex flex-wrap items-end gap-2">
        <SelectField
          label="Who, by role"
          options={GUARDIAN_ROLES.map((value) => ({ value, label: value }))}
          value={role}
          change={(v) => setRole(v as GuardianRole)}
        />
        <div>
          <label htmlFor={`${id}-day`} className="block text-sm font-semibold">
            On
          </label>
          <input
            id={`${id}-day`}
            type="date"
            className="input input-sm w-auto"
            max={calendarDay(now)}
            value={givenOn}
            onChange={(e) => setGivenOn(e.target.value as CalendarDay)}
          />
        </div>
        <button type="button" className="btn btn-sm btn-primary" disabled={isLoading || !givenOn} onClick={() => say(true)}>
          They agreed
        </button>
        {stands && (
          <button type="button" className="btn btn-sm" disabled={isLoading || !givenOn} onClick={() => say(false)}>
            They took it back
          </button>
        )}
      </div>
      <ProblemNote error={error} />
    </section>
  );
}

function Pressure({
  traineeId,
  pressures,
  now,
}: {
  readonly traineeId: string;
  readonly pressures: ScreeningsReply['health']['pressures'];
  readonly now: Date;
}) {
  const id = useId();
  const [record, { isLoading, error }] = useRecordBloodPressureMutation();
  const [systolic, setSystolic] = useState('');
  const [diastolic, setDiastolic] = useState('');
  const both = systolic !== '' && diastolic !== '';
  const save = async () => {
    const body = { id: newId(), takenAt: nowInstant(), systolic: Number(systolic), diastolic: Number(diastolic) };
    const result = await record({ traineeId, body });
    if (!result.data) return;
    setSystolic('');
    setDiastolic('');
  };
  return (
    <section aria-label="Blood pressure" className="sheet mt-4 p-3.5">
      <h2>Blood pressure at rest</h2>
      <p className="aside mt-1 text-sm">
        Seated, after five quiet minutes. A high reading counts until a newer one is not; a normal one shows for {PRESSURE_FRESH_DAYS} days
        that a known high pressure is under control.
      </p>
      {pressures.length === 0 && <p className="mt-1.5">None on record.</p>}
      <ul>
        {pressures.slice(0, 4).map((p, i) => (
          <li key={p.id} className={`mt-1 leading-snug ${i > 0 ? 'aside' : ''}`}>
            <span className="font-semibold">
              {p.systolic}/{p.diastolic} mmHg
            </span>
            , {shortDay(p.takenAt, now)}, {p.coach}: {LEVEL_WORDS[pressureLevel(p)]}.
          </li>
        ))}
      </ul>
      <form
        noValidate
        className="mt-2 flex flex-wrap items-end gap-2"
        onSubmit={(e) => {
          e.preventDefault();
          if (both) void save();
        }}
      >
        {(
          [
            ['Upper', systolic, setSystolic, PRESSURE_LIMITS.systolic],
            ['Lower', diastolic, setDiastolic, PRESSURE_LIMITS.diastolic],
          ] as const
        ).map(([label, value, set, { min, max }]) => (
          <div key={label}>
            <label htmlFor={`${id}-${label}`} className="block text-sm font-semibold">
              {label} (mmHg)
            </label>
            <input
              id={`${id}-${label}`}
              type="number"
              inputMode="numeric"
              className="input input-sm w-24"
              {...{ min, max, value }}
              onChange={(e) => set(e.target.value)}
            />
          </div>
        ))}
        <button type="submit" className="btn btn-sm" disabled={!both || isLoading}>
          Record the reading
        </button>
      </form>
      <ProblemNote error={error} />
    </section>
  );
}
