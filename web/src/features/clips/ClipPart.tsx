import { LONGEST_SECONDS } from './readClip.ts';

interface Part {
  readonly from: number;
  readonly to: number;
}

interface ClipPartProps {
  /** Seconds. */
  readonly length: number;
  readonly part: Part;
  readonly change: (part: Part) => void;
  readonly show: (seconds: number) => void;
}

/** Seconds that are left at least. */
const LEAST = 1;

/** The part of a clip that is read. */
export function ClipPart({ length, part, change, show }: ClipPartProps) {
  const { from, to } = part;
  const move = (next: Part, seen: number) => {
    change(next);
    show(seen - next.from);
  };
  return (
    <div role="group" aria-label="Part of the clip" className="text-sm">
      <Handle
        label="From"
        value={from}
        length={length}
        move={(v) => {
          const start = Math.max(0, Math.min(v, length - LEAST));
          move({ from: start, to: Math.min(Math.max(to, start + LEAST), start + LONGEST_SECONDS, length) }, start);
        }}
      />
      <Handle
        label="To"
        value={to}
        length={length}
        move={(v) => {
          const end = Math.max(v, LEAST);
          move({ from: Math.max(Math.min(from, end - LEAST), end - LONGEST_SECONDS, 0), to: end }, end);
        }}
      />
      <p className="aside">
        {(to - from).toFixed(1)} s of {length.toFixed(1)} s are read
        {length > LONGEST_SECONDS ? `; at most ${LONGEST_SECONDS} s at a time` : ''}.
      </p>
    </div>
  );
}

interface HandleProps {
  readonly label: string;
  readonly value: number;
  readonly length: number;
  readonly move: (seconds: number) => void;
}

function Handle({ label, value, length, move }: HandleProps) {
  return (
    <label className="flex items-center gap-2">
      <span className="w-12">{label}</span>
      <input
        type="range"
        className="range range-sm flex-1 [--range-fill:0]"
        min={0}
        max={length}
        step={0.1}
        value={value}
        aria-valuetext={`${value.toFixed(1)} s`}
        onChange={(e) => move(Number(e.target.value))}
      />
      <span className="w-14 text-end">{value.toFixed(1)} s</span>
    </label>
  );
}
