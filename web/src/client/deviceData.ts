import { EVENT_BASES } from './eventBases.ts';
import { waitingCount } from './onDevice.ts';

const OURS = 'myokinet.';
/** How this device looks and sounds: nobody's data. */
const STAYS = ['myokinet.theme', 'myokinet.floor.muted', 'myokinet.clock', 'myokinet.voice', 'myokinet.floor.voice'];
const DRAFTS = 'myokinet.draft.';
const BASES = Object.values(EVENT_BASES);

const keysHere = (): readonly string[] =>
  Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '').filter((key) => key.startsWith(OURS));

/** How many things on this device the server has not got: drafts, forms and emergencies that wait, events of sessions. */
export async function unsentHere(): Promise<number> {
  const drafts = keysHere().filter((key) => key.startsWith(DRAFTS)).length;
  return drafts + waitingCount() + (await unsentEvents());
}

async function unsentEvents(): Promise<number> {
  try {
    const known = new Set((await indexedDB.databases()).map(({ name }) => name));
    const { openDB } = await import('idb');
    let unsent = 0;
    for (const name of BASES.filter((base) => known.has(base))) {
      const db = await openDB(name);
      const events = (await db.getAll('events')) as readonly { readonly sent: boolean }[];
      unsent += events.filter((e) => !e.sent).length + (await db.count('photos'));
      db.close();
    }
    return unsent;
  } catch {
    return 0;
  }
}

/** Takes everything about people off this device. */
export async function wipeDevice(): Promise<void> {
  for (const key of keysHere()) if (!STAYS.includes(key)) localStorage.removeItem(key);
  sessionStorage.clear();
  try {
    const { deleteDB } = await import('idb');
    // A tab that has it open keeps it until it closes; the request stands.
    await Promise.race([Promise.all(BASES.map((base) => deleteDB(base))), new Promise((resolve) => setTimeout(resolve, 1500))]);
  } catch {
    // A browser that keeps nothing has nothing to take away.
  }
}
