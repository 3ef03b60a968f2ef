import { FEELING_WORDS } from '@myokinet/core/words';
import type { BodySide } from '@myokinet/core/anatomy';
import { cuesOf, plannedDoseInWords, UNIT_WORDS } from '@myokinet/core/drills';
import { FEELINGS } from '@myokinet/core/readiness';
import type { Schools } from '@myokinet/core/schools';
import { Check, Plus, X } from 'lucide-react';
import { useId } from 'react';
import { useLibrary } from '../../client/LibraryContext.ts';
import { MannerFields } from '../../kit/MannerFields.tsx';
import { SetUpLine } from '../lab/index.ts';
import { useCurrentBody, useCurrentTrainee } from '../trainee/index.ts';
import { FaultEntry } from './FaultEntry.tsx';
import { doneAtLeast, type ItemLog, readSet, type SetLog, withRound } from './sessionLog.ts';

export interface LoggedDrillProps {
  readonly item: ItemLog;
  readonly schools: Schools;
  /** That it goes beyond what was shown, in a sentence. */
  readonly beyond: string | undefined;
  readonly change: (item: ItemLog) => void;
  readonly remove: () => void;
}

/** One drill as it was done: a figure for each set and side, and the faults seen. */
export function LoggedDrill({ item, schools, beyond, change, remove }: LoggedDrillProps) {
  const id = useId();
  const library = useLibrary();
  const trainee = useCurrentTrainee();
  const body = useCurrentBody();
  const drill = library.asPlanned(item);
  const byFeel = schools.progress === 'feel';
  const changeSet = (setId: string, part: Partial<SetLog>) =>
    change({ ...item, sets: item.sets.map((s) => (s.id === setId ? { ...s, ...part } : s)) });
  const sides = [...new Set(item.sets.map((s) => s.side))];
  const problem = item.sets.map((s) => readSet(s.text, item).problem).find((p) => p !== undefined);
  return (
    <li className="border-t border-base-300 py-2">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <div className="w-64 leading-snug">
          <span className="font-semibold" title={cuesOf(drill, schools).join(' ')}>
            {drill.name}
          </span>
          <span className="aside block text-sm">
            asked {plannedDoseInWords({ sets: item.plannedSets, min: item.min, max: item.max }, drill, schools.progress)}
          </span>
          <MannerFields
            drill={drill}
            manner={item.manner}
            set={(manner) => {
              const { manner: _, ...rest } = item;
              change(manner ? { ...rest, manner } : rest);
            }}
          />
          {drill.support && <SetUpLine support={drill.support} body={body} traineeId={trainee.id} />}
        </div>
        <div className="flex flex-wrap gap-x-5 gap-y-1">
          {sides.map((side) => (
            <div key={side} className="flex items-center gap-1">
              {side !== 'whole' && <span className="w-10">{side === 'left' ? 'Left' : 'Right'}</span>}
              {item.sets
                .filter((s) => s.side === side)
                .map((set, i) => (
                  <SetField
                    key={set.id}
                    set={set}
                    item={item}
                    byFeel={byFeel}
                    label={setLabel(drill.name, side, i)}
                    errorId={`${id}-problem`}
                    type={(text) => changeSet(set.id, { text })}
                  />
                ))}
            </div>
          ))}
          <span className="aside self-center text-sm">{byFeel ? 'how it felt' : UNIT_WORDS[drill.dose.unit]}</span>
        </div>
        <div className="ms-auto flex items-center gap-1">
          <button
            type="button"
            className="btn btn-xs"
            aria-label={`${drill.name}: ${byFeel ? 'felt right' : `${item.min} in each open set`}`}
            onClick={() => change(doneAtLeast(item, byFeel))}
          >
            <Check size={14} aria-hidden /> {byFeel ? 'felt right' : `${item.min} each`}
          </button>
          <button
            type="button"
            className="btn btn-ghost btn-xs"
            aria-label={`One more set of ${drill.name}`}
            onClick={() => change(withRound(item, library))}
          >
            <Plus size={14} aria-hidden /> set
          </button>
          <button type="button" className="btn btn-ghost btn-xs btn-square" aria-label={`Leave ${drill.name} out`} onClick={remove}>
            <X size={14} aria-hidden />
          </button>
        </div>
      </div>
      {problem && (
        <p id={`${id}-problem`} role="alert" className="text-sm text-error">
          {problem}
        </p>
      )}
      {beyond && <p className="mt-1 border-s-4 border-warning ps-2 text-sm leading-snug">Beyond what was shown. {beyond}</p>}
      <FaultEntry item={item} drill={drill} schools={schools} changeSet={changeSet} />
    </li>
  );
}

function setLabel(name: string, side: BodySide, index: number): string {
  return `${name}${side === 'whole' ? '' : `, ${side}`}, set ${index + 1}`;
}

function SetField({
  set,
  item,
  byFeel,
  label,
  errorId,
  type,
}: {
  readonly set: SetLog;
  readonly item: ItemLog;
  readonly byFeel: boolean;
  readonly label: string;
  readonly errorId: string;
  readonly type: (text: string) => void;
}) {
  const wrong = readSet(set.text, item).problem !== undefined;
  if (byFeel)
    return (
      <select
        data-figure={set.id}
        className="select select-sm w-28"
        aria-label={label}
        value={set.text}
        onChange={(e) => type(e.target.value)}
      >
        <option value="">not done</option>
        {FEELINGS.map((feeling) => (
          <option key={feeling} value={feeling}>
            {FEELING_WORDS[feeling]}
          </option>
        ))}
      </select>
    );
  return (
    <input
      data-figure={set.id}
      className={`input input-sm w-13 px-1 text-center text-base ${wrong ? 'input-error' : ''}`}
      inputMode="numeric"
      autoComplete="off"
      aria-label={label}
      {...(wrong ? { 'aria-invalid': true, 'aria-describedby': errorId } : {})}
      value={set.text}
      onChange={(e) => type(e.target.value)}
    />
  );
}
