import { frameAt, type Prepared, stripOf } from '@myokinet/core/motion';
import { Circle, Line, Path, Svg, View } from '@react-pdf/renderer';
import { drawn } from '../../../kit/body/drawn.ts';
import { drawnMark } from '../../../kit/body/marks.ts';
import type { Ink, Shape } from '../../../kit/body/shape.ts';
import { windowOf } from '../../../kit/body/window.ts';
import { INK, PAPER } from './inks.ts';

/** The parts of a figure in greys that a plain printer keeps apart. */
const INKS: Readonly<Record<Ink, { readonly line: string; readonly fill: string }>> = {
  near: { line: INK, fill: INK },
  far: { line: '#b0aeaa', fill: '#b0aeaa' },
  faint: { line: '#dddcda', fill: '#dddcda' },
  trunk: { line: '#6a6862', fill: '#6a6862' },
  blade: { line: PAPER, fill: '#a06a00' },
  equipment: { line: '#6b5a2e', fill: '#d5cebb' },
  ground: { line: '#b9b09a', fill: '#ece8df' },
  band: { line: '#1a6a5f', fill: '#1a6a5f' },
  paper: { line: PAPER, fill: PAPER },
};

/** Points between stills, and how high one is at most for its strip’s breadth. */
const GAP = 6;
const HIGH = 0.56;

/** As large as its share of the strip allows. */
function scaled({ width, height }: { readonly width: number; readonly height: number }, broad: number, most: number) {
  const scale = Math.min(broad / width, most / height);
  return { width: width * scale, height: height * scale };
}

/**
 * A movement as two or three stills side by side, in lines that stay sharp at any size.
 *
 * @param breadth points
 */
export function PdfStrip({ prepared, breadth }: { readonly prepared: Prepared; readonly breadth: number }) {
  const { view: whole, closeUp, closeFrom } = prepared.movement;
  const crop = closeUp && closeUp !== 'blades' ? { of: closeUp } : undefined;
  const view = (crop && closeFrom) ?? whole;
  const { box, camera } = windowOf(prepared, view, crop);
  const travels = stripOf(prepared.movement);
  const broad = (breadth - (travels.length - 1) * GAP) / travels.length;
  return (
    <View style={{ flexDirection: 'row', gap: GAP, width: breadth, justifyContent: 'center' }}>
      {travels.map((travel) => {
        const skeleton = frameAt(prepared, travel);
        const { left, top, width, height: high } = box(skeleton);
        const see = camera(skeleton);
        return (
          <Svg key={travel} viewBox={`${left} ${top} ${width} ${high}`} style={scaled({ width, height: high }, broad, breadth * HIGH)}>
            {!crop && view !== 'above' && <Line x1={left} y1={0} x2={left + width} y2={0} stroke={INKS.ground.line} strokeWidth={0.02} />}
            {drawn({ prepared, skeleton, view, see, of: crop?.of }).map((shape, i) => (
              <PdfShape key={i} shape={shape} />
            ))}
            {prepared.movement.marks?.map((mark, i) => {
              const { dashed, solid } = drawnMark(mark, skeleton, see);
              const pen = { stroke: INKS.band.line, strokeWidth: Math.max(width, high) * 0.013, fill: 'none' } as const;
              return [...dashed, ...solid].map((points, j) => <Path key={`${i} ${j}`} d={pathOf(points)} {...pen} />);
            })}
          </Svg>
        );
      })}
    </View>
  );
}

const pathOf = (points: readonly (readonly [number, number])[]) =>
  points.map(([x, y], i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(3)} ${y.toFixed(3)}`).join(' ');

function PdfShape({ shape: { ink, points, width, filled, blunt } }: { readonly shape: Shape }) {
  const { line, fill } = INKS[ink];
  const [first] = points;
  if (points.length === 1 && first) return <Circle cx={first[0]} cy={first[1]} r={width / 2} fill={line} />;
  return (
    <Path
      d={pathOf(points) + (filled ? ' Z' : '')}
      fill={filled ? fill : 'none'}
      stroke={line}
      strokeWidth={width}
      strokeLinecap={blunt ? 'butt' : 'round'}
      strokeLinejoin="round"
    />
  );
}
