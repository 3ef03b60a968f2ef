import type { ErasureReply } from '@myokinet/core/contracts';
import { api } from './api.ts';
import { fingerprint } from './fingerprint.ts';
import type { Dispatch } from './store.ts';

const erasures = api.injectEndpoints({
  endpoints: (build) => ({ erasures: build.query<readonly ErasureReply[], void>({ query: () => 'erasures' }) }),
});

/** Tells whom the studio has erased: it keeps a digest of them, and nothing else. */
export async function erasedHere(dispatch: Dispatch): Promise<(traineeId: string) => boolean> {
  const { data } = await dispatch(erasures.endpoints.erasures.initiate(undefined, { forceRefetch: true, subscribe: false }));
  const digests = new Set(data?.map((e) => e.digest));
  return (traineeId) => digests.has(fingerprint(new TextEncoder().encode(traineeId)));
}
