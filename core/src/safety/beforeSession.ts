import { addDays, type CalendarDay, calendarDay, daysBetween, type Instant } from '../quantities/index.ts';
import type { BeforeQuestion } from './beforeQuestions.ts';
import { SLIP_MINUTES } from './slip.ts';
import type { CautionCause, CautionInForce } from './inForce.ts';

/** When somebody was ill: since which day, and since when without fever; absent while it lasts. */
export interface Ill {
  readonly since: CalendarDay;
  readonly clearSince?: Instant;
}

/** The short form before a session, as it was answered. */
export interface BeforeSession {
  readonly at: Instant;
  readonly yes: readonly BeforeQuestion[];
  /** With a fever, and only then. */
  readonly ill?: Ill;
}

/** Without fever for so long before anything is trained (professional judgement, from memory, no single source). */
export const FEVER_CLEAR_HOURS = 48;
const HOURS_PER_DAY = 24;
const CLEAR_DAYS = FEVER_CLEAR_HOURS / HOURS_PER_DAY;
/** An answer counts for the sessions of so many hours. */
export const BEFORE_SESSION_HOURS = 12;

/** What an illness still asks for: nothing at all, or half, until when (`undefined`: nobody can say yet). */
export interface AfterIllness {
  readonly allows: 'nothing' | 'half';
  readonly until?: Instant;
  readonly ill: Ill;
}

/**
 * What the last illness asks for: nothing until 48 hours without fever, then half for as many days as it lasted. A later form without
 * fever says that it was gone for 48 hours by then.
 *
 * @param forms newest first
 * @example afterIllness([{ at: now, yes: ['fever'], ill: { since: '2026-11-20' } }], now) // { allows: 'nothing', ill: … }
 */
export function afterIllness(forms: readonly BeforeSession[], now: Date): AfterIllness | undefined {
  const at = forms.findIndex((f) => f.ill !== undefined);
  const ill = forms[at]?.ill;
  if (!ill) return undefined;
  // The oldest form since then that knows of no fever.
  const well = forms.slice(0, at).findLast((f) => !f.yes.includes('fever'));
  const clearSince = ill.clearSince ?? (well && addDays(well.at, -CLEAR_DAYS));
  if (!clearSince) return { allows: 'nothing', ill };
  const half = addDays(clearSince, CLEAR_DAYS);
  if (now.getTime() < Date.parse(half)) return { allows: 'nothing', until: half, ill };
  const days = Math.max(1, Math.round(daysBetween(`${ill.since}T12:00:00.000Z` as Instant, clearSince)));
  const until = addDays(half, days);
  return now.getTime() < Date.parse(until) ? { allows: 'half', until, ill } : undefined;
}

/**
 * The cautions that the short forms bring about: what an illness closes, a new medicine or an injury until the screening was answered
 * anew, and, for the day, an empty stomach.
 *
 * @param forms newest first, up to the moment of judging
 * @param screenedAt when the screening was last answered
 */
export function cautionsBeforeSession(
  forms: readonly BeforeSession[],
  screenedAt: Instant | undefined,
  now: Date,
): readonly CautionInForce[] {
  const cautions: CautionInForce[] = [];
  const illness = afterIllness(forms, now);
  if (illness) {
    const { allows, until, ill } = illness;
    const because: CautionCause = { code: 'ill', since: ill.since, ...(until ? { until } : {}) };
    cautions.push({ id: allows === 'nothing' ? 'fever' : 'after-fever', because: [because] });
  }
  const asksAnew = forms.find((f) => f.yes.some((q) => q === 'medicine' || q === 'injury'));
  if (asksAnew && (!screenedAt || screenedAt <= asksAnew.at)) {
    const told = asksAnew.yes.filter((q) => q === 'medicine' || q === 'injury');
    cautions.push({ id: 'changed-since', because: [{ code: 'before session', told, at: asksAnew.at }] });
  }
  const [newest] = forms;
  if (newest?.yes.includes('unfed') && calendarDay(newest.at) === calendarDay(now))
    cautions.push({ id: 'unfed', because: [{ code: 'before session', told: ['unfed'], at: newest.at }] });
  return cautions;
}

/** Whether a form still speaks for a session that begins now. */
export function stillCounts({ at }: Pick<BeforeSession, 'at'>, now: Date): boolean {
  const hours = (now.getTime() - Date.parse(at)) / 3_600_000;
  // Clocks of two machines differ a little.
  return hours > -0.1 && hours <= BEFORE_SESSION_HOURS;
}

/** A form as it is on record. */
interface OnRecord extends Pick<BeforeSession, 'at'> {
  readonly id: string;
  /** The form that was asked again at once, and was a slip. */
  readonly replaces?: string | undefined;
}

/**
 * The forms without those that were asked again at once, by whoever had answered them: those were a slip. What somebody else answers
 * takes nothing back.
 *
 * @param forms newest first
 */
export function withoutSlips<T extends OnRecord>(forms: readonly T[]): readonly T[] {
  return forms.filter(
    ({ id, at }) => !forms.some((f) => f.replaces === id && f.at >= at && daysBetween(at, f.at) * HOURS_PER_DAY * 60 <= SLIP_MINUTES),
  );
}
