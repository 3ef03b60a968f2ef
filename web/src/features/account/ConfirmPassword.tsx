import { sessionHere, useSession } from '../../client/session.ts';
import { Overlay } from '../../kit/Overlay.tsx';
import { AccountForm, FIELDS } from './AccountForm.tsx';
import { useConfirmMutation } from './endpoints.ts';

/** Asks for the password once more where the server wants it: a signature, a copy that is brought back. */
export function ConfirmPassword() {
  const { asking } = useSession();
  return asking ? <Asking /> : null;
}

function Asking() {
  const [confirm, { isLoading, error }] = useConfirmMutation();
  return (
    <Overlay label="Your password, once more" close={() => sessionHere.answered(false)}>
      <div className="p-5">
        <h2>Your password, once more</h2>
        <p className="mt-1 mb-3">It was typed more than twelve hours ago, and this is signed with your name.</p>
        <AccountForm
          focus
          label="Your password, once more"
          fields={[FIELDS.password]}
          submit="Go on"
          waiting={isLoading}
          error={error}
          send={(dto) => void confirm(dto).then(({ data }) => data && sessionHere.answered(true))}
        >
          <button type="button" className="btn btn-ghost h-11" onClick={() => sessionHere.answered(false)}>
            Leave it
          </button>
        </AccountForm>
      </div>
    </Overlay>
  );
}
