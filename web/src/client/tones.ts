import type { Tone } from '@myokinet/core/floor';

/** Pitch in hertz, length in seconds and loudness of each tone: soft, told apart by pitch. */
const VOICES: Readonly<Record<Tone['pitch'], { readonly hertz: number; readonly seconds: number; readonly level: number }>> = {
  turn: { hertz: 523.25, seconds: 0.16, level: 0.2 },
  hold: { hertz: 392, seconds: 0.2, level: 0.14 },
  tick: { hertz: 329.63, seconds: 0.1, level: 0.12 },
  end: { hertz: 659.25, seconds: 0.5, level: 0.24 },
};
const ATTACK = 0.012;

/**
 * Puts tones onto the audio clock, all at once: nothing that a page does later can make them late.
 *
 * @param start moment of the audio clock at which the set begins
 * @returns silences those that have not sounded yet
 */
export function scheduleTones(context: BaseAudioContext, tones: readonly Tone[], start: number): () => void {
  const bus = context.createGain();
  bus.connect(context.destination);
  for (const { at, pitch } of tones) {
    const { hertz, seconds, level } = VOICES[pitch];
    const from = start + at;
    const voice = context.createOscillator();
    const envelope = context.createGain();
    voice.frequency.value = hertz;
    envelope.gain.setValueAtTime(0, from);
    envelope.gain.linearRampToValueAtTime(level, from + ATTACK);
    envelope.gain.exponentialRampToValueAtTime(0.0001, from + seconds);
    voice.connect(envelope).connect(bus);
    voice.start(from);
    voice.stop(from + seconds);
  }
  return () => bus.disconnect();
}
