import { useEffect } from 'react';

/** Ctrl+Z and Ctrl+Shift+Z, unless a field is being typed in. */
export function useUndoKeys({ undo, redo }: { readonly undo: () => void; readonly redo: () => void }): void {
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
}
