import type { Dispatch } from './store.ts';

/** What this browser keeps under a key; whatever it refuses to keep must not stand in anybody's way. */
export function readKept<T>(key: string, otherwise: T): T {
  try {
    return (JSON.parse(localStorage.getItem(key) ?? 'null') as T | null) ?? otherwise;
  } catch {
    return otherwise;
  }
}

export function keep(key: string, value: unknown): void {
  try {
    localStorage.setItem(key, JSON.stringify(value));
  } catch {
    // The page still shows what it shows.
  }
}

/** What one tab keeps until it is closed: a reload brings it back, another tab never sees it. */
export const tabMemory = {
  read: <T>(key: string): T | undefined => {
    try {
      return (JSON.parse(sessionStorage.getItem(key) ?? 'null') as T | null) ?? undefined;
    } catch {
      return undefined;
    }
  },
  write: (key: string, value: unknown): void => {
    try {
      if (value === undefined) sessionStorage.removeItem(key);
      else sessionStorage.setItem(key, JSON.stringify(value));
    } catch {
      // Refused storage must not stop a session.
    }
  },
};

/** A write that the server has not got yet. */
interface Write {
  readonly body: { readonly id: string };
}

const TOO_MANY = 429;

/** Refused for what it says; anything else (no answer, a server in trouble, too much at once) is tried again. */
function isRefusal(error: unknown): boolean {
  const { status } = error as { readonly status?: unknown };
  return typeof status === 'number' && status >= 400 && status < 500 && status !== TOO_MANY;
}

const waitingKeys = new Set<string>();

/** How many writes wait on this device, of every kind. */
export function waitingCount(): number {
  return [...waitingKeys].reduce((sum, key) => sum + readKept<readonly unknown[]>(key, []).length, 0);
}

/** Writes that wait on this device until the server has them; what it refuses is not asked again. */
export function waitingWrites<T extends Write>(key: string, send: (dispatch: Dispatch, item: T) => Promise<{ readonly error?: unknown }>) {
  waitingKeys.add(key);
  const all = (): readonly T[] => readKept<readonly T[]>(key, []);
  return {
    all,
    keep: (item: T): void => keep(key, [...all(), item]),
    async sendAll({ dispatch }: { readonly dispatch: Dispatch }): Promise<void> {
      for (const item of all()) {
        const { error } = await send(dispatch, item);
        if (error && !isRefusal(error)) return;
        keep(
          key,
          all().filter((w) => w.body.id !== item.body.id),
        );
      }
    },
  };
}
