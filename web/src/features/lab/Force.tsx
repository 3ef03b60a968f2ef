import type { Contact, Point } from '@myokinet/core/statics';
import { percent } from './words.ts';

/** Words stay readable where they cross a line. */
export const HALO = { stroke: 'var(--color-base-100)', paintOrder: 'stroke', strokeLinejoin: 'round' } as const;

/** Metres of arrow for one body weight, and the shortest that still shows. */
const [LENGTH, SHORTEST] = [0.42, 0.07];
/** Below this share of body weight there is nothing to draw. */
const NOTHING = 0.005;

interface Arrow {
  readonly tail: Point;
  readonly tip: Point;
}

/** Where the arrow of a force lies: what pushes comes from outside, what pulls goes away from the body. */
export function arrowOf({ x, y, fx, fy, surface }: Contact, gap: number): Arrow | undefined {
  const size = Math.hypot(fx, fy);
  if (size < NOTHING) return undefined;
  const [ux, uy] = [fx / size, fy / size];
  const length = Math.max(SHORTEST, LENGTH * size);
  const at = (way: number) => ({ x: x + way * ux, y: y + way * uy });
  return surface === 'grasped' ? { tail: at(gap), tip: at(gap + length) } : { tail: at(-gap - length), tip: at(-gap) };
}

/** A force on the body as an arrow with its size. */
export function Force({ contact, scale }: { readonly contact: Contact; readonly scale: number }) {
  const arrow = arrowOf(contact, 8 * scale);
  if (!arrow) return null;
  const { tail, tip } = arrow;
  const size = Math.hypot(contact.fx, contact.fy);
  const [ux, uy] = [contact.fx / size, contact.fy / size];
  const head = 9 * scale;
  const wing = (side: 1 | -1) => `${tip.x - ux * head - side * uy * head * 0.5} ${-(tip.y - uy * head + side * ux * head * 0.5)}`;
  const pulls = contact.surface === 'grasped';
  const far = pulls ? tip : tail;
  const hands = contact.name.includes('hand') || contact.name === 'forearms';
  const colour = hands ? 'var(--color-primary)' : 'var(--color-base-content)';
  return (
    <g stroke={colour} fill={colour}>
      <path d={`M${tail.x} ${-tail.y}L${tip.x} ${-tip.y}`} strokeWidth={(hands ? 4 : 2.5) * scale} />
      <path d={`M${tip.x} ${-tip.y}L${wing(1)}L${wing(-1)}Z`} stroke="none" />
      <text
        x={far.x + 8 * scale}
        y={-far.y + (pulls ? 10 : 4) * scale}
        {...HALO}
        strokeWidth={4 * scale}
        fontSize={13 * scale}
        fontWeight={hands ? 700 : 400}
      >
        {contact.name} {percent(contact.surface === 'level' ? contact.fy : size)}
      </text>
    </g>
  );
}
