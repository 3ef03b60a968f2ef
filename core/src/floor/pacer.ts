import { type Side, SIDES } from '../anatomy/index.ts';
import { BREATH_SECONDS, type DoseRange, PULSE_SECONDS, takesTurns, type Tempo, type Timed, unitSeconds } from '../drills/index.ts';

/** What a moment of a paced set is: a way, a pulse, a hold, a wait, a breath, or the set itself where nothing is paced. */
export type PacePart = 'out' | 'pulse' | 'hold' | 'back' | 'rest' | 'in' | 'still';

/** A stretch of a paced set, in seconds from its start. */
export interface Beat {
  readonly part: PacePart;
  readonly from: number;
  readonly until: number;
  /** Repetition or breath it belongs to, from 1; 0 in a hold. */
  readonly count: number;
  /** Done the other way round: the second half of what goes both ways. */
  readonly otherWay?: true;
  /** Whose turn it is, where the sides take turns. */
  readonly turn?: Side;
}

export interface Pace {
  readonly beats: readonly Beat[];
  readonly seconds: number;
}

/** Where a set stands at one moment. */
export interface PaceMoment extends Beat {
  /** Repetitions, breaths or whole seconds that are behind. */
  readonly done: number;
  /** Seconds left of this stretch, and of the set. */
  readonly left: number;
  readonly setLeft: number;
  readonly over: boolean;
}

/** A breath in takes two of its five seconds (project default). */
const BREATH_IN = 2;

/**
 * The paced course of one set: repetitions by their tempo (out and back alike where none is stated), breaths, or a hold. Where the sides
 * take turns a repetition is one on the left and one on the right.
 *
 * @param dose unit, tempo, course and sides
 * @param amount repetitions, seconds or breaths
 * @example paceOf({ unit: 'reps', tempo: { out: 4, hold: 1, back: 1 } }, 2).seconds // 12
 */
export function paceOf(dose: Timed & Partial<Pick<DoseRange, 'perSide'>>, amount: number): Pace {
  const parts = partsOf(dose);
  if (!parts) return { beats: [{ part: 'still', from: 0, until: amount, count: 0 }], seconds: amount };
  const { bothWays, lastHold = 0 } = dose.unit === 'reps' ? (dose.course ?? {}) : {};
  const turns: readonly (Side | undefined)[] = takesTurns({ perSide: false, ...dose }) ? SIDES : [undefined];
  let at = 0;
  const beats = Array.from({ length: amount }, (_, rep) => {
    const last = rep === amount - 1;
    const otherWay = bothWays && rep >= Math.ceil(amount / 2) ? ({ otherWay: true } as const) : {};
    return turns.flatMap((turn) =>
      parts.flatMap(({ part, seconds }): Beat[] => {
        const from = at;
        at += part === 'hold' && last ? seconds + lastHold : seconds;
        return at > from ? [{ part, from, until: at, count: rep + 1, ...otherWay, ...(turn ? { turn } : {}) }] : [];
      }),
    );
  }).flat();
  return { beats, seconds: at };
}

/** The stretches of one repetition or breath; nothing for a hold. */
function partsOf({ unit, tempo, course }: Timed): readonly { part: PacePart; seconds: number }[] | undefined {
  if (unit === 's') return undefined;
  if (unit === 'breaths')
    return [
      { part: 'in', seconds: BREATH_IN },
      { part: 'back', seconds: BREATH_SECONDS - BREATH_IN },
    ];
  const even = unitSeconds({ unit }) / 2;
  const { out, hold, back, rest = 0 }: Tempo = tempo ?? { out: even, hold: 0, back: even };
  return [
    { part: 'out', seconds: out },
    ...Array.from({ length: course?.pulses ?? 0 }, () => ({ part: 'pulse' as const, seconds: PULSE_SECONDS })),
    { part: 'hold', seconds: hold },
    { part: 'back', seconds: back },
    { part: 'rest', seconds: rest },
  ];
}

/**
 * Where a paced set stands `seconds` after its start.
 *
 * @example paceAt(paceOf({ unit: 's' }, 30), 12.4) // { part: 'still', done: 12, setLeft: 17.6, over: false, … }
 */
export function paceAt({ beats, seconds: whole }: Pace, seconds: number): PaceMoment {
  const at = Math.max(0, seconds);
  const beat = beats.find((b) => at < b.until) ?? beats.at(-1);
  if (!beat) throw new Error('A set of nothing has no pace.');
  const over = at >= whole;
  const behind = over ? beat.count : beat.count - 1;
  return {
    ...beat,
    done: beat.count === 0 ? Math.floor(Math.min(at, whole)) : behind,
    left: Math.max(0, beat.until - at),
    setLeft: Math.max(0, whole - at),
    over,
  };
}

/** A soft tone, in seconds from the start of the set. */
export interface Tone {
  readonly at: number;
  readonly pitch: 'turn' | 'hold' | 'tick' | 'end';
}

/** The last seconds of a hold are ticked. */
const TICKED = 3;

/** In a long hold every ten seconds are heard (project default). */
const HEARD_EVERY = 10;

/**
 * The tones of a set: one at each turn of a repetition or breath, one for every ten seconds and a tick for the last three of a hold, one at
 * the end.
 *
 * @example tonesOf(paceOf({ unit: 's' }, 20)).map((t) => t.at) // [10, 17, 18, 19, 20]
 */
export function tonesOf(pace: Pace): readonly Tone[] {
  const { beats, seconds } = pace;
  const end: Tone = { at: seconds, pitch: 'end' };
  if (beats[0]?.part === 'still') {
    const ticks = Array.from({ length: Math.min(TICKED, Math.floor(seconds)) }, (_, i) => seconds - TICKED + i).filter((at) => at > 0);
    return [...tensOf(seconds).map((at): Tone => ({ at, pitch: 'hold' })), ...ticks.map((at): Tone => ({ at, pitch: 'tick' })), end];
  }
  return [
    ...beats.map((b): Tone => ({ at: b.from, pitch: b.part === 'hold' ? 'hold' : b.part === 'out' || b.part === 'in' ? 'turn' : 'tick' })),
    end,
  ];
}

/** Whole tens of a hold, but for those in its last seconds. */
function tensOf(seconds: number): readonly number[] {
  return Array.from({ length: Math.ceil(seconds / HEARD_EVERY) - 1 }, (_, i) => (i + 1) * HEARD_EVERY).filter(
    (at) => seconds - at > TICKED,
  );
}

/** As many seconds are offered at most where a hold's form may have gone. */
const OFFERED = 5;
const STEPS = [1, 2, 5, 10, 15, 20, 30, 60] as const;

/**
 * Round seconds at which the form of a hold may have gone before its end: what the coach is asked, since silence is no answer.
 *
 * @param seconds that the hold lasted
 * @example formWentAt(20) // [5, 10, 15]
 * @example formWentAt(60) // [10, 20, 30, 40, 50]
 */
export function formWentAt(seconds: number): readonly number[] {
  const step = STEPS.find((s) => (seconds - 1) / s < OFFERED + 1) ?? Math.ceil(seconds / OFFERED);
  return Array.from({ length: Math.max(0, Math.ceil(seconds / step) - 1) }, (_, i) => (i + 1) * step);
}
