import type { PicturePoint } from '@myokinet/core/landmarks';
import { type PointerEvent, type RefObject, useRef, useState } from 'react';
import type { Mark, Marks } from './landmarks.ts';
import type { Box, Finger, View } from './frame.ts';

const MOST_ZOOM = 8;
/** A second tap so soon and so near belongs to the first: it places no further landmark. */
const DOUBLE_TAP = { ms: 400, pixels: 24 } as const;

interface Placing {
  readonly svg: RefObject<SVGSVGElement | null>;
  readonly width: number;
  readonly height: number;
  readonly view: View;
  readonly look: (view: View) => void;
  readonly placing: Mark | undefined;
  readonly marks: Marks;
  readonly move: (id: string, x: number, y: number) => void;
}

type Gesture =
  | { readonly kind: 'move'; readonly id: string; readonly offset: PicturePoint }
  | { readonly kind: 'pan'; readonly from: PicturePoint }
  | { readonly kind: 'pinch'; readonly apart: number; readonly zoom: number; readonly under: PicturePoint };

/** What fingers do on a picture: one places a landmark or takes hold of one, two zoom and move the picture under it. */
export function usePlacing({ svg, width, height, view, look: show, placing, marks, move }: Placing) {
  const look = (next: View) => show(framed(next, width, height));
  const pointers = useRef(new Map<number, { readonly x: number; readonly y: number }>());
  const gesture = useRef<Gesture | undefined>(undefined);
  const placed = useRef({ at: -Infinity, x: 0, y: 0 });
  const [finger, setFinger] = useState<Finger | undefined>();
  const box = boxOf(view, width, height);

  const onPicture = (client: { readonly x: number; readonly y: number }): PicturePoint => {
    const matrix = svg.current?.getScreenCTM()?.inverse();
    return matrix ? new DOMPoint(client.x, client.y).matrixTransform(matrix) : { x: 0, y: 0 };
  };
  const inside = ({ x, y }: PicturePoint) => ({
    x: Math.round(Math.max(0, Math.min(width, x))),
    y: Math.round(Math.max(0, Math.min(height, y))),
  });
  const both = () => {
    const [a, b] = [...pointers.current.values()];
    if (!a || !b) return undefined;
    return { apart: Math.max(1, Math.hypot(a.x - b.x, a.y - b.y)), centre: { x: (a.x + b.x) / 2, y: (a.y + b.y) / 2 } };
  };

  const onPointerDown = (event: PointerEvent<SVGSVGElement>) => {
    pointers.current.set(event.pointerId, { x: event.clientX, y: event.clientY });
    event.currentTarget.setPointerCapture(event.pointerId);
    const two = both();
    if (two) {
      // A second finger: whatever the first began was meant for the picture.
      setFinger(undefined);
      gesture.current = { kind: 'pinch', apart: two.apart, zoom: view.zoom, under: onPicture(two.centre) };
      return;
    }
    const at = onPicture({ x: event.clientX, y: event.clientY });
    const id = (event.target as Element).closest('[data-mark]')?.getAttribute('data-mark') ?? undefined;
    const held = id === undefined || id === placing?.id ? undefined : markOf(marks, id);
    if (held) {
      gesture.current = { kind: 'move', id: held.id, offset: { x: held.x - at.x, y: held.y - at.y } };
      setFinger({ id: held.id, x: held.x, y: held.y });
    } else if (placing) {
      gesture.current = { kind: 'move', id: placing.id, offset: { x: 0, y: 0 } };
      setFinger({ id: placing.id, ...inside(at) });
    } else gesture.current = { kind: 'pan', from: at };
  };
  const onPointerMove = (event: PointerEvent<SVGSVGElement>) => {
    if (!pointers.current.has(event.pointerId)) return;
    pointers.current.set(event.pointerId, { x: event.clientX, y: event.clientY });
    const now = gesture.current;
    const at = onPicture({ x: event.clientX, y: event.clientY });
    if (now?.kind === 'move') setFinger({ id: now.id, ...inside({ x: at.x + now.offset.x, y: at.y + now.offset.y }) });
    else if (now?.kind === 'pan') look({ ...view, middle: { x: view.middle.x + now.from.x - at.x, y: view.middle.y + now.from.y - at.y } });
    else if (now?.kind === 'pinch') {
      const two = both();
      if (!two) return;
      const zoom = Math.max(1, Math.min(MOST_ZOOM, (now.zoom * two.apart) / now.apart));
      const seen = onPicture(two.centre);
      // What lay under the fingers stays under them.
      const shrink = view.zoom / zoom;
      look({
        zoom,
        middle: { x: now.under.x + (view.middle.x - seen.x) * shrink, y: now.under.y + (view.middle.y - seen.y) * shrink },
      });
    }
  };
  const end = (event: PointerEvent<SVGSVGElement>, counts: boolean) => {
    pointers.current.delete(event.pointerId);
    const now = gesture.current;
    const { at, x, y } = placed.current;
    const again = event.timeStamp - at < DOUBLE_TAP.ms && Math.hypot(event.clientX - x, event.clientY - y) < DOUBLE_TAP.pixels;
    if (counts && now?.kind === 'move' && finger && !again) {
      placed.current = { at: event.timeStamp, x: event.clientX, y: event.clientY };
      move(now.id, finger.x, finger.y);
    }
    setFinger(undefined);
    if (pointers.current.size === 0) gesture.current = undefined;
    else gesture.current = { kind: 'pan', from: onPicture([...pointers.current.values()][0] ?? { x: 0, y: 0 }) };
  };
  return {
    box,
    finger,
    handlers: {
      onPointerDown,
      onPointerMove,
      onPointerUp: (event: PointerEvent<SVGSVGElement>) => end(event, true),
      onPointerCancel: (event: PointerEvent<SVGSVGElement>) => end(event, false),
    },
  };
}

function markOf({ points, level }: Marks, id: string): Mark | undefined {
  return [...points, ...(level ? [level.a, level.b] : [])].find((m) => m.id === id);
}

/** A view whose frame lies inside the picture. */
export function framed({ zoom, middle }: View, width: number, height: number): View {
  const [w, h] = [width / zoom / 2, height / zoom / 2];
  return { zoom, middle: { x: Math.max(w, Math.min(width - w, middle.x)), y: Math.max(h, Math.min(height - h, middle.y)) } };
}

function boxOf(view: View, width: number, height: number): Box {
  const { zoom, middle } = framed(view, width, height);
  const [w, h] = [width / zoom, height / zoom];
  return { w, h, x: middle.x - w / 2, y: middle.y - h / 2 };
}
