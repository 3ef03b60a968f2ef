import { SIDES } from '@myokinet/core/anatomy';
import {
  type BodyPlace,
  type Retest,
  SYMPTOM_KINDS,
  type Symptom,
  type SymptomContext,
  type SymptomKind,
  type SymptomMoment,
  redFlagsFor,
  tryAgain,
} from '@myokinet/core/safety';
import { type ReactNode, useState } from 'react';
import { nowInstant } from '../../client/clock.ts';
import { BodyOutline, type Spot } from './BodyOutline.tsx';
import { Sheet } from './Sheet.tsx';
import { KIND_WORDS, placeInWords, SIGN_WORDS, stopSignInWords } from '@myokinet/core/words';
import type { FeltDraft } from './useHurting.ts';

const TEN = Array.from({ length: 11 }, (_, i) => i);
const KINDS = SYMPTOM_KINDS.filter((k) => k !== 'none');

/** Something is felt: how strong, where, of what kind. What follows from it is said before it is recorded. */
export function SymptomSheet({
  title,
  draft,
  change,
  moment,
  context,
  emergency,
  record,
  close,
}: {
  /** Says whose it is where several train. */
  readonly title: string;
  readonly draft: FeltDraft;
  readonly change: (draft: FeltDraft) => void;
  readonly moment: SymptomMoment;
  /** The way to emergency care, beside what calls for it. */
  readonly emergency: ReactNode;
  /** What it is read beside. */
  readonly context: SymptomContext;
  readonly record: (felt: Omit<Symptom, 'at'>) => void;
  readonly close: () => void;
}) {
  const { intensity, spot, kind, retest } = draft;
  const setIntensity = (now: number) => change({ ...draft, intensity: now });
  const setSpot = (now: Spot) => change({ ...draft, spot: now });
  const setKind = (now: SymptomKind) => change({ ...draft, kind: now });
  const setRetest = (now: Retest | undefined) => {
    const { retest: _, ...others } = draft;
    change(now ? { ...others, retest: now } : others);
  };
  const flags = redFlagsFor({ ...(spot ? { place: spot.place } : {}), ...(kind ? { kind } : {}) });
  const asks = intensity !== undefined && kind !== undefined && tryAgain({ intensity, kind });
  const felt: Omit<Symptom, 'at'> | undefined =
    intensity !== undefined && spot && kind ? { intensity, ...spot, kind, moment, ...(asks && retest ? { retest } : {}) } : undefined;
  const sign = felt && stopSignInWords({ ...felt, at: nowInstant() }, context);
  const missing = [...(intensity === undefined ? ['how strong'] : []), ...(spot ? [] : ['where']), ...(kind ? [] : ['what kind'])];
  const digit = (key: string) => {
    if (!/^\d$/.test(key)) return false;
    // 1 and then 0 is ten.
    setIntensity(intensity === 1 && key === '0' ? 10 : Number(key));
    return true;
  };
  return (
    <Sheet title={title} close={close}>
      <form
        className="flex flex-1 flex-col gap-3"
        onKeyDown={(event) => {
          if (digit(event.key)) event.preventDefault();
        }}
        onSubmit={(event) => {
          event.preventDefault();
          if (felt) record(felt);
        }}
      >
        {flags.length > 0 && (
          <div role="alert" className="mb-2 flex flex-wrap items-center gap-3 border-s-8 border-error bg-error/10 px-3 py-2">
            <p className="flex-1 text-lg">
              <span className="font-semibold">Get medical help with: </span>
              {flags.map((sign) => SIGN_WORDS[sign].toLowerCase()).join('; ')}.
            </p>
            {emergency}
          </div>
        )}
        <fieldset>
          <legend className="text-lg font-semibold">How strong, 0 to 10</legend>
          <div className="mt-1 grid grid-cols-6 gap-1.5 sm:grid-cols-11">
            {TEN.map((n) => (
              <button
                key={n}
                type="button"
                data-first={n === 0 ? true : undefined}
                className={`btn min-h-11 px-0 text-xl sm:min-h-13 ${intensity === n ? 'btn-primary' : 'btn-outline border-base-300'}`}
                aria-pressed={intensity === n}
                onClick={() => setIntensity(n)}
              >
                {n}
              </button>
            ))}
          </div>
        </fieldset>
        <fieldset className="grid gap-x-6 md:grid-cols-[5fr_3fr]">
          <legend className="text-lg font-semibold">Where{spot ? `: ${placeInWords(spot)}` : ''}</legend>
          <BodyOutline view="front" chosen={spot} choose={setSpot} />
          <div className="grid grid-cols-2 gap-4 md:contents">
            <div className="md:col-start-2 md:row-span-2 md:row-start-1">
              <BodyOutline view="back" chosen={spot} choose={setSpot} />
            </div>
            <Elsewhere chosen={spot} choose={setSpot} />
          </div>
        </fieldset>
        <fieldset>
          <legend className="text-lg font-semibold">What kind</legend>
          <div className="mt-1 flex flex-wrap gap-1.5">
            {KINDS.map((k) => (
              <button
                key={k}
                type="button"
                className={`btn min-h-11 px-2.5 text-base font-normal ${kind === k ? 'btn-primary' : 'btn-outline border-base-300'}`}
                aria-pressed={kind === k}
                onClick={() => setKind(k)}
              >
                {KIND_WORDS[k]}
              </button>
            ))}
          </div>
        </fieldset>
        {asks && <RetestChoice value={retest} choose={setRetest} />}
        <div className="sticky bottom-0 mt-auto bg-base-100 py-2">
          {sign && <p className="mb-2 text-lg font-semibold text-error">{sign}</p>}
          <button type="submit" className="btn btn-primary min-h-16 w-full text-xl" disabled={!felt}>
            {felt ? 'Record it' : `Say ${missing.join(', ')}`}
          </button>
          <p className="aside mt-1 text-sm">A coaching aid, not medical advice: a licensed professional decides about injuries.</p>
        </div>
      </form>
    </Sheet>
  );
}

/** Something sharp and weak: gone at once on a second, lighter try, it only ends this drill. */
function RetestChoice({ value, choose }: { readonly value: Retest | undefined; readonly choose: (value: Retest | undefined) => void }) {
  return (
    <fieldset>
      <legend className="text-lg font-semibold">Tried once more, lighter: is it there again?</legend>
      <div className="mt-1 flex flex-wrap gap-1.5">
        {(
          [
            ['gone', 'No, gone at once'],
            ['still there', 'Yes'],
            [undefined, 'Not tried'],
          ] as const
        ).map(([retest, words]) => (
          <button
            key={words}
            type="button"
            className={`btn min-h-11 px-3 text-base font-normal sm:min-h-13 ${value === retest ? 'btn-primary' : 'btn-outline border-base-300'}`}
            aria-pressed={value === retest}
            onClick={() => choose(retest)}
          >
            {words}
          </button>
        ))}
      </div>
    </fieldset>
  );
}

/** What the outline has no room for; which side is asked once one of a pair is chosen. */
const ELSEWHERE: readonly (readonly [BodyPlace, boolean])[] = [
  ...(['fingers', 'hip', 'knee', 'foot'] as const).map((place) => [place, true] as const),
  ...(['head', 'chest', 'belly'] as const).map((place) => [place, false] as const),
];

function Elsewhere({ chosen, choose }: { readonly chosen: Spot | undefined; readonly choose: (spot: Spot) => void }) {
  const [asking, setAsking] = useState<BodyPlace | undefined>();
  return (
    <div className="mt-1 flex flex-wrap content-start gap-1.5" role="group" aria-label="Elsewhere">
      {ELSEWHERE.flatMap(([place, paired]): readonly Spot[] =>
        paired && asking === place ? SIDES.map((side) => ({ place, side })) : [{ place, side: 'whole' }],
      ).map((spot) => {
        const asksSide = spot.side === 'whole' && ELSEWHERE.some(([place, paired]) => paired && place === spot.place);
        const isChosen = chosen?.place === spot.place && chosen.side === spot.side;
        return (
          <button
            key={`${spot.place} ${spot.side}`}
            type="button"
            className={`btn min-h-11 px-2.5 text-base font-normal ${isChosen ? 'btn-primary' : 'btn-outline border-base-300'}`}
            {...(asksSide ? { 'aria-expanded': false } : { 'aria-pressed': isChosen })}
            onClick={() => {
              setAsking(spot.place);
              if (!asksSide) choose(spot);
            }}
          >
            {placeInWords(spot)}
            {asksSide && '…'}
          </button>
        );
      })}
    </div>
  );
}
