import type { MeHere } from '@myokinet/core/contracts';
import { useCallback, useEffect, useRef, useState } from 'react';
import { Outlet } from 'react-router';
import { useMeQuery } from '../../client/api.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { isOffline } from '../../client/problem.ts';
import { deviceHolder, holdDevice, MeContext, rememberedMe } from '../../client/session.ts';
import { Waiting } from '../../kit/Waiting.tsx';
import { ConfirmPassword } from './ConfirmPassword.tsx';
import { DamagedStudio } from './DamagedStudio.tsx';
import { FirstRun } from './FirstRun.tsx';
import { FrontPage } from './FrontPage.tsx';
import { NoStudio } from './NoStudio.tsx';
import { OtherAccount } from './OtherAccount.tsx';
import { SignedOutNote } from './SignedOutNote.tsx';
import { SignIn, type Way, WAY_TITLES } from './SignIn.tsx';

/** Whoever is signed in comes through; everybody else finds the way in. Without the server, whoever was here last. */
export function AccountGate() {
  const { data, error, refetch } = useMeQuery();
  const [before] = useState(rememberedMe);
  const [way, setWay] = useState<Way>('sign in');
  const [inside, setInside] = useState<MeHere>();
  const me = data ?? (error && isOffline(error) && before ? before : undefined);
  // Who is inside stays inside, whatever becomes of the sign-in: a session on the floor is never taken away.
  if (me?.state === 'here' && me !== inside) setInside(me);
  const moved = useRef<string>(undefined);
  useEffect(() => {
    const here = inside?.studio?.id;
    // Another tab went to another studio: nothing of the one before may stay on this page.
    if (moved.current !== undefined && here !== moved.current) location.assign('/');
    moved.current = here;
  }, [inside]);
  if (inside) return <Inside me={inside} />;
  if (!me) return error ? <ProblemNote error={error} retry={() => void refetch()} /> : <Waiting />;
  const done = () => void refetch();
  return me.state === 'first run' ? (
    <FrontPage title="Set up the studio">
      <FirstRun done={done} />
    </FrontPage>
  ) : (
    <FrontPage title={WAY_TITLES[way]}>
      <SignIn {...{ way, setWay, done }} />
    </FrontPage>
  );
}

function Inside({ me }: { readonly me: MeHere }) {
  const [holder, setHolder] = useState(deviceHolder);
  const another = holder !== undefined && holder.accountId !== me.accountId;
  const forgetHolder = useCallback(() => setHolder(undefined), []);
  useEffect(() => {
    if (!another) holdDevice(me);
  }, [another, me]);
  if (another) return <OtherAccount before={holder} me={me} done={forgetHolder} />;
  return (
    <MeContext value={me}>
      {me.studio === null ? <NoStudio /> : me.studio.damaged ? <DamagedStudio studio={me.studio.name} /> : <Outlet />}
      <ConfirmPassword />
      <SignedOutNote />
    </MeContext>
  );
}
