import type { Shown } from '@myokinet/core/motion';

/** Nobody in particular: the body of the library's figures. */
export const ANY_BODY: Shown = { stature: 1.7 };
