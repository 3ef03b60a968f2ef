import { ProblemNote } from '../../client/ProblemNote.tsx';
import { clock } from '../../client/clock.ts';
import { sessionHere, useMe } from '../../client/session.ts';
import { Waiting } from '../../kit/Waiting.tsx';
import { AccountForm, FIELDS } from './AccountForm.tsx';
import { agoOf, CopyList } from './CopyList.tsx';
import {
  useChangePasswordMutation,
  useCopiesQuery,
  useCopyNowMutation,
  useDevicesQuery,
  useMakeStudioMutation,
  useRenameStudioMutation,
  useSavePersonMutation,
  useSignOutDeviceMutation,
} from './endpoints.ts';

/** Who I am here, the devices I am signed in on, and, for an owner, the studio's name and its copies. */
export function SettingsPage() {
  const { may } = useMe();
  return (
    <div className="px-4 py-5 sm:px-6">
      <title>Settings · Myokinet</title>
      <h1 className="mb-5">Settings</h1>
      <div className="grid items-start gap-x-12 gap-y-8 lg:grid-cols-2">
        <div className="grid gap-8">
          <Me />
          <Password />
          <Devices />
        </div>
        {may.includes('run-studio') && (
          <div className="grid gap-8">
            <StudioName />
            <Copies />
            <TakeOut />
            <AnotherStudio />
          </div>
        )}
      </div>
    </div>
  );
}

function Me() {
  const { name, initials, signInName } = useMe();
  const [save, { isLoading, error, isSuccess }] = useSavePersonMutation();
  return (
    <section aria-labelledby="me">
      <h2 id="me">Me</h2>
      <p className="aside mb-3">Signed in as {signInName}. Records show the name; the initials stand under what you sign.</p>
      <AccountForm
        label="My name"
        fields={[
          { ...FIELDS.name, value: name },
          { ...FIELDS.initials, value: initials },
        ]}
        submit="Save"
        waiting={isLoading}
        error={error}
        send={(dto) => void save(dto)}
      >
        {isSuccess && <span role="status">Saved.</span>}
      </AccountForm>
    </section>
  );
}

function Password() {
  const [change, { isLoading, error, isSuccess }] = useChangePasswordMutation();
  return (
    <section aria-labelledby="password">
      <h2 id="password">Password</h2>
      <p className="aside mb-3">A new one signs you out on every other device.</p>
      <AccountForm
        label="My password"
        fields={[{ ...FIELDS.password, name: 'old', label: 'Password now' }, FIELDS.newPassword]}
        submit="Change it"
        waiting={isLoading}
        error={error}
        send={(dto) => void change(dto)}
      >
        {isSuccess && <span role="status">Changed.</span>}
      </AccountForm>
    </section>
  );
}

function Devices() {
  const { data, error } = useDevicesQuery();
  const [signOut, { isLoading, error: refused }] = useSignOutDeviceMutation();
  return (
    <section aria-labelledby="devices">
      <h2 id="devices">My devices</h2>
      {!data && (error ? <ProblemNote error={error} /> : <Waiting />)}
      <ul className="mt-2">
        {data?.map(({ id, device, address, seenAt, here }) => (
          <li key={id} className="flex flex-wrap items-center gap-x-4 border-t border-base-300 py-1.5">
            <span className="grow">
              {device} {here && <strong>(this one)</strong>}
              <span className="aside block text-sm">
                seen {agoOf(seenAt)}, signed in from {address}
              </span>
            </span>
            {!here && (
              <button type="button" className="btn btn-sm min-h-11" disabled={isLoading} onClick={() => void signOut(id)}>
                Sign out
              </button>
            )}
          </li>
        ))}
      </ul>
      <ProblemNote error={refused} />
    </section>
  );
}

function StudioName() {
  const { studio } = useMe();
  const [save, { isLoading, error, isSuccess }] = useRenameStudioMutation();
  return (
    <section aria-labelledby="studio">
      <h2 id="studio">The studio</h2>
      <div className="mt-2">
        <AccountForm
          label="The studio’s name"
          fields={[{ name: 'name', label: 'Name of the studio', autoComplete: 'organization', value: studio?.name ?? '' }]}
          submit="Save"
          waiting={isLoading}
          error={error}
          send={(dto) => void save(dto)}
        >
          {isSuccess && <span role="status">Saved.</span>}
        </AccountForm>
      </div>
    </section>
  );
}

/** All of the studio as one archive; the password is asked for where it was typed long ago. */
function TakeOut() {
  const { signsUntil } = useMe();
  const fetchIt = async () => {
    const stale = signsUntil !== null && signsUntil < clock.now().toISOString();
    if (!stale || (await sessionHere.askPassword())) location.assign('/api/records.zip');
  };
  return (
    <section aria-labelledby="take-out">
      <h2 id="take-out">Everything out</h2>
      <p className="aside mt-1 mb-3">
        Every row of this studio as JSON with its schema and as CSV, and the pictures, in one ZIP. Records of one trainee are on the
        trainee’s profile.
      </p>
      <button type="button" className="btn h-11" onClick={() => void fetchIt()}>
        Take the studio out (ZIP)
      </button>
    </section>
  );
}

/** A second place with records of its own: nothing is shared between the two but the library that comes with the program. */
function AnotherStudio() {
  const [make, { isLoading, error }] = useMakeStudioMutation();
  return (
    <section aria-labelledby="another">
      <h2 id="another">Another studio</h2>
      <p className="aside mb-3">With trainees, people and a library of its own, in a file of its own. You become its owner and go there.</p>
      <AccountForm
        label="Another studio"
        fields={[{ name: 'name', label: 'Its name', autoComplete: 'off' }]}
        submit="Make it and go there"
        waiting={isLoading}
        error={error}
        send={(dto) => void make(dto).then(({ data }) => data && location.assign('/'))}
      />
    </section>
  );
}

/** How copies stand, one at once, and the way back. */
function Copies() {
  const { data } = useCopiesQuery();
  const [copyNow, { isLoading, error }] = useCopyNowMutation();
  return (
    <section aria-labelledby="copies">
      <h2 id="copies">Copies</h2>
      {data && (
        <p className="mt-1">
          {data.lastGoodAt ? (
            <>
              Last good copy <strong>{agoOf(data.lastGoodAt)}</strong>, opened and looked over.
            </>
          ) : (
            <strong>There is no copy yet.</strong>
          )}{' '}
          One is made every day and before every update, and kept for 7 days, 5 weeks and 12 months, in <code>{data.folder}</code>
          {data.sealed ? ', sealed with the passphrase.' : '. They are not sealed: start the program with MYOKINET_PASSPHRASE for that.'}
        </p>
      )}
      {data?.problem && <p className="mt-2 border-s-4 border-error bg-error/10 px-4 py-2">{data.problem}</p>}
      <button type="button" className="btn my-3 h-11" disabled={isLoading} onClick={() => void copyNow()}>
        {isLoading ? 'Copying…' : 'Make a copy now'}
      </button>
      <ProblemNote error={error} />
      <CopyList />
    </section>
  );
}
