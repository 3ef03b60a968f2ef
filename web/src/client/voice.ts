import { readKept, keep } from './onDevice.ts';

const KEY = 'myokinet.floor.voice';

/** The browser's own voice: off until somebody wants it. What comes next cuts off what is still being said. */
export const voice = {
  get on(): boolean {
    return readKept(KEY, false);
  },
  get available(): boolean {
    return 'speechSynthesis' in globalThis;
  },
  turn(on: boolean): void {
    keep(KEY, on);
    if (!on) this.hush();
  },
  say(words: string): void {
    if (!this.on || !this.available || words === '') return;
    speechSynthesis.cancel();
    const saying = new SpeechSynthesisUtterance(words);
    saying.lang = 'en';
    speechSynthesis.speak(saying);
  },
  hush(): void {
    if (this.available) speechSynthesis.cancel();
  },
};
