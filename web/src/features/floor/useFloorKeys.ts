import { useEffect, useEffectEvent } from 'react';

/** What keys and a page-turner pedal do on the floor. */
export interface FloorKeys {
  /** Space, →, Page Down: the one thing to do now. */
  readonly go: () => void;
  /** ←, Page Up: back, or take back. */
  readonly back: () => void;
  readonly enter: () => void;
  readonly up: () => void;
  readonly down: () => void;
  readonly digit: (digit: string) => void;
  /** A letter without Shift: a fault. Returns whether it meant something. */
  readonly letter: (letter: string) => boolean;
  readonly lighter: () => void;
  readonly harder: () => void;
  /** Shift and a letter. */
  readonly command: (letter: string) => boolean;
  /** Backspace: what is asked about is thrown away. */
  readonly discard: () => void;
  readonly help: () => void;
}

const BACK: ReadonlySet<string> = new Set(['PageUp', 'ArrowLeft']);
/** Repeats of a key that is held: about a second. */
const HELD_REPEATS = 15;

/** Listens while `on`; typing in a field, and a pressed button, keep their keys. */
export function useFloorKeys(keys: FloorKeys, on: boolean): void {
  const pressed = useEffectEvent((event: KeyboardEvent): boolean => {
    const { key, target } = event;
    if (event.ctrlKey || event.metaKey || event.altKey) return false;
    if (target instanceof HTMLElement && target.matches('input, textarea, select, [contenteditable]')) return false;
    const onButton = target instanceof HTMLElement && target.matches('button, a, summary');
    if (onButton && (key === ' ' || key === 'Enter')) return false;
    const named = {
      ' ': keys.go,
      PageDown: keys.go,
      ArrowRight: keys.go,
      PageUp: keys.back,
      ArrowLeft: keys.back,
      Enter: keys.enter,
      ArrowUp: keys.up,
      ArrowDown: keys.down,
      '-': keys.lighter,
      '+': keys.harder,
      '=': keys.harder,
      Backspace: keys.discard,
      '?': keys.help,
    }[key];
    if (named) named();
    else if (/^\d$/.test(key)) keys.digit(key);
    else if (/^[a-z]$/i.test(key)) return event.shiftKey ? keys.command(key.toUpperCase()) : keys.letter(key.toUpperCase());
    else return false;
    return true;
  });
  const hurts = useEffectEvent(() => keys.command('S'));
  useEffect(() => {
    if (!on) return;
    let held = 0;
    const listen = (event: KeyboardEvent) => {
      // The pedal held back: something hurts, without a hand.
      if (event.repeat && BACK.has(event.key)) {
        held += 1;
        if (held === HELD_REPEATS) hurts();
        event.preventDefault();
        return;
      }
      held = 0;
      if (event.repeat && !['ArrowUp', 'ArrowDown'].includes(event.key)) return;
      if (pressed(event)) event.preventDefault();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [on]);
}
