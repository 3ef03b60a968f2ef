import type { BodySide, Side } from '@myokinet/core/anatomy';
import type { PlanDto, SessionDto } from '@myokinet/core/contracts';
import type { FaultId, Manner } from '@myokinet/core/drills';
import { amountByFeel } from '@myokinet/core/floor';
import type { Library } from '@myokinet/core/library';
import { sessionMinutes } from '@myokinet/core/planning';
import { type Cleanness, type Feeling, FEELINGS, sessionCleanness } from '@myokinet/core/readiness';
import { instant } from '@myokinet/core/quantities';
import type { SupportPlan } from '@myokinet/core/statics';
import { format } from 'date-fns';
import { newId } from '../../client/newId.ts';
import { feltValues, type SymptomValues } from '../record/index.ts';
import { judgeSymptom, type SymptomContext } from '@myokinet/core/safety';
import { stopSignInWords } from '@myokinet/core/words';

/** A session while it is being logged: texts as typed, so that nothing typed is ever lost. */
export interface SessionLog {
  readonly id: string;
  readonly plannedSessionId: string | null;
  /** Local date and time as the browser's own field has it. */
  readonly performedAt: string;
  readonly effort: string;
  readonly minutes: string;
  readonly note: string;
  readonly items: readonly ItemLog[];
  readonly symptoms: readonly (SymptomValues & { readonly id: string })[];
}

export interface ItemLog {
  readonly id: string;
  readonly drillId: string;
  readonly plannedSets: number;
  readonly min: number;
  readonly max: number;
  /** The set-up, where it is not the drill's. */
  readonly support?: SupportPlan;
  readonly manner?: Manner;
  readonly sets: readonly SetLog[];
}

export interface SetLog {
  readonly id: string;
  readonly side: BodySide;
  /** A figure, or by feel one of the four answers. */
  readonly text: string;
  readonly faults: readonly { readonly faultId: FaultId; readonly mended: boolean; readonly on?: Side }[];
}

type PlannedSession = PlanDto['sessions'][number];

const USUAL_HOUR = 'T17:00';

/** A log ready to be filled: every planned set open, nothing taken for done. */
export function logFor(planned: PlannedSession | undefined, now: Date, library: Library): SessionLog {
  const today = format(now, 'yyyy-MM-dd');
  const past = planned !== undefined && planned.day < today;
  return {
    id: newId(),
    plannedSessionId: planned?.id ?? null,
    performedAt: past ? planned.day + USUAL_HOUR : format(now, "yyyy-MM-dd'T'HH:mm"),
    effort: '',
    minutes: planned ? String(Math.max(1, Math.round(sessionMinutes(planned.items, library, planned.form)))) : '',
    note: '',
    items:
      planned?.items.map(({ drillId, sets, min, max, support, manner }) => ({
        ...itemFor(drillId, { sets, min, max }, library),
        ...(support ? { support } : {}),
        ...(manner ? { manner } : {}),
      })) ?? [],
    symptoms: [],
  };
}

export function itemFor(
  drillId: string,
  dose: { readonly sets: number; readonly min: number; readonly max: number },
  library: Library,
): ItemLog {
  const item = { id: newId(), drillId, plannedSets: dose.sets, min: dose.min, max: dose.max, sets: [] };
  return Array.from({ length: dose.sets }).reduce<ItemLog>((log) => withRound(log, library), item);
}

/** One more set, on each side where the drill has sides. */
export function withRound(item: ItemLog, library: Library): ItemLog {
  const sides: readonly BodySide[] = library.drill(item.drillId).dose.perSide ? ['left', 'right'] : ['whole'];
  return { ...item, sets: [...item.sets, ...sides.map((side) => ({ id: newId(), side, text: '', faults: [] }))] };
}

/**
 * Every open set done with the least that was planned, or felt right: a plan that asks for 8 to 12 was kept from 8 on, and nobody said
 * that it was 12.
 */
export function doneAtLeast(item: ItemLog, byFeel: boolean): ItemLog {
  const done = byFeel ? ('right' satisfies Feeling) : String(item.min);
  return { ...item, sets: item.sets.map((s) => (s.text.trim() === '' ? { ...s, text: done } : s)) };
}

const MOST = 3600;

/** What stands in a set's field: nothing yet, a whole number, how it felt, or why it is none of these. */
export function readSet(
  text: string,
  dose: Pick<ItemLog, 'min' | 'max'>,
): { readonly amount?: number; readonly feeling?: Feeling; readonly problem?: string } {
  const trimmed = text.trim();
  if (trimmed === '') return {};
  const feeling = FEELINGS.find((f) => f === trimmed);
  if (feeling) return { feeling, amount: amountByFeel(feeling, dose) };
  const amount = Number(trimmed);
  if (!Number.isInteger(amount) || amount < 0 || amount > MOST) return { problem: `A set must be a whole number from 0 to ${MOST}.` };
  return { amount };
}

/** The request a log stands for: sets without a figure were not done. */
export function sessionFrom(log: SessionLog): SessionDto {
  const performedAt = toInstant(log.performedAt);
  return {
    id: log.id,
    plannedSessionId: log.plannedSessionId,
    performedAt,
    effort: toNumber(log.effort),
    minutes: toNumber(log.minutes),
    note: log.note,
    items: log.items.map(({ sets, ...item }) => ({
      ...item,
      sets: sets.flatMap(({ id, side, text, faults }) => {
        const { amount, feeling } = readSet(text, item);
        return amount === undefined ? [] : [{ id, side, amount, faults: [...faults], ...(feeling ? { feeling } : {}) }];
      }),
    })),
    symptoms: log.symptoms.map((s) => ({ ...feltValues(s), sessionId: log.id, at: performedAt, note: '' })),
  };
}

/** An empty field is no number; the contract says so in its own words. */
function toNumber(text: string): number {
  return text.trim() === '' ? Number.NaN : Number(text);
}

function toInstant(local: string): string {
  const date = new Date(local);
  return Number.isNaN(date.getTime()) ? local : instant(date);
}

/** Whether the session would count as clean as it stands, and the stop signs in it. */
export function judgeLog(
  session: SessionDto,
  library: Library,
  context: SymptomContext = { history: [] },
): { readonly clean: Cleanness; readonly stops: readonly string[] } {
  const performed = new Date(session.performedAt);
  // A time that is no time yet is now.
  const at = instant(Number.isNaN(performed.getTime()) ? new Date() : performed);
  const symptoms = session.symptoms.map((s) => ({ ...s, at, judged: judgeSymptom({ ...s, at }, context) }));
  return {
    clean: sessionCleanness({ effort: session.effort, symptoms, items: session.items }, library),
    stops: symptoms.flatMap((s) => stopSignInWords(s) ?? []),
  };
}
