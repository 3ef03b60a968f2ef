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
  /** Whether it knows which way counts; a matter only of one that has to be told. */
  readonly directed: boolean;
}

const SILENT: Heard = {
  state: 'off',
  latest: undefined,
  readings: 0,
  nonsense: 0,
  seconds: 0,
  problem: '',
  zeroed: false,
  directed: false,
};

const EMPTY = () => ({ times: [] as number[], values: [] as number[], leaning: [] as number[], nonsense: 0 });

/** An instrument in use: its state as the page shows it, and all that it has read since the stream began. */
export function useInstrument(instrument: Instrument) {
  const [heard, setHeard] = useState(SILENT);
  const buffer = useRef(EMPTY());
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
    buffer.current = EMPTY();
    show({ state: 'streaming', problem: '' });
    instrument.stream({
      reading(time, value, outOfPlane = 0) {
        if (!Number.isFinite(value) || Math.abs(value) > NONSENSE) buffer.current.nonsense++;
        else {
          buffer.current.times.push(time);
          buffer.current.values.push(value);
          buffer.current.leaning.push(outOfPlane);
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
      show({ zeroed: true, directed: false });
    },
    /** Which way counts is the way it has turned since zero; says whether that was enough to tell. */
    direct: (): boolean => {
      const told = instrument.direct?.() ?? true;
      if (!told) return false;
      stream();
      show({ directed: true });
      return true;
    },
    again: stream,
    stop: () => {
      instrument.stop();
      show({ state: 'ready' });
    },
    /** The most that it leant out of its plane in the last seconds, degrees. */
    leant: (seconds: number): number => {
      const { times, leaning } = buffer.current;
      const from = (times.at(-1) ?? 0) - seconds;
      return Math.max(0, ...leaning.filter((_, i) => (times[i] ?? 0) >= from));
    },
    /** Everything since the stream began, without nonsense. */
    heardSoFar: (): Stream => ({ times: [...buffer.current.times], values: [...buffer.current.values] }),
  };
}
