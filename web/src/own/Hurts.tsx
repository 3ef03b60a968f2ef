import type { SymptomDto } from '@myokinet/core/contracts';
import type { BodySide } from '@myokinet/core/anatomy';
import {
  BODY_PLACES,
  type BodyPlace,
  redFlagsFor,
  SYMPTOM_KINDS,
  type SymptomContext,
  type SymptomKind,
  symptomResponse,
} from '@myokinet/core/safety';
import { KIND_WORDS, placeInWords, SIGN_WORDS } from '@myokinet/core/words';
import { useEffect, useRef, useState } from 'react';
import { nowInstant } from '../client/clock.ts';
import { newId } from '../client/newId.ts';
import { tell } from './waiting.ts';

interface HurtsProps {
  readonly ownKey: string;
  /** Felt in the middle of practice. */
  readonly sessionRunning: boolean;
  /** Felt in the morning after this session. */
  readonly morningOf?: string;
  /** What the pain rule reads it beside. */
  readonly context: SymptomContext;
  readonly close: () => void;
  readonly told: () => void;
}

const MIDDLE: readonly BodyPlace[] = ['neck', 'head', 'upper back', 'lower back', 'chest', 'belly'];
const KINDS = SYMPTOM_KINDS.filter((k) => k !== 'none');
const TEN = Array.from({ length: 11 }, (_, i) => i);
const WHERE = BODY_PLACES.flatMap((place): readonly { readonly place: BodyPlace; readonly side: BodySide }[] =>
  MIDDLE.includes(place)
    ? [{ place, side: 'whole' }]
    : [
        { place, side: 'left' },
        { place, side: 'right' },
      ],
);

/** What to do, in the trainee’s words, by what the pain rule asks. */
const WHAT_NOW = {
  'go on': 'Go on if you like, and look out for it. Your coach sees what you told.',
  hold: 'Go on, no harder than today. Your coach sees what you told.',
  'leave drill': 'Leave this drill for today; go on with what does not bring it back.',
  half: 'Do half of the sets today, no more.',
  'step back': 'Go on only with what feels easy, and lighter than planned.',
  stop: 'Stop for today. Nothing that loads until your coach has spoken with you.',
} as const;

/** Something hurts: the clock has stopped already. Where, what, how strong; then at once what to do. */
export function Hurts({ ownKey, sessionRunning, morningOf, context, close, told }: HurtsProps) {
  const ref = useRef<HTMLDialogElement>(null);
  const [spot, setSpot] = useState<(typeof WHERE)[number]>();
  const [kind, setKind] = useState<SymptomKind>();
  const [intensity, setIntensity] = useState<number>();
  // Known before it is told: a double tap tells once.
  const [id] = useState(newId);
  const [answer, setAnswer] = useState<keyof typeof WHAT_NOW>();
  useEffect(() => ref.current?.showModal(), []);
  const flags = redFlagsFor({ ...(spot ? { place: spot.place } : {}), ...(kind ? { kind } : {}) });
  const send = () => {
    if (!spot || !kind || intensity === undefined) return;
    const moment = morningOf ? 'next morning' : sessionRunning ? 'during' : 'after';
    const felt = { ...spot, kind, intensity, moment, at: nowInstant() } as const;
    const body: SymptomDto = { id, sessionId: morningOf ?? null, note: '', ...felt };
    tell(ownKey, { to: 'symptoms', body });
    setAnswer(symptomResponse([felt], context).act);
    told();
  };
  const chip = (on: boolean) => `btn min-h-12 px-3 text-base font-normal ${on ? 'btn-primary' : 'btn-outline border-base-300'}`;
  return (
    <dialog ref={ref} className="modal modal-bottom" aria-labelledby="hurts" onClose={close}>
      <div className="modal-box max-h-[92dvh] rounded-none bg-base-100 text-lg">
        <h2 id="hurts" className="text-xl">
          Something hurts
        </h2>
        {flags.length > 0 && (
          <p role="alert" className="mt-2 border-s-8 border-error bg-error/10 p-3 font-semibold">
            Call emergency care with: {flags.map((sign) => SIGN_WORDS[sign].toLowerCase()).join('; ')}.
          </p>
        )}
        {answer ? (
          <>
            <p
              role="alert"
              className={`mt-3 border-s-8 p-3 ${answer === 'stop' ? 'border-error bg-error/10 font-semibold' : 'border-warning bg-warning/10'}`}
            >
              {WHAT_NOW[answer]}
            </p>
            <p className="mt-2">
              It is kept on this phone and goes to your coach as soon as there is a connection. This page gives no medical advice: with what
              frightens you, or does not go, see a doctor.
            </p>
            <button type="button" className="btn btn-primary mt-4 min-h-12 w-full text-lg" onClick={() => ref.current?.close()}>
              Understood
            </button>
          </>
        ) : (
          <form
            className="mt-2 flex flex-col gap-4"
            onSubmit={(event) => {
              event.preventDefault();
              send();
            }}
          >
            <fieldset>
              <legend className="font-semibold">Where{spot ? `: ${placeInWords(spot)}` : ''}</legend>
              <div className="mt-1 flex flex-wrap gap-1.5">
                {WHERE.map((w) => (
                  <button
                    key={placeInWords(w)}
                    type="button"
                    className={chip(w === spot)}
                    aria-pressed={w === spot}
                    onClick={() => setSpot(w)}
                  >
                    {placeInWords(w)}
                  </button>
                ))}
              </div>
            </fieldset>
            <fieldset>
              <legend className="font-semibold">What kind</legend>
              <div className="mt-1 flex flex-wrap gap-1.5">
                {KINDS.map((k) => (
                  <button key={k} type="button" className={chip(k === kind)} aria-pressed={k === kind} onClick={() => setKind(k)}>
                    {KIND_WORDS[k]}
                  </button>
                ))}
              </div>
            </fieldset>
            <fieldset>
              <legend className="font-semibold">How strong: 0 nothing, 10 the worst there is</legend>
              <div className="mt-1 grid grid-cols-6 gap-1.5">
                {TEN.map((n) => (
                  <button
                    key={n}
                    type="button"
                    className={chip(n === intensity)}
                    aria-pressed={n === intensity}
                    onClick={() => setIntensity(n)}
                  >
                    {n}
                  </button>
                ))}
              </div>
            </fieldset>
            <div className="sticky bottom-0 flex gap-2 bg-base-100 py-2">
              <button
                type="submit"
                className="btn btn-primary min-h-12 flex-1 text-lg"
                disabled={!spot || !kind || intensity === undefined}
              >
                Tell my coach
              </button>
              <button type="button" className="btn btn-ghost min-h-12" onClick={() => ref.current?.close()}>
                It was nothing
              </button>
            </div>
          </form>
        )}
      </div>
    </dialog>
  );
}
