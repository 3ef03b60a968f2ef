import { type Role, ROLES } from '@myokinet/core/accounts';
import type { MemberReply, OneTimeReply } from '@myokinet/core/contracts';
import { shortDay } from '@myokinet/core/quantities';
import { useState } from 'react';
import { clock } from '../../client/clock.ts';
import { newId } from '../../client/newId.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useMe } from '../../client/session.ts';
import { Waiting } from '../../kit/Waiting.tsx';
import { auditWords } from './auditWords.ts';
import { agoOf } from './CopyList.tsx';
import { useInviteMutation, usePeopleQuery, useResetCodeMutation, useSetRoleMutation, useTakeBackInvitationMutation } from './endpoints.ts';

const WHAT_THEY_DO: Readonly<Record<Role, string>> = {
  owner: 'everything, and people, the studio’s name and its copies',
  coach: 'measures, plans, logs, signs, changes the library',
  assistant: 'measures and logs; signs nothing, plans nothing, overrules nothing',
};

/** Who works in the studio and as what, invitations, and who did what. For owners. */
export function PeoplePage() {
  const { data, error } = usePeopleQuery();
  const [code, setCode] = useState<Shown>();
  return (
    <div className="px-4 py-5 sm:px-6">
      <title>People · Myokinet</title>
      <h1 className="mb-1">People</h1>
      <p className="aside mb-5 max-w-3xl">
        Each works under an own name: own measuring error, own initials under a signature. Whoever is taken out is out at once, on every
        device; what they recorded stays.
      </p>
      {!data && (error ? <ProblemNote error={error} /> : <Waiting />)}
      {data && (
        <div className="grid items-start gap-x-12 gap-y-8 xl:grid-cols-2">
          <div>
            <ul>
              {data.members.map((member) => (
                <Member key={member.id} member={member} show={setCode} />
              ))}
            </ul>
            <Invite show={setCode} />
            {code && <OneTime {...code} />}
            <Invitations />
          </div>
          <section aria-labelledby="audit">
            <h2 id="audit">Who did what</h2>
            <ol className="mt-2 max-h-[70vh] overflow-y-auto" tabIndex={0} aria-label="Who did what, newest first">
              {data.audit.map(({ at, name, what, about, address }, i) => (
                <li key={i} className="grid grid-cols-[5.5rem_minmax(0,1fr)] gap-x-3 border-t border-base-300 py-1.5 leading-snug">
                  <time dateTime={at} className="aside text-sm">
                    {shortDay(at, clock.now())} {new Date(at).toLocaleTimeString(undefined, { hour: '2-digit', minute: '2-digit' })}
                  </time>
                  <span>
                    <strong>{name ?? 'Somebody'}</strong> {auditWords(what, about)}
                    <span className="aside ms-2 text-sm">{address}</span>
                  </span>
                </li>
              ))}
            </ol>
          </section>
        </div>
      )}
    </div>
  );
}

interface Shown extends OneTimeReply {
  readonly about: string;
}

function Member({ member, show }: { readonly member: MemberReply; readonly show: (code: Shown) => void }) {
  const { id, name, initials, signInName, role, seenAt } = member;
  const me = useMe();
  const [setRole, { error, isLoading }] = useSetRoleMutation();
  const [giveCode, given] = useResetCodeMutation();
  const [leaving, setLeaving] = useState(false);
  return (
    <li className="border-t border-base-300 py-2">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1">
        <span className="min-w-48 grow">
          <strong>{name}</strong> <span className="aside">{initials}</span>
          <span className="aside block text-sm">
            {signInName}, {seenAt ? `seen ${agoOf(seenAt)}` : 'never signed in'}
          </span>
        </span>
        <select
          className="select h-11 w-36"
          aria-label={`Role of ${name}`}
          value={role}
          disabled={isLoading}
          onChange={(event) => void setRole({ accountId: id, body: { role: event.target.value as Role } })}
        >
          {ROLES.map((r) => (
            <option key={r} value={r}>
              {r}
            </option>
          ))}
        </select>
        {id !== me.accountId && (
          <>
            <button
              type="button"
              className="btn btn-sm min-h-11"
              disabled={given.isLoading}
              onClick={() => void giveCode(id).then(({ data }) => data && show({ ...data, about: `a new password for ${name}` }))}
            >
              New password…
            </button>
            <button type="button" className="btn btn-sm min-h-11" onClick={() => setLeaving(true)}>
              Take out…
            </button>
          </>
        )}
      </div>
      <p className="aside text-sm">{WHAT_THEY_DO[role]}</p>
      {leaving && (
        <div
          role="alertdialog"
          aria-label={`Take ${name} out of the studio?`}
          className="mt-1 border-s-4 border-error bg-error/10 px-4 py-2"
        >
          <p>{name} is signed out of this studio on every device. What was recorded stays under this name.</p>
          <div className="mt-2 flex flex-wrap gap-3">
            <button type="button" className="btn btn-error h-11" onClick={() => void setRole({ accountId: id, body: { role: null } })}>
              Take {name} out
            </button>
            <button type="button" className="btn h-11" onClick={() => setLeaving(false)}>
              Leave it
            </button>
          </div>
        </div>
      )}
      <ProblemNote error={error ?? given.error} />
    </li>
  );
}

function Invite({ show }: { readonly show: (code: Shown) => void }) {
  const [invite, { error, isLoading }] = useInviteMutation();
  const [role, setRole] = useState<Role>('coach');
  return (
    <form
      aria-label="Invite somebody"
      className="mt-6 flex flex-wrap items-end gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        void invite({ id: newId(), role }).then(
          ({ data }) => data && show({ ...data, about: `${role === 'coach' ? 'a coach' : `an ${role}`} to come in` }),
        );
      }}
    >
      <label className="font-semibold">
        Invite somebody as
        <select className="select mt-1 block h-11 w-44 font-normal" value={role} onChange={(event) => setRole(event.target.value as Role)}>
          {ROLES.map((r) => (
            <option key={r} value={r}>
              {r}
            </option>
          ))}
        </select>
      </label>
      <button type="submit" className="btn btn-primary h-11" disabled={isLoading}>
        Make an invitation
      </button>
      <ProblemNote error={error} />
    </form>
  );
}

/** A code that is shown once. */
function OneTime({ code, lapsesAt, about }: Shown) {
  return (
    <div role="status" className="mt-4 border-s-4 border-primary bg-base-200 px-4 py-3">
      <p>Code for {about}:</p>
      <p className="my-1 font-mono text-2xl tracking-wide select-all">{code}</p>
      <p className="aside text-sm">
        It is shown only now, works once, and until {shortDay(lapsesAt, clock.now())}. Say it or write it down for them: whoever has it
        comes in.
      </p>
    </div>
  );
}

function Invitations() {
  const { data } = usePeopleQuery();
  const [takeBack, { error }] = useTakeBackInvitationMutation();
  if (!data || data.invitations.length === 0) return null;
  return (
    <section aria-labelledby="open-invitations" className="mt-6">
      <h2 id="open-invitations">Open invitations</h2>
      <ul className="mt-1">
        {data.invitations.map(({ id, role, madeAt, lapsesAt }) => (
          <li key={id} className="flex flex-wrap items-center gap-x-4 border-t border-base-300 py-1.5">
            <span className="grow">
              {role}, made {agoOf(madeAt)}, good until {shortDay(lapsesAt, clock.now())}
            </span>
            <button type="button" className="btn btn-sm min-h-11" onClick={() => void takeBack(id)}>
              Take it back
            </button>
          </li>
        ))}
      </ul>
      <ProblemNote error={error} />
    </section>
  );
}
