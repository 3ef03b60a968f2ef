import type { MeHere } from '@myokinet/core/contracts';
import { useEffect, useRef, useState } from 'react';
import { Outlet } from 'react-router';
import { useMeQuery } from '../../client/api.ts';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { isOffline } from '../../client/problem.ts';
import { MeContext, rememberedMe } from '../../client/session.ts';
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
  if (inside) return <Inside me={inside} before={before} />;
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

function Inside({ me, before }: { readonly me: MeHere; readonly before: MeHere | undefined }) {
  const [settled, setSettled] = useState(false);
  if (before && before.accountId !== me.accountId && !settled)
    return <OtherAccount before={before} me={me} done={() => setSettled(true)} />;
  return (
    <MeContext value={me}>
      {me.studio === null ? <NoStudio /> : me.studio.damaged ? <DamagedStudio studio={me.studio.name} /> : <Outlet />}
      <ConfirmPassword />
      <SignedOutNote />
    </MeContext>
  );
}
