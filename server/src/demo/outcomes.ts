import { addHours, addWeeks } from 'date-fns';
import { BUILT_IN_COACH } from '../actor.ts';
import type { Services } from '../services.ts';

interface Teller {
  readonly services: Services;
  readonly today: Date;
  readonly random: () => number;
  readonly newId: () => string;
  /** Moves the clock that the stores see. */
  readonly at: (moment: Date) => void;
}

/** Share of the flare-ups that nobody had recorded as a symptom. */
const UNRECORDED = 0.1;

/** What coaches told of the clearances so far, but for what came due in the last days: that waits on Today. */
export function tellOutcomes(world: Teller, weeks: number): void {
  const { services, today } = world;
  for (let weeksAgo = weeks; weeksAgo >= 1; weeksAgo--) {
    world.at(addHours(addWeeks(today, -weeksAgo), 1));
    for (const [traineeId, due] of services.outcomes.due())
      for (const { clearanceId, weeks: asked, suggested } of due)
        services.outcomes.tell(BUILT_IN_COACH, traineeId, {
          ...{ id: world.newId(), clearanceId, weeks: asked },
          outcome: world.random() < UNRECORDED ? 'flared' : suggested.outcome,
        });
  }
  world.at(today);
}
