import type { Role } from '@myokinet/core/accounts';
import type { AuditRow, DeviceReply, FirstRunDto, InvitationReply, JoinDto, MemberReply, PersonDto } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { addDays, instant, type Instant } from '@myokinet/core/quantities';
import type { Database } from 'better-sqlite3';
import { v7 } from 'uuid';
import { digestOf, hashPassword, newCode, newToken, passwordFits, plainCode } from './secrets.ts';
import * as sql from './statements.ts';

/** How long a sign-in lasts without and with use, and how long a typed password stands for a signature. */
export const SIGN_IN = { idleDays: 3, days: 30, signHours: 12, codeDays: 3 } as const;

/** A sign-in is marked as used at most so often. */
const SEEN_EVERY_MS = 60_000;

interface AccountRow {
  readonly id: string;
  readonly signInName: string;
  readonly name: string;
  readonly initials: string;
  readonly passwordHash: string;
}

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

interface CodeRow {
  readonly id: string;
  readonly studioId: string;
  readonly role: Role | null;
  readonly accountId: string | null;
  readonly madeBy: string;
}

export interface MembershipRow {
  readonly studioId: string;
  readonly studioName: string;
  readonly role: Role;
}

interface Happened {
  readonly accountId?: string | null;
  readonly studioId?: string | null;
  readonly about?: string | null;
  readonly address: string;
}

/** Accounts, who belongs to which studio, and who is signed in where. */
export function accountStore(db: Database, now: () => Date) {
  const count = db.prepare<[], { n: number }>(sql.COUNT_ACCOUNTS);
  const byName = db.prepare<{ signInName: string }, AccountRow>(sql.ACCOUNT_BY_NAME);
  const byId = db.prepare<{ id: string }, AccountRow>(sql.ACCOUNT_BY_ID);
  const insertAccount = db.prepare(sql.INSERT_ACCOUNT);
  const setPerson = db.prepare(sql.SET_PERSON);
  const setPassword = db.prepare(sql.SET_PASSWORD);
  const studios = db.prepare<[], { id: string; name: string }>(sql.STUDIOS);
  const insertStudio = db.prepare(sql.INSERT_STUDIO);
  const setStudioName = db.prepare(sql.SET_STUDIO_NAME);
  const membershipsOf = db.prepare<{ accountId: string }, MembershipRow>(sql.MEMBERSHIPS_OF);
  const membersOf = db.prepare<{ studioId: string }, MemberReply>(sql.MEMBERS_OF);
  const setMembership = db.prepare(sql.SET_MEMBERSHIP);
  const endMembership = db.prepare(sql.END_MEMBERSHIP);
  const insertSignIn = db.prepare(sql.INSERT_SIGN_IN);
  const byToken = db.prepare<{ tokenHash: string }, SignedIn>(sql.SIGN_IN_BY_TOKEN);
  const seen = db.prepare(sql.SEEN);
  const confirmed = db.prepare(sql.CONFIRMED);
  const enter = db.prepare(sql.ENTER);
  const devicesOf = db.prepare<{ accountId: string; since: string }, Omit<DeviceReply, 'here'>>(sql.DEVICES_OF);
  const endSignIn = db.prepare(sql.END_SIGN_IN);
  const endOthers = db.prepare(sql.END_OTHER_SIGN_INS);
  const insertCode = db.prepare(sql.INSERT_CODE);
  const codeOf = db.prepare<{ codeHash: string; at: string }, CodeRow>(sql.CODE);
  const useCode = db.prepare(sql.USE_CODE);
  const openInvitations = db.prepare<{ studioId: string; at: string }, InvitationReply>(sql.OPEN_INVITATIONS);
  const takeBackInvitation = db.prepare(sql.TAKE_BACK_INVITATION);
  const events = db.prepare<{ studioId: string; limit: number }, AuditRow>(sql.EVENTS_OF_STUDIO);
  const insertEvent = db.prepare(sql.INSERT_EVENT);

  const at = () => instant(now());
  /** What a wrong name is checked against, so that it takes as long as a wrong password. */
  const nobody = hashPassword(newToken());

  function note(what: string, { accountId = null, studioId = null, about = null, address }: Happened): void {
    insertEvent.run({ at: at(), what, accountId, studioId, about, address });
  }

  function mustFind(id: string): AccountRow {
    const account = byId.get({ id });
    if (!account) throw new Refusal('account-missing');
    return account;
  }

  /** Signs somebody in on a device: what the device keeps to be known again. */
  function open(accountId: string, { device, address }: Whence, studioId = membershipsOf.get({ accountId })?.studioId ?? null): string {
    const token = newToken();
    insertSignIn.run({ id: v7(), tokenHash: digestOf(token), accountId, studioId, at: at(), device, address });
    note('signed-in', { accountId, studioId, address });
    return token;
  }

  async function newAccount({ signInName, name, initials, password }: Omit<JoinDto, 'code'>) {
    const passwordHash = await hashPassword(password);
    return { id: v7(), signInName, name, initials: initials.toUpperCase(), passwordHash, madeAt: at() };
  }

  function insert(account: Awaited<ReturnType<typeof newAccount>>): void {
    if (byName.get({ signInName: account.signInName })) throw new Refusal('name-taken');
    insertAccount.run(account);
  }

  function codeFor(typed: string, whatFor: 'role' | 'accountId'): CodeRow {
    const code = codeOf.get({ codeHash: digestOf(plainCode(typed)), at: at() });
    if (!code?.[whatFor]) throw new Refusal('code-wrong');
    return code;
  }

  function oneTime(head: { studioId: string; role: Role | null; accountId: string | null; madeBy: string }, id = v7()) {
    const code = newCode();
    const lapsesAt = addDays(now(), SIGN_IN.codeDays);
    insertCode.run({ ...head, id, codeHash: digestOf(plainCode(code)), at: at(), lapsesAt });
    return { code, lapsesAt };
  }

  function mustBeMember(studioId: string, accountId: string): MemberReply {
    const member = membersOf.all({ studioId }).find((m) => m.id === accountId);
    if (!member) throw new Refusal('account-missing');
    return member;
  }

  const nobodyYet = () => (count.get()?.n ?? 0) === 0;

  return {
    nobodyYet,
    studios: () => studios.all(),
    account: mustFind,
    membershipsOf: (accountId: string) => membershipsOf.all({ accountId }),
    membersOf: (studioId: string) => membersOf.all({ studioId }),
    note,
    eventsOf: (studioId: string, limit: number) => events.all({ studioId, limit }),

    /** Makes the first studio and its owner. */
    async firstRun(dto: FirstRunDto, studioId: string, whence: Whence): Promise<{ token: string; accountId: string }> {
      const account = await newAccount(dto);
      return db
        .transaction(() => {
          if (!nobodyYet()) throw new Refusal('not-first-run');
          insert(account);
          insertStudio.run({ id: studioId, name: dto.studio, madeAt: at() });
          setMembership.run({ accountId: account.id, studioId, role: 'owner', at: at() });
          note('made-studio', { accountId: account.id, studioId, address: whence.address });
          return { token: open(account.id, whence), accountId: account.id };
        })
        .immediate();
    },

    /** @throws Refusal `sign-in-wrong`, which does not tell whether the name is known */
    async signIn(signInName: string, password: string, whence: Whence): Promise<string> {
      const account = byName.get({ signInName: signInName.trim().toLowerCase() });
      const fits = await passwordFits(account?.passwordHash ?? (await nobody), password);
      if (account && fits) return open(account.id, whence);
      if (account) note('wrong-password', { accountId: account.id, address: whence.address });
      throw new Refusal('sign-in-wrong');
    },

    /** Whoever holds a token, as long as it lasts. */
    signedIn(token: string): SignedIn | undefined {
      const found = byToken.get({ tokenHash: digestOf(token) });
      if (!found) return undefined;
      const over = found.seenAt < addDays(now(), -SIGN_IN.idleDays) || found.madeAt < addDays(now(), -SIGN_IN.days);
      if (over) {
        endSignIn.run({ id: found.id, accountId: found.accountId, at: at() });
        return undefined;
      }
      if (now().getTime() - Date.parse(found.seenAt) > SEEN_EVERY_MS) seen.run({ id: found.id, at: at() });
      return found;
    },

    /** @throws Refusal `password-wrong` */
    async confirm({ id, accountId }: SignedIn, password: string): Promise<void> {
      if (!(await passwordFits(mustFind(accountId).passwordHash, password))) throw new Refusal('password-wrong');
      confirmed.run({ id, at: at() });
    },

    signOut({ id, accountId, studioId }: SignedIn, address: string): void {
      endSignIn.run({ id, accountId, at: at() });
      note('signed-out', { accountId, studioId, address });
    },

    devices: ({ id, accountId }: SignedIn): readonly DeviceReply[] =>
      devicesOf.all({ accountId, since: addDays(now(), -SIGN_IN.idleDays) }).map((d) => ({ ...d, here: d.id === id })),

    signOutDevice({ accountId }: SignedIn, id: string): void {
      if (endSignIn.run({ id, accountId, at: at() }).changes === 0) throw new Refusal('account-missing', 'This device is not signed in.');
    },

    changePerson(accountId: string, { name, initials }: PersonDto): void {
      setPerson.run({ id: accountId, name, initials: initials.toUpperCase() });
    },

    /** A new password signs out every other device. */
    async changePassword({ id, accountId, studioId }: SignedIn, { old, password }: { old: string; password: string }, address: string) {
      const account = mustFind(accountId);
      if (!(await passwordFits(account.passwordHash, old))) throw new Refusal('password-wrong');
      const passwordHash = await hashPassword(password);
      db.transaction(() => {
        setPassword.run({ id: accountId, passwordHash });
        endOthers.run({ id, accountId, at: at() });
        note('changed-password', { accountId, studioId, address });
      })();
    },

    enterStudio({ id, accountId }: SignedIn, studioId: string): void {
      if (!membershipsOf.all({ accountId }).some((m) => m.studioId === studioId)) throw new Refusal('account-missing');
      enter.run({ id, studioId });
    },

    /** A studio of its own beside the one where somebody is owner. */
    addStudio({ id, name, ownerId }: { readonly id: string; readonly name: string; readonly ownerId: string }): void {
      db.transaction(() => {
        insertStudio.run({ id, name, madeAt: at() });
        setMembership.run({ accountId: ownerId, studioId: id, role: 'owner', at: at() });
      }).immediate();
    },

    renameStudio: (id: string, name: string): void => void setStudioName.run({ id, name }),

    invite(by: SignedIn, studioId: string, { id, role }: { id: string; role: Role }, address: string) {
      const made = oneTime({ studioId, role, accountId: null, madeBy: by.accountId }, id);
      note(`invited:${role}`, { accountId: by.accountId, studioId, address });
      return made;
    },

    invitations: (studioId: string) => openInvitations.all({ studioId, at: at() }),

    takeBackInvitation(studioId: string, id: string): void {
      if (takeBackInvitation.run({ id, studioId, at: at() }).changes === 0) throw new Refusal('code-wrong');
    },

    /** Somebody new comes in on an invitation. */
    async join(dto: JoinDto, whence: Whence): Promise<{ token: string; accountId: string; studioId: string }> {
      codeFor(dto.code, 'role');
      const account = await newAccount(dto);
      return db
        .transaction(() => {
          const { id, studioId, role, madeBy } = codeFor(dto.code, 'role');
          insert(account);
          useCode.run({ id, at: at() });
          setMembership.run({ accountId: account.id, studioId, role, at: at() });
          note('joined', { accountId: account.id, studioId, about: madeBy, address: whence.address });
          return { token: open(account.id, whence, studioId), accountId: account.id, studioId };
        })
        .immediate();
    },

    /** Somebody who is here already comes into another studio. */
    accept(signed: SignedIn, typed: string, address: string): string {
      return db
        .transaction(() => {
          const { id, studioId, role, madeBy } = codeFor(typed, 'role');
          useCode.run({ id, at: at() });
          setMembership.run({ accountId: signed.accountId, studioId, role, at: at() });
          enter.run({ id: signed.id, studioId });
          note('joined', { accountId: signed.accountId, studioId, about: madeBy, address });
          return studioId;
        })
        .immediate();
    },

    /** An owner gives a member a code for a new password. */
    resetCode(by: SignedIn, studioId: string, accountId: string, address: string) {
      mustBeMember(studioId, accountId);
      // Else one studio's owner could take over an account that opens another studio.
      if (membershipsOf.all({ accountId }).length > 1)
        throw new Refusal('works-elsewhere', 'This person works in another studio too, so only they can change their password.');
      note('gave-code', { accountId: by.accountId, studioId, about: accountId, address });
      return oneTime({ studioId, role: null, accountId, madeBy: by.accountId });
    },

    /** A new password by code: every device is signed out but this one. */
    async reset(typed: string, password: string, whence: Whence): Promise<string> {
      codeFor(typed, 'accountId');
      const passwordHash = await hashPassword(password);
      return db
        .transaction(() => {
          const { id, accountId, studioId } = codeFor(typed, 'accountId');
          if (accountId === null) throw new Refusal('code-wrong');
          useCode.run({ id, at: at() });
          setPassword.run({ id: accountId, passwordHash });
          endOthers.run({ id: '', accountId, at: at() });
          note('password-by-code', { accountId, studioId, address: whence.address });
          return open(accountId, whence);
        })
        .immediate();
    },

    /** Gives a member another role, or none: they are out at once, on every device. */
    setRole(by: SignedIn, studioId: string, { accountId, role }: { accountId: string; role: Role | null }, address: string): void {
      db.transaction(() => {
        const member = mustBeMember(studioId, accountId);
        const owners = membersOf.all({ studioId }).filter((m) => m.role === 'owner');
        if (member.role === 'owner' && role !== 'owner' && owners.length === 1) throw new Refusal('last-owner');
        if (role) setMembership.run({ accountId, studioId, role, at: at() });
        else endMembership.run({ accountId, studioId, at: at() });
        note(role ? `made-member:${role}` : 'took-out', { accountId: by.accountId, studioId, about: accountId, address });
      }).immediate();
    },
  };
}

export type AccountStore = ReturnType<typeof accountStore>;
