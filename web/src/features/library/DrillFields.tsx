import { JOINTS } from '@myokinet/core/anatomy';
import type { Drill } from '@myokinet/core/drills';
import { type Blade, BLADES } from '@myokinet/core/schools';
import { NumberField, SelectField, TextField, TicksField, type Option } from '../../kit/EntryFields.tsx';
import { CourseFields } from '../../kit/CourseFields.tsx';
import { BLADE_WORDS, capital } from './words.ts';
import { SupportNote } from './SupportNote.tsx';

const DOSE_OPTIONS: readonly Option[] = [
  { value: 'reps', label: 'Repetitions' },
  { value: 's', label: 'Seconds' },
  { value: 'breaths', label: 'Breaths' },
];

interface Part {
  readonly drill: Drill;
  readonly edit: (part: Partial<Drill>) => void;
}
type WithProblems = Part & { readonly problemOf: (field: string) => string | undefined };

/** A text under a key; an empty one takes the key away. */
export function withText<K extends string>(texts: Readonly<Partial<Record<K, string>>>, key: K, text: string): Partial<Record<K, string>> {
  const { [key]: _, ...rest } = texts;
  return (text === '' ? rest : { ...rest, [key]: text }) as Partial<Record<K, string>>;
}

/** How much, how often, how fast and how hard. */
export function DoseFields({ drill, edit, problemOf }: WithProblems) {
  const { dose, effort } = drill;
  const set = (part: Partial<Drill['dose']>) => edit({ dose: { ...dose, ...part } });
  const setUnit = (unit: Drill['dose']['unit']) => {
    const { tempo: _, course: _course, ...rest } = dose;
    edit({ dose: { ...rest, unit, ...(unit === 'reps' ? { tempo: dose.tempo ?? { out: 2, hold: 0, back: 2 } } : {}) } });
  };
  const setSides = (perSide: boolean) => {
    const { course = {}, ...rest } = dose;
    const { alternating, ...kept } = course;
    const next = perSide && alternating ? course : kept;
    edit({ dose: { ...rest, perSide, ...(Object.keys(next).length > 0 ? { course: next } : {}) } });
  };
  return (
    <fieldset className="grid grid-cols-3 gap-3 sm:col-span-2">
      <legend className="mb-1 font-display font-semibold">Dose</legend>
      <SelectField label="Unit" value={dose.unit} options={DOSE_OPTIONS} change={(v) => setUnit(v as Drill['dose']['unit'])} />
      <NumberField label="From" unit={dose.unit} value={dose.min} problem={problemOf('dose/min')} change={(min) => set({ min })} />
      <NumberField label="To" unit={dose.unit} value={dose.max} problem={problemOf('dose/max')} change={(max) => set({ max })} />
      <NumberField label="Sets" value={dose.sets} problem={problemOf('dose/sets')} change={(sets) => set({ sets })} />
      <NumberField
        label="Rest"
        unit="s"
        value={dose.restSeconds}
        problem={problemOf('dose/restSeconds')}
        change={(restSeconds) => set({ restSeconds })}
      />
      <SelectField
        label="Sides"
        value={dose.perSide ? 'each' : 'both'}
        options={[
          { value: 'both', label: 'Both together' },
          { value: 'each', label: 'Each side' },
        ]}
        change={(v) => setSides(v === 'each')}
      />
      {dose.tempo &&
        (['out', 'hold', 'back', 'rest'] as const).map((part) => (
          <NumberField
            key={part}
            label={{ out: 'Way out', hold: 'Held', back: 'Way back', rest: 'Between two' }[part]}
            unit="s"
            step={0.5}
            value={dose.tempo?.[part] ?? 0}
            problem={problemOf(`dose/tempo/${part}`)}
            change={(seconds) => set({ tempo: { out: 0, hold: 0, back: 0, ...dose.tempo, [part]: seconds } })}
          />
        ))}
      {dose.unit === 'reps' && (
        <div className="col-span-3 text-sm">
          <CourseFields
            name={drill.name}
            course={dose.course ?? {}}
            sided={dose.perSide}
            set={(course) => set({ course: (Object.keys(course).length > 0 ? course : undefined) as never })}
          />
        </div>
      )}
      <SelectField
        label="How hard, as"
        value={effort.scale}
        options={[
          { value: 'effort', label: 'Effort, 0–10' },
          { value: 'tension', label: 'Tension, %' },
        ]}
        change={(v) => edit({ effort: { ...effort, scale: v as Drill['effort']['scale'] } })}
      />
      <NumberField
        label="From"
        value={effort.min}
        problem={problemOf('effort/min')}
        change={(min) => edit({ effort: { ...effort, min } })}
      />
      <NumberField label="To" value={effort.max} problem={problemOf('effort/max')} change={(max) => edit({ effort: { ...effort, max } })} />
    </fieldset>
  );
}

/** The drill's own rule for the shoulder blade, and its words under each school. */
export function BladeFields({ drill, edit }: Part) {
  const { blade, bladeCues = {} } = drill;
  const choose = (value: string) => {
    const { blade: _, bladeCues: _cues, ...rest } = drill;
    const without: Partial<Drill> = { ...rest, blade: undefined as never, bladeCues: undefined as never };
    edit(value === '' ? without : { blade: value as Blade });
  };
  return (
    <fieldset className="grid gap-2">
      <SelectField
        label="The drill’s own rule for the shoulder blade"
        value={blade ?? ''}
        options={[{ value: '', label: 'The blade does not matter here' }, ...BLADES.map((b) => ({ value: b, label: BLADE_WORDS[b] }))]}
        change={choose}
      />
      {blade &&
        BLADES.map((b) => (
          <TextField
            key={b}
            label={`Own cue under “${BLADE_WORDS[b]}”, where the general one does not fit`}
            value={bladeCues[b] ?? ''}
            change={(text) => edit({ bladeCues: withText(bladeCues, b, text) })}
          />
        ))}
      {blade && (
        <label className="flex cursor-pointer items-center gap-1.5 text-sm">
          <input
            type="checkbox"
            className="checkbox checkbox-xs"
            checked={drill.bladeTravels === true}
            onChange={(e) => edit({ bladeTravels: (e.target.checked ? true : undefined) as never })}
          />
          The travel of the blade is its purpose: this rule stands in every school
        </label>
      )}
    </fieldset>
  );
}

const PERCENT = 100;

/** How the drill loads the hands. */
export function HandLoadFields({ drill, edit, problemOf }: WithProblems) {
  const { handLoad } = drill;
  const choose = (value: string) =>
    edit({
      handLoad: (value === ''
        ? undefined
        : { share: 0.2, joints: ['shoulder'], ...handLoad, direction: value as 'push' | 'pull' }) as NonNullable<Drill['handLoad']>,
    });
  return (
    <fieldset className="grid gap-3 sm:grid-cols-2">
      <SelectField
        label="The hands"
        value={handLoad?.direction ?? ''}
        options={[
          { value: '', label: 'Carry next to nothing' },
          { value: 'push', label: 'Push' },
          { value: 'pull', label: 'Pull' },
        ]}
        change={choose}
      />
      {handLoad && (
        <>
          <NumberField
            label={drill.support ? 'Share of body weight on a typical trainee' : 'Share of body weight'}
            unit="%"
            value={Number.isNaN(handLoad.share) ? undefined : Math.round(handLoad.share * PERCENT)}
            problem={problemOf('handLoad/share')}
            change={(percent) => edit({ handLoad: { ...handLoad, share: percent / PERCENT } })}
          />
          <div className="sm:col-span-2">
            <SupportNote support={drill.support} takeOff={() => edit({ support: undefined as never })} />
            <TicksField
              legend="Joints that carry it"
              values={handLoad.joints}
              options={JOINTS.map((j) => ({ value: j, label: capital(j) }))}
              change={(joints) => edit({ handLoad: { ...handLoad, joints } })}
            />
            {problemOf('handLoad/joints') && <p className="text-sm text-error">{problemOf('handLoad/joints')}</p>}
          </div>
        </>
      )}
    </fieldset>
  );
}
