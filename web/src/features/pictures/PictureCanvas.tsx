import type { PicturePoint, PictureTemplate } from '@myokinet/core/landmarks';
import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import type { Mark, Marks } from './landmarks.ts';

export interface PictureCanvasProps {
  readonly url: string;
  readonly width: number;
  readonly height: number;
  readonly template: PictureTemplate;
  readonly marks: Marks;
  /** 1 shows all of it; more shows a part around the middle. */
  readonly zoom: number;
  /** Stays while a landmark is dragged, or the picture would run away under the finger. */
  readonly middle: PicturePoint | undefined;
  readonly pick: (mark: Mark) => void;
  readonly move: (id: string, x: number, y: number) => void;
}

const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
const LEAP = 10;
/** The picture takes at most so much of the window’s height. */
export const SHARE_OF_WINDOW = 0.7;

/** The picture with its landmarks: dragged by finger or mouse, nudged by arrow keys. */
export function PictureCanvas({ url, width, height, template, marks, zoom, middle, pick, move }: PictureCanvasProps) {
  const svg = useRef<SVGSVGElement>(null);
  const dragged = useRef<string | undefined>(undefined);
  const [w, h] = [width / zoom, height / zoom];
  const centre = middle ?? { x: width / 2, y: height / 2 };
  const x0 = Math.max(0, Math.min(width - w, centre.x - w / 2));
  const y0 = Math.max(0, Math.min(height - h, centre.y - h / 2));
  const size = Math.max(w, h) / 55;

  const place = (event: PointerEvent) => {
    const matrix = svg.current?.getScreenCTM()?.inverse();
    if (!matrix || !dragged.current) return;
    const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix);
    move(dragged.current, Math.round(Math.max(0, Math.min(width, at.x))), Math.round(Math.max(0, Math.min(height, at.y))));
  };
  const nudge = (event: KeyboardEvent, { id, x, y }: Mark) => {
    const step = STEPS[event.key];
    if (!step) return;
    event.preventDefault();
    const far = event.shiftKey ? LEAP : 1;
    move(id, Math.max(0, Math.min(width, x + step[0] * far)), Math.max(0, Math.min(height, y + step[1] * far)));
  };
  const handle = (mark: Mark, name: string) => (
    <g
      key={mark.id}
      role="slider"
      tabIndex={0}
      aria-label={name}
      aria-valuenow={mark.x}
      aria-valuemin={0}
      aria-valuemax={width}
      aria-valuetext={`${mark.x} across, ${mark.y} down${mark.placedBy ? `, ${WORDS[mark.placedBy]}` : ', not placed yet'}`}
      className="cursor-grab touch-none focus:outline-none [&:focus-visible>circle]:stroke-[#ffd166]"
      onFocus={() => dragged.current ?? pick(mark)}
      onKeyDown={(e) => nudge(e, mark)}
      onPointerDown={(e) => {
        dragged.current = mark.id;
        e.currentTarget.setPointerCapture(e.pointerId);
        e.currentTarget.focus();
      }}
      onPointerMove={place}
      onPointerUp={() => {
        dragged.current = undefined;
        pick(mark);
      }}
      onPointerCancel={() => (dragged.current = undefined)}
    >
      <circle cx={mark.x} cy={mark.y} r={size * 2.2} fill="transparent" stroke="transparent" strokeWidth={size / 3} />
      <circle
        cx={mark.x}
        cy={mark.y}
        r={size}
        fill={mark.placedBy ? '#1a6a5f' : 'none'}
        fillOpacity={0.45}
        stroke="#fdfaf2"
        strokeWidth={size / 3}
        strokeDasharray={mark.placedBy && mark.placedBy !== 'suggested' ? undefined : `${size / 2} ${size / 3}`}
      />
      <circle cx={mark.x} cy={mark.y} r={size / 6} fill="#fdfaf2" />
    </g>
  );
  const line = (from: Mark, to: Mark, dash?: string) => (
    <>
      <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke="#1f1d17" strokeOpacity={0.7} strokeWidth={size / 2} />
      <line x1={from.x} y1={from.y} x2={to.x} y2={to.y} stroke="#fdfaf2" strokeWidth={size / 4} strokeDasharray={dash} />
    </>
  );
  return (
    <svg
      ref={svg}
      viewBox={`${x0} ${y0} ${w} ${h}`}
      className="block bg-neutral"
      style={{ width: `min(100%, calc(${100 * SHARE_OF_WINDOW}vh * ${width / height}))` }}
      role="group"
      aria-label="Picture with landmarks"
    >
      <image href={url} width={width} height={height} />
      {marks.points.slice(1).map((p, i) => (
        <g key={p.id}>{line(marks.points[i] ?? p, p)}</g>
      ))}
      {marks.level && line(marks.level.a, marks.level.b, `${size} ${size / 2}`)}
      {marks.level && handle(marks.level.a, `${LEVEL[marks.level.kind]}, one end`)}
      {marks.level && handle(marks.level.b, `${LEVEL[marks.level.kind]}, other end`)}
      {marks.points.map((mark) => handle(mark, template.landmarks.find((l) => l.id === mark.id)?.name ?? mark.id))}
    </svg>
  );
}

const WORDS = { coach: 'placed', confirmed: 'suggested and confirmed', suggested: 'suggested, not confirmed' } as const;
const LEVEL = { plumb: 'Plumb line', floor: 'Floor line' } as const;
