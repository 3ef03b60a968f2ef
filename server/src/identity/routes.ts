import {
  ConfirmDto,
  FirstRunDto,
  InvitationDto,
  InvitedDto,
  JoinDto,
  type MeReply,
  MembershipDto,
  PasswordChangeDto,
  type PeopleReply,
  PersonDto,
  ResetDto,
  type Scope,
  SignInDto,
  StudioDto,
  validated,
} from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { BUILT_IN } from '@myokinet/core/catalogue';
import { openLibrary } from '@myokinet/core/library';
import type { FastifyInstance, FastifyRequest } from 'fastify';
import { v7 } from 'uuid';
import type { AccountStore } from './accountStore.ts';
import type { AccountDoor } from './door.ts';
import { whenceOf } from './whence.ts';
import { plainCode } from './secrets.ts';
import type { StudioFiles } from './studioFiles.ts';
import type { SlowDown } from './slowDown.ts';

interface Options {
  readonly accounts: AccountStore;
  readonly files: StudioFiles;
  readonly door: AccountDoor;
  readonly slow: SlowDown;
  readonly now: () => Date;
  /** The code on the console, as long as nobody has set up this folder. */
  readonly firstCode: string | undefined;
  /** Puts the first studio's file in place, where there is an older one. */
  readonly prepare: (studioId: string) => void;
  /** Copies at once what there is now. */
  readonly firstCopy: () => void;
}

const OPEN = { config: { open: true } } as const;
type OfAccount = { Params: { accountId: string } };
type OfId = { Params: { id: string } };

/** Lines of the audit list sent at once. */
const AUDIT_LINES = 200;

/** Coming in, going out, and who belongs to a studio. All are open to whoever asks: each looks at who that is itself. */
export function identityRoutes(app: FastifyInstance, { accounts, files, door, slow, now, firstCode, prepare, firstCopy }: Options): void {
  const scope = (): Scope => ({ now: now(), library: openLibrary(BUILT_IN) });

  /** Guesses are counted for what they are about and for where they come from. */
  async function guarded<T>(request: FastifyRequest, about: string, attempt: () => Promise<T> | T): Promise<T> {
    const keys = [about, `from ${request.ip}`];
    slow.mayTry(...keys);
    try {
      const result = await attempt();
      slow.worked(about);
      return result;
    } catch (error) {
      if (error instanceof Refusal && GUESSES.has(error.code)) slow.failed(...keys);
      throw error;
    }
  }

  /** Gives the account's name to every studio that it belongs to and whose file is whole. */
  function introduce(accountId: string): void {
    const account = accounts.account(accountId);
    for (const { studioId } of accounts.membershipsOf(accountId)) if (!files.isDamaged(studioId)) files.introduce(studioId, account);
  }

  app.get('/api/me', OPEN, (request): MeReply => door.me(request));

  app.post('/api/first-run', OPEN, async (request, reply): Promise<{ done: true }> => {
    const dto = validated(FirstRunDto, request.body, scope());
    const { token, accountId } = await guarded(request, 'the first run', () => {
      if (!accounts.nobodyYet()) throw new Refusal('not-first-run');
      if (firstCode === undefined || plainCode(dto.code) !== plainCode(firstCode)) throw new Refusal('code-wrong');
      const studioId = v7();
      prepare(studioId);
      return accounts.firstRun(dto, studioId, whenceOf(request));
    });
    introduce(accountId);
    firstCopy();
    door.letIn(reply, token);
    return { done: true };
  });

  app.post('/api/sign-in', OPEN, async (request, reply) => {
    const { signInName, password } = validated(SignInDto, request.body, scope());
    const token = await guarded(request, `name ${signInName.trim().toLowerCase()}`, () =>
      accounts.signIn(signInName, password, whenceOf(request)),
    );
    door.letIn(reply, token);
    return { done: true };
  });

  app.post('/api/join', OPEN, async (request, reply) => {
    const dto = validated(JoinDto, request.body, scope());
    const { token, accountId } = await guarded(request, 'codes', () => accounts.join(dto, whenceOf(request)));
    introduce(accountId);
    door.letIn(reply, token);
    return { done: true };
  });

  app.post('/api/reset', OPEN, async (request, reply) => {
    const { code, password } = validated(ResetDto, request.body, scope());
    door.letIn(reply, await guarded(request, 'codes', () => accounts.reset(code, password, whenceOf(request))));
    return { done: true };
  });

  app.post('/api/sign-out', OPEN, (request, reply) => {
    const signed = door.find(request);
    if (signed) accounts.signOut(door.mustBeSignedIn(request), request.ip);
    door.showOut(reply);
    return { done: true };
  });

  app.post('/api/me/confirm', OPEN, async (request) => {
    const signed = door.mustBeSignedIn(request);
    const { password } = validated(ConfirmDto, request.body, scope());
    await guarded(request, `account ${signed.accountId}`, () => accounts.confirm(signed, password));
    return door.me(request);
  });

  app.put('/api/me', OPEN, (request) => {
    const { accountId } = door.mustBeSignedIn(request);
    accounts.changePerson(accountId, validated(PersonDto, request.body, scope()));
    introduce(accountId);
    return door.me(request);
  });

  app.put('/api/me/password', OPEN, async (request) => {
    const signed = door.mustBeSignedIn(request);
    const dto = validated(PasswordChangeDto, request.body, scope());
    await guarded(request, `account ${signed.accountId}`, () => accounts.changePassword(signed, dto, request.ip));
    return door.me(request);
  });

  app.get('/api/me/devices', OPEN, (request) => accounts.devices(door.mustBeSignedIn(request)));
  app.delete<OfId>('/api/me/devices/:id', OPEN, (request) => {
    const signed = door.mustBeSignedIn(request);
    accounts.signOutDevice(signed, request.params.id);
    return accounts.devices(signed);
  });

  app.post('/api/me/studios', OPEN, async (request) => {
    const signed = door.mustBeSignedIn(request);
    const { code } = validated(InvitedDto, request.body, scope());
    await guarded(request, 'codes', () => accounts.accept(signed, code, request.ip));
    introduce(signed.accountId);
    return door.me(request);
  });
  app.post<OfId>('/api/me/studios/:id/enter', OPEN, (request) => {
    accounts.enterStudio(door.mustBeSignedIn(request), request.params.id);
    return door.me(request);
  });

  const people = (studioId: string): PeopleReply => ({
    members: accounts.membersOf(studioId),
    invitations: accounts.invitations(studioId),
    audit: [...accounts.eventsOf(studioId, AUDIT_LINES), ...(files.isDamaged(studioId) ? [] : files.newestOfAudit(studioId, AUDIT_LINES))]
      .sort((a, b) => (a.at < b.at ? 1 : -1))
      .slice(0, AUDIT_LINES),
  });

  app.get('/api/people', OPEN, (request) => people(door.mustRunStudio(request).studioId));
  app.post('/api/people/invitations', OPEN, (request, reply) => {
    const signed = door.mustRunStudio(request);
    reply.code(201);
    return accounts.invite(signed, signed.studioId, validated(InvitationDto, request.body, scope()), request.ip);
  });
  app.delete<OfId>('/api/people/invitations/:id', OPEN, (request) => {
    const { studioId } = door.mustRunStudio(request);
    accounts.takeBackInvitation(studioId, request.params.id);
    return people(studioId);
  });
  app.put<OfAccount>('/api/people/:accountId', OPEN, (request) => {
    const signed = door.mustRunStudio(request);
    const { role } = validated(MembershipDto, request.body, scope());
    accounts.setRole(signed, signed.studioId, { accountId: request.params.accountId, role: role ?? null }, request.ip);
    return people(signed.studioId);
  });
  app.post<OfAccount>('/api/people/:accountId/reset-code', OPEN, (request, reply) => {
    const signed = door.mustRunStudio(request);
    reply.code(201);
    return accounts.resetCode(signed, signed.studioId, request.params.accountId, request.ip);
  });

  app.post('/api/studios', OPEN, (request, reply) => {
    const signed = door.mustRunStudio(request);
    const id = v7();
    accounts.addStudio({ id, name: validated(StudioDto, request.body, scope()).name, ownerId: signed.accountId });
    introduce(signed.accountId);
    accounts.enterStudio(signed, id);
    reply.code(201);
    return door.me(request);
  });
  app.put('/api/studio', OPEN, (request) => {
    const { studioId } = door.mustRunStudio(request);
    accounts.renameStudio(studioId, validated(StudioDto, request.body, scope()).name);
    return door.me(request);
  });
}

/** What a guess is refused with. */
const GUESSES: ReadonlySet<string> = new Set(['sign-in-wrong', 'password-wrong', 'code-wrong']);
