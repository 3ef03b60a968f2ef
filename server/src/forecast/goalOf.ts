import type { ForecastReply } from '@myokinet/core/contracts';
import { type GateForecast, goalOutlook } from '@myokinet/core/forecast';
import type { Library } from '@myokinet/core/library';
import { calendarDaysBetween, type Goal } from '@myokinet/core/planning';
import { calendarDay } from '@myokinet/core/quantities';
import { tissueTimeOn } from '@myokinet/core/readiness';
import type { Judged } from '../readiness/store.ts';

interface GoalOf {
  readonly goal: Goal | null | undefined;
  readonly forecast: GateForecast | undefined;
  readonly library: Library;
  readonly now: Date;
}

/** What the forecast means for the day that the brief names. */
export function goalOf({ trainee, verdict }: Judged, { goal, forecast, library, now }: GoalOf): Pick<ForecastReply, 'goal'> {
  if (!goal) return {};
  const { rungs } = library.ladder(trainee.ladderId);
  const { here } = verdict.standing;
  const at = rungs.findIndex((r) => r.id === goal.rungId);
  const between = rungs.slice(here + 1, Math.max(here + 1, at)).filter((r) => library.hasDrill(r.practice));
  return {
    goal: {
      ...goal,
      rungName: rungs[at]?.name ?? '',
      outlook: goalOutlook({
        daysLeft: calendarDaysBetween(calendarDay(now), goal.day),
        rungsToGo: at < 0 ? undefined : at - here,
        beyondDays: between.reduce((sum, r) => sum + tissueTimeOn(library.drill(r.practice), trainee.screening.cautions).days, 0),
        gateOpen: verdict.gate?.open ?? false,
        forecast,
      }),
    },
  };
}
