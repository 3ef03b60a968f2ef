import { useEffect } from 'react';

/** Keys that work wherever nothing is being typed. */
export const SHORTCUTS = [
  { keys: '/ or Ctrl+K', what: 'Find a trainee or action' },
  { keys: '?', what: 'Show this list' },
  { keys: 'Enter', what: 'In a check: on to the next trial' },
  { keys: 'Enter or Page Down', what: 'In a battery: start, stop, on to the next trial; Shift+Enter or Page Up goes back' },
  { keys: '1 to 9', what: 'In a battery: choose the grade of that number' },
  { keys: '↑ ↓', what: 'In a number: nudge by the instrument’s step' },
  { keys: 'Alt+arrows, P, Delete', what: 'On a drill of the plan: move, pin, take out' },
  { keys: 'Ctrl+Z, Ctrl+Shift+Z', what: 'In a plan or a battery: undo, redo' },
  { keys: 'Esc', what: 'Close what is open' },
] as const;

export function useShortcuts(open: (what: 'commands' | 'shortcuts') => void): void {
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLElement && event.target.matches('input, textarea, select, [contenteditable]');
      const wantsCommands = (event.key === 'k' && (event.ctrlKey || event.metaKey)) || (event.key === '/' && !typing);
      if (wantsCommands) open('commands');
      else if (event.key === '?' && !typing) open('shortcuts');
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [open]);
}
