// @vitest-environment jsdom
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { FloorClock } from './floorClock.ts';

/** As much of an audio context as a clock needs. */
class Audio {
  currentTime = 100;
  state = 'suspended';
  readonly started: number[] = [];
  readonly destination = {};
  resume() {
    this.state = 'running';
    return Promise.resolve();
  }
  createGain() {
    const node = {
      gain: { setValueAtTime: vi.fn(), linearRampToValueAtTime: vi.fn(), exponentialRampToValueAtTime: vi.fn() },
      disconnect: vi.fn(),
    };
    return { ...node, connect: () => node };
  }
  createOscillator() {
    const chained = { connect: () => ({ connect: vi.fn() }) };
    return { ...chained, frequency: { value: 0 }, start: (at: number) => this.started.push(at), stop: vi.fn() };
  }
}

let audio: Audio;
let steady = 0;
beforeEach(() => {
  localStorage.clear();
  steady = 7000;
  audio = new Audio();
  vi.stubGlobal('AudioContext', function context() {
    return audio;
  });
  vi.spyOn(performance, 'now').mockImplementation(() => steady);
});
afterEach(() => {
  vi.unstubAllGlobals();
  vi.restoreAllMocks();
});

it('runs on without a jump from the page’s clock to the audio clock and back', async () => {
  const clock = new FloorClock();
  expect(clock.now()).toBe(7);
  steady += 1000;
  await clock.wake();
  expect(clock.now()).toBe(8);
  audio.currentTime += 2;
  expect(clock.now()).toBe(10);
  // The system takes the sound away, as for a call.
  audio.state = 'interrupted';
  expect(clock.now()).toBe(10);
  steady += 500;
  expect(clock.now()).toBe(10.5);
});

it('knows nothing of the time of day', () => {
  const clock = new FloorClock();
  const before = clock.now();
  vi.setSystemTime(new Date('2031-01-01'));
  expect(clock.now()).toBe(before);
  vi.useRealTimers();
});

it('puts tones where the audio clock will be, and leaves out those that are over', async () => {
  const clock = new FloorClock();
  await clock.wake();
  const start = clock.now();
  audio.currentTime += 3;
  clock.sound(
    [0, 2, 4, 6].map((at) => ({ at, pitch: 'turn' })),
    start,
  );
  expect(audio.started).toEqual([104, 106]);
});

it('is silent when it shall be, and remembers it', async () => {
  new FloorClock().mute(true);
  const clock = new FloorClock();
  expect(clock.muted).toBe(true);
  await clock.wake();
  clock.sound([{ at: 0, pitch: 'end' }], clock.now());
  expect(audio.started).toEqual([]);
});

it('does without sound where there is none', async () => {
  vi.stubGlobal('AudioContext', undefined);
  const clock = new FloorClock();
  await clock.wake();
  steady += 250;
  expect(clock.now()).toBe(7.25);
});
