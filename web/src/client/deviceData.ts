import { waitingCount } from './onDevice.ts';

const OURS = 'myokinet.';
/** How this device looks and sounds: nobody's data. */
const STAYS = ['myokinet.theme', 'myokinet.floor.muted', 'myokinet.clock', 'myokinet.voice', 'myokinet.floor.voice'];
const DRAFTS = 'myokinet.draft.';
const FLOOR = 'myokinet-floor';

const keysHere = (): readonly string[] =>
  Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '').filter((key) => key.startsWith(OURS));

/** How many things on this device the server has not got: drafts, forms and emergencies that wait, events of sessions. */
export async function unsentHere(): Promise<number> {
  const drafts = keysHere().filter((key) => key.startsWith(DRAFTS)).length;
  return drafts + waitingCount() + (await unsentEvents());
}

async function unsentEvents(): Promise<number> {
  try {
    const known = await indexedDB.databases();
    if (!known.some(({ name }) => name === FLOOR)) return 0;
    const { openDB } = await import('idb');
    const db = await openDB(FLOOR);
    const events = (await db.getAll('events')) as readonly { readonly sent: boolean }[];
    const photos = await db.count('photos');
    db.close();
    return events.filter((e) => !e.sent).length + photos;
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
    await Promise.race([deleteDB(FLOOR), new Promise((resolve) => setTimeout(resolve, 1500))]);
  } catch {
    // A browser that keeps nothing has nothing to take away.
  }
}
