import { type CalendarDay, calendarDay } from '@myokinet/core/quantities';
import { PROFESSIONAL_ROLES, type ProfessionalRole } from '@myokinet/core/safety';
import { useId } from 'react';

export interface HeardProfessional {
  readonly role: ProfessionalRole | '';
  readonly consultedOn: CalendarDay;
}

/** Nobody yet, today. */
export function nobodyHeard(now: Date): HeardProfessional {
  return { role: '', consultedOn: calendarDay(now) };
}

/** Which licensed professional was heard, by role and never by name, and on which day. */
export function ProfessionalFields({
  value,
  change,
  earliest,
}: {
  readonly value: HeardProfessional;
  readonly change: (value: HeardProfessional) => void;
  readonly earliest?: CalendarDay;
}) {
  const id = useId();
  return (
    <div className="mb-1 flex flex-wrap gap-2">
      <div>
        <label htmlFor={`${id}-role`} className="block text-sm font-semibold">
          Who, by role
        </label>
        <select
          id={`${id}-role`}
          className="select select-sm w-auto"
          value={value.role}
          onChange={(e) => change({ ...value, role: e.target.value as ProfessionalRole })}
        >
          <option value="">choose…</option>
          {PROFESSIONAL_ROLES.map((r) => (
            <option key={r}>{r}</option>
          ))}
        </select>
      </div>
      <div>
        <label htmlFor={`${id}-day`} className="block text-sm font-semibold">
          Heard on
        </label>
        <input
          id={`${id}-day`}
          type="date"
          className="input input-sm w-auto"
          min={earliest}
          max={calendarDay(new Date())}
          value={value.consultedOn}
          onChange={(e) => change({ ...value, consultedOn: e.target.value as CalendarDay })}
        />
      </div>
    </div>
  );
}
