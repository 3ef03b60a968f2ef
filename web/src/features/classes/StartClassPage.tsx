import { CLASS_LIMITS, type ClassRhythm, USUAL_RHYTHM } from '@myokinet/core/classes';
import type { ClassSheetReply } from '@myokinet/core/contracts';
import { useState } from 'react';
import { useStore } from 'react-redux';
import { Link, useNavigate, useSearchParams } from 'react-router';
import { nowInstant } from '../../client/clock.ts';
import { useLibrary, useStudioLibrary } from '../../client/LibraryContext.ts';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { NumberCell } from '../../kit/NumberCell.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useCaseloadQuery, useGroupsQuery } from '../caseload/index.ts';
import { useRoutinesQuery } from '../library/index.ts';
import { classes, type ClassHome } from './classSync.ts';
import { useClassSheetMutation } from './endpoints.ts';
import { SheetTable } from './SheetTable.tsx';

/** Who is here, and by what: then everybody’s own work is laid out, and the class begins. */
export function StartClassPage() {
  const [search] = useSearchParams();
  const groups = useGroupsQuery();
  const caseload = useCaseloadQuery();
  const routines = useRoutinesQuery();
  const failed = [groups, caseload, routines].find((q) => q.error && !q.data);
  if (!groups.data || !caseload.data || !routines.data)
    return failed ? <ProblemNote error={failed.error} retry={() => void failed.refetch()} /> : <Waiting />;
  const group = groups.data.find((g) => g.id === search.get('group'));
  return (
    <Start
      key={group?.id ?? 'nobody'}
      group={group}
      people={caseload.data.map(({ id, name }) => ({ id, name })).sort((a, b) => a.name.localeCompare(b.name))}
      routines={routines.data.filter((r) => !r.unreadable).map(({ id, name }) => ({ id, name }))}
    />
  );
}

interface Named {
  readonly id: string;
  readonly name: string;
}

interface StartProps {
  readonly group:
    { readonly id: string; readonly name: string; readonly memberIds: readonly string[]; readonly routineId: string | null } | undefined;
  readonly people: readonly Named[];
  readonly routines: readonly Named[];
}

function Start({ group, people, routines }: StartProps) {
  const home = useStore() as ClassHome;
  const navigate = useNavigate();
  const library = useLibrary();
  const { reply: studio } = useStudioLibrary();
  const [ask, asking] = useClassSheetMutation();
  const [here, setHere] = useState<readonly string[]>(group?.memberIds ?? []);
  const [routineId, setRoutineId] = useState(group?.routineId ?? '');
  const [rhythm, setRhythm] = useState<ClassRhythm>(USUAL_RHYTHM);
  const [sheet, setSheet] = useState<ClassSheetReply | undefined>();
  const [begun, setBegun] = useState(false);
  const tooMany = here.length > CLASS_LIMITS.members;
  const changed =
    <T,>(set: (value: T) => void) =>
    (value: T) => {
      set(value);
      setSheet(undefined);
    };
  const setPerson = changed((id: string) => setHere(here.includes(id) ? here.filter((h) => h !== id) : [...here, id]));
  const layOut = async () => {
    const { data } = await ask({ traineeIds: [...here], ...(routineId ? { routineId } : { rhythm }) });
    setSheet(data);
  };
  const begin = async ({ slots, moments, preparation, members }: ClassSheetReply) => {
    // Pressed twice it is one class all the same.
    if (begun) return;
    setBegun(true);
    const id = newId();
    const name = group?.name ?? routines.find((r) => r.id === routineId)?.name ?? 'Class';
    await classes.begin(home, {
      id,
      head: { id, groupId: group?.id ?? null, name, startedAt: nowInstant(), preparation, slots, moments },
      members: members.map(({ traineeId, plannedSessionId, items }) => ({ traineeId, from: 0, plannedSessionId, items })),
      people: members.map(({ traineeId, name: own, stopped, choices, felt }) => ({ traineeId, name: own, stopped, choices, felt })),
      content: studio.content,
      packedAt: nowInstant(),
    });
    void navigate(`/class/${id}`);
  };
  return (
    <div className="px-4 py-3 sm:px-6">
      <title>A class · Myokinet</title>
      <h1>{group ? `A class: ${group.name}` : 'A class'}</h1>
      <div className="mt-3 grid gap-6 lg:grid-cols-[minmax(0,1fr)_minmax(0,2fr)]">
        <div>
          <fieldset>
            <legend className="font-semibold">
              Who is here <span className="aside font-normal">{here.length}</span>
            </legend>
            <ul className="mt-1 max-h-96 overflow-y-auto">
              {people
                .toSorted((a, b) => Number(group?.memberIds.includes(b.id) ?? false) - Number(group?.memberIds.includes(a.id) ?? false))
                .map(({ id, name }) => (
                  <li key={id}>
                    <label className="flex min-h-9 cursor-pointer items-center gap-2">
                      <input type="checkbox" className="checkbox checkbox-sm" checked={here.includes(id)} onChange={() => setPerson(id)} />
                      {name}
                    </label>
                  </li>
                ))}
            </ul>
          </fieldset>
          {tooMany && (
            <p role="alert" className="state-short mt-1">
              A class has room for {CLASS_LIMITS.members} people.
            </p>
          )}
          <label className="mt-4 flex flex-col">
            <span className="font-semibold">What is done</span>
            <select className="select w-full" value={routineId} onChange={(e) => changed(setRoutineId)(e.target.value)}>
              <option value="">each one’s own plan of today</option>
              {routines.map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
            </select>
          </label>
          {routineId === '' && <Rhythm value={rhythm} change={changed(setRhythm)} />}
          <button
            type="button"
            className="btn btn-primary mt-4"
            disabled={here.length === 0 || tooMany || asking.isLoading}
            onClick={() => void layOut()}
          >
            {asking.isLoading ? 'Laying out…' : 'Lay out what each does'}
          </button>
          <ProblemNote error={asking.error} />
        </div>
        <div>{sheet ? <SheetTable sheet={sheet} library={library} begun={begun} begin={() => void begin(sheet)} /> : <BeforeSheet />}</div>
      </div>
    </div>
  );
}

function BeforeSheet() {
  return (
    <p className="aside max-w-prose">
      Everybody works at the same time under one clock, each with their own drill, set-up and dose, within what they may do. You mark the
      exceptions.{' '}
      <Link className="link" to="/groups">
        To the groups
      </Link>
    </p>
  );
}

const FIELDS = [
  { key: 'work', label: 'Work, seconds' },
  { key: 'rest', label: 'Rest, seconds' },
  { key: 'change', label: 'Change over, seconds' },
  { key: 'rounds', label: 'Sets of each' },
] as const;

function Rhythm({ value, change }: { readonly value: ClassRhythm; readonly change: (value: ClassRhythm) => void }) {
  return (
    <fieldset className="mt-3">
      <legend className="font-semibold">One clock for all</legend>
      <div className="mt-1 flex flex-wrap gap-3">
        {FIELDS.map(({ key, label }) => (
          <label key={key} className="flex flex-col text-sm">
            {label}
            <NumberCell
              label={label}
              value={value[key]}
              least={CLASS_LIMITS[key].min}
              most={CLASS_LIMITS[key].max}
              set={(n) => change({ ...value, [key]: n })}
            />
          </label>
        ))}
      </div>
      <label className="mt-2 flex cursor-pointer items-center gap-2">
        <input
          type="checkbox"
          className="checkbox checkbox-sm"
          checked={value.circle}
          onChange={(e) => change({ ...value, circle: e.target.checked })}
        />
        In a circle: one set of each drill in turn
      </label>
    </fieldset>
  );
}
