import { AccountForm, FIELDS } from './AccountForm.tsx';
import { useJoinMutation, useResetPasswordMutation, useSignInMutation } from './endpoints.ts';

export type Way = 'sign in' | 'join' | 'reset';

const OTHER_WAYS: Readonly<Record<Way, readonly (readonly [Way, string])[]>> = {
  'sign in': [
    ['join', 'I have an invitation'],
    ['reset', 'I forgot my password'],
  ],
  join: [['sign in', 'I have an account']],
  reset: [['sign in', 'Back to signing in']],
};

/** What each way is called over its page. */
export const WAY_TITLES: Readonly<Record<Way, string>> = {
  'sign in': 'Sign in',
  join: 'Come in on an invitation',
  reset: 'A new password',
};

/** How somebody comes in: with a password, on an invitation, or with an owner's code for a new password. */
export function SignIn({ way, setWay, done }: Done & { readonly way: Way; readonly setWay: (way: Way) => void }) {
  return (
    <>
      {way === 'sign in' && <ByPassword done={done} />}
      {way === 'join' && <OnInvitation done={done} />}
      {way === 'reset' && <ByCode done={done} />}
      <p className="mt-6 flex flex-wrap gap-x-5 gap-y-1 border-t border-base-300 pt-3">
        {OTHER_WAYS[way].map(([other, words]) => (
          <button key={other} type="button" className="link min-h-11" onClick={() => setWay(other)}>
            {words}
          </button>
        ))}
      </p>
    </>
  );
}

interface Done {
  readonly done: () => void;
}

/** Goes on where the server let somebody in. */
const going =
  <Dto,>(send: (dto: Dto) => Promise<{ readonly data?: unknown }>, done: () => void) =>
  (dto: Dto) =>
    void send(dto).then(({ data }) => data && done());

function ByPassword({ done }: Done) {
  const [signIn, { isLoading, error }] = useSignInMutation();
  const { hint: _, ...name } = FIELDS.signInName;
  return (
    <AccountForm
      focus
      label="Sign in"
      fields={[name, FIELDS.password]}
      submit="Sign in"
      waiting={isLoading}
      error={error}
      send={going(signIn, done)}
    />
  );
}

function OnInvitation({ done }: Done) {
  const [join, { isLoading, error }] = useJoinMutation();
  return (
    <>
      <p className="mb-3">The code comes from an owner of the studio. It makes an account of your own.</p>
      <AccountForm
        focus
        label="Come in on an invitation"
        fields={[FIELDS.code, FIELDS.name, FIELDS.initials, FIELDS.signInName, FIELDS.newPassword]}
        submit="Make my account"
        waiting={isLoading}
        error={error}
        send={going(join, done)}
      />
    </>
  );
}

function ByCode({ done }: Done) {
  const [reset, { isLoading, error }] = useResetPasswordMutation();
  return (
    <>
      <p className="mb-3">Ask an owner of your studio: their page “People” gives a code for a new password, good for three days.</p>
      <AccountForm
        focus
        label="New password by code"
        fields={[FIELDS.code, FIELDS.newPassword]}
        submit="Set the new password"
        waiting={isLoading}
        error={error}
        send={going(reset, done)}
      />
    </>
  );
}
