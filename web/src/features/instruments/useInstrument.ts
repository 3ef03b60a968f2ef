import { useCallback, useEffect, useRef, useState } from 'react';
import type { Stream } from '@myokinet/core/instruments';
import type { Instrument } from './instrument.ts';

/** Readings that no body can give: counted, and kept out of the figure. */
const NONSENSE = 720;
const SHOW_MS = 100;

export interface Heard {
  readonly state: 'off' | 'connecting' | 'ready' | 'streaming' | 'lost';
  readonly latest: number | undefined;
  readonly readings: number;
  readonly nonsense: number;
  readonly seconds: number;
  readonly problem: string;
  readonly zeroed: boolean;
}

const SILENT: Heard = { state: 'off', latest: undefined, readings: 0, nonsense: 0, seconds: 0, problem: '', zeroed: false };

/** An instrument in use: its state as the page shows it, and all that it has read since the stream began. */
export function useInstrument(instrument: Instrument) {
  const [heard, setHeard] = useState(SILENT);
  const buffer = useRef({ times: [] as number[], values: [] as number[], nonsense: 0 });
  const shown = useRef(0);

  useEffect(
    () => () => {
      instrument.stop();
      setHeard(SILENT);
    },
    [instrument],
  );

  const show = useCallback((change: Partial<Heard>) => {
    const { times, values, nonsense } = buffer.current;
    setHeard((h) => ({ ...h, latest: values.at(-1), readings: values.length, nonsense, seconds: times.at(-1) ?? 0, ...change }));
  }, []);

  const stream = () => {
    buffer.current = { times: [], values: [], nonsense: 0 };
    show({ state: 'streaming', problem: '' });
    instrument.stream({
      reading(time, value) {
        if (!Number.isFinite(value) || Math.abs(value) > NONSENSE) buffer.current.nonsense++;
        else {
          buffer.current.times.push(time);
          buffer.current.values.push(value);
        }
        // The number is for reading: ten times a second is plenty.
        if (performance.now() - shown.current < SHOW_MS) return;
        shown.current = performance.now();
        show({});
      },
      lost: (why) => show({ state: 'lost', problem: `${why} ${buffer.current.values.length} readings were kept.` }),
    });
  };

  return {
    heard,
    connect: async () => {
      setHeard({ ...SILENT, state: 'connecting' });
      try {
        await instrument.connect();
        show({ state: 'ready' });
        stream();
      } catch (error) {
        show({ state: 'off', problem: error instanceof Error ? error.message : 'The instrument does not answer.' });
      }
    },
    zero: async () => {
      await instrument.calibrate();
      stream();
      show({ zeroed: true });
    },
    again: stream,
    stop: () => {
      instrument.stop();
      show({ state: 'ready' });
    },
    /** Everything since the stream began, without nonsense. */
    heardSoFar: (): Stream => ({ times: [...buffer.current.times], values: [...buffer.current.values] }),
  };
}
