import type { CaseloadRow } from '@myokinet/core/contracts';
import type { MeasureOf } from '@myokinet/core/measuring';
import { headroomInWords } from '@myokinet/core/words';
import { dayInWords } from '@myokinet/core/quantities';
import { parseISO } from 'date-fns';

/** `3 of 9, Packs and side rocks`. */
export function rungWords({ rungs, rungName, here, lapsed }: CaseloadRow): string {
  if (!rungName) return 'below the first rung';
  return `${here + 1} of ${rungs}, ${rungName}${lapsed ? ' (clearance lapsed)' : ''}`;
}

/** `Left shoulder flexion: 7° short`. */
export function limiterWords({ limiter }: CaseloadRow, measureOf: MeasureOf): string {
  if (!limiter) return '';
  if (limiter.state === 'spare') return 'nothing short';
  const measure = measureOf(limiter.measureId);
  const { name } = measure;
  const side = limiter.side === 'whole' ? '' : `, ${limiter.side}`;
  return `${name}${side}: ${headroomInWords(limiter, measure)}`;
}

/** `open: ready to sign`, or what keeps it closed. */
export function gateWords({ gateOpen, unmet, locked, openStopSigns, nextRungName }: CaseloadRow): string {
  if (!nextRungName) return 'top of the ladder';
  if (gateOpen) return `open: sign “${nextRungName}”`;
  const why = locked ? ', locked' : openStopSigns > 0 ? ', stop sign' : '';
  return `${unmet} unmet${why}`;
}

export function nextWords({ nextSessionOn }: CaseloadRow, now: Date): string {
  return nextSessionOn ? dayInWords(parseISO(nextSessionOn), now) : 'not planned';
}
