import type { ErasureReply } from '@myokinet/core/contracts';
import { api } from '../../client/api.ts';
import { forgetDraftsOf } from '../../client/drafts.ts';
import { fingerprint } from '../../client/fingerprint.ts';
import type { Dispatch } from '../../client/store.ts';
import { floor } from './floorSync.ts';

const erasures = api.injectEndpoints({
  endpoints: (build) => ({ erasures: build.query<readonly ErasureReply[], void>({ query: () => 'erasures' }) }),
});

/** Takes off this device what it holds of trainees whom the studio has erased. */
export async function forgetErased({ dispatch }: { readonly dispatch: Dispatch }): Promise<void> {
  const packs = await floor.here();
  if (packs.length === 0) return;
  const { data } = await dispatch(erasures.endpoints.erasures.initiate(undefined, { forceRefetch: true, subscribe: false }));
  const erased = new Set(data?.map((e) => e.digest));
  for (const { pack } of packs)
    if (erased.has(fingerprint(new TextEncoder().encode(pack.trainee.id)))) {
      await floor.forget(pack.id);
      dispatch(forgetDraftsOf(pack.trainee.id));
    }
}
