import { JOINTS, MOTIONS } from '@myokinet/core/anatomy';
import { NAMED_UNITS } from '@myokinet/core/contracts';
import { PICTURE_TEMPLATES } from '@myokinet/core/landmarks';
import { DEVICE_READINGS, type ErrorModel, type Measure, WORKING_POSITIONS } from '@myokinet/core/measuring';
import { type Unit, UNITS } from '@myokinet/core/quantities';
import { NumberField, SelectField, TextField } from '../../kit/EntryFields.tsx';
import { useLibrary } from '../../client/LibraryContext.ts';
import { DEVICE_WORDS, pictureInWords } from './measureWords.ts';
import { asOptions, capital } from './words.ts';

interface Part {
  readonly measure: Measure;
  readonly edit: (part: Partial<Measure>) => void;
  readonly problemOf: (field: string) => string | undefined;
}

/** A check that may be on record keeps its unit and its sides: figures must not change their meaning. */
type Kept = Part & { readonly onRecord: boolean };

/** Takes a property away: an entry says nothing rather than “none”. */
const nothing = undefined as never;

const linesOf = (text: string) => (text === '' ? [] : text.split('\n'));

export function WhatItIs({ measure: m, edit, problemOf, onRecord }: Kept) {
  return (
    <fieldset className="grid gap-3 sm:grid-cols-2">
      <TextField label="Name" className="sm:col-span-2" value={m.name} problem={problemOf('name')} change={(name) => edit({ name })} />
      <TextField
        label="Inside a sentence, after “left” or “right”"
        className="sm:col-span-2"
        value={m.phrase}
        problem={problemOf('phrase')}
        change={(phrase) => edit({ phrase })}
      />
      <SelectField label="Joint" value={m.joint} options={asOptions(JOINTS)} change={(v) => edit({ joint: v as Measure['joint'] })} />
      <SelectField
        label="Direction"
        value={m.motion}
        options={asOptions(MOTIONS)}
        change={(v) => edit({ motion: v as Measure['motion'] })}
      />
      {onRecord ? (
        <p className="aside self-end text-sm">{m.sided ? 'Left and right' : 'No sides'}: it may be on record, so this stays.</p>
      ) : (
        <SelectField
          label="Sides"
          value={m.sided ? 'each' : 'none'}
          options={[
            { value: 'each', label: 'Left and right' },
            { value: 'none', label: 'None: the whole body' },
          ]}
          change={(v) => edit({ sided: v === 'each' })}
        />
      )}
    </fieldset>
  );
}

export function HowItIsTaken({ measure: m, edit, problemOf }: Part) {
  const library = useLibrary();
  return (
    <fieldset className="grid gap-3 sm:grid-cols-2">
      <legend className="mb-1 font-display font-semibold">How it is taken</legend>
      <SelectField
        label="Position"
        value={m.position}
        options={asOptions(WORKING_POSITIONS)}
        change={(v) => edit({ position: v as Measure['position'] })}
      />
      <TextField label="Instrument" value={m.instrument} problem={problemOf('instrument')} change={(instrument) => edit({ instrument })} />
      <TextField
        label="Protocol (one step a line)"
        long
        className="sm:col-span-2 [&_textarea]:min-h-28"
        value={m.protocol.join('\n')}
        problem={problemOf('protocol')}
        change={(text) => edit({ protocol: linesOf(text) })}
      />
      <SelectField
        label="Device"
        value={m.device ?? ''}
        options={[{ value: '', label: 'None: read or looked at' }, ...DEVICE_READINGS.map((d) => ({ value: d, label: DEVICE_WORDS[d] }))]}
        change={(v) => edit({ device: v === '' ? nothing : (v as NonNullable<Measure['device']>) })}
      />
      <SelectField
        label="Off a picture"
        value={m.picture ?? ''}
        problem={problemOf('picture')}
        options={[
          { value: '', label: 'Not read off a picture' },
          ...PICTURE_TEMPLATES.map((t) => ({ value: t.id, label: pictureInWords(t.id, library) })),
        ]}
        change={(v) => edit({ picture: v === '' ? nothing : v })}
      />
    </fieldset>
  );
}

export function HowItIsRead(props: Kept) {
  const { measure: m, edit, problemOf } = props;
  const limit = (part: Partial<Measure['limits']>) => edit({ limits: { ...m.limits, ...part } });
  return (
    <fieldset className="grid grid-cols-2 gap-3 sm:grid-cols-3">
      <legend className="mb-1 font-display font-semibold">How it is read</legend>
      <UnitField {...props} />
      <SelectField
        label="Good is"
        value={m.better}
        options={[
          { value: 'more', label: 'More' },
          { value: 'less', label: 'Less' },
          ...(m.choices ? [] : [{ value: 'inside', label: 'Inside a range' }]),
        ]}
        change={(v) => edit(turned(m, v as Measure['better']))}
      />
      {m.inside && (
        <>
          <NumberField label="Good from" value={m.inside.from} change={(from) => edit({ inside: { to: 0, ...m.inside, from } })} />
          <NumberField
            label="Good to"
            value={m.inside.to}
            problem={problemOf('better')}
            change={(to) => edit({ inside: { from: 0, ...m.inside, to } })}
          />
        </>
      )}
      {m.choices ? (
        <TextField
          label="Readings, lowest first (one a line)"
          long
          className="col-span-full [&_textarea]:min-h-28"
          value={m.choices.join('\n')}
          problem={problemOf('unit') ?? problemOf('choices')}
          change={(text) => edit(named(linesOf(text)))}
        />
      ) : (
        <>
          <NumberField label="Lowest reading" value={m.limits.min} problem={problemOf('limits')} change={(min) => limit({ min })} />
          <NumberField label="Highest reading" value={m.limits.max} problem={problemOf('limits/max')} change={(max) => limit({ max })} />
          <NumberField
            label="Steps of"
            step={0.1}
            value={m.limits.step}
            problem={problemOf('limits/step')}
            change={(step) => limit({ step })}
          />
        </>
      )}
      <NumberField label="Trials" value={m.trials} problem={problemOf('trials')} change={(trials) => edit({ trials })} />
      <SelectField
        label="What counts"
        value={m.combine}
        options={[
          { value: 'mean', label: 'The mean' },
          { value: 'best', label: 'The best' },
        ]}
        change={(v) => edit({ combine: v as Measure['combine'] })}
      />
      <ErrorFields {...props} />
      <NumberField
        label="Fresh for"
        unit="days"
        value={m.freshDays}
        problem={problemOf('freshDays')}
        change={(freshDays) => edit({ freshDays })}
      />
      <label className="col-span-full flex cursor-pointer items-center gap-2 text-sm">
        <input
          type="checkbox"
          className="checkbox checkbox-sm"
          checked={m.aboutNextRung ?? false}
          onChange={(e) => edit({ aboutNextRung: e.target.checked ? true : nothing })}
        />
        It is about the next rung: asked anew after every signature
      </label>
    </fieldset>
  );
}

function UnitField({ measure: m, edit, onRecord }: Kept) {
  if (onRecord)
    return (
      <p className="aside self-end text-sm">
        Read {m.choices ? 'by its levels' : `in ${UNITS[m.unit].name}`}: it may be on record, so this stays.
      </p>
    );
  const units = Object.keys(UNITS) as readonly Unit[];
  return (
    <SelectField
      label="Read in"
      value={m.unit}
      options={units.map((u) => ({ value: u, label: NAMED_UNITS.includes(u) ? `Named: ${UNITS[u].name}` : capital(UNITS[u].name) }))}
      change={(v) => edit(inUnit(m, v as Unit))}
    />
  );
}

/** Another unit: named readings come or go, and with them the limits and the error. */
function inUnit(m: Measure, unit: Unit): Partial<Measure> {
  const isNamed = NAMED_UNITS.includes(unit);
  if (isNamed)
    return {
      unit,
      ...named(m.choices ?? ['', '']),
      better: m.better === 'inside' ? 'more' : m.better,
      inside: nothing,
      error: { kind: 'none' },
      trials: 1,
      combine: 'best',
    };
  const error: ErrorModel = m.error.kind === 'none' ? ERRORS.amount.start : m.error;
  return { unit, choices: nothing, error, limits: m.choices ? { min: 0, max: UNITS[unit].max, step: 1 } : m.limits };
}

/** Named readings, and the limits that follow from them. */
function named(choices: readonly string[]): Partial<Measure> {
  return { choices, limits: { min: 0, max: Math.max(1, choices.length - 1), step: 1 } };
}

function turned({ limits }: Measure, better: Measure['better']): Partial<Measure> {
  return { better, inside: better === 'inside' ? { from: limits.min, to: limits.max } : nothing };
}

/** The kinds of error, each with the figures it starts from. */
const ERRORS = {
  amount: { label: 'In its own unit', start: { kind: 'amount', within: 2, between: 3, degreesOfFreedom: 4 } },
  share: { label: 'A share of the figure', start: { kind: 'share', within: 0.1, between: 0.15, degreesOfFreedom: 4 } },
} as const satisfies Readonly<Record<string, { label: string; start: ErrorModel }>>;

function ErrorFields({ measure: { error, unit }, edit, problemOf }: Part) {
  if (error.kind === 'none') return <p className="aside self-end text-sm">A level has no error.</p>;
  const problem = problemOf('error');
  const percent = error.kind === 'share';
  const field = (label: string, key: 'within' | 'between') => (
    <NumberField
      label={label}
      unit={percent ? '%' : UNITS[unit].symbol}
      step={percent ? 1 : 0.1}
      value={percent ? Math.round(error[key] * 100) : error[key]}
      problem={problem}
      change={(v) => edit({ error: { ...error, [key]: percent ? v / 100 : v } })}
    />
  );
  return (
    <>
      <SelectField
        label="May be off by"
        value={error.kind}
        options={Object.entries(ERRORS).map(([value, { label }]) => ({ value, label }))}
        change={(v) => edit({ error: ERRORS[v as keyof typeof ERRORS].start })}
      />
      {field('Error from trial to trial', 'within')}
      {field('Error from occasion to occasion', 'between')}
    </>
  );
}
