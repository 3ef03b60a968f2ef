import { useState } from 'react';
import { useMeQuery } from '../../client/api.ts';
import { useSession } from '../../client/session.ts';
import { Overlay } from '../../kit/Overlay.tsx';
import { SignIn, type Way, WAY_TITLES } from './SignIn.tsx';

/** The server no longer knows this device, in the middle of work: nothing is taken away, and one tap signs in again. */
export function SignedOutNote() {
  const { signedOut } = useSession();
  const { refetch } = useMeQuery();
  const [open, setOpen] = useState(false);
  const [way, setWay] = useState<Way>('sign in');
  if (!signedOut) return null;
  return (
    <div role="status" className="no-print fixed inset-x-0 bottom-0 z-20 border-t-2 border-error bg-base-100 px-4 py-2">
      <p className="mx-auto flex max-w-3xl flex-wrap items-center gap-x-4 gap-y-1">
        <span>You are signed out. What you enter is kept on this device until you are back.</span>
        <button type="button" className="btn btn-sm btn-primary h-11" onClick={() => setOpen(true)}>
          Sign in again
        </button>
      </p>
      {open && (
        <Overlay label="Sign in again" close={() => setOpen(false)}>
          <div className="p-5">
            <h2 className="mb-3">{WAY_TITLES[way]}</h2>
            <SignIn
              {...{ way, setWay }}
              done={() => {
                setOpen(false);
                void refetch();
              }}
            />
          </div>
        </Overlay>
      )}
    </div>
  );
}
