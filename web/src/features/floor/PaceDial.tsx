import { type Pace, paceAt, type PacePart } from '@myokinet/core/floor';
import { type Breathing, type DoseUnit, UNIT_WORDS } from '@myokinet/core/drills';
import { SideMark } from './SideMark.tsx';

const NONE: Readonly<Record<PacePart, string>> = { out: '', pulse: '', hold: '', back: '', rest: '', in: '', still: '' };
const WORDS: Readonly<Record<DoseUnit, Readonly<Record<PacePart, string>>>> = {
  reps: { ...NONE, out: 'Out', pulse: 'Pulse', hold: 'Hold', back: 'Back', rest: 'Wait' },
  breaths: { ...NONE, in: 'Breathe in', back: 'Breathe out' },
  s: { ...NONE, still: 'Hold' },
};

interface PaceDialProps {
  readonly pace: Pace;
  readonly unit: DoseUnit;
  /** The breath by part of a repetition. */
  readonly breath?: Breathing | undefined;
  readonly seconds: number;
}

/** Shorter stretches than this, in seconds, are not counted down. */
const WORTH_COUNTING = 2;

/**
 * The pace by sight: a brass block runs along a rail, out, held at its end, and back; a hold drains the rail. Read from two metres.
 */
export function PaceDial({ pace, unit, breath, seconds }: PaceDialProps) {
  const at = paceAt(pace, seconds);
  const word = WORDS[unit][at.part];
  const breathed = unit === 'reps' && (at.part === 'out' || at.part === 'hold' || at.part === 'back') ? breath?.[at.part] : undefined;
  const isHold = at.part === 'still';
  const partLasts = at.until - at.from >= WORTH_COUNTING;
  return (
    <div className="flex flex-col items-center gap-1 sm:gap-3 low:gap-0" role="timer" aria-label="Pace">
      <p className="font-display read-far font-semibold sm:text-5xl low:read-far" aria-hidden>
        {word}
        {at.turn && <SideMark side={at.turn} />}
        {!isHold && partLasts && <span className="ms-3 font-normal">{Math.ceil(at.left)}</span>}
        {breathed && breathed !== 'on' && <span className="aside ms-3 text-[0.5em] font-normal whitespace-nowrap">breathe {breathed}</span>}
      </p>
      <p className="flex flex-wrap items-baseline justify-center gap-x-3">
        <span className="font-display read-count font-bold" data-read="count">
          {isHold ? Math.ceil(at.setLeft) : at.count}
        </span>
        <span className="text-[max(24px,1rem)] leading-tight whitespace-nowrap">
          {isHold ? `s of ${pace.seconds}` : `of ${pace.beats.at(-1)?.count} ${UNIT_WORDS[unit]}`}
          {pace.beats.some((b) => b.turn) && ' a side'}
          {at.otherWay && ', other way round'}
        </span>
      </p>
      <Rail place={railPlace(at.part, progress(at.from, at.until, seconds))} drains={isHold ? at.setLeft / pace.seconds : undefined} />
    </div>
  );
}

function progress(from: number, until: number, at: number): number {
  return Math.min(1, Math.max(0, (at - from) / (until - from)));
}

/** Where the block is on its rail, 0 to 1. */
function railPlace(part: PacePart, share: number): number {
  if (part === 'out' || part === 'in') return share;
  if (part === 'rest') return 0;
  return part === 'hold' || part === 'pulse' ? 1 : 1 - share;
}

const WIDTH = 320;
const BLOCK = 44;

function Rail({ place, drains }: { readonly place: number; readonly drains: number | undefined }) {
  return (
    <svg viewBox={`0 0 ${WIDTH} 48`} className="max-h-12 w-full max-w-md @max-[15rem]:hidden" aria-hidden>
      <path d={`M2 6v36M${WIDTH - 2} 6v36`} stroke="currentColor" strokeWidth={4} />
      <path d={`M2 24H${WIDTH - 2}`} stroke="currentColor" strokeWidth={2} opacity={0.5} />
      {drains === undefined ? (
        <rect x={4 + place * (WIDTH - BLOCK - 8)} y={6} width={BLOCK} height={36} rx={3} className="fill-accent" />
      ) : (
        <rect x={4} y={10} width={Math.max(0, drains * (WIDTH - 8))} height={28} className="fill-accent" />
      )}
    </svg>
  );
}
