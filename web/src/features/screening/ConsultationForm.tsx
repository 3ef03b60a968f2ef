import type { ConsultationDto } from '@myokinet/core/contracts';
import { addDays, type CalendarDay, calendarDay, type Instant } from '@myokinet/core/quantities';
import { type CautionInForce, openedBy, type Permit, PERMIT_DAYS, PROFESSIONAL_ROLES, type ProfessionalRole } from '@myokinet/core/safety';
import { useId, useState } from 'react';
import { newId } from '../../client/newId.ts';
import { problemFrom } from '../../client/problem.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useRecordConsultationMutation } from './endpoints.ts';
import { NumberField } from '../../kit/EntryFields.tsx';
import { useCurrentTrainee } from '../trainee/index.ts';
import { CAUTION_WORDS } from '@myokinet/core/words';

const SHORTEST = 5;

/** Nothing beyond what needs no word: every limit is said on purpose. */
const CLOSED: Omit<Permit, 'until'> = { loadPerArm: 0, overhead: false, hanging: false, headDown: false, effort: 4 };

const PLACES = [
  ['overhead', 'Arms overhead'],
  ['hanging', 'Hanging'],
  ['headDown', 'Head down'],
] as const;

/** A lock opens only here: which professional was consulted, when, what was seen, and what is permitted. */
export function ConsultationForm({
  screeningId,
  cautions,
}: {
  readonly screeningId: string;
  readonly cautions: readonly CautionInForce[];
}) {
  const id = useId();
  const trainee = useCurrentTrainee();
  const [record, { isLoading, error }] = useRecordConsultationMutation();
  const [open, setOpen] = useState(false);
  const [chosen, setChosen] = useState<readonly ConsultationDto['cautionIds'][number][]>([]);
  const [role, setRole] = useState<ProfessionalRole | ''>('');
  const [consultedOn, setConsultedOn] = useState(calendarDay(new Date()) as string);
  const [allowed, setAllowed] = useState('');
  const [permit, setPermit] = useState(CLOSED);
  const [until, setUntil] = useState<string | undefined>();
  const last = lastDay(consultedOn);
  if (cautions.length === 0) return null;
  if (!open)
    return (
      <button type="button" className="btn btn-sm btn-outline mt-3" onClick={() => setOpen(true)}>
        A licensed professional was consulted…
      </button>
    );
  const roles = PROFESSIONAL_ROLES.filter((r) => chosen.every((c) => openedBy(c).includes(r)));
  const ready = chosen.length > 0 && role !== '' && roles.includes(role) && allowed.trim().length >= SHORTEST;
  const save = () => {
    if (role === '' || !ready) return;
    void record({
      traineeId: trainee.id,
      body: {
        ...{ id: newId(), screeningId, cautionIds: [...chosen], role, consultedOn, allowed: allowed.trim() },
        permit: { ...permit, until: (until ?? last) as CalendarDay },
      },
    });
  };
  return (
    <div role="group" aria-label="Consultation" className="mt-3 grid gap-2 border-t-2 border-base-content pt-2">
      <fieldset>
        <legend className="font-semibold">It was about</legend>
        {cautions.map((c) => (
          <label key={c.id} className="flex cursor-pointer items-center gap-2 text-sm">
            <input
              type="checkbox"
              className="checkbox checkbox-sm"
              checked={chosen.includes(c.id)}
              onChange={(e) => setChosen(e.target.checked ? [...chosen, c.id] : chosen.filter((x) => x !== c.id))}
            />
            {CAUTION_WORDS[c.id].name}
          </label>
        ))}
      </fieldset>
      <label htmlFor={`${id}-role`} className="font-semibold">
        Who, by role
      </label>
      {chosen.length > 0 && roles.length === 0 && (
        <p className="text-sm">These are opened by different people: record one consultation for each.</p>
      )}
      <select
        id={`${id}-role`}
        className="select select-sm w-full"
        value={role}
        onChange={(e) => setRole(e.target.value as ProfessionalRole)}
      >
        <option value="">choose…</option>
        {roles.map((r) => (
          <option key={r}>{r}</option>
        ))}
      </select>
      <label htmlFor={`${id}-day`} className="font-semibold">
        When
      </label>
      <input
        id={`${id}-day`}
        type="date"
        className="input input-sm w-full"
        max={calendarDay(new Date())}
        value={consultedOn}
        onChange={(e) => setConsultedOn(e.target.value)}
      />
      <label htmlFor={`${id}-allowed`} className="font-semibold">
        What was seen and said
      </label>
      <textarea
        id={`${id}-allowed`}
        className="textarea w-full"
        rows={2}
        maxLength={500}
        value={allowed}
        onChange={(e) => setAllowed(e.target.value)}
      />
      <fieldset className="grid gap-2 border-s-4 border-warning ps-3">
        <legend className="font-semibold">What is permitted, and nothing else</legend>
        <div className="grid grid-cols-2 gap-2">
          <NumberField
            label="Load on one arm, up to"
            unit="% of body weight"
            value={Math.round(permit.loadPerArm * 100)}
            change={(percent) => setPermit({ ...permit, loadPerArm: percent / 100 })}
          />
          <NumberField label="Effort, up to" unit="of 10" value={permit.effort} change={(effort) => setPermit({ ...permit, effort })} />
        </div>
        <div className="flex flex-wrap gap-x-4 gap-y-1">
          {PLACES.map(([key, label]) => (
            <label key={key} className="flex min-h-8 cursor-pointer items-center gap-2 text-sm">
              <input
                type="checkbox"
                className="checkbox checkbox-sm"
                checked={permit[key]}
                onChange={(e) => setPermit({ ...permit, [key]: e.target.checked })}
              />
              {label}
            </label>
          ))}
        </div>
        <label htmlFor={`${id}-until`} className="text-sm font-semibold">
          Until, at most {PERMIT_DAYS} days
        </label>
        <input
          id={`${id}-until`}
          type="date"
          className="input input-sm w-full"
          min={consultedOn}
          max={last}
          value={until ?? last}
          onChange={(e) => setUntil(e.target.value)}
        />
      </fieldset>
      <ProblemNote error={problemFrom(error) ? error : undefined} />
      <div className="flex gap-2">
        <button type="button" className="btn btn-sm btn-primary" disabled={!ready || isLoading} onClick={save}>
          Record the consultation
        </button>
        <button type="button" className="btn btn-sm btn-ghost" onClick={() => setOpen(false)}>
          Leave it
        </button>
      </div>
    </div>
  );
}

function lastDay(consultedOn: string): string {
  const noon = Date.parse(`${consultedOn}T12:00:00.000Z`);
  return Number.isNaN(noon) ? consultedOn : addDays(new Date(noon).toISOString() as Instant, PERMIT_DAYS).slice(0, 10);
}
