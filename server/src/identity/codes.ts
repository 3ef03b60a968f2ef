import type { Role } from '@myokinet/core/accounts';
import type { InvitationReply, OneTimeReply } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { addDays } from '@myokinet/core/quantities';
import { v7 } from 'uuid';
import type { Ledger } from './ledger.ts';
import { digestOf, newCode, plainCode } from './secrets.ts';
import * as sql from './statements.ts';

/** How long a code is good for. */
const CODE_DAYS = 3;

interface CodeRow {
  readonly id: string;
  readonly studioId: string;
  readonly madeBy: string;
}
interface Made {
  readonly studioId: string;
  readonly madeBy: string;
}

/** Codes for one use: an invitation with a role, or a new password for an account. */
export function codes({ db, now, at }: Ledger) {
  const insert = db.prepare(sql.INSERT_CODE);
  const find = db.prepare<{ codeHash: string; at: string }, CodeRow & { role: Role | null; accountId: string | null }>(sql.CODE);
  const use = db.prepare(sql.USE_CODE);
  const openInvitations = db.prepare<{ studioId: string; at: string }, InvitationReply>(sql.OPEN_INVITATIONS);
  const takeBack = db.prepare(sql.TAKE_BACK_INVITATION);

  function make(head: Made & { readonly id: string; readonly role: Role | null; readonly accountId: string | null }): OneTimeReply {
    const code = newCode();
    const lapsesAt = addDays(now(), CODE_DAYS);
    insert.run({ ...head, codeHash: digestOf(plainCode(code)), at: at(), lapsesAt });
    return { code, lapsesAt };
  }
  const found = (typed: string) => find.get({ codeHash: digestOf(plainCode(typed)), at: at() });

  return {
    invite: (made: Made & { readonly id: string; readonly role: Role }): OneTimeReply => make({ ...made, accountId: null }),
    forPassword: (made: Made & { readonly accountId: string }): OneTimeReply => make({ ...made, id: v7(), role: null }),

    /** @throws Refusal `code-wrong` */
    invitation(typed: string): CodeRow & { readonly role: Role } {
      const code = found(typed);
      if (!code?.role) throw new Refusal('code-wrong');
      return { ...code, role: code.role };
    },

    /** @throws Refusal `code-wrong` */
    passwordFor(typed: string): CodeRow & { readonly accountId: string } {
      const code = found(typed);
      if (!code?.accountId) throw new Refusal('code-wrong');
      return { ...code, accountId: code.accountId };
    },

    use: ({ id }: CodeRow): void => void use.run({ id, at: at() }),

    invitations: (studioId: string): readonly InvitationReply[] => openInvitations.all({ studioId, at: at() }),

    takeBackInvitation(studioId: string, id: string): void {
      if (takeBack.run({ id, studioId, at: at() }).changes === 0) throw new Refusal('code-wrong');
    },
  };
}
