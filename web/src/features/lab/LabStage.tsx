import {
  dialInWords,
  dialOf,
  type HandLoadReading,
  type KnownBody,
  modelOf,
  type Point,
  type SetUp,
  type Stance,
} from '@myokinet/core/statics';
import { type KeyboardEvent, type PointerEvent, useMemo, useState } from 'react';
import { type Figure, stood } from '../../kit/figure.ts';
import { type Extent, extentOf, FigureLines } from '../../kit/SetUpFigure.tsx';
import { usePixelWidth } from '../../kit/usePixelWidth.ts';
import { arrowOf, Force, HALO } from './Force.tsx';
import { clampTo, dragged, type Handle, handlesOf } from './handles.ts';

export interface LabStageProps {
  readonly body: KnownBody;
  readonly setUp: SetUp;
  readonly reading: HandLoadReading;
  readonly change: (setUp: SetUp) => void;
  readonly height: number;
  readonly label: string;
}

/** Room about the figure for arrows and their words, in metres. */
const ROOM = { aside: 0.12, wordPixels: 96 };
/** From this angle on the arm stands beside the head. */
const OVERHEAD = 140;
/** Pixels of a handle and of the finger that finds it. */
const [KNOB, FINGER] = [8, 22];

/** The set-up in side view with its forces, its centre of mass and its angles; handles turn the dials. */
export function LabStage({ body, setUp, reading, change, height, label }: LabStageProps) {
  const [box, width] = usePixelWidth<HTMLDivElement>(620);
  const [held, setHeld] = useState<Extent | undefined>();
  const { stance } = reading;
  const figure = useMemo(() => stood(stance), [stance]);
  const handles = useMemo(() => handlesOf(body, setUp, stance), [body, setUp, stance]);
  const swings = setUp.position === 'swing';
  // While a handle is held the picture stands still, so that it stays under the finger.
  const { left, right, low, high } = held ?? roomOf(extentOf(figure), stance, { swing: swings ? 1 : 0, width, height });
  const scale = Math.max((right - left) / width, (high - low) / height);
  const [w, h] = [scale * width, scale * height];
  const view = `${(left + right - w) / 2} ${-(low + high + h) / 2} ${w} ${h}`;
  const { wrist, shoulder } = stance.joints;
  const words = { ...HALO, fontSize: 13 * scale, strokeWidth: 4 * scale, fill: 'currentColor', textAnchor: 'end' } as const;
  return (
    <div ref={box} className="w-full">
      <svg viewBox={view} width={width} height={height} className="block touch-none select-none" role="group" aria-label={label}>
        {swings && <Ghosts figure={figure} bar={stance.joints.knuckles} degrees={dialOf(setUp, 'amplitudeDeg')} stroke={6.5 * scale} />}
        <FigureLines figure={figure} stroke={6.5 * scale} />
        <Weight at={reading.centreOfMass} scale={scale} massKg={body.massKg} />
        {[...stance.supports, ...stance.others.filter((c) => c.name !== 'swing')].map((contact) => (
          <Force key={`${contact.name}-${contact.x.toFixed(2)}`} contact={contact} scale={scale} />
        ))}
        {reading.wristExtensionDeg !== 0 && (
          <text x={wrist.x - 24 * scale} y={-wrist.y - 9 * scale} {...words}>
            wrist {Math.round(reading.wristExtensionDeg)}°
          </text>
        )}
        <text
          x={shoulder.x - (reading.shoulderAngleDeg > OVERHEAD ? 40 : 26) * scale}
          y={-shoulder.y - 24 * scale}
          {...words}
          className="aside"
        >
          arm to trunk {Math.round(reading.shoulderAngleDeg)}°
        </text>
        {handles.map((handle) => (
          <Knob
            key={handle.dial}
            handle={handle}
            setUp={setUp}
            scale={scale}
            hold={() => setHeld({ left, right, low, high })}
            release={() => setHeld(undefined)}
            turn={(value) => change({ ...setUp, [handle.dial]: value } as SetUp)}
          />
        ))}
      </svg>
    </div>
  );
}

interface Stage {
  /** Room to both sides for the ends of a swing, in metres. */
  readonly swing: number;
  readonly width: number;
  readonly height: number;
}

function roomOf({ left, right, low, high }: Extent, { supports, others }: Stance, { swing, width, height }: Stage): Extent {
  const arrows = [...supports, ...others].flatMap((c) => {
    const arrow = arrowOf(c, 0.03);
    return arrow ? [arrow.tail, arrow.tip] : [];
  });
  const words = ROOM.wordPixels * Math.max((right - left + ROOM.wordPixels / 200) / width, (high - low) / height);
  return {
    left: Math.min(left - ROOM.aside - swing, ...arrows.map((p) => p.x - 0.05)),
    right: Math.max(right + ROOM.aside + swing, ...arrows.map((p) => p.x + words)),
    low: Math.min(low, ...arrows.map((p) => p.y - 0.06)),
    high: Math.max(high, ...arrows.map((p) => p.y + 0.04)),
  };
}

/** The same body at both ends of a swing, faint. */
function Ghosts({
  figure,
  bar,
  degrees,
  stroke,
}: {
  readonly figure: Figure;
  readonly bar: Point;
  readonly degrees: number;
  readonly stroke: number;
}) {
  const bare = { ...figure, scenery: [] };
  return (
    <g opacity={0.22} aria-hidden>
      {[degrees, -degrees].map((turn) => (
        <g key={turn} transform={`rotate(${turn} ${bar.x} ${-bar.y})`}>
          <FigureLines figure={bare} stroke={stroke} />
        </g>
      ))}
    </g>
  );
}

function Weight({ at, scale, massKg }: { readonly at: Point; readonly scale: number; readonly massKg: number }) {
  const r = 7 * scale;
  return (
    <g role="img" aria-label={`Centre of mass, ${Math.round(massKg)} kg`}>
      <circle cx={at.x} cy={-at.y} r={r} fill="var(--color-base-100)" stroke="var(--color-accent)" strokeWidth={2 * scale} />
      <path
        d={`M${at.x} ${-at.y}v${-r}a${r} ${r} 0 0 1 ${r} ${r}zM${at.x} ${-at.y}v${r}a${r} ${r} 0 0 1 ${-r} ${-r}z`}
        fill="var(--color-accent)"
      />
    </g>
  );
}

interface KnobProps {
  readonly handle: Handle;
  readonly setUp: SetUp;
  readonly scale: number;
  readonly hold: () => void;
  readonly release: () => void;
  readonly turn: (value: number) => void;
}

const BIG = 10;

/** A dial's handle on the figure: dragged, or turned with the arrow keys. */
function Knob({ handle, setUp, scale, hold, release, turn }: KnobProps) {
  const [from, setFrom] = useState<{ readonly value: number; readonly x: number; readonly y: number } | undefined>();
  const spec = modelOf(setUp.position).dials[handle.dial];
  if (!spec) return null;
  const value = dialOf(setUp, handle.dial);
  const { min, max, step } = spec;
  const down = (event: PointerEvent<SVGGElement>) => {
    event.currentTarget.setPointerCapture(event.pointerId);
    setFrom({ value, x: event.clientX, y: event.clientY });
    hold();
  };
  const move = (event: PointerEvent<SVGGElement>) => {
    if (!from) return;
    const by = { x: (event.clientX - from.x) * scale, y: -(event.clientY - from.y) * scale };
    const next = dragged({ value: from.value, min, max, step }, handle, by);
    if (next !== value) turn(next);
  };
  const up = () => {
    setFrom(undefined);
    release();
  };
  const key = (event: KeyboardEvent) => {
    const moves: Readonly<Record<string, number>> = {
      ArrowUp: value + step,
      ArrowRight: value + step,
      ArrowDown: value - step,
      ArrowLeft: value - step,
      PageUp: value + BIG * step,
      PageDown: value - BIG * step,
      Home: min,
      End: max,
    };
    const next = moves[event.key];
    if (next === undefined) return;
    event.preventDefault();
    turn(clampTo(next, spec));
  };
  const { x, y } = handle.at;
  const along = Math.atan2(-handle.travel.y, handle.travel.x);
  const tip = (way: 1 | -1) => ({ x: x + way * Math.cos(along) * 17 * scale, y: -y + way * Math.sin(along) * 17 * scale });
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label={handle.label}
      aria-valuemin={min}
      aria-valuemax={max}
      aria-valuenow={value}
      aria-valuetext={dialInWords(spec, value)}
      className={from ? 'cursor-grabbing' : 'cursor-grab'}
      onPointerDown={down}
      onPointerMove={move}
      onPointerUp={up}
      onPointerCancel={up}
      onKeyDown={key}
    >
      <circle cx={x} cy={-y} r={FINGER * scale} fill="transparent" />
      <path d={`M${tip(-1).x} ${tip(-1).y}L${tip(1).x} ${tip(1).y}`} stroke="var(--color-accent)" strokeWidth={2 * scale} />
      <circle cx={x} cy={-y} r={KNOB * scale} fill="var(--color-base-100)" stroke="var(--color-accent)" strokeWidth={3 * scale} />
      <title>{`${handle.label}: ${dialInWords(spec, value)}. Drag, or use the arrow keys.`}</title>
    </g>
  );
}
