import type { BodySide } from '@myokinet/core/anatomy';
import {
  BODY_PLACES,
  type BodyPlace,
  type Retest,
  SYMPTOM_KINDS,
  type SymptomKind,
  type SymptomMoment,
  tryAgain,
} from '@myokinet/core/safety';
import { KIND_WORDS, placeInWords } from '@myokinet/core/words';
import { useId } from 'react';

export interface SymptomValues {
  readonly intensity: number;
  readonly place: BodyPlace;
  readonly side: BodySide;
  readonly kind: SymptomKind;
  readonly moment: SymptomMoment;
  readonly retest?: Retest | null;
}

export function quietSymptom(moment: SymptomMoment): SymptomValues {
  return { intensity: 0, place: 'shoulder', side: 'whole', kind: 'none', moment };
}

const TEN = Array.from({ length: 11 }, (_, i) => i);
const PLACE_WORDS = Object.fromEntries(BODY_PLACES.map((place) => [place, placeInWords({ place, side: 'whole' })])) as Readonly<
  Record<BodyPlace, string>
>;
const RETEST_WORDS = { 'not tried': 'not tried', gone: 'gone at once', 'still there': 'still there' } as const;
const SIDE_WORDS: Readonly<Record<BodySide, string>> = { left: 'left', right: 'right', whole: 'both or middle' };

/** How strong, where, what kind, when. */
export function SymptomFields({
  values,
  change,
  moments,
}: {
  readonly values: SymptomValues;
  readonly change: (values: SymptomValues) => void;
  /** The moments to choose from; a single one is not asked. */
  readonly moments: readonly SymptomMoment[];
}) {
  return (
    <>
      <Choice
        label="0–10"
        options={TEN.map(String)}
        value={String(values.intensity)}
        choose={(v) => change({ ...values, intensity: Number(v) })}
      />
      <Choice label="Kind" options={SYMPTOM_KINDS} words={KIND_WORDS} value={values.kind} choose={(kind) => change({ ...values, kind })} />
      <Choice
        label="Side"
        options={['left', 'right', 'whole'] as const}
        words={SIDE_WORDS}
        value={values.side}
        choose={(side) => change({ ...values, side })}
      />
      <Choice
        label="Place"
        options={BODY_PLACES}
        words={PLACE_WORDS}
        value={values.place}
        choose={(place) => change({ ...values, place })}
      />
      {moments.length > 1 && (
        <Choice label="When" options={moments} value={values.moment} choose={(moment) => change({ ...values, moment })} />
      )}
      {tryAgain(values) && (
        <Choice
          label="Tried again, lighter"
          options={['not tried', 'gone', 'still there'] as const}
          words={RETEST_WORDS}
          value={values.retest ?? 'not tried'}
          choose={(retest) => change({ ...values, retest: retest === 'not tried' ? null : retest })}
        />
      )}
    </>
  );
}

function Choice<T extends string>({
  label,
  options,
  words,
  value,
  choose,
}: {
  readonly label: string;
  readonly options: readonly T[];
  readonly words?: Readonly<Record<T, string>>;
  readonly value: T;
  readonly choose: (value: T) => void;
}) {
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="block text-sm">
        {label}
      </label>
      <select id={id} className="select select-sm w-auto" value={value} onChange={(e) => choose(e.target.value as T)}>
        {options.map((o) => (
          <option key={o} value={o}>
            {words ? words[o] : o}
          </option>
        ))}
      </select>
    </div>
  );
}
