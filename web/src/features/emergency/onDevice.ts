import type { EmergencyCareReply, EmergencyDto } from '@myokinet/core/contracts';
import type { Instant } from '@myokinet/core/quantities';
import type { Dispatch } from '../../client/store.ts';
import { emergencyEndpoints } from './endpoints.ts';

/** An emergency that the server has not got yet. */
export interface Waiting {
  readonly traineeId: string;
  readonly body: EmergencyDto;
}

const WAITING = 'myokinet.emergencies';
const PRESSED = 'myokinet.emergencies-pressed';
const STANDS_HERE_MS = 12 * 3600 * 1000;
const CARE = 'myokinet.emergency-care';

/** Whatever the browser refuses to keep must not stand between a coach and the number. */
function read<T>(key: string, otherwise: T): T {
  try {
    return (JSON.parse(localStorage.getItem(key) ?? 'null') as T | null) ?? otherwise;
  } catch {
    return otherwise;
  }
}

function write(key: string, value: unknown): void {
  try {
    localStorage.setItem(key, JSON.stringify(value));
  } catch {
    // The page still shows what it shows.
  }
}

export const waiting = (): readonly Waiting[] => read<readonly Waiting[]>(WAITING, []);

export function keepWaiting(item: Waiting): void {
  write(WAITING, [...waiting(), item]);
  write(PRESSED, [...pressed(), item]);
}

const pressed = (): readonly Waiting[] => read<readonly Waiting[]>(PRESSED, []);

/** Pressed on this device in the last hours: work ends here at once, whether or not the server knows. */
export function pressedHere(traineeId: string, now: Date): Instant | undefined {
  const press = pressed().findLast((p) => p.traineeId === traineeId && now.getTime() - Date.parse(p.body.at) < STANDS_HERE_MS);
  return press?.body.at as Instant | undefined;
}

/** It was a mistake. */
export function forgetPressed(id: string): void {
  write(
    PRESSED,
    pressed().filter((p) => p.body.id !== id),
  );
}

/** Refused for what it says; anything else (no answer, a server in trouble) is tried again. */
function isRefusal(error: unknown): boolean {
  const { status } = error as { readonly status?: unknown };
  return typeof status === 'number' && status >= 400 && status < 500;
}

/** Sends what waits; what the server refuses is not asked again. */
export async function sendWaitingEmergencies({ dispatch }: { readonly dispatch: Dispatch }): Promise<void> {
  for (const item of waiting()) {
    const { error } = await dispatch(emergencyEndpoints.pressEmergency.initiate(item));
    if (error && !isRefusal(error)) return;
    write(
      WAITING,
      waiting().filter((w) => w.body.id !== item.body.id),
    );
  }
}

/** The number and the place as they were last known: the page must not wait for a server. */
export const careOnDevice = (): EmergencyCareReply => read<EmergencyCareReply>(CARE, { id: null, number: '', place: '' });

export function keepCare(care: EmergencyCareReply): void {
  write(CARE, care);
}
