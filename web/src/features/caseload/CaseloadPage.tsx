import { flexRender, getCoreRowModel, getSortedRowModel, type SortingState, useReactTable } from '@tanstack/react-table';
import { ArrowDown, ArrowUp, Plus } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { Empty } from '../../kit/Empty.tsx';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useLibrary } from '../../client/LibraryContext.ts';
import { Archived } from './Archived.tsx';
import { columnsOf, type ListedTrainee } from './columns.tsx';
import { useCaseloadQuery, useGroupsQuery } from './endpoints.ts';
import { asked, askedOf, STATES } from './filters.ts';
import { useForecasts } from './useForecasts.ts';

export function CaseloadPage() {
  const { data, error, isLoading, refetch } = useCaseloadQuery();
  const { data: groups = [] } = useGroupsQuery();
  const forecasts = useForecasts();
  const [sorting, setSorting] = useState<SortingState>([{ id: 'name', desc: false }]);
  const [params, setParams] = useSearchParams();
  const filter = askedOf(params);
  const { measure } = useLibrary();
  const columns = useMemo(() => columnsOf(measure), [measure]);
  const listed = useMemo(() => {
    const names = (data ?? []).map((r) => r.name);
    return (data ?? []).map((r): ListedTrainee => {
      const twice = names.indexOf(r.name) !== names.lastIndexOf(r.name);
      return { ...r, forecast: forecasts.of(r.id), twice };
    });
  }, [data, forecasts]);
  const shown = useMemo(() => asked(listed, askedOf(params), groups), [listed, params, groups]);
  // The table library keeps its state outside React's rules; this component stays uncompiled.
  // eslint-disable-next-line react-hooks/incompatible-library
  const table = useReactTable({
    data: shown,
    columns,
    state: { sorting },
    onSortingChange: setSorting,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
  });
  if (isLoading) return <Waiting />;
  const rows = table.getRowModel().rows;
  const ask = (name: string, value: string) =>
    setParams(
      (now) => {
        if (value === '') now.delete(name);
        else now.set(name, value);
        return now;
      },
      { replace: true },
    );
  const ladders = [...new Map(listed.map((r) => [r.ladderId, r.ladderName]))];
  return (
    <div className="w-full px-4 py-5 sm:px-6">
      <title>Caseload · Myokinet</title>
      <div className="mb-2 flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1>Caseload</h1>
        <span className="aside" role="status">
          {data
            ? `${shown.length === data.length ? '' : `${shown.length} of `}${data.length} ${data.length === 1 ? 'trainee' : 'trainees'}`
            : ''}
        </span>
        <Link className="btn btn-primary btn-sm ms-auto" to="/trainees/new">
          <Plus size={16} aria-hidden /> Add a trainee
        </Link>
      </div>
      <div className="mb-4 flex flex-wrap items-center gap-x-4 gap-y-2">
        <label className="flex items-center gap-2">
          <span>Filter</span>
          <input className="input input-sm w-40" type="search" value={filter.words} onChange={(e) => ask('find', e.target.value)} />
        </label>
        <Choice
          label="State"
          value={filter.state}
          options={Object.entries(STATES).map(([id, { label }]) => [id, label])}
          change={(value) => ask('state', value)}
        />
        <Choice label="Ladder" value={filter.ladder} options={ladders} change={(value) => ask('ladder', value)} />
        {groups.length > 0 && (
          <Choice label="Group" value={filter.group} options={groups.map((g) => [g.id, g.name])} change={(value) => ask('group', value)} />
        )}
      </div>
      <ProblemNote error={error} retry={() => void refetch()} />
      {data?.length === 0 ? (
        <Empty title="No trainees yet">
          <p>Add the first one, take a check, and the headroom appears.</p>
          <Link className="btn btn-primary mt-3" to="/trainees/new">
            Add a trainee
          </Link>
        </Empty>
      ) : (
        <div className="overflow-x-auto">
          <table className="plain-table">
            <thead>
              {table.getHeaderGroups().map((group) => (
                <tr key={group.id}>
                  {group.headers.map((header) => {
                    const sorted = header.column.getIsSorted();
                    return (
                      <th
                        key={header.id}
                        scope="col"
                        aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
                      >
                        <button
                          type="button"
                          className="inline-flex cursor-pointer items-center gap-1"
                          onClick={header.column.getToggleSortingHandler()}
                        >
                          {flexRender(header.column.columnDef.header, header.getContext())}
                          {sorted === 'asc' && <ArrowUp size={14} aria-hidden />}
                          {sorted === 'desc' && <ArrowDown size={14} aria-hidden />}
                        </button>
                      </th>
                    );
                  })}
                </tr>
              ))}
            </thead>
            <tbody>
              {rows.map((row) => (
                <tr key={row.id} className="hover:bg-base-200">
                  {row.getVisibleCells().map((cell) => (
                    <td key={cell.id}>{flexRender(cell.column.columnDef.cell, cell.getContext())}</td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
          {rows.length === 0 && (
            <p className="aside p-4">
              {filter.words ? `Nobody matches “${filter.words}”.` : 'Nobody is in that state.'}{' '}
              <button type="button" className="link" onClick={() => setParams({}, { replace: true })}>
                Show everybody
              </button>
            </p>
          )}
        </div>
      )}
      <p className="aside mt-3 text-sm">
        Gate likely: eight futures of ten lie inside the range, as the last weeks have been. Not a promise.{' '}
        {forecasts.pending > 0 && `${forecasts.pending} are still drawn. `}
        <Link className="link" to="/looking-back">
          How good such ranges were
        </Link>
        . A question to this list stands in its address: keep it as a bookmark.
      </p>
      <Archived />
    </div>
  );
}

interface ChoiceProps {
  readonly label: string;
  readonly value: string;
  readonly options: readonly (readonly [value: string, label: string])[];
  readonly change: (value: string) => void;
}

function Choice({ label, value, options, change }: ChoiceProps) {
  return (
    <label className="flex items-center gap-2">
      <span>{label}</span>
      <select className="select select-sm w-auto" value={value} onChange={(e) => change(e.target.value)}>
        <option value="">all</option>
        {options.map(([id, words]) => (
          <option key={id} value={id}>
            {words}
          </option>
        ))}
      </select>
    </label>
  );
}
