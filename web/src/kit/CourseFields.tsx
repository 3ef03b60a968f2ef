import { BREATHS, type Course, COURSE_LIMITS, HELPER_DEEDS } from '@myokinet/core/drills';
import { SmallNumber } from './SmallNumber.tsx';

interface CourseFieldsProps {
  /** What it is for: whose name the labels carry. */
  readonly name: string;
  readonly course: Course;
  /** Done on each side: the sides can take turns. */
  readonly sided: boolean;
  readonly locked?: boolean;
  readonly set: (course: Course) => void;
}

const BREATH_LABELS = { in: 'in', out: 'out', on: 'goes on' } as const;
const PARTS = { out: 'out', hold: 'held', back: 'back' } as const;

/** How a set is gone through: both ways, pulses, the last one held, a helper, the breath. */
export function CourseFields({ name, course, sided, locked = false, set }: CourseFieldsProps) {
  const change = (part: { readonly [K in keyof Course]: Course[K] | undefined }) =>
    set(Object.fromEntries(Object.entries({ ...course, ...part }).filter(([, value]) => value !== undefined)));
  const breathe = (part: keyof typeof PARTS, value: string) => {
    const breath = { ...course.breath, [part]: BREATHS.find((b) => b === value) };
    const said = Object.fromEntries(Object.entries(breath).filter(([, b]) => b !== undefined));
    change({ breath: Object.keys(said).length > 0 ? said : undefined });
  };
  return (
    <span className="flex flex-wrap items-center gap-x-3 gap-y-1">
      <label className="flex items-center gap-1">
        <input
          type="checkbox"
          className="checkbox checkbox-xs"
          disabled={locked}
          checked={course.bothWays === true}
          onChange={(e) => change({ bothWays: e.target.checked ? true : undefined })}
        />
        half each way round
      </label>
      {sided && (
        <label className="flex items-center gap-1">
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            disabled={locked}
            checked={course.alternating === true}
            onChange={(e) => change({ alternating: e.target.checked ? true : undefined })}
          />
          left and right in turn
        </label>
      )}
      <label className="flex items-center gap-1">
        <SmallNumber
          label={`Pulses at the end, ${name}`}
          value={course.pulses}
          limits={{ ...COURSE_LIMITS.pulses, step: 1 }}
          locked={locked}
          set={(pulses) => change({ pulses })}
        />
        pulses
      </label>
      <label className="flex items-center gap-1">
        the last held
        <SmallNumber
          label={`Seconds that the last one is held, ${name}`}
          value={course.lastHold}
          limits={{ ...COURSE_LIMITS.lastHold, step: 1 }}
          locked={locked}
          set={(lastHold) => change({ lastHold })}
        />
        s
      </label>
      <select
        className="select select-xs w-auto"
        aria-label={`Helper, ${name}`}
        disabled={locked}
        value={course.helper ?? ''}
        onChange={(e) => change({ helper: HELPER_DEEDS.find((h) => h === e.target.value) })}
      >
        <option value="">no helper</option>
        <option value="resists">a helper resists</option>
        <option value="supports">a helper supports</option>
      </select>
      {(Object.keys(PARTS) as (keyof typeof PARTS)[]).map((part) => (
        <label key={part} className="flex items-center gap-1">
          breath {PARTS[part]}
          <select
            className="select select-xs w-auto"
            aria-label={`Breath ${PARTS[part]}, ${name}`}
            disabled={locked}
            value={course.breath?.[part] ?? ''}
            onChange={(e) => breathe(part, e.target.value)}
          >
            <option value="">the drill’s own</option>
            {BREATHS.map((b) => (
              <option key={b} value={b}>
                {BREATH_LABELS[b]}
              </option>
            ))}
          </select>
        </label>
      ))}
    </span>
  );
}
