import { clock } from '../client/clock.ts';

/** What the server said no to, or that it could not be reached. */
export interface Refused {
  readonly code: string;
  readonly detail: string;
}

export type Answer<T> = { readonly data: T } | { readonly refused: Refused } | { readonly away: true };

const TOO_MANY = 429;
const PATIENCE_MS = 20_000;

/** Asks the server for the page that a key opens; the key goes in a header, never in the address. */
export async function ask<T>(path: string, { key, body }: { readonly key?: string; readonly body?: object } = {}): Promise<Answer<T>> {
  try {
    const reply = await fetch(`/api/own/${path}`, {
      method: body ? 'POST' : 'GET',
      cache: 'no-store',
      credentials: 'omit',
      referrerPolicy: 'no-referrer',
      // Older phones wait as long as they wait.
      signal: 'timeout' in AbortSignal ? AbortSignal.timeout(PATIENCE_MS) : null,
      headers: { ...(key ? { 'x-myokinet-link': key } : {}), ...(body ? { 'content-type': 'application/json' } : {}) },
      ...(body ? { body: JSON.stringify(body) } : {}),
    });
    const time = reply.headers.get('x-server-time');
    if (time) clock.heard(time);
    const said: unknown = await reply.json();
    if (reply.ok) return { data: said as T };
    if (reply.status >= 500 || reply.status === TOO_MANY) return { away: true };
    return { refused: said as Refused };
  } catch {
    return { away: true };
  }
}
