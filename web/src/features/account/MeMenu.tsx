import { useState } from 'react';
import { Link } from 'react-router';
import { useMe } from '../../client/session.ts';
import { Overlay } from '../../kit/Overlay.tsx';
import { unsentHere, wipeDevice } from '../../client/deviceData.ts';
import { useEnterStudioMutation, useSignOutMutation } from './endpoints.ts';

/** Who works here, in which studio, and the way out. */
export function MeMenu() {
  const { demo, initials, name, studio } = useMe();
  const [open, setOpen] = useState(false);
  return (
    <>
      <button
        type="button"
        className="btn btn-sm btn-ghost px-2 font-semibold"
        aria-label={`${name}, ${studio?.name ?? ''}: settings and sign out`}
        aria-haspopup="dialog"
        onClick={() => setOpen(true)}
      >
        {demo ? 'Demo' : initials}
      </button>
      {open && (
        <Overlay label={name} close={() => setOpen(false)}>
          <Menu close={() => setOpen(false)} />
        </Overlay>
      )}
    </>
  );
}

function Menu({ close }: { readonly close: () => void }) {
  const { demo, may, name, studio, studios } = useMe();
  const [enter] = useEnterStudioMutation();
  const [unsent, setUnsent] = useState(0);
  // What was typed here is the studio's that it was typed in.
  const go = async (id: string) => {
    const count = await unsentHere();
    setUnsent(count);
    if (count > 0) return;
    await enter(id);
    await wipeDevice();
    location.assign('/');
  };
  if (demo)
    return (
      <div className="p-5">
        <h2>The demo</h2>
        <p className="mt-2">
          Everybody in it is invented, and whoever sits at this machine works in it without a password. A studio of your own has its own
          folder, accounts and copies: start it with <code>npm start</code>.
        </p>
      </div>
    );
  return (
    <div className="grid gap-3 p-5">
      <div>
        <h2>{name}</h2>
        <p className="aside">
          {studio?.role} in {studio?.name}
        </p>
      </div>
      {studios
        .filter((s) => s.id !== studio?.id)
        .map((s) => (
          <button key={s.id} type="button" className="btn h-11 justify-start" onClick={() => void go(s.id)}>
            Go to {s.name} ({s.role})
          </button>
        ))}
      {unsent > 0 && (
        <p role="alert">
          {unsent} {unsent === 1 ? 'entry' : 'entries'} of {studio?.name} on this device {unsent === 1 ? 'has' : 'have'} not reached the
          server. Send or throw away first, then go.
        </p>
      )}
      <Link to="/settings" className="btn h-11 justify-start" onClick={close}>
        Settings: me, devices{may.includes('run-studio') && ', studio and copies'}
      </Link>
      {may.includes('run-studio') && (
        <Link to="/people" className="btn h-11 justify-start" onClick={close}>
          People and what they did
        </Link>
      )}
      <SignOut />
    </div>
  );
}

/** What people typed on this device goes with them; what was not sent is asked about first. */
function SignOut() {
  const [unsent, setUnsent] = useState<number>();
  const [signOut, { isLoading }] = useSignOutMutation();
  const leave = async () => {
    await signOut();
    await wipeDevice();
    location.assign('/');
  };
  const ask = async () => {
    const count = await unsentHere();
    if (count > 0) setUnsent(count);
    else await leave();
  };
  if (unsent === undefined)
    return (
      <button type="button" className="btn h-11 justify-start" disabled={isLoading} onClick={() => void ask()}>
        Sign out, and take everything off this device
      </button>
    );
  return (
    <div role="alert" className="border-s-4 border-error bg-error/10 px-4 py-3">
      <p>
        {unsent} {unsent === 1 ? 'entry' : 'entries'} on this device {unsent === 1 ? 'has' : 'have'} not reached the server. Signing out
        takes
        {unsent === 1 ? ' it' : ' them'} away.
      </p>
      <div className="mt-2 flex flex-wrap gap-3">
        <button type="button" className="btn btn-error h-11" onClick={() => void leave()}>
          Sign out and lose {unsent === 1 ? 'it' : 'them'}
        </button>
        <button type="button" className="btn h-11" onClick={() => setUnsent(undefined)}>
          Stay signed in
        </button>
      </div>
    </div>
  );
}
