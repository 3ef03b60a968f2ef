import { type Beat, type Prepared, SHOWN_BEAT, type View } from '@myokinet/core/motion';
import { Pause, Play } from 'lucide-react';
import { useState } from 'react';
import { BodyFigure } from './BodyFigure.tsx';
import { BodyStrip } from './BodyStrip.tsx';
import { usePlayed } from './usePlayed.ts';
import { useStillness } from './useStillness.ts';
import type { Crop } from './window.ts';

const VIEW_WORDS: Readonly<Record<View, string>> = {
  side: 'Side',
  'left side': 'Left side',
  front: 'Front',
  back: 'Back',
  'three-quarter': 'Angle',
  'behind at an angle': 'Behind',
  above: 'Above',
};
const CROP_WORDS = { 'right hand': 'Hand', 'left hand': 'Hand', blades: 'Blades' } as const;
const PART_WORDS = { out: 'Out', hold: 'Hold', back: 'Back' } as const;
/** Finest step of the slider. */
const STEP = 0.01;

type Look = { readonly view: View; readonly crop?: Crop };

const nameOf = ({ view, crop }: Look) => (crop ? CROP_WORDS[crop.of] : VIEW_WORDS[view]);

function looksOf({ movement }: Prepared): readonly Look[] {
  const { view, second, closeUp, closeFrom } = movement;
  const views: readonly View[] = [...new Set<View>([view, ...(second ? [second] : []), 'side', 'front', 'back', 'three-quarter', 'above'])];
  const crop: readonly Look[] = closeUp ? [{ view: closeFrom ?? view, crop: { of: closeUp } }] : [];
  const first = { view };
  return [
    ...(closeUp === 'blades' || !closeUp ? [first, ...crop] : [...crop, first]),
    ...views.filter((v) => v !== view).map((v) => ({ view: v })),
  ];
}

export interface MovingBodyProps {
  readonly prepared: Prepared;
  /** Seconds of a repetition; absent: as what has none is shown. */
  readonly beat?: Beat | undefined;
  readonly label: string;
  /** Right and left, where it is done on one side. */
  readonly sides?: { readonly mirrored: boolean; readonly turn: (mirrored: boolean) => void } | undefined;
}

/** A drill as it is done: it plays at its tempo, stands still where the reader wants it, and is seen from where they choose. */
export function MovingBody({ prepared, beat = SHOWN_BEAT, label, sides }: MovingBodyProps) {
  const still = useStillness();
  const looks = looksOf(prepared);
  const [look, setLook] = useState(0);
  const { view, crop }: Look = looks[look] ?? { view: prepared.movement.view };
  const moves = prepared.keys.length > 1;
  const [playing, setPlaying] = useState(!still && moves);
  const [travel, setTravel] = usePlayed(prepared, beat, playing);
  return (
    <figure>
      <div className="grid aspect-[4/3] place-items-center print:hidden">
        {still && !playing && travel === 0 ? (
          <BodyStrip prepared={prepared} view={view} crop={crop} label={label} />
        ) : (
          <BodyFigure prepared={prepared} travel={travel} view={view} crop={crop} label={label} />
        )}
      </div>
      <div className="hidden h-40 print:block">
        <BodyStrip prepared={prepared} view={view} crop={crop} label={label} />
      </div>
      {moves && (
        <div className="no-print flex items-center gap-2">
          <button
            type="button"
            className="btn btn-sm btn-square"
            aria-label={playing ? 'Stop' : 'Play'}
            onClick={() => setPlaying(!playing)}
          >
            {playing ? <Pause size={16} aria-hidden /> : <Play size={16} aria-hidden />}
          </button>
          <input
            type="range"
            className="range range-xs min-w-0 flex-1"
            aria-label="Point of the movement"
            aria-valuetext={`${Math.round(travel * 100)}% of the way${playing ? `, ${PART_WORDS.out.toLowerCase()} and back` : ''}`}
            min={0}
            max={1}
            step={STEP}
            value={travel}
            onChange={(e) => {
              setPlaying(false);
              setTravel(Number(e.target.value));
            }}
          />
        </div>
      )}
      <div className="no-print mt-2 flex flex-wrap gap-1" role="group" aria-label="Seen from">
        {looks.map((l, i) => (
          <button
            key={nameOf(l)}
            type="button"
            className={`btn btn-xs ${i === look ? 'btn-neutral' : 'btn-ghost'}`}
            aria-pressed={i === look}
            onClick={() => setLook(i)}
          >
            {nameOf(l)}
          </button>
        ))}
        {sides && (
          <button
            type="button"
            className="btn btn-xs btn-outline ms-auto"
            aria-pressed={sides.mirrored}
            onClick={() => sides.turn(!sides.mirrored)}
          >
            {sides.mirrored ? 'On the left' : 'On the right'}
          </button>
        )}
      </div>
    </figure>
  );
}
