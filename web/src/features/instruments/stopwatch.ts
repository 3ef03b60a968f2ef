import type { Instrument } from './instrument.ts';

/** Readings a second: what a display can show. */
const RATE = 20;

/**
 * The timer: seconds on the page's own clock, which does not jump when the computer's is set. It is a
 * real instrument on every device, so nothing stands in for it. Its zero is the start of each stream.
 */
export function stopwatch(): Instrument {
  let timer: ReturnType<typeof setInterval> | undefined;
  let tell: (() => void) | undefined;
  return {
    name: 'Stopwatch of the page',
    simulated: false,
    range: { unit: 's', min: -1, max: 3600 },
    connect: () => Promise.resolve(),
    calibrate: () => Promise.resolve(),
    stream({ reading }) {
      clearInterval(timer);
      const begin = performance.now();
      tell = () => {
        const seconds = (performance.now() - begin) / 1000;
        reading(seconds, seconds);
      };
      timer = setInterval(tell, 1000 / RATE);
    },
    stop() {
      clearInterval(timer);
      // The moment of stopping counts, not the last tick before it.
      tell?.();
      tell = undefined;
    },
  };
}
