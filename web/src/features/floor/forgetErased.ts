import { forgetDraftsOf } from '../../client/drafts.ts';
import { erasedHere } from '../../client/erased.ts';
import type { Dispatch } from '../../client/store.ts';
import { floor } from './floorSync.ts';

/** Takes off this device what it holds of trainees whom the studio has erased. */
export async function forgetErased({ dispatch }: { readonly dispatch: Dispatch }): Promise<void> {
  const packs = await floor.here();
  if (packs.length === 0) return;
  const isErased = await erasedHere(dispatch);
  for (const { pack } of packs)
    if (isErased(pack.trainee.id)) {
      await floor.forget(pack.id);
      dispatch(forgetDraftsOf(pack.trainee.id));
    }
}
