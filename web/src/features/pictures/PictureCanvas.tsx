import type { PictureTemplate } from '@myokinet/core/landmarks';
import { type KeyboardEvent, useRef } from 'react';
import type { Mark, Marks } from './landmarks.ts';
import { Magnifier } from './Magnifier.tsx';
import type { View } from './frame.ts';
import { usePlacing } from './usePlacing.ts';

export interface PictureCanvasProps {
  readonly url: string;
  readonly width: number;
  readonly height: number;
  readonly template: PictureTemplate;
  readonly marks: Marks;
  readonly view: View;
  readonly look: (view: View) => void;
  /** The landmark that the next tap places; without one a finger moves the picture. */
  readonly placing: Mark | undefined;
  /** Pixels of the screen that one pixel of the whole picture takes. */
  readonly scale: number;
  readonly move: (id: string, x: number, y: number) => void;
}

const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const LEAP = 10;
/** Pixels of the screen around a landmark that a finger may take hold of it. */
const REACH = 22;
/** The picture takes at most so much of the window’s height. */
export const SHARE_OF_WINDOW = 0.56;

/** The picture with its landmarks: tapped into place one after another, dragged by finger or mouse, nudged by arrow keys; two fingers zoom. */
export function PictureCanvas({ url, width, height, template, marks, view, look, placing, scale, move }: PictureCanvasProps) {
  const svg = useRef<SVGSVGElement>(null);
  const { box, finger, handlers } = usePlacing({ svg, width, height, view, look, placing, marks, move });
  const unit = 1 / (scale * view.zoom);
  const size = Math.max(box.w, box.h) / 55;
  const shown = (mark: Mark): Mark => (finger && finger.id === mark.id ? { ...mark, x: finger.x, y: finger.y, placedBy: 'coach' } : mark);
  const points = marks.points.map(shown);
  const level = marks.level && { ...marks.level, a: shown(marks.level.a), b: shown(marks.level.b) };

  const nudge = (event: KeyboardEvent, { id, x, y }: Mark) => {
    const step = STEPS[event.key];
    if (!step) return;
    event.preventDefault();
    const far = event.shiftKey ? LEAP : 1;
    move(id, Math.max(0, Math.min(width, x + step[0] * far)), Math.max(0, Math.min(height, y + step[1] * far)));
  };
  const handle = (mark: Mark, name: string) => {
    const waits = mark.placedBy === undefined || mark.placedBy === 'suggested';
    return (
      <g
        key={mark.id}
        role="slider"
        tabIndex={0}
        // What still waits is out of the way of a tap that places another.
        data-mark={waits && placing && placing.id !== mark.id ? undefined : mark.id}
        aria-label={name}
        aria-valuenow={mark.x}
        aria-valuemin={0}
        aria-valuemax={width}
        aria-valuetext={`${mark.x} across, ${mark.y} down${mark.placedBy ? `, ${WORDS[mark.placedBy]}` : ', not placed yet'}`}
        className={`focus:outline-none [&:focus-visible>circle]:stroke-[#ffd166] ${waits ? 'opacity-60' : 'cursor-grab'}`}
        onKeyDown={(e) => nudge(e, mark)}
      >
        <circle
          cx={mark.x}
          cy={mark.y}
          r={Math.max(size * 2.2, waits ? 0 : REACH * unit)}
          fill="transparent"
          stroke="transparent"
          strokeWidth={size / 3}
        />
        <circle
          cx={mark.x}
          cy={mark.y}
          r={size}
          fill={mark.placedBy ? '#1a6a5f' : 'none'}
          fillOpacity={0.45}
          stroke="#fdfaf2"
          strokeWidth={size / 3}
          strokeDasharray={waits ? `${size / 2} ${size / 3}` : undefined}
        />
        <circle cx={mark.x} cy={mark.y} r={size / 6} fill="#fdfaf2" />
      </g>
    );
  };
  const line = (from: Mark, to: Mark, dash?: string) => (
    <>
      <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke="#1f1d17" strokeOpacity={0.7} strokeWidth={size / 2} />
      <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke="#fdfaf2" strokeWidth={size / 4} strokeDasharray={dash} />
    </>
  );
  return (
    <svg
      ref={svg}
      viewBox={`${box.x} ${box.y} ${box.w} ${box.h}`}
      className={`mx-auto block touch-none bg-neutral select-none ${placing ? 'cursor-crosshair' : ''}`}
      style={{ width: `min(100%, calc(${100 * SHARE_OF_WINDOW}vh * ${width / height}))` }}
      role="group"
      aria-label="Picture with landmarks"
      {...handlers}
    >
      <image href={url} width={width} height={height} />
      {points.slice(1).map((p, i) => {
        const before = points[i];
        return before?.placedBy && p.placedBy ? <g key={p.id}>{line(before, p)}</g> : null;
      })}
      {level && line(level.a, level.b, `${size} ${size / 2}`)}
      {level && handle(level.a, `${LEVEL[level.kind]}, one end`)}
      {level && handle(level.b, `${LEVEL[level.kind]}, other end`)}
      {points.map((mark) => handle(mark, template.landmarks.find((l) => l.id === mark.id)?.name ?? mark.id))}
      {finger && <Magnifier {...{ url, width, height, box }} at={finger} />}
    </svg>
  );
}

const WORDS = { coach: 'placed', confirmed: 'suggested and confirmed', suggested: 'suggested, not confirmed' } as const;
const LEVEL = { plumb: 'Plumb line', floor: 'Floor line' } as const;
