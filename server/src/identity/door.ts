import '@fastify/cookie';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { actionsOf, roleMay } from '@myokinet/core/accounts';
import type { MeReply } from '@myokinet/core/contracts';
import { Refusal } from '@myokinet/core/errors';
import { addDays } from '@myokinet/core/quantities';
import { timingSafeEqual } from 'node:crypto';
import type { AccountStore } from './accountStore.ts';
import { SIGN_IN, type SignedIn } from './signIns.ts';
import { pageTokenOf } from './secrets.ts';
import type { StudioFiles } from './studioFiles.ts';
import type { Seat } from '../seat.ts';

const COOKIE = 'myokinet-sign-in';
const TOKEN_HEADER = 'x-myokinet-page';
const HOURS_A_DAY = 24;
const A_DAY_SECONDS = 86_400;

interface Options {
  readonly accounts: AccountStore;
  readonly files: StudioFiles;
  readonly now: () => Date;
  /** Whether pages are served over TLS, so that cookies never travel without it. */
  readonly secure: boolean;
}

/** Lets in whoever is signed in, to the studio that their device is in. */
export function accountDoor({ accounts, files, now, secure }: Options) {
  const cookie = { path: '/', httpOnly: true, sameSite: 'strict', secure } as const;

  const tokenOf = ({ cookies }: FastifyRequest): string | undefined => cookies[COOKIE];

  const find = (request: FastifyRequest): SignedIn | undefined => {
    const token = tokenOf(request);
    return token === undefined ? undefined : accounts.signedIn(token);
  };

  /**
   * A page elsewhere may make a browser send the cookie, and can never read what has to go along with it. A page that still shows another
   * studio, or another account, has another token: nothing of it lands here.
   */
  function mustBeOwnPage(request: FastifyRequest, { studioId }: SignedIn): void {
    if (request.method === 'GET' || request.method === 'HEAD') return;
    const sent = request.headers[TOKEN_HEADER];
    const wanted = pageTokenOf(tokenOf(request) ?? '', studioId);
    const same = typeof sent === 'string' && sent.length === wanted.length && timingSafeEqual(Buffer.from(sent), Buffer.from(wanted));
    if (!same) throw new Refusal('from-elsewhere');
  }

  /** @throws Refusal `not-signed-in`, `from-elsewhere` */
  function mustBeSignedIn(request: FastifyRequest): SignedIn {
    const signed = find(request);
    if (!signed) throw new Refusal('not-signed-in');
    mustBeOwnPage(request, signed);
    return signed;
  }

  const mayStillSign = ({ confirmedAt }: SignedIn): boolean => confirmedAt > addDays(now(), -SIGN_IN.signHours / HOURS_A_DAY);

  /** @throws Refusal `role-short` */
  function mustRunStudio(request: FastifyRequest): SignedIn & { readonly studioId: string } {
    const signed = mustBeSignedIn(request);
    const { studioId, role } = signed;
    if (studioId === null || role === null || !roleMay(role, 'run-studio'))
      throw new Refusal('role-short', 'Only an owner of this studio may do this.');
    return { ...signed, studioId };
  }

  return {
    mayStillSign,
    mustRunStudio,
    find,
    mustBeSignedIn,

    seatOf(request: FastifyRequest): Seat {
      const signed = mustBeSignedIn(request);
      const { accountId, studioId, role, initials } = signed;
      if (studioId === null || role === null) throw new Refusal('not-signed-in', 'This account belongs to no studio.');
      const actor = { coachId: accountId, role, initials, confirmed: mayStillSign(signed) };
      return { studio: files.servicesOf(studioId), actor };
    },

    letIn(reply: FastifyReply, token: string): void {
      void reply.setCookie(COOKIE, token, { ...cookie, maxAge: SIGN_IN.days * A_DAY_SECONDS });
    },

    showOut(reply: FastifyReply): void {
      void reply.clearCookie(COOKIE, cookie);
    },

    me(request: FastifyRequest): MeReply {
      if (accounts.nobodyYet()) return { state: 'first run' };
      const token = tokenOf(request);
      const signed = token === undefined ? undefined : accounts.signedIn(token);
      if (!signed || token === undefined) return { state: 'signed out' };
      const { accountId, name, initials, signInName, studioId, studioName, role, confirmedAt } = signed;
      const memberOf = accounts.membershipsOf(accountId).map((m) => ({ id: m.studioId, name: m.studioName, role: m.role }));
      return {
        ...{ state: 'here', demo: false, accountId, name, initials, signInName, studios: memberOf },
        studio: studioId && studioName && role ? { id: studioId, name: studioName, role, damaged: files.isDamaged(studioId) } : null,
        may: role ? actionsOf(role) : [],
        copies: role && roleMay(role, 'run-studio') ? files.copiesState() : null,
        pageToken: pageTokenOf(token, studioId),
        signsUntil: addDays(confirmedAt, SIGN_IN.signHours / HOURS_A_DAY),
      };
    },
  };
}

export type AccountDoor = ReturnType<typeof accountDoor>;
