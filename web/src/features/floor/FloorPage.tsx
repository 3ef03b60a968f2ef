import { useEffect, useState } from 'react';
import { useStore } from 'react-redux';
import { Link, useParams } from 'react-router';
import type { Problem } from '../../client/problem.ts';
import { useLamp } from '../../kit/useLamp.ts';
import { Waiting } from '../../kit/Waiting.tsx';
import type { FloorPack } from './keep.ts';
import { Floor } from './Floor.tsx';
import { useFloorPeople } from './floorPeople.ts';
import { floor, type FloorHome } from './floorSync.ts';
import { StartTaken } from './StartTaken.tsx';

/** How often the floor asks what other devices did. */
const LOOK_AGAIN_MS = 4000;
const MOST_PEOPLE = 6;

/** A session being run, full screen: one trainee, or up to six in turn. Works from this device's disk; the server follows. */
export function FloorPage() {
  const { runIds = '' } = useParams();
  const ids = [...new Set(runIds.split('+'))].slice(0, MOST_PEOPLE);
  const home = useStore() as FloorHome;
  const people = useFloorPeople(ids);
  const [problem, setProblem] = useState<Problem | undefined>();
  const [tries, setTries] = useState(0);
  const [taken, setTaken] = useState<FloorPack | undefined>();
  useLamp();

  const key = ids.join('+');
  useEffect(() => {
    let gone = false;
    void Promise.all(key.split('+').map((id) => floor.open(home, id))).then((problems) => {
      if (!gone) setProblem(problems.find((p) => p));
    });
    void Promise.all(key.split('+').map((id) => floor.taken(id))).then((packs) => {
      if (!gone) setTaken(packs.find((p) => p));
    });
    return () => {
      gone = true;
    };
  }, [home, key, tries]);

  useEffect(() => {
    const look = () => key.split('+').forEach((id) => void floor.sync(home, id));
    const timer = window.setInterval(look, LOOK_AGAIN_MS);
    window.addEventListener('online', look);
    return () => {
      window.clearInterval(timer);
      window.removeEventListener('online', look);
    };
  }, [home, key]);

  if (people.length === ids.length) return <Floor people={people} />;
  if (taken) return <StartTaken key={taken.id} pack={taken} begun={() => setTries(tries + 1)} />;
  return (
    <main className="p-6">
      <title>Floor · Myokinet</title>
      {problem ? (
        <>
          <h1>This session is not on this device</h1>
          <p role="alert" className="my-3 border-s-4 border-error bg-error/10 px-4 py-2.5">
            {problem.sentence}
          </p>
          <div className="flex gap-2">
            <button type="button" className="btn" onClick={() => setTries(tries + 1)}>
              Try again
            </button>
            <Link className="btn btn-ghost" to="/">
              To Today
            </Link>
          </div>
        </>
      ) : (
        <Waiting />
      )}
    </main>
  );
}
