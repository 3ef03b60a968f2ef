import type { Tone } from '@myokinet/core/floor';
import { scheduleTones } from './tones.ts';

const MUTED = 'myokinet.floor.muted';
const PATIENCE_MS = 300;

/**
 * Time and tones of the floor. Seconds come from the audio clock while it runs, so that what is seen and what is heard cannot drift
 * apart, and from the page's steady clock where there is no sound. Neither knows the time of day: a clock that jumps changes nothing.
 */
export class FloorClock {
  #context: AudioContext | undefined;
  #onAudio = false;
  /** Makes the floor's seconds run on without a jump when the source changes. */
  #offset = 0;
  #silence: () => void = () => undefined;
  #muted = localStorage.getItem(MUTED) === 'yes';

  get muted(): boolean {
    return this.#muted;
  }

  mute(muted: boolean): void {
    this.#muted = muted;
    localStorage.setItem(MUTED, muted ? 'yes' : 'no');
    if (muted) this.#silence();
  }

  /** There could be sound, and there is none yet. */
  get asleep(): boolean {
    return !this.#muted && this.#context?.state !== 'running';
  }

  /** Called by a press or a key: a page may make sound only after one. */
  async wake(): Promise<void> {
    if (this.#muted) return;
    try {
      this.#context ??= new AudioContext();
      // Where sound is not to be had, the set must not wait for it.
      if (this.#context.state !== 'running')
        await Promise.race([this.#context.resume(), new Promise((resolve) => setTimeout(resolve, PATIENCE_MS))]);
    } catch {
      // No sound on this device: what is seen has to do.
      this.#context = undefined;
    }
  }

  /** Seconds, always forward. */
  now(): number {
    const audible = this.#context?.state === 'running' && !this.#muted;
    if (audible !== this.#onAudio) {
      const before = this.#raw(this.#onAudio) + this.#offset;
      this.#onAudio = audible;
      this.#offset = before - this.#raw(audible);
    }
    return this.#raw(audible) + this.#offset;
  }

  /** Sounds tones from a moment of the floor's seconds on, instead of whatever was to sound. */
  sound(tones: readonly Tone[], start: number): void {
    this.#silence();
    this.#silence = () => undefined;
    this.now();
    if (!this.#onAudio || !this.#context) return;
    const from = start - this.#offset;
    const now = this.#context.currentTime;
    this.#silence = scheduleTones(
      this.#context,
      tones.filter((t) => from + t.at >= now),
      from,
    );
  }

  hush(): void {
    this.#silence();
  }

  #raw(audio: boolean): number {
    return audio ? (this.#context?.currentTime ?? 0) : performance.now() / 1000;
  }
}
