import type { Landmark, Point } from '@myokinet/core/statics';
import type { CSSProperties } from 'react';
import { COLOURS } from './body/ink.ts';
import type { Ink } from './body/shape.ts';
import { RIM, THICK } from './body/thick.ts';
import type { Figure } from './figure.ts';

const MARGIN = 0.16;

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

/** A part from one joint to the next, as thick as the moving figure has it. */
interface Part {
  readonly from: Landmark;
  readonly to: Landmark;
  readonly thick: number;
  readonly ink: Ink;
}

const HAND = 0.05;
/** The far ones first. */
const PARTS: readonly Part[] = [
  { from: 'hip', to: 'otherKnee', thick: THICK.thigh, ink: 'far' },
  { from: 'otherKnee', to: 'otherAnkle', thick: THICK.shank, ink: 'far' },
  { from: 'shoulder', to: 'otherElbow', thick: THICK.upperArm, ink: 'far' },
  { from: 'otherElbow', to: 'otherWrist', thick: THICK.forearm, ink: 'far' },
  { from: 'hip', to: 'shoulder', thick: THICK.trunk, ink: 'trunk' },
  { from: 'ankle', to: 'toe', thick: THICK.foot, ink: 'near' },
  { from: 'knee', to: 'ankle', thick: THICK.shank, ink: 'near' },
  { from: 'hip', to: 'knee', thick: THICK.thigh, ink: 'near' },
  { from: 'shoulder', to: 'elbow', thick: THICK.upperArm, ink: 'near' },
  { from: 'elbow', to: 'wrist', thick: THICK.forearm, ink: 'near' },
  { from: 'wrist', to: 'knuckles', thick: HAND, ink: 'near' },
];
const PAPER = { '--figure-paper': 'var(--color-base-100)' } as CSSProperties;

/** A figure in metres with y down, of the same parts as those that move; `stroke` is the thickness of what it rests on. */
export function FigureLines({ figure: { joints, scenery }, stroke }: { readonly figure: Figure; readonly stroke: number }) {
  const along = (a: Point, b: Point) => `M${a.x} ${-a.y}L${b.x} ${-b.y}`;
  const head = middle(joints.shoulder, joints.crown, 0.62);
  const trunk = COLOURS.trunk.line;
  return (
    <g fill="none" strokeLinecap="round" strokeLinejoin="round" style={PAPER}>
      {scenery.map((line) => (
        <path key={line} d={line} className="text-secondary" stroke="currentColor" strokeWidth={stroke * 0.8} />
      ))}
      <path d={along(joints.shoulder, head)} strokeWidth={THICK.neck} style={{ stroke: trunk }} />
      <circle cx={head.x} cy={-head.y} r={THICK.head / 2} style={{ fill: trunk }} />
      {PARTS.map(({ from, to, thick, ink }) => {
        const [a, b] = [joints[from], joints[to]];
        const rim = along(middle(a, b, 0.16), middle(a, b, 0.9));
        return (
          <g key={`${from} ${to}`}>
            {ink !== 'trunk' && <path d={rim} strokeWidth={thick + RIM} strokeLinecap="butt" style={{ stroke: COLOURS.paper.line }} />}
            <path d={along(a, b)} strokeWidth={thick} style={{ stroke: COLOURS[ink].line }} />
          </g>
        );
      })}
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
