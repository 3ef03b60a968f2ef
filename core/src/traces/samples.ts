import { Refusal } from '../errors.ts';
import { SCALE_OF } from './quantity.ts';

/** An angle over time as an instrument or a file gives it: seconds and degrees, equally many of both. */
export interface Samples {
  readonly times: ArrayLike<number>;
  readonly angles: ArrayLike<number>;
}

/** What a trace may be; a person moving, not a machine. Project defaults. */
export const TRACE_LIMITS = {
  /** Samples a second below which a repetition cannot be told from noise. */
  slowest: 20,
  /** Above this, neighbouring samples are averaged. */
  fastest: 200,
  minutes: 30,
  /** Seconds without a sample that break a trace. */
  gap: 0.25,
  /** Seconds that a stretch must last to be read. */
  stretch: 0.5,
  /** Share of the samples that must be usable. */
  usable: 0.5,
} as const;

/** Samples in order of time, without nonsense, at most `fastest` a second, and what was done to them. */
export interface TidySamples {
  readonly times: Float64Array;
  readonly angles: Float64Array;
  /** Samples a second, from the median distance. */
  readonly rate: number;
  /** One sentence for each thing that was left out or changed. */
  readonly notices: readonly string[];
}

const RATE_TOLERANCE = 0.02;
const MILLISECONDS = 1000;
const SECONDS_PER_MINUTE = 60;

/**
 * Leaves out what cannot be read (no numbers, nonsense values, times that repeat or run backwards,
 * what comes after the longest time), thins what is too fast, and says so.
 *
 * @param samples seconds and degrees, as they came
 * @param nonsense beyond it no body can show a value
 * @throws Refusal `trace-unreadable`, `trace-too-slow`
 * @example tidySamples({ times: [0, 0.01, 0.01, 0.02], angles: [1, 2, 2, Number.NaN] }).notices
 */
export function tidySamples({ times, angles }: Samples, nonsense: number = SCALE_OF.angle.nonsense): TidySamples {
  const total = Math.min(times.length, angles.length);
  const keptTimes = new Float64Array(total);
  const keptAngles = new Float64Array(total);
  const left = { nonsense: 0, repeated: 0, backwards: 0, late: 0 };
  const longest = TRACE_LIMITS.minutes * SECONDS_PER_MINUTE;
  let kept = 0;
  let first = Number.NaN;
  let last = -Infinity;
  for (let i = 0; i < total; i++) {
    const time = times[i] ?? Number.NaN;
    const angle = angles[i] ?? Number.NaN;
    if (!Number.isFinite(time) || !(Math.abs(angle) <= nonsense)) left.nonsense++;
    else if (time === last) left.repeated++;
    else if (time < last) left.backwards++;
    else if (time - (kept === 0 ? time : first) > longest) left.late++;
    else {
      if (kept === 0) first = time;
      last = time;
      keptTimes[kept] = time - first;
      keptAngles[kept] = angle;
      kept++;
    }
  }
  if (kept < 2 || kept < TRACE_LIMITS.usable * (total - left.late))
    throw new Refusal('trace-unreadable', `Of ${total} samples only ${kept} can be read; at least half must be numbers in order of time.`);
  const rate = 1 / medianStep(keptTimes, kept);
  // Times rounded to the millisecond make 20 samples a second a little less.
  if (rate < TRACE_LIMITS.slowest * (1 - RATE_TOLERANCE))
    throw new Refusal(
      'trace-too-slow',
      `The trace has about ${describeRate(rate)} samples a second; at least ${TRACE_LIMITS.slowest} are needed to tell a repetition from noise.`,
    );
  const notices = [
    left.nonsense > 0 && `${counted(left.nonsense, 'value')} that no body can show left out.`,
    left.repeated > 0 && `${counted(left.repeated, 'sample')} with a time that was there already left out.`,
    left.backwards > 0 && `${counted(left.backwards, 'sample')} whose time runs backwards left out.`,
    left.late > 0 && `Only the first ${TRACE_LIMITS.minutes} minutes were read; the limit of a trace.`,
  ].filter((notice) => notice !== false);
  return thinned(keptTimes.subarray(0, kept), keptAngles.subarray(0, kept), rate, notices);
}

function counted(n: number, what: string): string {
  return `${n} ${what}${n === 1 ? '' : 's'}`;
}

function describeRate(rate: number): string {
  return rate < 10 ? rate.toPrecision(2) : String(Math.round(rate));
}

/** So many values, evenly picked, tell a quantile of a long trace as well as all of them. */
export const ENOUGH_FOR_A_QUANTILE = 4096;

/** The median distance of neighbours, so that gaps do not pass for a slow instrument. */
function medianStep(times: Float64Array, kept: number): number {
  const stride = Math.ceil((kept - 1) / ENOUGH_FOR_A_QUANTILE);
  const steps = Float64Array.from(
    { length: Math.ceil((kept - 1) / stride) },
    (_, i) => (times[i * stride + 1] ?? 0) - (times[i * stride] ?? 0),
  );
  steps.sort();
  return steps[Math.floor(steps.length / 2)] ?? 1 / MILLISECONDS;
}

/** Averages neighbours until at most `fastest` a second are left. */
function thinned(times: Float64Array, angles: Float64Array, rate: number, notices: readonly string[]): TidySamples {
  const block = Math.ceil(rate / TRACE_LIMITS.fastest - 1e-6);
  if (block <= 1) return { times, angles, rate, notices };
  const length = Math.floor(times.length / block);
  const out = { times: new Float64Array(length), angles: new Float64Array(length) };
  for (let i = 0; i < length; i++) {
    let [time, angle] = [0, 0];
    for (let j = i * block; j < (i + 1) * block; j++) {
      time += times[j] ?? 0;
      angle += angles[j] ?? 0;
    }
    out.times[i] = time / block;
    out.angles[i] = angle / block;
  }
  const notice = `${Math.round(rate)} samples a second are more than a body needs: ${block} at a time were averaged.`;
  return { ...out, rate: rate / block, notices: [...notices, notice] };
}
