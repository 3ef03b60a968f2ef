import { AccountForm, FIELDS } from './AccountForm.tsx';
import { useAcceptInvitationMutation, useSignOutMutation } from './endpoints.ts';
import { FrontPage } from './FrontPage.tsx';

/** An account that belongs to no studio any more. */
export function NoStudio() {
  const [accept, { isLoading, error }] = useAcceptInvitationMutation();
  const [signOut] = useSignOutMutation();
  return (
    <FrontPage title="You are in no studio">
      <p className="mb-4">An owner can invite you: their page “People” makes a code that is good for three days.</p>
      <AccountForm
        focus
        label="Come into a studio"
        fields={[FIELDS.code]}
        submit="Come in"
        waiting={isLoading}
        error={error}
        send={(dto) => void accept(dto).then(({ data }) => data && location.reload())}
      >
        <button type="button" className="btn btn-ghost h-11" onClick={() => void signOut().then(() => location.reload())}>
          Sign out
        </button>
      </AccountForm>
    </FrontPage>
  );
}
