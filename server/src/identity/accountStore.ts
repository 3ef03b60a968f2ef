import type { Role } from '@myokinet/core/accounts';
import type { FirstRunDto, JoinDto, MemberReply, PersonDto } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import type { Database } from 'better-sqlite3';
import { v7 } from 'uuid';
import { codes } from './codes.ts';
import { ledgerOf } from './ledger.ts';
import { hashPassword, newToken, passwordFits } from './secrets.ts';
import { type SignedIn, signIns, type Whence } from './signIns.ts';
import * as sql from './statements.ts';

interface AccountRow {
  readonly id: string;
  readonly signInName: string;
  readonly name: string;
  readonly initials: string;
  readonly passwordHash: string;
}

interface MembershipRow {
  readonly studioId: string;
  readonly studioName: string;
  readonly role: Role;
}

/** Accounts, who belongs to which studio, and who is signed in where. */
export function accountStore(db: Database, now: () => Date) {
  const ledger = ledgerOf(db, now);
  const { at, note, eventsOf } = ledger;
  const devices = signIns(ledger);
  const oneTime = codes(ledger);
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

  /** What a wrong name is checked against, so that it takes as long as a wrong password. */
  const nobody = hashPassword(newToken());

  function mustFind(id: string): AccountRow {
    const account = byId.get({ id });
    if (!account) throw new Refusal('account-missing');
    return account;
  }

  function mustBeMember(studioId: string, accountId: string): MemberReply {
    const member = membersOf.all({ studioId }).find((m) => m.id === accountId);
    if (!member) throw new Refusal('account-missing');
    return member;
  }

  async function newAccount({ signInName, name, initials, password }: Omit<JoinDto, 'code'>) {
    const passwordHash = await hashPassword(password);
    return { id: v7(), signInName, name, initials: initials.toUpperCase(), passwordHash, madeAt: at() };
  }

  function insert(account: Awaited<ReturnType<typeof newAccount>>): void {
    if (byName.get({ signInName: account.signInName })) throw new Refusal('name-taken');
    insertAccount.run(account);
  }

  const firstStudioOf = (accountId: string) => membershipsOf.get({ accountId })?.studioId ?? null;
  const nobodyYet = () => (count.get()?.n ?? 0) === 0;

  return {
    ...{ nobodyYet, note, eventsOf, account: mustFind },
    signedIn: devices.signedIn,
    signOut: devices.signOut,
    devices: devices.devices,
    signOutDevice: devices.signOutDevice,
    invitations: oneTime.invitations,
    takeBackInvitation: oneTime.takeBackInvitation,
    studios: () => studios.all(),
    membershipsOf: (accountId: string) => membershipsOf.all({ accountId }),
    membersOf: (studioId: string) => membersOf.all({ studioId }),

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
          return { token: devices.open(account.id, studioId, whence), accountId: account.id };
        })
        .immediate();
    },

    /** @throws Refusal `sign-in-wrong`, which does not tell whether the name is known */
    async signIn(signInName: string, password: string, whence: Whence): Promise<string> {
      const account = byName.get({ signInName: signInName.trim().toLowerCase() });
      const fits = await passwordFits(account?.passwordHash ?? (await nobody), password);
      if (account && fits) return devices.open(account.id, firstStudioOf(account.id), whence);
      if (account) note('wrong-password', { accountId: account.id, address: whence.address });
      throw new Refusal('sign-in-wrong');
    },

    /** @throws Refusal `password-wrong` */
    async confirm(signed: SignedIn, password: string): Promise<void> {
      if (!(await passwordFits(mustFind(signed.accountId).passwordHash, password))) throw new Refusal('password-wrong');
      devices.confirmed(signed);
    },

    changePerson(accountId: string, { name, initials }: PersonDto): void {
      setPerson.run({ id: accountId, name, initials: initials.toUpperCase() });
    },

    /** A new password signs out every other device. */
    async changePassword({ id, accountId, studioId }: SignedIn, { old, password }: { old: string; password: string }, address: string) {
      if (!(await passwordFits(mustFind(accountId).passwordHash, old))) throw new Refusal('password-wrong');
      const passwordHash = await hashPassword(password);
      db.transaction(() => {
        setPassword.run({ id: accountId, passwordHash });
        devices.endOthers(accountId, id);
        note('changed-password', { accountId, studioId, address });
      })();
    },

    enterStudio(signed: SignedIn, studioId: string): void {
      if (!membershipsOf.all({ accountId: signed.accountId }).some((m) => m.studioId === studioId)) throw new Refusal('account-missing');
      devices.enter(signed, studioId);
    },

    /** A studio of its own beside the one where somebody is owner. */
    addStudio({ id, name, ownerId }: { readonly id: string; readonly name: string; readonly ownerId: string }): void {
      db.transaction(() => {
        insertStudio.run({ id, name, madeAt: at() });
        setMembership.run({ accountId: ownerId, studioId: id, role: 'owner', at: at() });
      }).immediate();
    },

    renameStudio: (id: string, name: string): void => void setStudioName.run({ id, name }),

    invite({ accountId }: SignedIn, studioId: string, { id, role }: { id: string; role: Role }, address: string) {
      note(`invited:${role}`, { accountId, studioId, address });
      return oneTime.invite({ id, role, studioId, madeBy: accountId });
    },

    /** Somebody new comes in on an invitation. */
    async join(dto: JoinDto, whence: Whence): Promise<{ token: string; accountId: string; studioId: string }> {
      oneTime.invitation(dto.code);
      const account = await newAccount(dto);
      return db
        .transaction(() => {
          const code = oneTime.invitation(dto.code);
          const { studioId, role, madeBy } = code;
          insert(account);
          oneTime.use(code);
          setMembership.run({ accountId: account.id, studioId, role, at: at() });
          note('joined', { accountId: account.id, studioId, about: madeBy, address: whence.address });
          return { token: devices.open(account.id, studioId, whence), accountId: account.id, studioId };
        })
        .immediate();
    },

    /** Somebody who is here already comes into another studio. */
    accept(signed: SignedIn, typed: string, address: string): void {
      db.transaction(() => {
        const code = oneTime.invitation(typed);
        const { studioId, role, madeBy } = code;
        // An invitation changes no role: the last owner would be none.
        if (membershipsOf.all({ accountId: signed.accountId }).some((m) => m.studioId === studioId)) throw new Refusal('already-here');
        oneTime.use(code);
        setMembership.run({ accountId: signed.accountId, studioId, role, at: at() });
        devices.enter(signed, studioId);
        note('joined', { accountId: signed.accountId, studioId, about: madeBy, address });
      }).immediate();
    },

    /** An owner gives a member a code for a new password. */
    resetCode(by: SignedIn, studioId: string, accountId: string, address: string) {
      mustBeMember(studioId, accountId);
      // Else one studio's owner could take over an account that opens another studio.
      if (membershipsOf.all({ accountId }).length > 1)
        throw new Refusal('works-elsewhere', 'This person works in another studio too, so only they can change their password.');
      note('gave-code', { accountId: by.accountId, studioId, about: accountId, address });
      return oneTime.forPassword({ studioId, accountId, madeBy: by.accountId });
    },

    /** A new password by code: every device is signed out but this one. */
    async reset(typed: string, password: string, whence: Whence): Promise<string> {
      oneTime.passwordFor(typed);
      const passwordHash = await hashPassword(password);
      return db
        .transaction(() => {
          const code = oneTime.passwordFor(typed);
          const { accountId, studioId } = code;
          oneTime.use(code);
          setPassword.run({ id: accountId, passwordHash });
          devices.endOthers(accountId);
          note('password-by-code', { accountId, studioId, address: whence.address });
          return devices.open(accountId, firstStudioOf(accountId), whence);
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
