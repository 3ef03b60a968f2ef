import type { Role } from '@myokinet/core/accounts';
import type { DeviceReply } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { addDays, type Instant } from '@myokinet/core/quantities';
import { v7 } from 'uuid';
import type { Ledger } from './ledger.ts';
import { digestOf, newToken } from './secrets.ts';
import * as sql from './statements.ts';

/** How long a sign-in lasts without and with use, and how long a typed password stands for a signature. */
export const SIGN_IN = { idleDays: 3, days: 30, signHours: 12 } as const;

/** A sign-in is marked as used at most so often. */
const SEEN_EVERY_MS = 60_000;

/** Somebody on a device, and the studio they are in; none where the last one took them out. */
export interface SignedIn {
  readonly id: string;
  readonly accountId: string;
  readonly name: string;
  readonly initials: string;
  readonly signInName: string;
  readonly madeAt: Instant;
  readonly seenAt: Instant;
  readonly confirmedAt: Instant;
  readonly studioId: string | null;
  readonly studioName: string | null;
  readonly role: Role | null;
}

/** From where a request came. */
export interface Whence {
  readonly device: string;
  readonly address: string;
}

/** Devices on which accounts are known. */
export function signIns({ db, now, at, note }: Ledger) {
  const insert = db.prepare(sql.INSERT_SIGN_IN);
  const byToken = db.prepare<{ tokenHash: string }, SignedIn>(sql.SIGN_IN_BY_TOKEN);
  const seen = db.prepare(sql.SEEN);
  const confirmed = db.prepare(sql.CONFIRMED);
  const enter = db.prepare(sql.ENTER);
  const devicesOf = db.prepare<{ accountId: string; since: string }, Omit<DeviceReply, 'here'>>(sql.DEVICES_OF);
  const end = db.prepare(sql.END_SIGN_IN);
  const endOthers = db.prepare(sql.END_OTHER_SIGN_INS);

  return {
    /** Signs somebody in on a device, and gives what the device keeps to be known again. */
    open(accountId: string, studioId: string | null, { device, address }: Whence): string {
      const token = newToken();
      insert.run({ id: v7(), tokenHash: digestOf(token), accountId, studioId, at: at(), device, address });
      note('signed-in', { accountId, studioId, address });
      return token;
    },

    /** Whoever holds a token, as long as it lasts. */
    signedIn(token: string): SignedIn | undefined {
      const found = byToken.get({ tokenHash: digestOf(token) });
      if (!found) return undefined;
      const over = found.seenAt < addDays(now(), -SIGN_IN.idleDays) || found.madeAt < addDays(now(), -SIGN_IN.days);
      if (over) {
        end.run({ id: found.id, accountId: found.accountId, at: at() });
        return undefined;
      }
      if (now().getTime() - Date.parse(found.seenAt) > SEEN_EVERY_MS) seen.run({ id: found.id, at: at() });
      return found;
    },

    /** The password was typed just now. */
    confirmed: ({ id }: SignedIn): void => void confirmed.run({ id, at: at() }),

    enter: ({ id }: SignedIn, studioId: string): void => void enter.run({ id, studioId }),

    signOut({ id, accountId, studioId }: SignedIn, address: string): void {
      end.run({ id, accountId, at: at() });
      note('signed-out', { accountId, studioId, address });
    },

    /** Signs an account out everywhere but here; everywhere where nothing is named. */
    endOthers: (accountId: string, id = ''): void => void endOthers.run({ id, accountId, at: at() }),

    devices: ({ id, accountId }: SignedIn): readonly DeviceReply[] =>
      devicesOf.all({ accountId, since: addDays(now(), -SIGN_IN.idleDays) }).map((d) => ({ ...d, here: d.id === id })),

    signOutDevice({ accountId }: SignedIn, id: string): void {
      if (end.run({ id, accountId, at: at() }).changes === 0) throw new Refusal('account-missing', 'This device is not signed in.');
    },
  };
}
