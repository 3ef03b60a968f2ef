import type { DemandOutlook } from './demand.ts';
import { forecastGate, type GateForecast, type GateOutlook } from './gate.ts';
import { seen } from './trend.ts';

/** What one more check today would leave of the range. */
export interface Narrowing {
  readonly measureId: string;
  /** Days from the early to the late end as it is, and as it is expected to be after the check. */
  readonly days: number;
  readonly after: number;
}

/** Gauss–Hermite quadrature with three nodes, exact for polynomials up to the fifth degree (Abramowitz & Stegun 25.4.46, from memory). */
const NODES = [
  { at: -Math.sqrt(3), weight: 1 / 6 },
  { at: 0, weight: 2 / 3 },
  { at: Math.sqrt(3), weight: 1 / 6 },
];

/**
 * How each check, if it were taken today, would be expected to narrow the range of a forecast. What it would read is not known, so the mean is
 * taken over what it may read. Every forecast uses the same draws, so that differences are not chance.
 *
 * @param randomAnew a new source of the same uniform draws, for every forecast
 * @returns those that narrow it, the most telling first; empty where there is no range
 * @example narrowingOf(outlook, () => seedrandom.alea('one'))[0] // { measureId: 'wrist-extension', days: 40, after: 28 }
 */
export function narrowingOf(outlook: GateOutlook, randomAnew: () => () => number): readonly Narrowing[] {
  const widthOf = (one: GateOutlook) => width(forecastGate(one, randomAnew()));
  const days = widthOf(outlook);
  if (days === undefined) return [];
  const measureIds = [...new Set(outlook.demands.map((d) => d.measureId))];
  return measureIds
    .flatMap((measureId): Narrowing[] => {
      let after = 0;
      for (const { at, weight } of NODES) {
        const demands = outlook.demands.map((d) => (d.measureId === measureId ? asIfRead(d, at) : d));
        const then = widthOf({ ...outlook, demands });
        if (then === undefined) return [];
        after += weight * then;
      }
      return after < days ? [{ measureId, days, after }] : [];
    })
    .sort((a, b) => a.after - b.after);
}

/** The demand as if it had been checked today and had read so many standard deviations beside what is expected. */
function asIfRead(demand: DemandOutlook, at: number): DemandOutlook {
  const { trend, passing, freshDays } = demand;
  if (!trend) return demand;
  const { mean, cov } = trend.state;
  const read = mean[0] + at * Math.hypot(Math.sqrt(Math.max(0, cov[0])), trend.checkError);
  const passes = read >= (passing.from ?? -Infinity) && read <= (passing.to ?? Infinity);
  return {
    ...demand,
    passesDays: passes ? freshDays : 0,
    trend: { ...trend, state: seen(trend.state, read, trend.checkError), checks: trend.checks + 1 },
  };
}

/** Days from the early to the late end; what lies beyond the horizon counts as lying there. */
function width(forecast: GateForecast): number | undefined {
  if (forecast.kind === 'range') return (forecast.late ?? forecast.horizonDays) - forecast.early;
  if (forecast.kind === 'not at this rate') return forecast.horizonDays - (forecast.early ?? forecast.horizonDays);
  return undefined;
}
