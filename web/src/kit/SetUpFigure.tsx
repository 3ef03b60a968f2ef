import type { Landmark, Point } from '@myokinet/core/statics';
import type { Figure } from './figure.ts';

/** Joined in this order; the far arm is drawn first and lighter. */
const BODY: readonly Landmark[] = ['toe', 'ankle', 'knee', 'hip', 'shoulder'];
const NEAR_ARM: readonly Landmark[] = ['shoulder', 'elbow', 'wrist', 'knuckles'];
const FAR_ARM: readonly Landmark[] = ['shoulder', 'otherElbow', 'otherWrist'];
const FAR_LEG: readonly Landmark[] = ['hip', 'otherKnee', 'otherAnkle'];

const MARGIN = 0.16;
const HEAD_RADIUS = 0.115;

export interface SetUpFigureProps {
  readonly figure: Figure;
  readonly size: number;
  /** Given where the figure is not only decoration. */
  readonly label?: string;
}

/** A set-up in side view, drawn to the trainee's proportions, with what it rests on or hangs from. */
export function SetUpFigure({ figure, size, label }: SetUpFigureProps) {
  const { left, right, low, high } = extentOf(figure);
  const extent = Math.max(right - left, high - low);
  return (
    <svg
      viewBox={`${(left + right - extent) / 2} ${-(low + high + extent) / 2} ${extent} ${extent}`}
      width={size}
      height={size}
      {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
    >
      <FigureLines figure={figure} stroke={extent / 19} />
    </svg>
  );
}

/** The lines of a figure, in metres with y down; thick as they are told to be. */
export function FigureLines({ figure: { joints, scenery }, stroke }: { readonly figure: Figure; readonly stroke: number }) {
  const path = (landmarks: readonly Landmark[]) =>
    landmarks.map((l, i) => `${i === 0 ? 'M' : 'L'}${joints[l].x} ${-joints[l].y}`).join(' ');
  const head = middle(joints.shoulder, joints.crown, 0.68);
  return (
    <g fill="none" stroke="currentColor" strokeWidth={stroke} strokeLinecap="round" strokeLinejoin="round">
      {scenery.map((line) => (
        <path key={line} d={line} className="text-secondary" stroke="currentColor" strokeWidth={stroke * 0.8} />
      ))}
      {[FAR_LEG, FAR_ARM].map((limb) => (
        <path key={limb[1]} d={path(limb)} opacity={0.45} strokeWidth={stroke * 0.8} />
      ))}
      <path d={path(BODY)} />
      <path d={path(NEAR_ARM)} strokeWidth={stroke * 0.9} />
      <circle cx={head.x} cy={-head.y} r={HEAD_RADIUS} fill="currentColor" stroke="none" />
    </g>
  );
}

export interface Extent {
  readonly left: number;
  readonly right: number;
  readonly low: number;
  readonly high: number;
}

/** Room that a figure takes, in metres with y up. */
export function extentOf({ joints }: Figure): Extent {
  const points = Object.values(joints);
  const [xs, ys] = [points.map((p) => p.x), points.map((p) => p.y)];
  return {
    left: Math.min(...xs) - MARGIN,
    right: Math.max(...xs) + MARGIN,
    low: Math.min(...ys) - MARGIN,
    high: Math.max(...ys) + MARGIN,
  };
}

function middle(a: Point, b: Point, share: number): Point {
  return { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share };
}
