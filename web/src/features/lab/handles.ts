import type { KnownBody, Point, SetUp, Stance } from '@myokinet/core/statics';
import { dialOf, modelOf, plannedStance } from '@myokinet/core/statics';

/** Where the handle of a dial sits on the figure. */
const PLACES: Readonly<Record<string, (stance: Stance) => Point | undefined>> = {
  handHeightM: (s) => s.supports[0],
  benchHeightM: (s) => s.supports[0],
  spacingM: (s) => s.supports[1],
  footHeightM: (s) => s.joints.ball,
  blockM: (s) => s.joints.ball,
  feetM: (s) => s.joints.heel,
  leanM: (s) => s.joints.shoulder,
  hipAngleDeg: (s) => s.joints.hip,
  distanceM: (s) => s.supports[0] && { x: s.supports[0].x, y: 0 },
  seatHeightM: (s) => s.others.find((c) => c.name === 'seat'),
  wallM: (s) => s.others.find((c) => c.name === 'wall'),
};

export interface Handle {
  readonly dial: string;
  readonly label: string;
  readonly at: Point;
  /** How far the handle travels in the figure as the dial turns by one of its units. */
  readonly travel: Point;
}

/** The dials of a set-up that can be dragged, where their handles are, and which way they go. */
export function handlesOf(body: KnownBody, setUp: SetUp, stance: Stance): readonly Handle[] {
  const { dials } = modelOf(setUp.position);
  return Object.entries(dials).flatMap(([dial, spec]): Handle[] => {
    const at = PLACES[dial]?.(stance);
    if (!at) return [];
    const value = dialOf(setUp, dial);
    // Toward the middle of the dial, where the figure can be built.
    const aside = value + (value > (spec.min + spec.max) / 2 ? -1 : 1) * spec.step;
    const neighbour = plannedStance(body, { setUp: { ...setUp, [dial]: aside } as SetUp });
    const moved = neighbour && PLACES[dial]?.(neighbour);
    if (!moved) return [];
    const turned = aside - value;
    const travel = { x: (moved.x - at.x) / turned, y: (moved.y - at.y) / turned };
    return Math.hypot(travel.x, travel.y) > 0 ? [{ dial, label: spec.label, at, travel }] : [];
  });
}

/**
 * The dial's value after its handle was dragged by so much, in metres with y up.
 *
 * @example dragged({ value: 0.3, … }, { travel: { x: 0, y: 1 } }, { x: 0, y: 0.05 }) // 0.35
 */
export function dragged(
  { value, min, max, step }: { readonly value: number; readonly min: number; readonly max: number; readonly step: number },
  { travel }: Pick<Handle, 'travel'>,
  by: Point,
): number {
  const turn = (by.x * travel.x + by.y * travel.y) / (travel.x ** 2 + travel.y ** 2);
  return clampTo(value + turn, { min, max, step });
}

/** Inside its limits, at a place that can be set up. */
export function clampTo(value: number, { min, max, step }: { readonly min: number; readonly max: number; readonly step: number }): number {
  const notch = Math.round(Math.min(max, Math.max(min, value)) / step) * step;
  return Math.round(Math.min(max, Math.max(min, notch)) * 1e6) / 1e6;
}
