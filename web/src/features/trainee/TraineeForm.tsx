import { inspect, LIMITS, TraineeDto } from '@myokinet/core/contracts';
import { EQUIPMENT, type Equipment } from '@myokinet/core/drills';
import type { Library } from '@myokinet/core/library';
import { WEEKDAYS } from '@myokinet/core/planning';
import { BODY_LIMITS } from '@myokinet/core/statics';
import { useEffect, useMemo } from 'react';
import { type FieldErrors, type Resolver, useForm } from 'react-hook-form';
import { useLibrary } from '../../client/LibraryContext.ts';
import { Field, Ticks } from '../../kit/fields.tsx';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import type { TraineeValues } from './blankTrainee.ts';

export interface TraineeFormProps {
  readonly values: TraineeValues;
  readonly onChange: (values: TraineeValues) => void;
  readonly save: (dto: TraineeDto) => void;
  readonly saveLabel: string;
  readonly saving: boolean;
  readonly error: unknown;
}

type NumberName = 'birthYear' | 'stature' | 'mass' | 'armLength' | 'legLength' | 'sessionMinutes';

const inCm = ({ min, max }: { readonly min: number; readonly max: number }) => ({ min: min * 100, max: max * 100 });

interface NumberBounds {
  readonly unit?: string;
  readonly min?: number;
  readonly max?: number;
  readonly step?: number;
}

/** The contract class judges the form, as it will judge the request. */
const resolverWith =
  (library: Library): Resolver<TraineeValues> =>
  (values) => {
    const { problems } = inspect(TraineeDto, values, { now: new Date(), library });
    const errors = Object.fromEntries(
      problems.map(({ field, limit, message }) => [field.split('/')[1] ?? 'name', { type: limit, message }]),
    );
    return problems.length === 0 ? { values, errors: {} } : { values: {}, errors: errors as FieldErrors<TraineeValues> };
  };

export function TraineeForm({ values, onChange, save, saveLabel, saving, error }: TraineeFormProps) {
  const library = useLibrary();
  // A ladder that was set aside stays the target of those who climb it.
  const setAside = library.hasLadder(values.ladderId) && !library.ladders.some((l) => l.id === values.ladderId);
  const targets = setAside ? [...library.ladders, library.ladder(values.ladderId)] : library.ladders;
  const resolver = useMemo(() => resolverWith(library), [library]);
  const {
    register,
    setValue,
    handleSubmit,
    subscribe,
    formState: { errors },
  } = useForm<TraineeValues>({ defaultValues: values, resolver, mode: 'onTouched' });
  useEffect(() => subscribe({ formState: { values: true }, callback: ({ values: typed }) => onChange(typed) }), [subscribe, onChange]);
  const number = { setValueAs: (v: unknown) => (v === '' || v === null ? null : Number(v)) };
  const { stature, mass, minutes } = LIMITS;
  const numberField = (name: NumberName, label: string, { unit, ...bounds }: NumberBounds = {}) => (
    <Field label={label} {...(unit ? { unit } : {})} error={errors[name]}>
      {(props) => <input className="input w-full" type="number" inputMode="decimal" {...bounds} {...props} {...register(name, number)} />}
    </Field>
  );
  return (
    <form
      onSubmit={(event) => void handleSubmit((valid) => save(valid as TraineeDto))(event)}
      noValidate
      className="grid max-w-5xl gap-x-10 gap-y-6 md:grid-cols-2"
    >
      <fieldset className="grid min-w-0 content-start gap-4 sm:grid-cols-2">
        <legend className="mb-2 font-display text-lg font-semibold">Who</legend>
        <Field label="Name" error={errors.name} wide>
          {(props) => <input className="input w-full" autoComplete="off" {...props} {...register('name')} />}
        </Field>
        {numberField('birthYear', 'Birth year')}
        <Field label="Born on" unit="if known" error={errors.birthDate}>
          {(props) => (
            <input
              className="input w-full"
              type="date"
              {...props}
              {...register('birthDate', {
                setValueAs: (v: unknown) => (v === '' || v === undefined ? null : v),
                onChange: (e: { readonly target: { readonly value: string } }) => {
                  // A whole day names its year; a half-typed one starts with zeros.
                  const year = Number(e.target.value.slice(0, 4));
                  if (year > 1000) setValue('birthYear', year, { shouldValidate: true });
                },
              })}
            />
          )}
        </Field>
        <Field label="Sex, for body proportions" error={errors.sex}>
          {(props) => (
            <select className="select w-full" {...props} {...register('sex')}>
              <option value="unstated">not stated (a blend)</option>
              <option value="female">female</option>
              <option value="male">male</option>
            </select>
          )}
        </Field>
        {numberField('stature', 'Stature', { unit: 'cm', ...stature })}
        {numberField('mass', 'Mass', { unit: 'kg', step: 0.1, ...mass })}
        {numberField('armLength', 'Arm, shoulder to wrist', { unit: 'cm, if measured', step: 0.5, ...inCm(BODY_LIMITS.armM) })}
        {numberField('legLength', 'Leg, hip to ankle', { unit: 'cm, if measured', step: 0.5, ...inCm(BODY_LIMITS.legM) })}
        <Field label="Dominant hand" error={errors.dominantHand}>
          {(props) => (
            <select className="select w-full" {...props} {...register('dominantHand')}>
              <option value="right">right</option>
              <option value="left">left</option>
              <option value="both">both alike</option>
            </select>
          )}
        </Field>
      </fieldset>

      <fieldset className="grid min-w-0 content-start gap-4 sm:grid-cols-2">
        <legend className="mb-2 font-display text-lg font-semibold">Target and time</legend>
        <Field label="Target" error={errors.ladderId} wide>
          {(props) => (
            <select className="select w-full" {...props} {...register('ladderId')}>
              {targets.map(({ id, name, aim }) => (
                <option key={id} value={id}>
                  {name}: {aim}
                </option>
              ))}
            </select>
          )}
        </Field>
        {numberField('sessionMinutes', 'Session length', { unit: 'min', ...minutes })}
        <Ticks
          legend="Training days"
          error={errors.trainingDays}
          options={WEEKDAYS.map((d) => ({ value: d, label: d.slice(0, 3), full: d }))}
          register={() => register('trainingDays')}
        />
        <Ticks
          legend="Equipment at hand"
          error={errors.equipment}
          options={(Object.entries(EQUIPMENT) as [Equipment, string][]).map(([value, label]) => ({ value, label }))}
          register={() => register('equipment')}
        />
      </fieldset>

      <div className="md:col-span-2">
        <Field label="Notes, in your own words" error={errors.history}>
          {(props) => <textarea className="textarea w-full" rows={3} {...props} {...register('history')} />}
        </Field>
        <p className="aside mt-1 text-sm">Injuries and conditions belong to the screening, where their consequences are worked out.</p>
      </div>

      <div className="md:col-span-2">
        <ProblemNote error={error} />
        <button type="submit" className="btn btn-primary" disabled={saving}>
          {saveLabel}
        </button>
      </div>
    </form>
  );
}
