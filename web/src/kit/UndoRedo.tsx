import { Redo2, Undo2 } from 'lucide-react';
import { useEffect } from 'react';

interface UndoRedoProps {
  readonly desk: {
    readonly canUndo: boolean;
    readonly canRedo: boolean;
    readonly undo: () => void;
    readonly redo: () => void;
  };
}

/** The two buttons, and their keys: Ctrl+Z and Ctrl+Shift+Z, unless a field is being typed in. */
export function UndoRedo({ desk: { canUndo, canRedo, undo, redo } }: UndoRedoProps) {
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && event.target.matches('input, textarea, select');
      if (typing || event.key.toLowerCase() !== 'z' || !(event.ctrlKey || event.metaKey)) return;
      event.preventDefault();
      if (event.shiftKey) redo();
      else undo();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [undo, redo]);
  return (
    <>
      <button type="button" className="btn btn-sm btn-ghost" disabled={!canUndo} onClick={undo}>
        <Undo2 size={16} aria-hidden /> Undo
      </button>
      <button type="button" className="btn btn-sm btn-ghost" disabled={!canRedo} onClick={redo}>
        <Redo2 size={16} aria-hidden /> Redo
      </button>
    </>
  );
}
