import type { PlacedBy } from '@myokinet/core/contracts';
import type { PictureTemplate, PlacedPoint, ReferenceLine } from '@myokinet/core/landmarks';

/** A landmark on the picture in hand; `undefined` until somebody has put it there. */
export interface Mark extends PlacedPoint {
  readonly placedBy?: PlacedBy;
}

export interface Level {
  readonly kind: ReferenceLine['kind'];
  readonly a: Mark;
  readonly b: Mark;
}

/** Everything that lies on the picture. */
export interface Marks {
  readonly points: readonly Mark[];
  readonly level?: Level;
}

/** The landmarks of a protocol where they wait to be dragged. */
export function waiting({ landmarks }: PictureTemplate, width: number, height: number): Marks {
  return { points: landmarks.map(({ id, start }) => ({ id, x: Math.round(start.x * width), y: Math.round(start.y * height) })) };
}

/** A line to lay along something that hangs or lies level. */
export function newLevel(kind: ReferenceLine['kind'], width: number, height: number): Level {
  return kind === 'plumb'
    ? {
        kind,
        a: { id: 'a', x: Math.round(0.12 * width), y: Math.round(0.8 * height) },
        b: { id: 'b', x: Math.round(0.12 * width), y: Math.round(0.3 * height) },
      }
    : {
        kind,
        a: { id: 'a', x: Math.round(0.15 * width), y: Math.round(0.94 * height) },
        b: { id: 'b', x: Math.round(0.85 * width), y: Math.round(0.94 * height) },
      };
}

/** A landmark or an end of the line put somewhere by the coach; how surely is told by the zoom at that moment, and stays. */
export function moved(marks: Marks, { id, x, y, error }: Required<PlacedPoint>): Marks {
  const put = (mark: Mark): Mark => (mark.id === id ? { id, x, y, error, placedBy: 'coach' } : mark);
  return {
    points: marks.points.map(put),
    ...(marks.level ? { level: { ...marks.level, a: put(marks.level.a), b: put(marks.level.b) } } : {}),
  };
}

/** What a model suggests, where the coach has not been yet. */
export function suggested(marks: Marks, points: readonly PlacedPoint[]): Marks {
  return {
    ...marks,
    points: marks.points.map((mark) => {
      const found = points.find((p) => p.id === mark.id);
      return found && mark.placedBy !== 'coach' ? { ...found, placedBy: 'suggested' } : mark;
    }),
  };
}

/** The coach has looked at one suggested point and found it right where it is. */
export function confirmed(marks: Marks, id: string, error: number): Marks {
  return {
    ...marks,
    points: marks.points.map((m) => (m.id === id && m.placedBy === 'suggested' ? { ...m, error, placedBy: 'confirmed' } : m)),
  };
}

/** The first landmark that nobody has put anywhere. */
export function nextToPlace({ points }: Marks): Mark | undefined {
  return points.find((m) => m.placedBy === undefined || m.placedBy === 'suggested');
}

/** The line, once somebody has laid it. */
export function laid({ level }: Marks): ReferenceLine | undefined {
  return level && (level.a.placedBy ?? level.b.placedBy) ? { kind: level.kind, a: level.a, b: level.b } : undefined;
}
