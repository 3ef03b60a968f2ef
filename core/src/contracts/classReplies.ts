import type { ClassEvent, ClassHead, ClassMember, ClassMoment, ClassSlot, SlotChoice } from '../classes/index.ts';
import type { NamedGroup } from '../groups/index.ts';
import type { CalendarDay, Instant } from '../quantities/index.ts';
import type { SymptomContext } from '../safety/index.ts';
import type { MayBeUnreadable } from './planReplies.ts';

export interface GroupReply extends NamedGroup {
  readonly id: string;
  readonly revision: string;
  readonly savedAt: Instant;
  readonly coach: string;
}

/** One who takes part, as a device needs to know them without the server. */
export interface ClassPersonReply {
  readonly traineeId: string;
  readonly name: string;
  /** Open stop signs: nothing is done at all. */
  readonly stopped: readonly string[];
  /** What they might do in place of what they do. */
  readonly choices: readonly { readonly slotId: string; readonly these: readonly SlotChoice[] }[];
  /** What a symptom is read beside. */
  readonly felt: SymptomContext;
}

/** What one person would do in a class. */
export interface ClassSheetMember extends ClassPersonReply, Omit<ClassMember, 'from'> {
  /** Of the screening: they close what they close. */
  readonly locks: readonly string[];
  /** What is left out, or less than asked, and why. */
  readonly less: readonly {
    readonly slotId: string;
    readonly drillId: string;
    readonly says: string;
    /** What is done in its place, where something is. */ readonly instead?: string;
  }[];
}

export interface ClassSheetReply {
  readonly slots: readonly ClassSlot[];
  readonly moments: readonly ClassMoment[];
  readonly preparation: string | null;
  readonly members: readonly ClassSheetMember[];
}

/** A class as the server knows it. */
export interface ClassReply {
  readonly head: ClassHead;
  readonly members: readonly ClassMember[];
  readonly events: readonly ClassEvent[];
  /** Open stop signs of those who take part, as they are now. */
  readonly stopped: Readonly<Record<string, readonly string[]>>;
  /** The sessions that it became, by trainee. */
  readonly sessions: Readonly<Record<string, string>>;
  readonly now: Instant;
  /** What could not be read, each in a sentence. */
  readonly unreadable: readonly string[];
}

/** A class in a list. */
export interface ClassRow extends MayBeUnreadable {
  readonly id: string;
  readonly name: string;
  readonly groupId: string | null;
  readonly openedAt: Instant;
  readonly day: CalendarDay;
  readonly coach: string;
  readonly ended: boolean;
  /** Who was there; of those in `trained` there is a session. */
  readonly members: readonly string[];
  readonly trained: readonly string[];
}
