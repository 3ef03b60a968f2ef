import { classTime } from '@myokinet/core/classes';
import { Monitor, Undo2, UserPlus, Volume2, VolumeX, X } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import { UnreadableNote } from '../../kit/UnreadableNote.tsx';
import { Waiting } from '../../kit/Waiting.tsx';
import { classTimeNow } from './classClock.ts';
import type { ClassRun } from './classRuns.ts';
import { EmergencyOfMany } from '../emergency/index.ts';
import { ClassBar, classSound, setClock, useCalls } from './ClassBar.tsx';
import { ClassEnding, ClassOver } from './ClassEnding.tsx';
import { Hurts, useHurtsInClass } from './Hurts.tsx';
import { LateComer } from './LateComer.tsx';
import { NoSuchClass } from './NoSuchClass.tsx';
import { PersonTile } from './PersonTile.tsx';
import { type OpenClass, useClass, useClassTime } from './useClass.ts';
import { peopleIn, shortNames } from './words.ts';

/** A class as its coach runs it: one clock, a tile for each. Works from this device’s disk; the server and other devices follow. */
export function ClassPage() {
  const { classId = '' } = useParams();
  const { open, problem, again } = useClass(classId);
  if (!open) return problem ? <NoSuchClass problem={problem} again={again} /> : <Waiting />;
  return <Coach open={open} />;
}

function Coach({ open }: { readonly open: OpenClass }) {
  const { id, run, state, happen } = open;
  const { moment } = useClassTime(state, 'moment');
  const [ending, setEnding] = useState(false);
  const [late, setLate] = useState(false);
  const [said, setSaid] = useState('');
  const hurts = useHurtsInClass(id);
  useCalls(state, open.library);
  useKeys(open);
  const people = peopleIn(run, state);
  const names = shortNames(new Map(people.map(({ person }) => [person.traineeId, person.name])));
  const over = state.closed !== undefined || state.givenUp;
  const { last } = state;
  const few = people.length <= FEW;
  const hurt = people.find(({ person }) => person.traineeId === hurts.hurting?.who);
  return (
    <div className="flex min-h-screen flex-col">
      <title>{`${state.head.name} · Myokinet`}</title>
      <header className="flex flex-wrap items-center gap-x-3 gap-y-1 border-b border-base-300 px-3 py-1.5 sm:px-5">
        <h1 className="text-lg">{state.head.name}</h1>
        <LinkWords run={run} />
        <span className="ms-auto flex flex-wrap items-center gap-1">
          {!over && last && 'who' in last && (
            <button type="button" className="btn btn-sm min-h-11" onClick={() => happen({ kind: 'take back', eventId: last.id })}>
              <Undo2 size={16} aria-hidden /> Take back: {MARK_WORDS[last.kind]}, {names.get(last.who) ?? ''}
            </button>
          )}
          {!over && (
            <>
              <Mute />
              <EmergencyOfMany people={people.map(({ person: { traineeId, name } }) => ({ traineeId, name }))} before={() => stand(open)} />
              <button type="button" className="btn btn-sm min-h-11" onClick={() => setLate(true)}>
                <UserPlus size={16} aria-hidden /> Somebody comes late
              </button>
              <Link className="btn btn-sm min-h-11" to={`/class/${id}/wall`} target="_blank">
                <Monitor size={16} aria-hidden /> Wall
              </Link>
              <button
                type="button"
                className="btn btn-sm btn-outline min-h-11"
                onClick={() => {
                  stand(open);
                  setEnding(true);
                }}
              >
                End the class
              </button>
            </>
          )}
          <Link className="btn btn-ghost size-11 min-h-0 p-0" to="/" aria-label="Leave this page; the class stays open">
            <X size={20} aria-hidden />
          </Link>
        </span>
      </header>
      <main className="flex flex-1 flex-col">
        <UnreadableNote sentences={run.unreadable} />
        {run.problem && (
          <p role="alert" className="border-s-4 border-error bg-error/10 px-3 py-1.5">
            {run.problem.sentence} What is marked is kept on this device.
          </p>
        )}
        {said !== '' && (
          <p role="alert" className="flex items-center border-s-8 border-error bg-error/10 px-3 py-1.5">
            <span className="flex-1">{said}</span>
            <button type="button" className="btn btn-ghost btn-sm" onClick={() => setSaid('')}>
              Read
            </button>
          </p>
        )}
        {over ? (
          <ClassOver open={open} people={people} />
        ) : ending || moment >= state.head.moments.length ? (
          <ClassEnding
            open={open}
            people={people}
            moment={moment}
            back={() => {
              setEnding(false);
              if (moment >= state.head.moments.length) setClock(open, 'back');
            }}
          />
        ) : (
          <>
            <ClassBar open={open} />
            <div className="flex-1 p-2 sm:p-3">
              <ul
                className={`grid auto-rows-fr gap-2 sm:grid-cols-2 ${few ? 'lg:min-h-[calc(100vh-10rem)] lg:grid-cols-4' : 'lg:grid-cols-5'}`}
              >
                {people.map(({ person, member }) => (
                  <PersonTile
                    key={person.traineeId}
                    {...{ open, person, member, moment }}
                    figures={few}
                    name={names.get(person.traineeId) ?? person.name}
                    hurts={() => hurts.begin(person.traineeId, moment)}
                  />
                ))}
              </ul>
            </div>
          </>
        )}
      </main>
      {late && <LateComer open={open} moment={moment} close={() => setLate(false)} />}
      {hurt && <Hurts open={open} hurts={hurts} person={hurt.person} member={hurt.member} say={setSaid} />}
    </div>
  );
}

/** So many tiles have room for a figure. */
const FEW = 8;

/** Space lets the clock go and stand, arrows or a pedal go to the next or back; in a field and on a button keys are the field’s. */
function useKeys(open: OpenClass): void {
  useEffect(() => {
    const press = (event: KeyboardEvent) => {
      const { state } = open;
      if (event.repeat || event.target !== document.body || state.closed || state.givenUp || document.querySelector('dialog[open]')) return;
      const { running } = classTime(state.clock, classTimeNow.now(), state.head.moments);
      const act = ({ ' ': running ? 'stand' : 'go', ArrowRight: 'next', PageDown: 'next', ArrowLeft: 'back', PageUp: 'back' } as const)[
        event.key
      ];
      if (!act) return;
      event.preventDefault();
      setClock(open, act);
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [open]);
}

/** Everybody stands still, where the clock runs. */
function stand(open: OpenClass): void {
  const { clock, head } = open.state;
  if (classTime(clock, classTimeNow.now(), head.moments).running) setClock(open, 'stand');
}

const MARK_WORDS = { sits: 'in or out', swap: 'easier or harder', fault: 'fault', count: 'counted' } as const;

function Mute() {
  const [muted, setMuted] = useState(classSound.muted);
  return (
    <button
      type="button"
      className="btn btn-ghost size-11 min-h-0 p-0"
      aria-label={muted ? 'Sound on' : 'Sound off'}
      aria-pressed={muted}
      onClick={() => {
        classSound.mute(!muted);
        setMuted(!muted);
        void classSound.wake();
      }}
    >
      {muted ? <VolumeX size={20} aria-hidden /> : <Volume2 size={20} aria-hidden />}
    </button>
  );
}

/** Whether all is with the server, in words. */
function LinkWords({ run: { link, unsent, keepsNothing } }: { readonly run: ClassRun }) {
  const words =
    link === 'offline'
      ? `no server · ${unsent.length} kept here`
      : unsent.length > 0
        ? `sending ${unsent.length}…`
        : link === 'refused'
          ? 'refused'
          : 'all on record';
  return (
    <span role="status" className="aside text-sm">
      {words}
      {keepsNothing ? `; this device keeps nothing (${keepsNothing})` : ''}
    </span>
  );
}
