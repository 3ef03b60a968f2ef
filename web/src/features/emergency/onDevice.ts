import type { EmergencyCareReply, EmergencyDto } from '@myokinet/core/contracts';
import type { Instant } from '@myokinet/core/quantities';
import { keep, readKept, waitingWrites } from '../../client/onDevice.ts';
import { emergencyEndpoints } from './endpoints.ts';

/** An emergency that was pressed on this device. */
interface Press {
  readonly traineeId: string;
  readonly body: EmergencyDto;
}

const PRESSED = 'myokinet.emergencies-pressed';
const STANDS_HERE_MS = 12 * 3600 * 1000;
const CARE = 'myokinet.emergency-care';

const waiting = waitingWrites<Press>('myokinet.emergencies', (dispatch, item) =>
  dispatch(emergencyEndpoints.pressEmergency.initiate(item)),
);

/** Sends what waits. */
export const sendWaitingEmergencies = waiting.sendAll;

export function keepWaiting(item: Press): void {
  waiting.keep(item);
  keep(PRESSED, [...pressed(), item]);
}

const pressed = (): readonly Press[] => readKept<readonly Press[]>(PRESSED, []);

/** Pressed on this device in the last hours: work ends here at once, whether or not the server knows. */
export function pressedHere(traineeId: string, now: Date): Instant | undefined {
  const press = pressed().findLast((p) => p.traineeId === traineeId && now.getTime() - Date.parse(p.body.at) < STANDS_HERE_MS);
  return press?.body.at as Instant | undefined;
}

/** It was a mistake. */
export function forgetPressed(id: string): void {
  keep(
    PRESSED,
    pressed().filter((p) => p.body.id !== id),
  );
}

/** The number and the place as they were last known: the page must not wait for a server. */
export const careOnDevice = (): EmergencyCareReply => readKept<EmergencyCareReply>(CARE, { id: null, number: '', place: '' });

export function keepCare(care: EmergencyCareReply): void {
  keep(CARE, care);
}
