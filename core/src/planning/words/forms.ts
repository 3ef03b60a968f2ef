import type { SessionForm } from '../plan.ts';

/** How the drills of a session follow each other, by name and in a sentence. */
export const SESSION_FORMS: Readonly<Record<SessionForm, { readonly name: string; readonly says: string }>> = {
  sets: { name: 'Sets', says: 'One drill after the other, all its sets with their rests.' },
  circuit: { name: 'Circuit', says: 'One set of each drill, round after round, without rests between.' },
  flow: { name: 'Flow', says: 'From drill to drill on the breath, a slow breath for each change.' },
};
