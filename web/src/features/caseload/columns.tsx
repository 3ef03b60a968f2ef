import type { CaseloadRow } from '@myokinet/core/contracts';
import type { GateForecast } from '@myokinet/core/forecast';
import type { MeasureOf } from '@myokinet/core/measuring';
import { forecastBriefly } from '@myokinet/core/words';
import { createColumnHelper, type SortingFn } from '@tanstack/react-table';
import { Link } from 'react-router';
import { StateMark } from '../../kit/StateMark.tsx';
import { LoadTrend } from './LoadTrend.tsx';
import { gateWords, limiterWords, nextWords, rungWords } from './words.ts';

/** A trainee of the list with the forecast, where one is drawn; `twice` where somebody else has the same name. */
export interface ListedTrainee extends CaseloadRow {
  readonly forecast?: GateForecast | undefined;
  readonly twice: boolean;
}

const inOrder = new Intl.Collator(undefined, { sensitivity: 'base', numeric: true });
/** As the reader's language sorts names. */
const byName: SortingFn<ListedTrainee> = (a, b) => inOrder.compare(a.original.name, b.original.name);

/** The likeliest first; what nobody can foresee last. */
function soonness(forecast: GateForecast | undefined): number {
  if (forecast?.kind === 'range') return forecast.median;
  return forecast ? { 'not at this rate': 1000, 'too little': 2000, blocked: 3000 }[forecast.kind] : 4000;
}

const column = createColumnHelper<ListedTrainee>();

/** What the list shows of everybody. */
export const columnsOf = (measureOf: MeasureOf) => [
  column.accessor('name', {
    header: 'Trainee',
    sortingFn: byName,
    cell: ({ row: { original: r } }) => (
      <>
        <Link className="font-semibold hover:underline" to={`/trainees/${r.id}`}>
          {r.name}
        </Link>
        {r.twice && (
          <span className="aside block text-sm">{r.lastCheckAt ? `checked ${r.lastCheckAt.slice(0, 10)}` : 'never checked'}</span>
        )}
      </>
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
  column.accessor((r) => soonness(r.forecast), {
    id: 'forecast',
    header: 'Gate likely',
    cell: ({ row: { original: r } }) =>
      r.forecast ? <span className="whitespace-nowrap">{forecastBriefly(r.forecast, new Date())}</span> : r.gateOpen ? 'open' : '–',
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
