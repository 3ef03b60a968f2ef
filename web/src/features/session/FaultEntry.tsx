import { type Drill, faultIn, type FaultEntry as LibraryFault, type FaultId, faultsOf } from '@myokinet/core/drills';
import type { Schools } from '@myokinet/core/schools';
import { type Side, SIDES } from '@myokinet/core/anatomy';
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
  const [on, setOn] = useState<Side | undefined>();
  const setId = done.some((s) => s.id === chosen) ? chosen : done.at(-1)?.id;
  const often = faultsOf(drill, schools, library.faults);
  const others = library.faults.filter((f) => !often.some(({ id }) => id === f.id) && f.under === undefined);
  const seen = library.faults.find(({ id }) => id === faultId);
  const told = seen && faultIn(drill, seen);
  const asksSide = told?.oneSided === true && done.find((s) => s.id === setId)?.side === 'whole';
  if (done.length === 0) return null;
  const add = (mended: boolean) => {
    const set = done.find((s) => s.id === setId);
    if (!set || faultId === '') return;
    const seen = { faultId, mended, ...(asksSide && on ? { on } : {}) };
    changeSet(set.id, { faults: [...set.faults.filter((f) => f.faultId !== faultId || f.on !== seen.on), seen] });
    setFaultId('');
    setOn(undefined);
  };
  return (
    <div className="mt-1 flex flex-wrap items-center gap-2 text-sm">
      {done.flatMap((set) =>
        set.faults.map((f) => (
          <span
            key={set.id + f.faultId + (f.on ?? '')}
            className="inline-flex items-center gap-1 border-s-4 border-warning bg-warning/10 px-2 py-0.5"
          >
            {library.fault(f.faultId).name}
            {f.on ? ` on the ${f.on}` : ''}, {setName(item, set)}: {f.mended ? 'the cue mended it' : 'stayed'}
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
        <optgroup label="Often here">{often.map(faultOption)}</optgroup>
        <optgroup label="Others">{others.map(faultOption)}</optgroup>
      </select>
      {told && (
        <>
          <select className="select select-xs w-auto" aria-label="In which set" value={setId} onChange={(e) => setChosen(e.target.value)}>
            {done.map((s) => (
              <option key={s.id} value={s.id}>
                {setName(item, s)}
              </option>
            ))}
          </select>
          {asksSide && (
            <select
              className="select select-xs w-auto"
              aria-label="On which side"
              value={on ?? ''}
              onChange={(e) => setOn(SIDES.find((s) => s === e.target.value))}
            >
              <option value="">both sides</option>
              {SIDES.map((s) => (
                <option key={s} value={s}>
                  {s} only
                </option>
              ))}
            </select>
          )}
          <span>
            Cue: <em>{told.cue}</em>
          </span>
          <button type="button" className="btn btn-xs" onClick={() => add(true)}>
            The cue mended it
          </button>
          <button type="button" className="btn btn-xs" onClick={() => add(false)}>
            It stayed
          </button>
          <span className="aside">If it stays: {told.regression}</span>
        </>
      )}
    </div>
  );
}

function faultOption({ id, name }: LibraryFault) {
  return (
    <option key={id} value={id}>
      {name}
    </option>
  );
}

/** `set 2, left`. */
function setName(item: ItemLog, set: SetLog): string {
  const number = item.sets.filter((s) => s.side === set.side).indexOf(set) + 1;
  return `set ${number}${set.side === 'whole' ? '' : `, ${set.side}`}`;
}
