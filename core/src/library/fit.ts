import { type Drill, isOneArmed } from '../drills/index.ts';
import { type KnownBody, plannedLoads, type SupportPlan } from '../statics/index.ts';
import { inManner, inSetUp, type Library, type LoadsOf } from './library.ts';

/**
 * The library as it stands for one trainee: drills whose set-up the model knows carry the share of body weight that it
 * puts on this trainee's hands, the others the share of the library. Shares are worked out when they are asked for.
 *
 * @example fittedTo(library, body).drill('practice-floor-push-up').handLoad?.share // 0.69 on this body
 */
export function fittedTo(library: Library, body: KnownBody): Library {
  const known = new Map<string, Drill>();
  const fitted = (drill: Drill): Drill => {
    const before = known.get(drill.id);
    if (before) return before;
    const loads = drill.support && drill.handLoad ? loadsOn(body, drill, drill.support) : undefined;
    // A set-up that can not be built for this trainee says nothing; neither does one that puts nothing on the hands.
    const now = drill.handLoad && loads?.share ? { ...drill, handLoad: { ...drill.handLoad, ...loads } } : drill;
    known.set(drill.id, now);
    return now;
  };
  let all: readonly Drill[] | undefined;
  return {
    ...library,
    get drills() {
      return (all ??= library.drills.map(fitted));
    },
    drill: (id) => fitted(library.drill(id)),
    asPlanned: ({ drillId, support, manner }) => {
      const loadsOf: LoadsOf = (own) => loadsOn(body, library.drill(drillId), own);
      return inManner(inSetUp(fitted(library.drill(drillId)), support, loadsOf), manner, loadsOf);
    },
    harderThan: (id) => library.harderThan(id).map(fitted),
    easierThan: (id) => library.easierThan(id).map(fitted),
  };
}

/** Where one arm is raised, the one that the model has beside it carries nothing. */
function loadsOn(body: KnownBody, { pose }: Drill, support: SupportPlan): ReturnType<LoadsOf> {
  const loads = plannedLoads(body, support);
  return loads && isOneArmed({ pose }) ? { ...loads, perArm: Math.max(loads.perArm, loads.share) } : loads;
}
