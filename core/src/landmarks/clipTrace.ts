import type { Side } from '../anatomy/index.ts';
import { Refusal } from '../errors.ts';
import { type Samples, TRACE_LIMITS, type TraceQuantity } from '../traces/index.ts';
import { type Keypoint, LEAST_SCORE } from './suggestPoints.ts';
import type { BodyPoint } from './templates.ts';

/** What can be followed over a clip: an angle at a joint, a line against the upright, or a height. */
export const CLIP_CURVES = ['elbow', 'shoulder', 'hip', 'knee', 'swing', 'hip line', 'shoulder height', 'hip height'] as const;
export type ClipCurve = (typeof CLIP_CURVES)[number];

/** One frame of a clip as a pose model sees it, pixels; seconds since its start. */
export interface ClipFrame {
  readonly time: number;
  readonly keypoints: readonly Keypoint[];
}

/**
 * What a reading off a clip is worth: measured on drawn people in the plane of the picture, body over half of it (docs/measuring.md).
 * Counts, seconds of a stroke, degrees or parts of a hundred of body length.
 */
export const CLIP_PROMISE = { count: 1, strokeSeconds: 0.3, range: 10 } as const;

/** Below this share of the picture the body is too small for what is promised. */
const LEAST_BODY = 0.5;
/** A clip of which less is seen says nothing. */
const LEAST_SEEN = 0.5;
/** Nobody's middle moves so far from one frame to the median of its neighbours, as a share of the body's extent: that is somebody else. */
const JUMP = 0.25;
const NEIGHBOURS = 4;
/** Below this mean score the count was off by more than one on drawn people. */
const SURE_ENOUGH = 0.55;
/** So many frames of somebody else are told. */
const TOLD_JUMPS = 0.03;

/** A trace of one thing over a clip, and how far it can be trusted. */
export interface ClipTrace {
  readonly samples: Samples;
  readonly quantity: TraceQuantity;
  /** The side of the body that was followed. */
  readonly side: Side;
  /** Share of the frames that show it. */
  readonly seen: number;
  /** Mean score of its points in the frames that show it, 0 to 1. */
  readonly confidence: number;
  /** Longer breaks, in seconds of the clip. */
  readonly gaps: readonly { readonly from: number; readonly to: number }[];
  /** The body's longest way across ÷ the picture's longer side, in the median. */
  readonly body: number;
  readonly findings: readonly ('body small' | 'somebody else' | 'unsure')[];
}

interface Value {
  readonly time: number;
  readonly value: number;
  readonly score: number;
}

/**
 * One angle or height over a clip.
 *
 * Angles are those between the lines on the picture, 0–180°; a swing is the line from hands to hips against the upright, positive to the
 * right; the hip line is how far the hips lie below the line from shoulders to ankles and heights are above the lowest point seen, both in
 * hundredths of the body's extent.
 *
 * @param frames in order of time
 * @param asked what to follow, and the side of the trainee; `better seen` where either will do
 * @param size of the picture, pixels
 * @throws Refusal `clip-nobody`
 * @example clipTrace(frames, { curve: 'elbow', side: 'better seen' }, { width: 640, height: 360 }).seen // 0.97
 */
export function clipTrace(
  frames: readonly ClipFrame[],
  { curve, side }: { readonly curve: ClipCurve; readonly side: Side | 'better seen' },
  { width, height }: { readonly width: number; readonly height: number },
): ClipTrace {
  const extents = frames.map(extentOf).filter((e) => e > 0);
  const extent = median(extents);
  const alone = withoutOthers(frames, extent);
  const floor = Math.max(...alone.kept.flatMap((f) => sureOf(f).map((k) => k.y)), 0);
  const of = (which: Side) => alone.kept.flatMap((frame) => valueOf(frame, curve, which, { extent, floor }));
  const [left, right] = [of('left'), of('right')];
  const sure = (values: readonly Value[]) => values.reduce((sum, v) => sum + v.score, 0);
  const chosen: Side = side === 'better seen' ? (sure(left) > sure(right) ? 'left' : 'right') : side;
  const values = chosen === 'left' ? left : right;
  const seen = frames.length === 0 ? 0 : values.length / frames.length;
  if (seen < LEAST_SEEN)
    throw new Refusal(
      'clip-nobody',
      `What is to be followed was seen in ${Math.round(seen * 100)}% of ${frames.length} frames; at least half are needed. Film one person, whole, from the side, with nothing in front.`,
    );
  const confidence = sure(values) / values.length;
  const body = extent / Math.max(width, height);
  return {
    samples: { times: values.map((v) => v.time), angles: values.map((v) => v.value) },
    quantity: isHeight(curve) ? 'height' : 'angle',
    side: chosen,
    seen,
    confidence,
    gaps: values.flatMap(({ time }, i) => {
      const before = values[i - 1]?.time ?? time;
      return time - before > TRACE_LIMITS.gap ? [{ from: before, to: time }] : [];
    }),
    body,
    findings: [
      ...(confidence < SURE_ENOUGH ? (['unsure'] as const) : []),
      ...(body < LEAST_BODY ? (['body small'] as const) : []),
      ...(alone.others > TOLD_JUMPS * frames.length ? (['somebody else'] as const) : []),
    ],
  };
}

const isHeight = (curve: ClipCurve) => curve === 'hip line' || curve === 'shoulder height' || curve === 'hip height';

const JOINTS: Readonly<Partial<Record<ClipCurve, readonly [BodyPoint, BodyPoint, BodyPoint]>>> = {
  elbow: ['shoulder', 'elbow', 'wrist'],
  shoulder: ['hip', 'shoulder', 'elbow'],
  hip: ['shoulder', 'hip', 'knee'],
  knee: ['hip', 'knee', 'ankle'],
};

/** Which points each of the others needs. */
const POINTS: Readonly<Partial<Record<ClipCurve, readonly BodyPoint[]>>> = {
  swing: ['wrist', 'hip'],
  'hip line': ['shoulder', 'hip', 'ankle'],
  'shoulder height': ['shoulder'],
  'hip height': ['hip'],
};

function valueOf(
  frame: ClipFrame,
  curve: ClipCurve,
  side: Side,
  { extent, floor }: { readonly extent: number; readonly floor: number },
): readonly Value[] {
  const found = (JOINTS[curve] ?? POINTS[curve] ?? []).map((part) => sureOf(frame).find((k) => k.name === `${side} ${part}`));
  if (found.some((p) => p === undefined)) return [];
  const [a, b, c] = found.filter((p) => p !== undefined);
  if (!a) return [];
  const score = Math.min(...found.flatMap((p) => p?.score ?? []));
  const value = read(curve, [a, b ?? a, c ?? a]);
  return [{ time: frame.time, value: isHeight(curve) ? (100 * (curve === 'hip line' ? value : floor - value)) / extent : value, score }];
}

type Spot = Pick<Keypoint, 'x' | 'y'>;

/** Degrees, or pixels of a height. */
function read(curve: ClipCurve, [a, b, c]: readonly [Spot, Spot, Spot]): number {
  switch (curve) {
    case 'swing':
      return degrees(Math.atan2(b.x - a.x, b.y - a.y));
    case 'hip line': {
      // How far below the line, straight down, the hips are.
      const along = c.x === a.x ? 0.5 : (b.x - a.x) / (c.x - a.x);
      return b.y - (a.y + along * (c.y - a.y));
    }
    case 'shoulder height':
    case 'hip height':
      return a.y;
    default: {
      const [u, v] = [
        { x: a.x - b.x, y: a.y - b.y },
        { x: c.x - b.x, y: c.y - b.y },
      ];
      return degrees(Math.abs(Math.atan2(u.x * v.y - u.y * v.x, u.x * v.x + u.y * v.y)));
    }
  }
}

const degrees = (radians: number) => (radians * 180) / Math.PI;

function sureOf({ keypoints }: ClipFrame): readonly Keypoint[] {
  return keypoints.filter((k) => k.score >= LEAST_SCORE);
}

function extentOf(frame: ClipFrame): number {
  const seen = sureOf(frame);
  if (seen.length < 4) return 0;
  const across = (of: (k: Keypoint) => number) => Math.max(...seen.map(of)) - Math.min(...seen.map(of));
  return Math.hypot(
    across((k) => k.x),
    across((k) => k.y),
  );
}

/** Frames in which the body is not suddenly somewhere else; how many were. */
function withoutOthers(frames: readonly ClipFrame[], extent: number): { readonly kept: readonly ClipFrame[]; readonly others: number } {
  const middles = frames.map((frame) => {
    const trunk = sureOf(frame).filter((k) => k.name.endsWith('shoulder') || k.name.endsWith('hip'));
    return trunk.length === 0 ? undefined : { x: mean(trunk.map((k) => k.x)), y: mean(trunk.map((k) => k.y)) };
  });
  const kept = frames.filter((_, i) => {
    const here = middles[i];
    if (!here) return false;
    const near = middles.slice(Math.max(0, i - NEIGHBOURS), i + NEIGHBOURS + 1).flatMap((m) => m ?? []);
    return Math.hypot(here.x - median(near.map((m) => m.x)), here.y - median(near.map((m) => m.y))) <= JUMP * extent;
  });
  return { kept, others: middles.filter((m) => m !== undefined).length - kept.length };
}

const mean = (values: readonly number[]) => values.reduce((sum, v) => sum + v, 0) / values.length;

function median(values: readonly number[]): number {
  const sorted = values.toSorted((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)] ?? 0;
}
