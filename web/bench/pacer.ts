import { paceAt, paceOf, tonesOf } from '@myokinet/core/floor';
import { FloorClock } from '../src/client/floorClock.ts';
import { scheduleTones } from '../src/client/tones.ts';

const TEMPO = { unit: 'reps', tempo: { out: 2, hold: 1, back: 1 } } as const;
const REP_SECONDS = 4;
/** Samples a second of the rendered tones: coarse, and still a fraction of a millisecond. */
const RATE = 8000;
const LOUD = 0.02;

const mean = (list: readonly number[]) => list.reduce((sum, v) => sum + v, 0) / Math.max(1, list.length);
const ms = (seconds: number) => seconds * 1000;

/** Tones as they would leave the loudspeaker, rendered and found again: how far the last lie from their beat, and the worst. */
async function rendered(minutes: number) {
  const context = new OfflineAudioContext(1, RATE * (minutes * 60 + 2), RATE);
  const pace = paceOf(TEMPO, (minutes * 60) / REP_SECONDS);
  const wanted = tonesOf(pace).map((t) => t.at);
  scheduleTones(context, tonesOf(pace), 0.5);
  const samples = (await context.startRendering()).getChannelData(0);
  const onsets: number[] = [];
  let silentSince = -1;
  for (let i = 0; i < samples.length; i++) {
    if (Math.abs(samples[i] ?? 0) < LOUD) continue;
    if (i - silentSince > RATE * 0.2) onsets.push(i / RATE);
    silentSince = i;
  }
  const late = onsets.map((at, i) => at - (onsets[0] ?? 0) - (wanted[i] ?? 0));
  return {
    tones: wanted.length,
    found: onsets.length,
    worstMs: ms(Math.max(...late.map(Math.abs))),
    driftMs: ms(Math.abs(late.at(-1) ?? 0)),
  };
}

/** The pace as it is drawn, in real time, against the audio clock; beside a pacer that adds up timeouts. */
async function live(minutes: number) {
  const clock = new FloorClock();
  await clock.wake();
  const pace = paceOf(TEMPO, (minutes * 60) / REP_SECONDS);
  const since = clock.now();
  clock.sound(tonesOf(pace), since);
  const late: number[] = [];
  const naive: number[] = [];
  let shown = -1;
  const started = performance.now();
  const nextNaive = (n: number) => {
    naive.push((performance.now() - started) / 1000 - n * REP_SECONDS);
    if ((n + 1) * REP_SECONDS <= minutes * 60) setTimeout(() => nextNaive(n + 1), REP_SECONDS * 1000);
  };
  setTimeout(() => nextNaive(1), REP_SECONDS * 1000);
  await new Promise<void>((resolve) => {
    const draw = () => {
      const seconds = clock.now() - since;
      const at = paceAt(pace, seconds);
      if (at.from > shown) {
        shown = at.from;
        late.push(seconds - at.from);
      }
      if (at.over) resolve();
      else requestAnimationFrame(draw);
    };
    requestAnimationFrame(draw);
  });
  const ends = Math.min(20, Math.floor(late.length / 2));
  return {
    beats: late.length,
    meanLateMs: ms(mean(late)),
    worstLateMs: ms(Math.max(...late)),
    driftMs: ms(Math.abs(mean(late.slice(-ends)) - mean(late.slice(0, ends)))),
    naiveDriftMs: ms(naive.at(-1) ?? 0),
  };
}

Object.assign(window, { pacerBench: { rendered, live } });
