import type { Breathing, Drill, Teaching } from '../drills/index.ts';
import type { HeadroomState } from '../readiness/index.ts';
import type { CalendarDay, Instant } from '../quantities/index.ts';
import type { SymptomContext } from '../safety/index.ts';
import type { PlannedItemDto, PlannedSessionDto } from './plan.ts';

/** How a trainee’s link stands; whoever reads it cannot open the page with it. */
export interface TraineeLinkReply {
  readonly id: string;
  readonly madeAt: Instant;
  readonly lapsesOn: CalendarDay | null;
  readonly lapsed: boolean;
  readonly pin: boolean;
  /** Whether the page shows how far the trainee has come. */
  readonly progress: boolean;
  /** Phones on which it was opened. */
  readonly devices: readonly { readonly device: string; readonly openedAt: Instant; readonly seenAt: Instant }[];
}

/** A link that was made just now: its secret is told this once. */
export interface NewLinkReply extends TraineeLinkReply {
  readonly secret: string;
}

/** What a phone keeps to be known again. */
export interface LinkOpenReply {
  readonly key: string;
  /** The end of the address under which the calendar is read. */
  readonly feed: string;
}

/** A few words of a trainee or a coach. */
export interface NoteReply {
  readonly id: string;
  readonly at: Instant;
  /** The coach’s name; absent: the trainee’s own words. */
  readonly coach?: string;
  readonly drillId?: string;
  readonly text: string;
  /** A coach has read it. */
  readonly seen: boolean;
}

/** One drill of a practice as the trainee reads and sees it. */
export interface OwnItem extends Pick<PlannedItemDto, 'id' | 'drillId' | 'sets' | 'min' | 'max' | 'restSeconds' | 'support' | 'manner'> {
  readonly name: string;
  /** Sets, amount, unit, sides. */
  readonly dose: string;
  readonly unit: Drill['dose']['unit'];
  readonly perSide: boolean;
  readonly cue: string;
  readonly steps: Teaching['steps'];
  readonly felt: string;
  readonly breath: Breathing;
  /** What it needs, with what stands in for it. */
  readonly equipment: readonly string[];
  readonly beat?: NonNullable<Drill['dose']['tempo']>;
  readonly course?: NonNullable<Drill['dose']['course']>;
  readonly figure: Pick<Drill, 'id' | 'pose' | 'movement'>;
  /** Why it is less than planned, or left out today. */
  readonly changed?: string;
}

export interface OwnSession extends Pick<PlannedSessionDto, 'id' | 'day' | 'place'> {
  readonly minutes: number;
  /** A routine of the studio, for any time; it is told by its name. */
  readonly preparation?: string;
  /** What it prepares for today: an event of the trainee’s week. */
  readonly before?: string;
  /** Whether it loads the hands. */
  readonly loaded: boolean;
  readonly items: readonly OwnItem[];
  /** What is planned and not to be done as things stand. */
  readonly leftOut: readonly { readonly name: string; readonly why: string }[];
  readonly done: boolean;
}

/** How far the trainee has come on the ladder of their target, as figures. */
export interface OwnProgress {
  readonly ladder: string;
  readonly rungs: readonly { readonly name: string; readonly is: 'signed' | 'next' | 'later' }[];
  /** What the next rung asks for, and how the newest check stands to it. */
  readonly needs: readonly {
    readonly check: string;
    readonly asks: string;
    readonly stands: string;
    readonly state: HeadroomState;
    /** What was shown in the last three months, oldest first. */
    readonly trail: readonly { readonly at: Instant; readonly figure: string; readonly value: number; readonly band: number }[];
  }[];
}

/** All that a trainee’s own page shows. */
export interface OwnPageReply {
  /** Whose page it is: a name may be that of two. */
  readonly id: string;
  readonly name: string;
  /** Whose server keeps it, and which coach made the link. */
  readonly keptBy: { readonly studio: string; readonly coach: string };
  readonly today: CalendarDay;
  readonly sessions: readonly OwnSession[];
  /** Preparations and short breaks, as they may be done now. Absent on a page that a phone kept from before there were any. */
  readonly anytime?: readonly OwnSession[];
  /** Absent where the coach does not show it. */
  readonly progress?: OwnProgress;
  /** Why nothing that loads may be done now, as the coach reads it. */
  readonly stopped: readonly string[];
  /** A session of yesterday whose morning nobody has told yet. */
  readonly morningOf?: { readonly sessionId: string; readonly day: CalendarDay };
  /** Newest last. */
  readonly notes: readonly (NoteReply & { readonly drill?: string })[];
  /** What the pain rule reads beside what is felt now: it answers on the phone too. */
  readonly context: SymptomContext;
}
