/** What a trace is of. An acceleration or a speed is no angle, and a load is none either. */
export const TRACE_QUANTITIES = ['angle', 'turn rate', 'acceleration', 'load', 'height'] as const;
export type TraceQuantity = (typeof TRACE_QUANTITIES)[number];

interface Scale {
  /** Beyond it a value is nonsense. */
  readonly nonsense: number;
  /** A movement has at least so much of it. */
  readonly leastRange: number;
  /** What is held stays within so much on either side. */
  readonly tolerance: number;
}

/** In degrees, degrees a second, metres a second squared, kilograms, hundredths of the body's extent on a clip. Project defaults. */
export const SCALE_OF: Readonly<Record<TraceQuantity, Scale>> = {
  angle: { nonsense: 720, leastRange: 5, tolerance: 3 },
  'turn rate': { nonsense: 3000, leastRange: 15, tolerance: 5 },
  acceleration: { nonsense: 200, leastRange: 0.8, tolerance: 0.5 },
  load: { nonsense: 500, leastRange: 2, tolerance: 3 },
  height: { nonsense: 300, leastRange: 3, tolerance: 2 },
};
