import type { PlanBriefDto } from '@myokinet/core/contracts';
import { calendarDay } from '@myokinet/core/quantities';
import { addWeeks } from 'date-fns';
import { BUILT_IN_COACH } from '../actor.ts';
import type { Services } from '../services.ts';

/** Whose weeks have to fit more than days and minutes. */
const BRIEFED = 'Petra Windlass';
/** So far ahead lies what they train for. */
const GOAL_WEEKS = 16;

/** A watch that loads the same joints, and one of the days on deck, paced by the breath. */
export function writeBrief(services: Services, newId: () => string): void {
  const trainee = services.trainees.all().find(({ name }) => name === BRIEFED);
  if (!trainee) return;
  const { revision: _, ...brief } = services.briefs.find(trainee.id);
  const watch = {
    id: newId(),
    name: 'Capstan watch',
    weekday: 'Saturday',
    effort: 7,
    minutes: 90,
    joints: ['wrist', 'elbow', 'shoulder', 'scapula', 'grip'],
    prepareWith: services.routines.all().find((r) => r.purpose === 'preparation')?.id ?? null,
  };
  const goal = { name: 'Crossing', day: calendarDay(addWeeks(services.now(), GOAL_WEEKS)), rungId: 'surface-30' };
  const days = brief.days.map((d, i) => ({ ...d, at: '17:30', ...(i === 1 ? { place: 'deck', form: 'flow' } : {}) }));
  const dto = structuredClone({ ...brief, revision: newId(), basedOn: null, days, events: [watch], goal });
  services.briefs.save(BUILT_IN_COACH, trainee.id, dto as unknown as PlanBriefDto);
}
