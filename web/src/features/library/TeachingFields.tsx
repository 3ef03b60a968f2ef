import {
  BREATHS,
  type Breath,
  type Breathing,
  type Drill,
  faultIn,
  type FaultNote,
  MOVE_PARTS,
  type MovePart,
  type Teaching,
} from '@myokinet/core/drills';
import { SelectField, TextField } from '../../kit/EntryFields.tsx';
import { useLibrary } from '../../client/LibraryContext.ts';
import { BREATH_WORDS, capital, PART_WORDS } from './words.ts';

interface Fields {
  readonly drill: Drill;
  readonly edit: (part: Partial<Drill>) => void;
  readonly problemOf: (field: string) => string | undefined;
}

const NOTHING: Teaching = { steps: [], felt: '', still: '', gaze: '', breath: {}, why: '' };
const LINES = [
  ['felt', 'Where it is felt'],
  ['still', 'What stays still'],
  ['gaze', 'What to look at'],
  ['why', 'Why it is done'],
] as const;
const BREATHED = ['out', 'hold', 'back'] as const;

const isEmpty = ({ steps, felt, still, gaze, why }: Teaching) =>
  steps.length === 0 && [felt, still, gaze, why].every((text) => text === '');

/** How the drill is taught: a step for each part that it has, and what to feel, keep still and look at. */
export function TeachingFields({ drill, edit, problemOf }: Fields) {
  const teaching = drill.teaching ?? NOTHING;
  const change = (part: Partial<Teaching>) => {
    const next = { ...teaching, ...part };
    edit({ teaching: (isEmpty(next) ? undefined : next) as never });
  };
  const step = (part: MovePart, text: string) => {
    const texts = new Map(teaching.steps.map((s) => [s.part, s.text]));
    texts.set(part, text);
    change({ steps: MOVE_PARTS.flatMap((p) => (texts.get(p) ? [{ part: p, text: texts.get(p) ?? '' }] : [])) });
  };
  const breathe = (part: keyof Breathing, breath: string) => {
    const { [part]: _, ...rest } = teaching.breath;
    const found: Breath | undefined = BREATHS.find((b) => b === breath);
    change({ breath: found ? { ...rest, [part]: found } : rest });
  };
  return (
    <fieldset className="grid gap-2 sm:col-span-2">
      <legend className="mb-1 font-display font-semibold">How it is taught</legend>
      {MOVE_PARTS.map((part) => {
        const at = teaching.steps.findIndex((s) => s.part === part);
        return (
          <TextField
            key={part}
            label={PART_WORDS[part]}
            value={teaching.steps[at]?.text ?? ''}
            problem={at < 0 ? undefined : problemOf(`teaching/steps/${at}/text`)}
            change={(text) => step(part, text)}
          />
        );
      })}
      {problemOf('teaching/steps') && (
        <p role="alert" className="text-sm text-error">
          {problemOf('teaching/steps')}
        </p>
      )}
      <div className="grid grid-cols-3 gap-2">
        {BREATHED.map((part) => (
          <SelectField
            key={part}
            label={`Breath, ${PART_WORDS[part].toLowerCase()}`}
            value={teaching.breath[part] ?? ''}
            options={[{ value: '', label: 'nothing said' }, ...BREATHS.map((b) => ({ value: b, label: BREATH_WORDS[b] }))]}
            change={(breath) => breathe(part, breath)}
          />
        ))}
      </div>
      {LINES.map(([key, label]) => (
        <TextField
          key={key}
          label={label}
          value={teaching[key]}
          problem={problemOf(`teaching/${key}`)}
          change={(text) => change({ [key]: text })}
        />
      ))}
    </fieldset>
  );
}

/** What the drill says of its faults in its own way; empty fields leave the fault's own words. */
export function FaultNoteFields({ drill, edit, problemOf }: Fields) {
  const library = useLibrary();
  const notes = drill.faultNotes ?? {};
  const change = (id: string, part: Partial<FaultNote>) => {
    const note = Object.fromEntries(Object.entries({ ...notes[id], ...part }).filter(([, value]) => value !== '' && value !== undefined));
    const { [id]: _, ...rest } = notes;
    const next = Object.keys(note).length > 0 ? { ...rest, [id]: note } : rest;
    edit({ faultNotes: (Object.keys(next).length > 0 ? next : undefined) as never });
  };
  if (drill.faults.length === 0) return null;
  const { faultNotes: _, ...plain } = drill;
  return (
    <fieldset className="grid gap-1">
      <legend className="mb-1 font-display font-semibold">Faults, as this drill says them</legend>
      {drill.faults.map((id) => {
        const fault = faultIn(plain, { ...library.fault(id), id });
        const note = notes[id];
        return (
          <details key={id} open={note !== undefined} className="border-s-4 border-base-300 ps-2">
            <summary className="cursor-pointer">
              {capital(fault.name)} {note && <span className="aside">in its own words</span>}
            </summary>
            <div className="grid gap-2 py-1 sm:grid-cols-2">
              <TextField label={`First cue (else: ${fault.cue})`} value={note?.cue ?? ''} change={(cue) => change(id, { cue })} />
              <TextField
                label={`When it stays (else: ${fault.regression})`}
                value={note?.regression ?? ''}
                change={(regression) => change(id, { regression })}
              />
              <SelectField
                label="Shows"
                value={note?.part ?? ''}
                options={[
                  { value: '', label: fault.part ? PART_WORDS[fault.part] : 'At any point' },
                  ...MOVE_PARTS.filter((p) => p !== fault.part).map((p) => ({ value: p, label: PART_WORDS[p] })),
                ]}
                change={(part) => change(id, { part: MOVE_PARTS.find((p) => p === part) as never })}
              />
            </div>
          </details>
        );
      })}
      {problemOf('faultNotes') && (
        <p role="alert" className="text-sm text-error">
          {problemOf('faultNotes')}
        </p>
      )}
    </fieldset>
  );
}
