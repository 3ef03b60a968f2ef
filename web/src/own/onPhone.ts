import { keep, readKept } from '../client/onDevice.ts';

/** A page that this phone knows: the key that opens it, and the end of its calendar’s address. */
export interface KnownPage {
  readonly key: string;
  readonly feed: string;
  /** Whose it is, once it was read. */
  readonly id?: string;
  readonly name?: string;
}

const PAGES = 'myokinet.own.pages';

/** Several in a family may share a phone; the one opened last comes first. */
export const knownPages = (): readonly KnownPage[] => readKept<readonly KnownPage[]>(PAGES, []);

/** Puts a page first; an earlier key of the same trainee gives way, and hands over what it had kept. */
export function keepPage(page: KnownPage): void {
  const others = knownPages().filter((p) => p.key !== page.key);
  const earlier = others.filter((p) => page.id !== undefined && p.id === page.id);
  for (const { key } of earlier) handOver(key, page.key);
  keep(PAGES, [page, ...others.filter((p) => !earlier.includes(p))]);
}

/** A link that is opened once more makes a new key: what waits under the old one is sent by it. */
function handOver(from: string, to: string): void {
  const [old, now] = [keptOf(from), keptOf(to)];
  now.keep('waiting', [...old.read<readonly unknown[]>('waiting', []), ...now.read<readonly unknown[]>('waiting', [])]);
  const underWay = old.read<unknown>('under way', null);
  if (underWay !== null && now.read<unknown>('under way', null) === null) now.keep('under way', underWay);
  for (const kind of KEPT_OF_PAGE) old.drop(kind);
}

/** Forgets a page with all that was kept of it. */
export function forgetPage(key: string): void {
  keep(
    PAGES,
    knownPages().filter((p) => p.key !== key),
  );
  for (const kind of KEPT_OF_PAGE) localStorage.removeItem(placeOf(kind, key));
}

const KEPT_OF_PAGE = ['read', 'waiting', 'under way'] as const;
type Kept = (typeof KEPT_OF_PAGE)[number];

/** A key is no name to be read in a list of what is stored: its end tells pages apart. */
const placeOf = (kind: Kept, key: string): string => `myokinet.own.${kind}.${key.slice(-8)}`;

/** What is kept of one page: as it was read last, what waits to be sent, practice under way. */
export function keptOf(key: string) {
  return {
    read: <T>(kind: Kept, otherwise: T): T => readKept(placeOf(kind, key), otherwise),
    keep: (kind: Kept, value: unknown): void => keep(placeOf(kind, key), value),
    drop: (kind: Kept): void => localStorage.removeItem(placeOf(kind, key)),
  };
}
