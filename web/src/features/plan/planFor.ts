import { fittedTo, type Library, type LibraryContent } from '@myokinet/core/library';
import { type BriefDay, daysLater } from '@myokinet/core/planning';
import { type CalendarDay, calendarDay } from '@myokinet/core/quantities';
import { type Schools, schoolsOf } from '@myokinet/core/schools';
import { traineeBody } from '@myokinet/core/statics';
import { newId } from '../../client/newId.ts';
import type { Dispatch } from '../../client/store.ts';
import { planEndpoints } from './endpoints.ts';
import { factsOf } from './factsOf.ts';
import { nextPlan, withProposal } from './planDraft.ts';
import { planAside } from './planner.ts';
import { planInput, planRules } from './planRules.ts';
import { SEARCH } from './usePlanRequest.ts';

export interface PlanForOptions {
  /** The Monday of the first week. */
  readonly from: CalendarDay;
  readonly weeks: number;
  /** The days to plan, in place of those of the brief; minutes and place are the brief’s where it has the day. */
  readonly days: readonly Pick<BriefDay, 'weekday' | 'at'>[];
  readonly library: Library & { readonly content: LibraryContent };
  readonly schools: Schools;
  readonly now: Date;
}

export type PlannedFor =
  | { readonly answer: 'planned'; readonly sessions: number }
  | { readonly answer: 'has a plan' }
  | { readonly answer: 'refused'; readonly why: string };

const USUAL_DAY = { minutes: 45, place: 'gym', form: 'sets' } as const;

/**
 * Plans weeks for somebody on the days of a group, within their own limits, and saves them. Weeks that have anything in them already are
 * left as they are.
 */
export async function planFor(dispatch: Dispatch, traineeId: string, options: PlanForOptions): Promise<PlannedFor> {
  const { from, weeks, days, library: studio, schools: studioSchools, now } = options;
  const { trainee, readiness, brief, saved, done } = await factsOf(dispatch, traineeId, { from, weeks });
  if (saved.some((week) => week.sessions.length > 0)) return { answer: 'has a plan' };
  const body = traineeBody(trainee);
  const own = schoolsOf(studioSchools, {});
  const [first] = brief.days;
  const asked = days.map(({ weekday, at }) => {
    const { minutes, place, form } = brief.days.find((d) => d.weekday === weekday) ?? first ?? USUAL_DAY;
    return { minutes, place, form, weekday, ...(at ? { at } : {}) };
  });
  const rules = planRules(trainee, readiness, {
    ...{ weekStart: from, now, schools: own },
    library: fittedTo(studio, body),
    brief: { ...brief, days: asked, weeks },
  });
  const input = planInput(rules, readiness, [], { now, done });
  const proposal = await planAside({ input, content: studio.content, body, ...SEARCH }, () => undefined).answer;
  if (!proposal || proposal.refusal) return { answer: 'refused', why: proposal?.refusal ?? '' };
  const mondays = Array.from({ length: weeks }, (_, i) => daysLater(from, 7 * i));
  const empty = mondays.map((monday) => nextPlan(monday, saved.find((s) => s.weekStart === monday) ?? null));
  const plans = withProposal(empty, proposal, input).filter((week) => daysLater(week.weekStart as CalendarDay, 6) >= calendarDay(now));
  await dispatch(planEndpoints.savePlans.initiate({ traineeId, body: { revision: newId(), plans: [...plans] } })).unwrap();
  return { answer: 'planned', sessions: proposal.sessions.length };
}
