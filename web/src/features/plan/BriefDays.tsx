import { type BriefDay, FOCI, type Focus, PLACES, type Place, SESSION_FORMS, type SessionForm, WEEKDAYS } from '@myokinet/core/planning';
import { NumberCell } from '../../kit/NumberCell.tsx';

const USUAL_MINUTES = 45;

/** The days on which the trainee can train: minutes, place, form of the session and, for the calendar, the hour. */
export function BriefDays({ days, change }: { readonly days: readonly BriefDay[]; readonly change: (days: readonly BriefDay[]) => void }) {
  const set = (weekday: BriefDay['weekday'], part: Partial<BriefDay> | undefined) => {
    const before = days.find((d) => d.weekday === weekday);
    const usual: BriefDay = before ?? { weekday, minutes: days[0]?.minutes ?? USUAL_MINUTES, place: days[0]?.place ?? 'gym', form: 'sets' };
    const others = days.filter((d) => d.weekday !== weekday);
    const next = part ? [...others, { ...usual, ...part }] : others;
    change(WEEKDAYS.flatMap((w) => next.filter((d) => d.weekday === w)));
  };
  return (
    <div className="relative overflow-x-auto">
      <table className="plain-table w-full text-sm">
        <caption className="mb-1 text-start text-base font-semibold">Days</caption>
        <thead>
          <tr>
            <th scope="col">Day</th>
            <th scope="col">Minutes</th>
            <th scope="col">Where</th>
            <th scope="col">Form</th>
            <th scope="col">For</th>
            <th scope="col">At</th>
          </tr>
        </thead>
        <tbody>
          {WEEKDAYS.map((weekday) => {
            const day = days.find((d) => d.weekday === weekday);
            return (
              <tr key={weekday}>
                <th scope="row" className="font-normal">
                  <label className="flex cursor-pointer items-center gap-1.5">
                    <input
                      type="checkbox"
                      className="checkbox checkbox-sm"
                      checked={day !== undefined}
                      onChange={(e) => set(weekday, e.target.checked ? {} : undefined)}
                    />
                    {weekday}
                  </label>
                </th>
                <td>
                  {day && (
                    <NumberCell
                      label={`Minutes on ${weekday}`}
                      value={day.minutes}
                      least={5}
                      most={300}
                      set={(minutes) => set(weekday, { minutes })}
                    />
                  )}
                </td>
                <td>
                  {day && (
                    <select
                      className="select select-xs w-auto"
                      aria-label={`Place on ${weekday}`}
                      value={day.place}
                      onChange={(e) => set(weekday, { place: e.target.value as Place })}
                    >
                      {Object.entries(PLACES).map(([id, name]) => (
                        <option key={id} value={id}>
                          {name}
                        </option>
                      ))}
                    </select>
                  )}
                </td>
                <td>
                  {day && (
                    <select
                      className="select select-xs w-auto"
                      aria-label={`Form on ${weekday}`}
                      title={SESSION_FORMS[day.form].says}
                      value={day.form}
                      onChange={(e) => set(weekday, { form: e.target.value as SessionForm })}
                    >
                      {Object.entries(SESSION_FORMS).map(([id, { name }]) => (
                        <option key={id} value={id}>
                          {name}
                        </option>
                      ))}
                    </select>
                  )}
                </td>
                <td>
                  {day && (
                    <select
                      className="select select-xs w-auto"
                      aria-label={`Focus of ${weekday}`}
                      value={day.focus ?? ''}
                      onChange={(e) => {
                        const { focus: _, ...rest } = day;
                        const focus = e.target.value as Focus | '';
                        change(days.map((d) => (d === day ? (focus ? { ...rest, focus } : rest) : d)));
                      }}
                    >
                      <option value="">as needed</option>
                      {Object.entries(FOCI).map(([id, name]) => (
                        <option key={id} value={id}>
                          {name}
                        </option>
                      ))}
                    </select>
                  )}
                </td>
                <td>
                  {day && (
                    <input
                      type="time"
                      className="input input-xs w-auto"
                      aria-label={`Start on ${weekday}`}
                      value={day.at ?? ''}
                      onChange={(e) => {
                        const { at: _, ...rest } = day;
                        change(days.map((d) => (d === day ? (e.target.value ? { ...rest, at: e.target.value } : rest) : d)));
                      }}
                    />
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}
