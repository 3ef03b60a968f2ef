import { useEffect, useEffectEvent } from 'react';

interface Pedal {
  readonly on: () => void;
  readonly back: (() => void) | undefined;
  /** Something else is asked just now. */
  readonly off?: boolean;
}

/** A pedal of two keys on a page of its own; not within the first second, when a tap was meant for what was there before. */
export function usePedal({ on, back, off = false }: Pedal): void {
  const pressed = useEffectEvent((event: KeyboardEvent, shownAt: number) => {
    const { key, repeat, timeStamp, target } = event;
    if (off || repeat || timeStamp - shownAt < 1000 || (target instanceof HTMLElement && target.matches('input, textarea'))) return;
    if (key === 'PageDown') on();
    else if (key === 'PageUp') back?.();
    else return;
    event.preventDefault();
  });
  useEffect(() => {
    const shownAt = performance.now();
    const listen = (event: KeyboardEvent) => pressed(event, shownAt);
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}
