import type { GroupDto, GroupReply } from '@myokinet/core/contracts';
import { GROUP_LIMITS, nextMeetings } from '@myokinet/core/groups';
import { dayShort } from '@myokinet/core/planning';
import { calendarDay } from '@myokinet/core/quantities';
import { Play, Plus, X } from 'lucide-react';
import { Link, useNavigate, useParams } from 'react-router';
import { clock } from '../../client/clock.ts';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useMe } from '../../client/session.ts';
import { useDesk } from '../../client/useDesk.ts';
import { ConflictNote } from '../../kit/ConflictNote.tsx';
import { UndoRedo } from '../../kit/UndoRedo.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useCaseloadQuery, useGroupsQuery } from '../caseload/index.ts';
import { useRoutinesQuery } from '../library/index.ts';
import { Attendance } from './Attendance.tsx';
import { useRetireGroupMutation, useSaveGroupMutation } from './endpoints.ts';
import { PlanForAll } from './PlanForAll.tsx';
import { WEEKDAY_NAMES } from './words.ts';

/** How far ahead meetings are shown. */
const DAYS_AHEAD = 14;

/** One group: who, when, where, by what; who came; and the way to its next class. */
export function GroupPage() {
  const { groupId = '' } = useParams();
  const { data: groups, error, refetch } = useGroupsQuery();
  if (!groups) return error ? <ProblemNote error={error} retry={() => void refetch()} /> : <Waiting />;
  return <Desk key={groupId} id={groupId} saved={groups.find((g) => g.id === groupId)} />;
}

type Draft = GroupDto & { basedOn: string | null; routineId: string | null };

const newGroup = (): Draft => ({
  ...{ revision: newId(), basedOn: null, name: '', place: '', note: '', routineId: null, days: [], memberIds: [] },
});

function draftOf({ revision, name, place, note, routineId, days, memberIds }: GroupReply): Draft {
  return { revision: newId(), basedOn: revision, name, place, note, routineId, days: [...days], memberIds: [...memberIds] };
}

function Desk({ id, saved }: { readonly id: string; readonly saved: GroupReply | undefined }) {
  const { may } = useMe();
  const navigate = useNavigate();
  const [send, sending] = useSaveGroupMutation();
  const [retire, retiring] = useRetireGroupMutation();
  const { data: routines = [] } = useRoutinesQuery();
  const desk = useDesk<Draft>({
    key: `group:${id}`,
    initial: () => (saved ? draftOf(saved) : newGroup()),
    version: saved?.revision,
    send: (body) => send({ id, body }),
    sending,
    rebase: (value) => ({ ...value, basedOn: saved?.revision ?? null }),
  });
  const { value: draft, edit } = desk;
  const mayWrite = may.includes('plan');
  return (
    <div className="px-4 py-3 sm:px-6">
      <title>{`${draft.name || 'New group'} · Myokinet`}</title>
      <h1 className="sr-only">{draft.name || 'New group'}</h1>
      <div className="flex flex-wrap items-center gap-x-3 gap-y-2">
        <input
          className="input w-72 text-lg font-semibold"
          aria-label="Name of the group"
          placeholder="Name, such as: Tuesday evening"
          maxLength={80}
          value={draft.name}
          onChange={(e) => edit({ ...draft, name: e.target.value })}
        />
        <div className="ms-auto flex flex-wrap gap-2">
          <UndoRedo desk={desk} />
          {saved && !desk.unsaved && (
            <Link className="btn btn-sm btn-outline" to={`/class/new?group=${id}`}>
              <Play size={16} aria-hidden /> Begin a class
            </Link>
          )}
          {desk.unsaved && (
            <button type="button" className="btn btn-sm btn-ghost" onClick={desk.startOver}>
              Throw changes away
            </button>
          )}
          {mayWrite && (
            <button
              type="button"
              className="btn btn-sm btn-primary"
              disabled={!desk.unsaved || desk.saving || draft.name.trim() === ''}
              onClick={() => void desk.save()}
            >
              {desk.saving ? 'Saving…' : 'Save the group'}
            </button>
          )}
        </div>
      </div>
      {desk.conflict ? (
        <ConflictNote what="this group" takeTheirs={desk.startOver} keepMine={desk.keepMine} />
      ) : (
        <ProblemNote error={desk.error} retry={() => void desk.save()} />
      )}
      <div className="mt-4 grid gap-x-8 gap-y-5 lg:grid-cols-2">
        <div>
          <Days draft={draft} edit={edit} />
          <label className="mt-4 flex flex-col">
            <span className="font-semibold">Place</span>
            <input
              className="input w-full max-w-96"
              maxLength={80}
              value={draft.place}
              onChange={(e) => edit({ ...draft, place: e.target.value })}
            />
          </label>
          <label className="mt-3 flex flex-col">
            <span className="font-semibold">What they go through</span>
            <select
              className="select w-full max-w-96"
              value={draft.routineId ?? ''}
              onChange={(e) => edit({ ...draft, routineId: e.target.value === '' ? null : e.target.value })}
            >
              <option value="">each one’s own plan of the day</option>
              {routines.map((r) => (
                <option key={r.id} value={r.id}>
                  {r.name}
                </option>
              ))}
            </select>
          </label>
          <label className="mt-3 flex flex-col">
            <span className="font-semibold">Note</span>
            <textarea
              className="textarea w-full max-w-96"
              rows={2}
              maxLength={400}
              value={draft.note}
              onChange={(e) => edit({ ...draft, note: e.target.value })}
            />
          </label>
        </div>
        <Members draft={draft} edit={edit} />
      </div>
      {saved && (
        <>
          <Meetings group={saved} />
          {mayWrite && saved.memberIds.length > 0 && <PlanForAll group={saved} />}
          <Attendance group={saved} />
        </>
      )}
      {saved && mayWrite && (
        <button
          type="button"
          className="btn btn-sm btn-ghost text-error mt-6"
          disabled={retiring.isLoading}
          onClick={() => {
            desk.startOver();
            void retire(id).then(({ error }) => (error ? undefined : navigate('/groups')));
          }}
        >
          Take the group off the list
        </button>
      )}
      <ProblemNote error={retiring.error} />
    </div>
  );
}

interface FieldProps {
  readonly draft: Draft;
  readonly edit: (next: Draft) => void;
}

function Days({ draft, edit }: FieldProps) {
  const { days } = draft;
  const put = (at: number, change: Partial<Draft['days'][number]>) =>
    edit({ ...draft, days: days.map((d, i) => (i === at ? { ...d, ...change } : d)) });
  return (
    <fieldset>
      <legend className="font-semibold">Usual days</legend>
      <ul>
        {days.map((day, i) => (
          <li key={i} className="mt-1 flex items-center gap-2">
            <select
              className="select select-sm w-36"
              aria-label={`Day ${i + 1}`}
              value={day.weekday}
              onChange={(e) => put(i, { weekday: Number(e.target.value) })}
            >
              {WEEKDAY_NAMES.map((name, at) => (
                <option key={name} value={at + 1}>
                  {name}
                </option>
              ))}
            </select>
            <input
              type="time"
              className="input input-sm w-28"
              aria-label={`Time of day ${i + 1}`}
              value={day.time}
              onChange={(e) => e.target.value !== '' && put(i, { time: e.target.value.slice(0, 5) })}
            />
            <button
              type="button"
              className="btn btn-ghost btn-sm btn-square"
              aria-label={`Take day ${i + 1} out`}
              onClick={() => edit({ ...draft, days: days.filter((_, at) => at !== i) })}
            >
              <X size={16} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
      <button
        type="button"
        className="btn btn-sm mt-2"
        disabled={days.length >= GROUP_LIMITS.days}
        onClick={() => edit({ ...draft, days: [...days, { weekday: freeWeekday(days), time: days.at(-1)?.time ?? '18:00' }] })}
      >
        <Plus size={16} aria-hidden /> Add a day
      </button>
    </fieldset>
  );
}

const freeWeekday = (days: Draft['days']): number => [1, 2, 3, 4, 5, 6, 7].find((w) => !days.some((d) => d.weekday === w)) ?? 1;

function Members({ draft, edit }: FieldProps) {
  const { data: caseload = [], error } = useCaseloadQuery();
  const { memberIds } = draft;
  const full = memberIds.length >= GROUP_LIMITS.members;
  return (
    <fieldset>
      <legend className="font-semibold">
        Who comes <span className="aside font-normal">{memberIds.length}</span>
      </legend>
      <ProblemNote error={error} />
      <ul className="mt-1 max-h-80 columns-2 overflow-y-auto">
        {caseload
          .toSorted((a, b) => a.name.localeCompare(b.name))
          .map(({ id, name }) => (
            <li key={id}>
              <label className="flex min-h-8 cursor-pointer items-center gap-2">
                <input
                  type="checkbox"
                  className="checkbox checkbox-sm"
                  checked={memberIds.includes(id)}
                  disabled={full && !memberIds.includes(id)}
                  onChange={(e) => edit({ ...draft, memberIds: e.target.checked ? [...memberIds, id] : memberIds.filter((m) => m !== id) })}
                />
                {name}
              </label>
            </li>
          ))}
      </ul>
      {full && <p className="state-mark">At most {GROUP_LIMITS.members} people fit one group.</p>}
    </fieldset>
  );
}

function Meetings({ group }: { readonly group: GroupReply }) {
  const next = nextMeetings(group.days, calendarDay(clock.now()), DAYS_AHEAD);
  if (next.length === 0) return null;
  return (
    <section className="mt-6" aria-label="Next meetings">
      <h2 className="border-b-2 border-base-content pb-1">Next two weeks</h2>
      <ul className="mt-1 flex flex-wrap gap-x-6 gap-y-1">
        {next.map(({ day, time }) => (
          <li key={`${day} ${time}`}>
            {dayShort(day)}, {time}
          </li>
        ))}
      </ul>
    </section>
  );
}
