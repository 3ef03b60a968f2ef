import { type TurnPlane, turnedSince, turnIn, turnPlane, upFrom, type UpVector } from '@myokinet/core/instruments';
import type { Instrument } from './instrument.ts';

/** Some browsers ask the person first. */
type AskingEvent = typeof DeviceOrientationEvent & { readonly requestPermission?: () => Promise<string> };

const ANSWER_MS = 2000;
const SILENCE_MS = 1500;

/** The sensor of the phone in the coach's hand, read through the browser: how far it has turned since zero, and which way once that is told. */
export function tiltSensor(): Instrument {
  let zero: UpVector | undefined;
  let up: UpVector | undefined;
  let plane: TurnPlane | undefined;
  let listening: ((event: DeviceOrientationEvent) => void) | undefined;
  let watchdog: ReturnType<typeof setInterval> | undefined;
  const keep = ({ beta, gamma }: DeviceOrientationEvent) => {
    if (beta === null || gamma === null) return;
    up = upFrom(beta, gamma);
    zero ??= up;
  };
  const stop = () => {
    if (listening) window.removeEventListener('deviceorientation', listening);
    clearInterval(watchdog);
    listening = undefined;
  };
  return {
    name: 'Tilt sensor of this device',
    simulated: false,
    range: { unit: 'deg', min: -360, max: 360 },
    async connect() {
      if (!('DeviceOrientationEvent' in window)) throw new Error('This browser knows no tilt sensor. Type the figure instead.');
      const permission = await (DeviceOrientationEvent as AskingEvent).requestPermission?.();
      if (permission === 'denied') throw new Error('The browser was not allowed to read the tilt sensor.');
      up = undefined;
      window.addEventListener('deviceorientation', keep);
      await new Promise((resolve) => setTimeout(resolve, ANSWER_MS));
      window.removeEventListener('deviceorientation', keep);
      if (!up) throw new Error('No tilt sensor answers on this device. Use a phone, or type the figure.');
    },
    calibrate: () => {
      zero = up;
      plane = undefined;
      return Promise.resolve();
    },
    direct: () => {
      plane = zero && up && turnPlane(zero, up);
      return plane !== undefined;
    },
    stream({ reading, lost }) {
      stop();
      const begin = performance.now();
      let last = begin;
      let angle = 0;
      listening = (event) => {
        keep(event);
        last = performance.now();
        const seconds = (last - begin) / 1000;
        if (plane && up) {
          const turn = turnIn(plane, up, angle);
          angle = turn.angle;
          reading(seconds, angle, turn.outOfPlane);
        } else if (zero && up) reading(seconds, turnedSince(zero, up));
      };
      window.addEventListener('deviceorientation', listening);
      watchdog = setInterval(() => {
        if (performance.now() - last < SILENCE_MS) return;
        stop();
        lost('The tilt sensor has gone silent.');
      }, SILENCE_MS);
    },
    stop,
  };
}
