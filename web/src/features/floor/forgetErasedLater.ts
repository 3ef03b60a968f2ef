import type { Dispatch } from '../../client/store.ts';

/** Takes erased trainees off this device. The floor's program is fetched only then. */
export async function forgetErased(home: { readonly dispatch: Dispatch }): Promise<void> {
  const { forgetErased: now } = await import('./forgetErased.ts');
  await now(home);
}
