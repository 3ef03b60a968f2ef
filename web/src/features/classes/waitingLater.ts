import type { ClassHome } from './classSync.ts';

/** The program of classes is fetched only where it is needed. */
export async function sendWaitingClasses(home: ClassHome): Promise<void> {
  await (await import('./waiting.ts')).sendWaiting(home);
}

/** Takes erased trainees off this device. */
export async function forgetErasedInClasses(home: Pick<ClassHome, 'dispatch'>): Promise<void> {
  await (await import('./waiting.ts')).forgetErased(home);
}
