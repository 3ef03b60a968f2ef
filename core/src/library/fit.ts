import type { Drill } from '../drills/index.ts';
import { type KnownBody, plannedLoad } from '../statics/index.ts';
import { inSetUp, type Library } from './library.ts';

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
    const share = drill.support && drill.handLoad ? plannedLoad(body, drill.support) : undefined;
    // A set-up that can not be built for this trainee says nothing; neither does one that puts nothing on the hands.
    const now = drill.handLoad && share ? { ...drill, handLoad: { ...drill.handLoad, share } } : drill;
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
    asPlanned: ({ drillId, support }) => inSetUp(fitted(library.drill(drillId)), support, (own) => plannedLoad(body, own)),
    harderThan: (id) => library.harderThan(id).map(fitted),
    easierThan: (id) => library.easierThan(id).map(fitted),
  };
}
