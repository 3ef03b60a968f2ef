import type { CaseloadRow } from '@myokinet/core/contracts';
import type { MeasureOf } from '@myokinet/core/measuring';
import {
  createColumnHelper,
  flexRender,
  getCoreRowModel,
  getFilteredRowModel,
  getSortedRowModel,
  type SortingState,
  useReactTable,
} from '@tanstack/react-table';
import { ArrowDown, ArrowUp, Plus } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { Empty } from '../../kit/Empty.tsx';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { StateMark } from '../../kit/StateMark.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { useLibrary } from '../../client/LibraryContext.ts';
import { useCaseloadQuery } from './endpoints.ts';
import { Archived } from './Archived.tsx';
import { LoadTrend } from './LoadTrend.tsx';
import { gateWords, limiterWords, nextWords, rungWords } from './words.ts';

const column = createColumnHelper<CaseloadRow>();

const columnsOf = (measureOf: MeasureOf) => [
  column.accessor('name', {
    header: 'Trainee',
    cell: ({ row }) => (
      <Link className="font-semibold hover:underline" to={`/trainees/${row.original.id}`}>
        {row.original.name}
      </Link>
    ),
  }),
  column.accessor('ladderName', { id: 'target', header: 'Target' }),
  column.accessor((r) => r.here, { id: 'rung', header: 'Rung in hand', cell: ({ row }) => rungWords(row.original) }),
  column.accessor((r) => (r.limiter ? measureOf(r.limiter.measureId).name : ''), {
    id: 'limiter',
    header: 'Limiter of the next gate',
    cell: ({ row: { original: r } }) =>
      r.limiter ? (
        <span className="flex items-start gap-2">
          <span className="pt-0.5">
            <StateMark state={r.limiter.state} />
          </span>
          <span>{limiterWords(r, measureOf)}</span>
        </span>
      ) : (
        '–'
      ),
  }),
  column.accessor((r) => (r.gateOpen ? -1 : r.unmet), {
    id: 'gate',
    header: 'Gate',
    cell: ({ row }) => <span className={row.original.gateOpen ? 'font-semibold state-spare' : ''}>{gateWords(row.original)}</span>,
  }),
  column.accessor((r) => r.nextSessionOn ?? '9999', {
    id: 'next',
    header: 'Next session',
    cell: ({ row }) => nextWords(row.original, new Date()),
  }),
  column.accessor((r) => r.weekLoads.at(-1) ?? 0, {
    id: 'load',
    header: 'Load, effort × min',
    cell: ({ row }) => <LoadTrend weekLoads={row.original.weekLoads} />,
  }),
];

export function CaseloadPage() {
  const { data, error, isLoading, refetch } = useCaseloadQuery();
  const [sorting, setSorting] = useState<SortingState>([{ id: 'name', desc: false }]);
  const [filter, setFilter] = useState('');
  const { measure } = useLibrary();
  const columns = useMemo(() => columnsOf(measure), [measure]);
  // The table library keeps its state outside React's rules; this component stays uncompiled.
  // eslint-disable-next-line react-hooks/incompatible-library
  const table = useReactTable({
    data: (data ?? EMPTY) as CaseloadRow[],
    columns,
    state: { sorting, globalFilter: filter },
    onSortingChange: setSorting,
    onGlobalFilterChange: setFilter,
    getCoreRowModel: getCoreRowModel(),
    getSortedRowModel: getSortedRowModel(),
    getFilteredRowModel: getFilteredRowModel(),
  });
  if (isLoading) return <Waiting />;
  const rows = table.getRowModel().rows;
  return (
    <div className="w-full px-4 py-5 sm:px-6">
      <title>Caseload · Myokinet</title>
      <div className="mb-4 flex flex-wrap items-center gap-3">
        <h1>Caseload</h1>
        <span className="aside">{data ? `${data.length} ${data.length === 1 ? 'trainee' : 'trainees'}` : ''}</span>
        <label className="ms-auto flex items-center gap-2">
          <span>Filter</span>
          <input className="input input-sm w-48" type="search" value={filter} onChange={(e) => setFilter(e.target.value)} />
        </label>
        <Link className="btn btn-primary btn-sm" to="/trainees/new">
          <Plus size={16} aria-hidden /> Add a trainee
        </Link>
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
          {rows.length === 0 && <p className="aside p-4">Nobody matches “{filter}”.</p>}
        </div>
      )}
      <Archived />
    </div>
  );
}

const EMPTY: readonly CaseloadRow[] = [];
