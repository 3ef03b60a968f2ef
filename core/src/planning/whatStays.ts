import type { CalendarDay } from '../quantities/index.ts';
import type { BlockInput } from './block/task.ts';
import type { PlannedSession } from './plan.ts';

/**
 * What a plan keeps when the rest of it is planned again: sessions that were done, are pinned whole, or are past; and single pinned
 * drills of the others. What was planned for a day that is over and was not done loads nothing, so it is kept on the desk only.
 *
 * @param done ids of planned sessions that were logged
 * @example whatStays([monday], { today, done: new Set([monday.id]) }).kept // [monday]
 */
export function whatStays(
  sessions: readonly PlannedSession[],
  { today, done }: { readonly today: CalendarDay; readonly done: ReadonlySet<string> },
): Pick<BlockInput, 'kept' | 'pinned'> {
  const stays = (s: PlannedSession) => done.has(s.id) || s.day < today || (s.items.length > 0 && s.items.every((i) => i.pinned));
  return {
    kept: sessions.filter((s) => stays(s) && (done.has(s.id) || s.day >= today)),
    pinned: sessions.filter((s) => !stays(s)).flatMap(({ day, items }) => items.filter((i) => i.pinned).map((item) => ({ day, item }))),
  };
}
