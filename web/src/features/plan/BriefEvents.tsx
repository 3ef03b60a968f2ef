import { type FixedEvent, type Weekday, WEEKDAYS } from '@myokinet/core/planning';
import { type CalendarDay, calendarDay } from '@myokinet/core/quantities';
import { Plus, Trash2 } from 'lucide-react';
import { newId } from '../../client/newId.ts';
import { useRoutinesQuery } from '../library/index.ts';
import { JointTicks } from './JointTicks.tsx';
import { NumberCell } from '../../kit/NumberCell.tsx';

interface BriefEventsProps {
  readonly events: readonly FixedEvent[];
  readonly change: (events: readonly FixedEvent[]) => void;
}

/** Other training and work that loads the same joints: the plan keeps its distance. */
export function BriefEvents({ events, change }: BriefEventsProps) {
  const { data: routines = [] } = useRoutinesQuery();
  const preparations = routines.filter((r) => r.purpose !== 'session' && !r.unreadable);
  const set = (id: string, next: FixedEvent) => change(events.map((e) => (e.id === id ? next : e)));
  return (
    <section aria-label="Other training and work">
      <h3>Other training and work</h3>
      <p className="aside text-sm">
        Effort 6 and more counts as loaded work: nothing loads the same joints the day before, that day and the day after. Effort 4 and 5
        keep their own day free.
      </p>
      <ul className="mt-1">
        {events.map((event) => (
          <li key={event.id} className="flex flex-wrap items-center gap-2 border-t border-base-300 py-1.5 text-sm">
            <input
              className="input input-xs w-40"
              aria-label="Name of the event"
              placeholder="Hauling, class, climbing"
              value={event.name}
              onChange={(e) => set(event.id, { ...event, name: e.target.value })}
            />
            <select
              className="select select-xs w-auto"
              aria-label={`When ${event.name || 'the event'} is`}
              value={event.weekday ?? 'once'}
              onChange={(e) => set(event.id, whenOf(event, e.target.value))}
            >
              {WEEKDAYS.map((d) => (
                <option key={d} value={d}>
                  every {d}
                </option>
              ))}
              <option value="once">once, on</option>
            </select>
            {event.day !== undefined && (
              <input
                type="date"
                className="input input-xs w-auto"
                aria-label={`Date of ${event.name || 'the event'}`}
                value={event.day}
                onChange={(e) => e.target.value && set(event.id, { ...event, day: e.target.value as CalendarDay })}
              />
            )}
            <label className="flex items-center gap-1">
              effort{' '}
              <NumberCell
                label={`Effort of ${event.name || 'the event'}`}
                value={event.effort}
                least={0}
                most={10}
                set={(effort) => set(event.id, { ...event, effort })}
              />
            </label>
            <label className="flex items-center gap-1">
              <NumberCell
                label={`Minutes of ${event.name || 'the event'}`}
                value={event.minutes}
                most={1440}
                set={(minutes) => set(event.id, { ...event, minutes })}
              />{' '}
              min
            </label>
            {preparations.length > 0 && (
              <label className="flex items-center gap-1">
                prepare with
                <select
                  className="select select-xs w-auto max-w-44"
                  value={event.prepareWith ?? ''}
                  onChange={(e) => set(event.id, { ...event, prepareWith: e.target.value === '' ? null : e.target.value })}
                >
                  <option value="">nothing</option>
                  {preparations.map(({ id, name }) => (
                    <option key={id} value={id}>
                      {name}
                    </option>
                  ))}
                </select>
              </label>
            )}
            <JointTicks joints={event.joints} name={event.name} change={(joints) => set(event.id, { ...event, joints })} />
            <button
              type="button"
              className="btn btn-ghost btn-xs btn-square ms-auto"
              aria-label={`Remove ${event.name || 'the event'}`}
              onClick={() => change(events.filter((e) => e.id !== event.id))}
            >
              <Trash2 size={14} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      <button
        type="button"
        className="btn btn-xs mt-1"
        onClick={() =>
          change([
            ...events,
            { id: newId(), name: '', weekday: 'Saturday', effort: 6, minutes: 60, joints: ['grip', 'wrist', 'shoulder', 'scapula'] },
          ])
        }
      >
        <Plus size={14} aria-hidden /> Add an event
      </button>
    </section>
  );
}

function whenOf({ weekday: _, day: _day, ...event }: FixedEvent, when: string): FixedEvent {
  return when === 'once' ? { ...event, day: calendarDay(new Date()) } : { ...event, weekday: when as Weekday };
}
