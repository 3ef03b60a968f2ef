import type { BodySide } from '@myokinet/core/anatomy';
import { type BodyPlace } from '@myokinet/core/safety';
import { placeInWords } from '@myokinet/core/words';

export interface Spot {
  readonly place: BodyPlace;
  readonly side: BodySide;
}

interface View {
  readonly name: string;
  /** What of the frame is shown: left, top, width, height. */
  readonly crop: readonly [number, number, number, number];
  /** The trainee's right is on the left of a front view, and on the right of a back view. */
  readonly rightOnLeft: boolean;
  /** Distance from the middle, and height. */
  readonly sided: readonly { readonly place: BodyPlace; readonly x: number; readonly y: number }[];
  readonly middle: readonly { readonly place: BodyPlace; readonly y: number }[];
}

/** Head, trunk and both arms held out, in a frame of 360 by 200: so that every joint of an arm has room for a finger. */
const OUTLINE =
  'M180 8a20 22 0 1 1 0 44a20 22 0 1 1 0 -44zM170 52l-4 14l-26 8L20 118l-10 14l10 8l12 -8L140 104l6 40l-2 48h72l-2 -48l6 -40l108 28l12 8l10 -8l-10 -14L220 74l-26 -8l-4 -14';
const MIDDLE = 180;

const VIEWS = {
  front: {
    name: 'Front',
    crop: [0, 4, 360, 158],
    rightOnLeft: true,
    sided: [
      { place: 'shoulder', x: 38, y: 84 },
      { place: 'elbow', x: 71, y: 95 },
      { place: 'forearm', x: 103, y: 105 },
      { place: 'wrist', x: 134, y: 115 },
      { place: 'hand', x: 165, y: 125 },
    ],
    middle: [],
  },
  back: {
    name: 'Back',
    crop: [105, 30, 150, 170],
    rightOnLeft: false,
    sided: [{ place: 'shoulder blade', x: 40, y: 98 }],
    middle: [
      { place: 'neck', y: 56 },
      { place: 'upper back', y: 106 },
      { place: 'lower back', y: 166 },
    ],
  },
} as const satisfies Record<string, View>;

interface BodyOutlineProps {
  readonly view: keyof typeof VIEWS;
  readonly chosen: Spot | undefined;
  readonly choose: (spot: Spot) => void;
}

/** Where it is felt, on a body of our own drawing. */
export function BodyOutline({ view, chosen, choose }: BodyOutlineProps) {
  const shown: View = VIEWS[view];
  const [left, top, width, height] = shown.crop;
  return (
    <div>
      <p className="flex justify-between text-sm">
        <span>{shown.rightOnLeft ? 'right' : 'left'}</span>
        <span>{shown.name}</span>
        <span>{shown.rightOnLeft ? 'left' : 'right'}</span>
      </p>
      <div className="relative">
        <svg viewBox={shown.crop.join(' ')} className="w-full" aria-hidden>
          <path d={OUTLINE} className="fill-base-200 stroke-base-content" strokeWidth={2} strokeLinejoin="round" />
        </svg>
        {spotsOf(shown).map(({ spot, x, y }) => {
          const name = placeInWords(spot);
          const isChosen = chosen?.place === spot.place && chosen.side === spot.side;
          return (
            <button
              key={name}
              type="button"
              aria-label={name}
              aria-pressed={isChosen}
              className={`absolute h-11 w-8 -translate-x-1/2 -translate-y-1/2 cursor-pointer rounded-full border-2 sm:w-11 ${
                isChosen ? 'border-error bg-error' : 'border-base-content/60 bg-base-100/50'
              }`}
              style={{ left: `${((x - left) / width) * 100}%`, top: `${((y - top) / height) * 100}%` }}
              onClick={() => choose(spot)}
            />
          );
        })}
      </div>
    </div>
  );
}

function spotsOf({ sided, middle, rightOnLeft }: View): readonly { readonly spot: Spot; readonly x: number; readonly y: number }[] {
  return [
    ...sided.flatMap(({ place, x, y }) => [
      { spot: { place, side: rightOnLeft ? ('right' as const) : ('left' as const) }, x: MIDDLE - x, y },
      { spot: { place, side: rightOnLeft ? ('left' as const) : ('right' as const) }, x: MIDDLE + x, y },
    ]),
    ...middle.map(({ place, y }) => ({ spot: { place, side: 'whole' as const }, x: MIDDLE, y })),
  ];
}
