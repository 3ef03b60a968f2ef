import { type Band, BANDS, courseInWords, type Drill, KG_LIMITS, type Manner, takes, type Tempo } from '@myokinet/core/drills';
import { CourseFields } from './CourseFields.tsx';
import { SmallNumber } from './SmallNumber.tsx';

interface MannerFieldsProps {
  /** As it is planned or was done, its weight, band and tempo with it. */
  readonly drill: Drill;
  readonly manner: Manner | undefined;
  readonly locked?: boolean;
  /** Nothing where no weight, band or tempo is named any more. */
  readonly set: (manner: Manner | undefined) => void;
}

const PARTS = { out: 'out', hold: 'held', back: 'back', rest: 'between' } as const satisfies Record<keyof Tempo, string>;
const MOST_SECONDS = 60;

/** The weight or band that a drill is done with, and its tempo; nothing for a drill that takes none of these. */
export function MannerFields({ drill, manner = {}, locked = false, set }: MannerFieldsProps) {
  const may = takes(drill);
  if (!may.kg && !may.band && !may.tempo) return null;
  const change = (part: { readonly [K in keyof Manner]: Manner[K] | undefined }) => {
    const { kg, band, tempo, course } = { ...manner, ...part };
    const next = {
      ...(kg === undefined ? {} : { kg }),
      ...(band === undefined ? {} : { band }),
      ...(tempo === undefined ? {} : { tempo }),
      ...(course === undefined ? {} : { course }),
    };
    set(Object.keys(next).length > 0 ? next : undefined);
  };
  const { tempo, course } = drill.dose;
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1 text-sm">
      {may.kg && (
        <label className="flex items-center gap-1">
          with
          <SmallNumber
            label={`Weight for ${drill.name}, kilograms`}
            value={manner.kg}
            limits={KG_LIMITS}
            locked={locked}
            set={(kg) => change({ kg })}
          />
          kg
        </label>
      )}
      {may.band && (
        <select
          className="select select-xs w-auto"
          aria-label={`Band for ${drill.name}`}
          disabled={locked}
          value={manner.band ?? ''}
          onChange={(e) => change({ band: e.target.value === '' ? undefined : (e.target.value as Band) })}
        >
          <option value="">band not named</option>
          {BANDS.map((band) => (
            <option key={band} value={band}>
              {band} band
            </option>
          ))}
        </select>
      )}
      {may.tempo && tempo && (
        <details className="no-print">
          <summary className="cursor-pointer">
            tempo {[tempo.out, tempo.hold, tempo.back, ...(tempo.rest ? [tempo.rest] : [])].join('–')} s
            {course ? `, ${courseInWords(course) ?? 'breath of its own'}` : ''}
            {manner.tempo || manner.course ? ', its own' : ''}
          </summary>
          <span className="flex flex-wrap items-center gap-1">
            {(Object.keys(PARTS) as (keyof Tempo)[]).map((part) => (
              <label key={part} className="flex items-center gap-1">
                {PARTS[part]}
                <SmallNumber
                  label={`Seconds ${PARTS[part]}, ${drill.name}`}
                  value={tempo[part]}
                  limits={{ min: 0, max: MOST_SECONDS, step: 0.5 }}
                  locked={locked}
                  set={(seconds) => change({ tempo: seconds === undefined ? undefined : { ...tempo, [part]: seconds } })}
                />
              </label>
            ))}
            s
            <CourseFields
              name={drill.name}
              course={course ?? {}}
              sided={drill.dose.perSide}
              locked={locked}
              set={(next) => change({ course: next })}
            />
            {(manner.tempo ?? manner.course) && !locked && (
              <button type="button" className="link" onClick={() => change({ tempo: undefined, course: undefined })}>
                the drill’s own
              </button>
            )}
          </span>
        </details>
      )}
    </div>
  );
}
