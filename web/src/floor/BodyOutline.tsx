import type { BodySide } from '@myokinet/core/anatomy';
import { type BodyPlace, placeInWords } from '@myokinet/core/safety';

export interface Spot {
  readonly place: BodyPlace;
  readonly side: BodySide;
}

interface View {
  readonly name: string;
  /** Of the trunk and arms, in a frame of 360 by 200. */
  readonly outline: string;
  /** The trainee's right is on the left of a front view, and on the right of a back view. */
  readonly rightOnLeft: boolean;
  readonly sided: readonly { readonly place: BodyPlace; readonly x: number; readonly y: number }[];
  readonly middle: readonly { readonly place: BodyPlace; readonly y: number }[];
}

const WIDTH = 360;
const HEIGHT = 200;
const MIDDLE = WIDTH / 2;
const HEAD = 'M180 8a20 22 0 1 1 0 44a20 22 0 1 1 0 -44z';
const TRUNK_AND_ARMS = `M170 52l-4 14l-26 8L20 118l-10 14l10 8l12 -8L140 104l6 40l-2 48h72l-2 -48l6 -40l108 28l12 8l10 -8l-10 -14L220 74l-26 -8l-4 -14`;

const VIEWS: readonly View[] = [
  {
    name: 'Front',
    outline: `${HEAD}${TRUNK_AND_ARMS}`,
    rightOnLeft: true,
    // Along the arm, from the trunk outwards; far enough apart for a finger.
    sided: [
      { place: 'shoulder', x: 38, y: 84 },
      { place: 'elbow', x: 71, y: 95 },
      { place: 'forearm', x: 103, y: 105 },
      { place: 'wrist', x: 134, y: 115 },
      { place: 'hand', x: 165, y: 125 },
    ],
    middle: [],
  },
  {
    name: 'Back',
    outline: `${HEAD}${TRUNK_AND_ARMS}`,
    rightOnLeft: false,
    sided: [{ place: 'shoulder blade', x: 30, y: 104 }],
    middle: [
      { place: 'neck', y: 62 },
      { place: 'upper back', y: 108 },
      { place: 'lower back', y: 168 },
    ],
  },
];

/** Where it is felt, on a body of our own drawing: front with the arms out, back with the trunk. */
export function BodyOutline({ chosen, choose }: { readonly chosen: Spot | undefined; readonly choose: (spot: Spot) => void }) {
  return (
    <fieldset className="grid gap-x-4 gap-y-1 md:grid-cols-2">
      <legend className="text-lg font-semibold">Where{chosen ? `: ${placeInWords(chosen)}` : ''}</legend>
      {VIEWS.map((view) => (
        <div key={view.name}>
          <p className="flex justify-between text-sm">
            <span>{view.rightOnLeft ? 'right' : 'left'}</span>
            <span>{view.name}</span>
            <span>{view.rightOnLeft ? 'left' : 'right'}</span>
          </p>
          <div className="relative">
            <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="w-full" aria-hidden>
              <path d={view.outline} className="fill-base-200 stroke-base-content" strokeWidth={2} strokeLinejoin="round" />
            </svg>
            {spotsOf(view).map(({ spot, x, y }) => {
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
                  style={{ left: `${(x / WIDTH) * 100}%`, top: `${(y / HEIGHT) * 100}%` }}
                  onClick={() => choose(spot)}
                />
              );
            })}
          </div>
        </div>
      ))}
    </fieldset>
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
