import { type InstrumentRange, type Script, standInReading } from '@myokinet/core/instruments';
import type { Instrument, Listener } from './instrument.ts';

const RATE = 80;
const TICK_MS = 25;
/** Off by so much until it is set to zero, in its unit. */
const OFFSET = 2;

/** As far as the usual ones read. */
const RANGES: Readonly<Record<string, InstrumentRange>> & { readonly inclinometer: InstrumentRange } = {
  inclinometer: { unit: 'deg', min: -360, max: 360 },
  dynamometer: { unit: 'kg', min: -5, max: 100 },
  scale: { unit: 'kg', min: -20, max: 250 },
};

/**
 * An instrument that is not there: it acts a script at 80 readings a second.
 *
 * @param kind what it stands in for
 * @param script what is acted in every stream
 */
export function standIn(kind: string, script: Script): Instrument {
  let timer: ReturnType<typeof setInterval> | undefined;
  let zero = 0;
  const stop = () => clearInterval(timer);
  return {
    name: `Simulated ${kind}`,
    simulated: true,
    range: RANGES[kind] ?? RANGES.inclinometer,
    connect: () => Promise.resolve(),
    calibrate: () => {
      zero = OFFSET;
      return Promise.resolve();
    },
    stream({ reading, lost }: Listener) {
      stop();
      // No two goes are alike: the target of this one lies a little off.
      const played = { ...script, target: script.target * (1 + (Math.random() - 0.5) * 0.02) };
      const begin = performance.now();
      let sent = 0;
      timer = setInterval(() => {
        const due = Math.floor(((performance.now() - begin) / 1000) * RATE);
        for (; sent <= due; sent++) {
          const value = standInReading(played, sent / RATE, Math.random);
          if (value === 'lost') {
            stop();
            lost(`The connection dropped after ${(sent / RATE).toFixed(1)} s.`);
            return;
          }
          reading(sent / RATE, value + OFFSET - zero);
        }
      }, TICK_MS);
    },
    stop,
  };
}
