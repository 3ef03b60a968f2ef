import { frameAt, type Prepared, type Travel, type View } from '@myokinet/core/motion';
import type { CSSProperties } from 'react';
import { drawn } from './drawn.ts';
import { type DrawnMark, drawnMark } from './marks.ts';
import { COLOURS } from './ink.ts';
import type { Shape } from './shape.ts';
import { type Crop, windowOf } from './window.ts';

export interface BodyFigureProps {
  readonly prepared: Prepared;
  readonly travel: Travel;
  readonly view: View;
  readonly crop?: Crop | undefined;
  /** Pixels of a square; absent: as large as there is room. */
  readonly size?: number;
  /** What the figure lies on; absent: the page. */
  readonly paper?: string;
  /** Given where the figure is not only decoration. */
  readonly label?: string;
}

/** A body at one point of its movement, seen from one side. */
export function BodyFigure({ prepared, travel, view, crop, size, paper = 'var(--color-base-100)', label }: BodyFigureProps) {
  const { box, camera } = windowOf(prepared, view, crop);
  const skeleton = frameAt(prepared, travel);
  const shapes = drawn({ prepared, skeleton, view, see: camera(skeleton), of: crop?.of });
  const { left, top, width, height } = box(skeleton);
  return (
    <svg
      viewBox={`${left} ${top} ${width} ${height}`}
      {...(size ? { width: size, height: size } : { className: 'h-full w-full' })}
      style={{ '--figure-paper': paper } as CSSProperties}
      {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
    >
      {crop === undefined && view !== 'above' && <path d={`M${left} 0H${left + width}`} stroke={COLOURS.ground.line} strokeWidth={0.02} />}
      {shapes.map((shape, i) => (
        // Shapes have no name of their own: the order is that of depth.
        <ShapeMark key={i} shape={shape} />
      ))}
      {prepared.movement.marks?.map((mark, i) => (
        <MeasureMark key={i} mark={drawnMark(mark, skeleton, camera(skeleton))} breadth={Math.max(width, height)} />
      ))}
    </svg>
  );
}

/** Of a figure's breadth. */
const MARK = 0.013;

function MeasureMark({ mark: { dashed, solid }, breadth }: { readonly mark: DrawnMark; readonly breadth: number }) {
  const line = (points: readonly (readonly [number, number])[]) => `M${points.map(([x, y]) => `${round(x)} ${round(y)}`).join('L')}`;
  return (
    <g fill="none" strokeLinecap="round" strokeLinejoin="round" stroke="var(--color-primary)" strokeWidth={breadth * MARK}>
      {dashed.map((points) => (
        <path key={line(points)} d={line(points)} strokeDasharray={`${breadth * 0.02} ${breadth * 0.025}`} />
      ))}
      {solid.map((points) => (
        <path key={line(points)} d={line(points)} strokeWidth={breadth * MARK * 1.5} />
      ))}
    </g>
  );
}

const round = (n: number) => Math.round(n * 1000) / 1000;

function ShapeMark({ shape: { ink, points, width, filled, blunt } }: { readonly shape: Shape }) {
  const { line, fill } = COLOURS[ink];
  const [first] = points;
  if (points.length === 1 && first) return <circle cx={round(first[0])} cy={round(first[1])} r={width / 2} style={{ fill: line }} />;
  const d = points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${round(x)} ${round(y)}`).join('') + (filled ? 'Z' : '');
  return (
    <path
      d={d}
      style={{ fill: filled ? fill : 'none', stroke: line }}
      strokeWidth={width}
      strokeLinecap={blunt ? 'butt' : 'round'}
      strokeLinejoin="round"
    />
  );
}
