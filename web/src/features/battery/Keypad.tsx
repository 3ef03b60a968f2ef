import { Delete } from 'lucide-react';

const DIGITS = ['7', '8', '9', '4', '5', '6', '1', '2', '3'] as const;

export interface KeypadProps {
  /** Whether figures below zero can be typed. */
  readonly signed: boolean;
  readonly type: (character: string) => void;
  readonly erase: () => void;
}

/** Digits as large as a thumb; the entry keeps the focus, so that keys go on working. */
export function Keypad({ signed, type, erase }: KeypadProps) {
  const key = (character: string, label = character) => (
    <button
      key={character}
      type="button"
      className="btn h-13 text-xl font-normal"
      aria-label={label}
      onPointerDown={(e) => e.preventDefault()}
      onClick={() => type(character)}
    >
      {character}
    </button>
  );
  return (
    <div className="grid grid-cols-3 gap-1.5" role="group" aria-label="Digits">
      {DIGITS.map((d) => key(d))}
      {signed ? key('−', 'minus') : key('.', 'point')}
      {key('0')}
      <button type="button" className="btn h-13" aria-label="Erase" onPointerDown={(e) => e.preventDefault()} onClick={erase}>
        <Delete size={20} aria-hidden />
      </button>
    </div>
  );
}
