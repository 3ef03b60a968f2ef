import type { InstrumentRange } from '@myokinet/core/instruments';

/** What listens to an instrument. Times in seconds since the stream began, values in the instrument's unit. */
export interface Listener {
  /** @param outOfPlane degrees that it leans out of the plane of the movement, where it feels that */
  readonly reading: (time: number, value: number, outOfPlane?: number) => void;
  /** The connection is gone; what came so far stays. */
  readonly lost: (why: string) => void;
}

/** The one interface of everything that measures by itself. A real device takes the place of a stand-in behind it. */
export interface Instrument {
  readonly name: string;
  /** A stand-in: what it reads is marked, and opens no gate. */
  readonly simulated: boolean;
  /** What it gives, and how far it reads. */
  readonly range: InstrumentRange;
  /** @throws Error with a sentence for the coach when there is no such device, or it may not be used */
  connect(): Promise<void>;
  /** Makes what it reads now its zero. */
  calibrate(): Promise<void>;
  /**
   * The way it has turned since zero is the way that counts; only of an instrument that cannot know it.
   *
   * @returns whether it had turned enough to tell
   */
  direct?(): boolean;
  stream(listener: Listener): void;
  stop(): void;
}
