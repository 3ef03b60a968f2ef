import { type Drill, type FaultId, faultsOf } from '@myokinet/core/drills';
import type { Library } from '@myokinet/core/library';
import type { Schools } from '@myokinet/core/schools';
import { X } from 'lucide-react';
import { useState } from 'react';
import { useLibrary } from '../../client/LibraryContext.ts';
import { type ItemLog, readSet, type SetLog } from './sessionLog.ts';

export interface FaultEntryProps {
  readonly item: ItemLog;
  readonly drill: Drill;
  readonly schools: Schools;
  readonly changeSet: (setId: string, part: Partial<SetLog>) => void;
}

/** Faults seen in a drill: which, in which set, and whether the cue mended it. */
export function FaultEntry({ item, drill, schools, changeSet }: FaultEntryProps) {
  const library = useLibrary();
  const done = item.sets.filter((s) => readSet(s.text, item).amount !== undefined);
  const [faultId, setFaultId] = useState<FaultId | ''>('');
  const [chosen, setChosen] = useState('');
  const setId = done.some((s) => s.id === chosen) ? chosen : done.at(-1)?.id;
  if (done.length === 0) return null;
  const add = (mended: boolean) => {
    const set = done.find((s) => s.id === setId);
    if (!set || faultId === '') return;
    changeSet(set.id, { faults: [...set.faults.filter((f) => f.faultId !== faultId), { faultId, mended }] });
    setFaultId('');
  };
  const often = faultsOf(drill, schools, library.faults);
  const others = library.faults.flatMap((f) => (often.includes(f.id) || f.under !== undefined ? [] : [f.id]));
  return (
    <div className="mt-1 flex flex-wrap items-center gap-2 text-sm">
      {done.flatMap((set) =>
        set.faults.map((f) => (
          <span key={set.id + f.faultId} className="inline-flex items-center gap-1 border-s-4 border-warning bg-warning/10 px-2 py-0.5">
            {library.fault(f.faultId).name}, {setName(item, set)}: {f.mended ? 'the cue mended it' : 'stayed'}
            <button
              type="button"
              className="btn btn-ghost btn-xs btn-square"
              aria-label={`Take back: ${library.fault(f.faultId).name}, ${setName(item, set)}`}
              onClick={() => changeSet(set.id, { faults: set.faults.filter((o) => o !== f) })}
            >
              <X size={12} aria-hidden />
            </button>
          </span>
        )),
      )}
      <select
        className="select select-xs w-auto"
        aria-label={`Fault seen in ${drill.name}`}
        value={faultId}
        onChange={(e) => setFaultId(e.target.value as FaultId | '')}
      >
        <option value="">a fault seen…</option>
        <optgroup label="Often here">{often.map((id) => faultOption(id, library))}</optgroup>
        <optgroup label="Others">{others.map((id) => faultOption(id, library))}</optgroup>
      </select>
      {faultId !== '' && (
        <>
          <select className="select select-xs w-auto" aria-label="In which set" value={setId} onChange={(e) => setChosen(e.target.value)}>
            {done.map((s) => (
              <option key={s.id} value={s.id}>
                {setName(item, s)}
              </option>
            ))}
          </select>
          <span>
            Cue: <em>{library.fault(faultId).cue}</em>
          </span>
          <button type="button" className="btn btn-xs" onClick={() => add(true)}>
            The cue mended it
          </button>
          <button type="button" className="btn btn-xs" onClick={() => add(false)}>
            It stayed
          </button>
          <span className="aside">If it stays: {library.fault(faultId).regression}</span>
        </>
      )}
    </div>
  );
}

function faultOption(id: FaultId, library: Library) {
  return (
    <option key={id} value={id}>
      {library.fault(id).name}
    </option>
  );
}

/** `set 2, left`. */
function setName(item: ItemLog, set: SetLog): string {
  const number = item.sets.filter((s) => s.side === set.side).indexOf(set) + 1;
  return `set ${number}${set.side === 'whole' ? '' : `, ${set.side}`}`;
}
