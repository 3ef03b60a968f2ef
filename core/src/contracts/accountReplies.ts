import type { Action, Role } from '../accounts/index.ts';
import type { Instant } from '../quantities/index.ts';

/** Who asks, as far as the program knows. */
export type MeReply =
  /** Nobody has set up this data folder yet. */
  { readonly state: 'first run' } | { readonly state: 'signed out' } | MeHere;

export interface MeHere {
  readonly state: 'here';
  /** One coach who needs no account: the demo. */
  readonly demo: boolean;
  readonly accountId: string;
  readonly name: string;
  readonly initials: string;
  readonly signInName: string;
  /** The studio that this device is in; none where the account belongs to none. */
  readonly studio: { readonly id: string; readonly name: string; readonly role: Role; readonly damaged: boolean } | null;
  readonly studios: readonly { readonly id: string; readonly name: string; readonly role: Role }[];
  readonly may: readonly Action[];
  /** Goes along with whatever changes something. */
  readonly pageToken: string;
  /** How the copies stand, for those who run the studio. */
  readonly copies: Pick<CopiesReply, 'lastGoodAt' | 'overdue' | 'problem'> | null;
  /** Until when a signature asks for no password again. */
  readonly signsUntil: Instant | null;
}

/** A device on which an account is signed in. */
export interface DeviceReply {
  readonly id: string;
  readonly device: string;
  readonly address: string;
  readonly madeAt: Instant;
  readonly seenAt: Instant;
  readonly here: boolean;
}

export interface MemberReply {
  readonly id: string;
  readonly name: string;
  readonly initials: string;
  readonly signInName: string;
  readonly role: Role;
  readonly since: Instant;
  readonly seenAt: Instant | null;
}

export interface InvitationReply {
  readonly id: string;
  readonly role: Role;
  readonly madeAt: Instant;
  readonly lapsesAt: Instant;
}

/** A code that is shown once, and the moment at which it is worth nothing. */
export interface OneTimeReply {
  readonly code: string;
  readonly lapsesAt: Instant;
}

export interface PeopleReply {
  readonly members: readonly MemberReply[];
  readonly invitations: readonly InvitationReply[];
  readonly audit: readonly AuditRow[];
}

/** Who did what to whom, when, and from where; newest first. */
export interface AuditRow {
  readonly at: Instant;
  readonly name: string | null;
  readonly what: string;
  readonly about: string | null;
  readonly address: string;
}

/** A copy of all files, made while the program ran. */
export interface CopyReply {
  readonly name: string;
  readonly madeAt: Instant;
  readonly bytes: number;
  readonly sealed: boolean;
}

export interface CopiesReply {
  readonly copies: readonly CopyReply[];
  readonly lastGoodAt: Instant | null;
  /** The newest is older than a day and two hours, or there is none. */
  readonly overdue: boolean;
  /** Why the last one was not made, or not whole. */
  readonly problem?: string;
  readonly going: boolean;
  readonly sealed: boolean;
  readonly folder: string;
}

/** A trainee who is out of the lists. */
export interface ArchivedReply {
  readonly id: string;
  readonly name: string;
  readonly archivedAt: Instant;
}

/** That somebody was erased: what a device needs to take off what it holds of them, and nothing more. */
export interface ErasureReply {
  /** SHA-256 of the trainee's id. */
  readonly digest: string;
  readonly erasedAt: Instant;
}
