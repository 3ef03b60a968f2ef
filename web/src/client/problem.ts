import type { ProblemReply } from '@myokinet/core/contracts';

/** What a failed request means to a coach: one sentence, and the fields at fault. */
export interface Problem {
  readonly sentence: string;
  readonly code: string;
  readonly fields: readonly { readonly field: string; readonly message: string }[];
}

/** What stands in for an answer where nobody is signed in any more. */
export const SIGNED_OUT = 'signed out';

/** Whether a request failed because no server answered. */
export function isOffline(error: unknown): boolean {
  const { status } = (error ?? {}) as { status?: number | string };
  return status === 'FETCH_ERROR' || status === 'TIMEOUT_ERROR';
}

/** Whether a proxy answered for a server that is gone. */
export function isGateway(error: unknown): boolean {
  const { status, originalStatus } = (error ?? {}) as { status?: number | string; originalStatus?: number };
  return [429, 502, 503, 504, 507].includes(Number(originalStatus ?? status));
}

/** Reads whatever RTK Query rejected with. */
export function problemFrom(error: unknown): Problem | undefined {
  if (!error) return undefined;
  const { data } = error as { data?: Partial<ProblemReply> };
  if ((error as { error?: unknown }).error === SIGNED_OUT)
    return {
      code: 'not-signed-in',
      fields: [],
      sentence: 'Nobody is signed in here any more. What you typed is kept; sign in and try again.',
    };
  if (isOffline(error))
    return { code: 'offline', fields: [], sentence: 'The server does not answer. What you typed is kept here; try again when it is back.' };
  if (data?.code === 'id-reused')
    return {
      code: data.code,
      fields: [],
      sentence: 'An earlier version of this was saved already. Look it up in the record and correct it there.',
    };
  if (data?.code) return { code: data.code, sentence: data.detail ?? data.title ?? 'The server refused this.', fields: data.fields ?? [] };
  return {
    code: 'unexpected',
    fields: [],
    sentence: 'Something went wrong that the program did not foresee. What you typed is kept here.',
  };
}
