import { type CurvePoint, type KnownBody, loadCurve, modelOf, type SetUp, stretchesOf } from '@myokinet/core/statics';
import { memo, useMemo } from 'react';
import { Area, CartesianGrid, ComposedChart, Line, ReferenceArea, XAxis, YAxis } from 'recharts';
import { gridLines, noLines, plainTick, roundSteps } from '../../kit/plainTick.tsx';
import { usePixelWidth } from '../../kit/usePixelWidth.ts';
import { type CurveTick, placeOf, ticksOf } from './curvePlaces.ts';
import { type LabLimits, restsOn } from './limitsOf.ts';

export interface LoadCurveProps {
  readonly body: KnownBody;
  readonly setUp: SetUp;
  readonly load: number | undefined;
  readonly limits: LabLimits;
}

const HEIGHT = 210;
const MARGIN = { top: 8, right: 34, bottom: 2, left: 0 } as const;
const [AXIS_WIDTH, AXIS_HEIGHT] = [44, 30];

/** Load against the dial, with the trainee's limits shaded; the marker alone moves while the dial is turned. */
export function LoadCurve({ body, setUp, load, limits }: LoadCurveProps) {
  const [box, width] = usePixelWidth<HTMLDivElement>(560);
  const { direction } = modelOf(setUp.position);
  const harder = stretchesOf(setUp);
  // Everything but the dials that the curve runs along.
  const base = { ...setUp, ...Object.fromEntries(harder.map(({ dial }) => [dial, undefined])) } as SetUp;
  const key = JSON.stringify(base);
  // eslint-disable-next-line react-hooks/exhaustive-deps -- the key stands for the base
  const curve = useMemo(() => plotOf(body, base), [body, key]);
  if (harder.length === 0 || curve.points.length < 2)
    return <p className="aside">Nothing on this position can be turned: it puts all of its load on the hands.</p>;
  const top = Math.ceil(Math.max(...curve.points.map((p) => p.range[1])) / 10) * 10;
  const place = placeOf(setUp);
  const plot = { width: width - AXIS_WIDTH - MARGIN.left - MARGIN.right, height: HEIGHT - MARGIN.top - MARGIN.bottom - AXIS_HEIGHT };
  const tolerated = restsOn(direction === 'push' ? limits.push : limits.pull);
  return (
    <div ref={box} className="relative w-full">
      <CurveChart curve={curve} top={top} width={width} limits={limits} tolerated={tolerated} />
      {place !== undefined && load !== undefined && (
        <svg className="pointer-events-none absolute inset-0" width={width} height={HEIGHT} aria-hidden>
          <circle
            cx={MARGIN.left + AXIS_WIDTH + (plot.width * place) / curve.length}
            cy={MARGIN.top + plot.height * (1 - (load * 100) / top)}
            r={7}
            fill="var(--color-base-100)"
            stroke="var(--color-accent)"
            strokeWidth={3}
          />
        </svg>
      )}
      <p className="aside text-sm">
        Easier to the left. Shaded: likely between.
        {tolerated !== undefined && ` Ochre: more than the ${Math.round(tolerated)}% that the last check surely tolerated.`}
        {bentTooFar(curve, limits) !== undefined &&
          ` Brick: wrists bent further than the checked ${Math.round(restsOn(limits.wrist) ?? 0)}°.`}
        {heldTooMuch(curve, limits) !== undefined &&
          ` Brick: more than the checked grip surely holds, ${Math.floor(restsOn(limits.hold) ?? 0)} kg a hand.`}
      </p>
    </div>
  );
}

const PERCENT = 100;

/** A curve as the chart takes it: in percent. */
interface Curve {
  readonly points: readonly (Pick<CurvePoint, 'at' | 'wristDeg' | 'gripKg'> & {
    readonly load: number;
    readonly range: readonly [low: number, high: number];
  })[];
  readonly length: number;
  readonly ticks: readonly CurveTick[];
}

function plotOf(body: KnownBody, setUp: SetUp): Curve {
  const curve = loadCurve(body, setUp);
  return {
    points: curve.points.map((p) => ({ ...p, load: p.load * PERCENT, range: [p.band.low * PERCENT, p.band.high * PERCENT] })),
    length: curve.notches.length - 1,
    ticks: ticksOf(setUp, curve),
  };
}

const bentTooFar = ({ points }: Curve, { wrist }: LabLimits) => points.find((p) => p.wristDeg > (restsOn(wrist) ?? Infinity))?.at;
const heldTooMuch = ({ points }: Curve, { hold }: LabLimits) => points.find((p) => p.gripKg > (restsOn(hold) ?? Infinity))?.at;

interface CurveChartProps {
  readonly curve: Curve;
  readonly top: number;
  readonly width: number;
  readonly limits: LabLimits;
  readonly tolerated: number | undefined;
}

const CurveChart = memo(function CurveChart({ curve, top, width, limits, tolerated }: CurveChartProps) {
  const steps = roundSteps(0, top, 5);
  const forbidden = [bentTooFar(curve, limits), heldTooMuch(curve, limits)].filter((at) => at !== undefined);
  const from = forbidden.length > 0 ? Math.min(...forbidden) : undefined;
  const words = new Map(curve.ticks.map((t) => [t.at, t.words]));
  return (
    <div role="img" aria-label={curveInWords(curve)}>
      <ComposedChart width={width} height={HEIGHT} data={[...curve.points]} margin={MARGIN} accessibilityLayer={false}>
        <CartesianGrid
          stroke="var(--color-base-300)"
          vertical={false}
          verticalCoordinatesGenerator={noLines}
          horizontalCoordinatesGenerator={gridLines(0, top, steps)}
        />
        <XAxis
          dataKey="at"
          type="number"
          domain={[0, curve.length]}
          height={AXIS_HEIGHT}
          ticks={curve.ticks.map((t) => t.at)}
          interval={0}
          tick={plainTick((at) => words.get(at) ?? '', 12)}
          stroke="currentColor"
        />
        <YAxis
          type="number"
          domain={[0, top]}
          width={AXIS_WIDTH}
          ticks={[...steps]}
          interval={0}
          tick={plainTick((v) => `${v}%`, 4)}
          stroke="currentColor"
        />
        {tolerated !== undefined && tolerated < top && (
          <ReferenceArea y1={tolerated} y2={top} fill="var(--color-warning)" fillOpacity={0.16} stroke="none" />
        )}
        {from !== undefined && <ReferenceArea x1={from} x2={curve.length} fill="var(--color-error)" fillOpacity={0.2} stroke="none" />}
        <Area dataKey="range" stroke="none" fill="var(--color-primary)" fillOpacity={0.18} isAnimationActive={false} activeDot={false} />
        <Line dataKey="load" stroke="var(--color-primary)" strokeWidth={2.5} dot={false} isAnimationActive={false} />
      </ComposedChart>
    </div>
  );
});

function curveInWords({ points, ticks }: Curve): string {
  const nearest = (at: number) => points.reduce((best, p) => (Math.abs(p.at - at) < Math.abs(best.at - at) ? p : best));
  return `Load against the dial: ${ticks.map(({ at, words }) => `${words} ${Math.round(nearest(at).load)}%`).join(', ')}`;
}
