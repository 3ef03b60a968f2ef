import type { ReactNode } from 'react';
import { ConflictNote } from '../../kit/ConflictNote.tsx';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { UndoRedo } from '../../kit/UndoRedo.tsx';

export interface DeskBarProps {
  readonly title: ReactNode;
  readonly what: string;
  readonly desk: {
    readonly unsaved: boolean;
    readonly saving: boolean;
    readonly error?: unknown;
    readonly conflict: boolean;
    readonly canUndo: boolean;
    readonly canRedo: boolean;
    readonly undo: () => void;
    readonly redo: () => void;
    readonly startOver: () => void;
    readonly keepMine: () => void;
  };
  readonly save: () => void;
  /** What is wrong with it as it stands, once saving was tried. */
  readonly problems: readonly string[];
}

/** Undo, redo, save, and what stood in the way, above an entry that is being edited. */
export function DeskBar({ title, what, desk, save, problems }: DeskBarProps) {
  return (
    <div className="sticky top-0 z-10 border-b border-base-300 bg-base-100 pb-2">
      <div className="flex flex-wrap items-center gap-2">
        <h2>{title}</h2>
        <div className="ms-auto flex flex-wrap gap-2">
          <UndoRedo desk={desk} />
          {desk.unsaved && (
            <button type="button" className="btn btn-sm btn-ghost" onClick={desk.startOver}>
              Throw changes away
            </button>
          )}
          <button type="button" className="btn btn-sm btn-primary" disabled={desk.saving || !desk.unsaved} onClick={save}>
            {desk.saving ? 'Saving…' : 'Save for the studio'}
          </button>
        </div>
      </div>
      {desk.conflict ? (
        <ConflictNote what={what} takeTheirs={desk.startOver} keepMine={desk.keepMine} />
      ) : (
        <ProblemNote error={desk.error} />
      )}
      {problems.length > 0 && (
        <ul role="alert" className="mt-1 max-h-28 list-disc overflow-y-auto border-s-4 border-error bg-error/10 py-1.5 ps-8 text-sm">
          {problems.map((p) => (
            <li key={p}>{p}</li>
          ))}
        </ul>
      )}
    </div>
  );
}
