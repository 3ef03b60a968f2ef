import type { ConsultationDto } from '@myokinet/core/contracts';
import { calendarDay } from '@myokinet/core/quantities';
import { type CautionInForce, cautionOf, PROFESSIONAL_ROLES, type ProfessionalRole } from '@myokinet/core/safety';
import { useId, useState } from 'react';
import { newId } from '../../client/newId.ts';
import { problemFrom } from '../../client/problem.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useRecordConsultationMutation } from './endpoints.ts';
import { useCurrentTrainee } from '../trainee/index.ts';

const SHORTEST = 5;

/** A lock opens only here: which professional was consulted, when, and what was allowed. */
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
  if (cautions.length === 0) return null;
  if (!open)
    return (
      <button type="button" className="btn btn-sm btn-outline mt-3" onClick={() => setOpen(true)}>
        A licensed professional was consulted…
      </button>
    );
  const ready = chosen.length > 0 && role !== '' && allowed.trim().length >= SHORTEST;
  const save = () => {
    if (role === '' || !ready) return;
    void record({
      traineeId: trainee.id,
      body: { id: newId(), screeningId, cautionIds: [...chosen], role, consultedOn, allowed: allowed.trim() },
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
            {cautionOf(c.id).name}
          </label>
        ))}
      </fieldset>
      <label htmlFor={`${id}-role`} className="font-semibold">
        Who, by role
      </label>
      <select
        id={`${id}-role`}
        className="select select-sm w-full"
        value={role}
        onChange={(e) => setRole(e.target.value as ProfessionalRole)}
      >
        <option value="">choose…</option>
        {PROFESSIONAL_ROLES.map((r) => (
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
        What was allowed
      </label>
      <textarea
        id={`${id}-allowed`}
        className="textarea w-full"
        rows={2}
        maxLength={500}
        value={allowed}
        onChange={(e) => setAllowed(e.target.value)}
      />
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
