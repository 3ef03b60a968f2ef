import { Speech, Volume2, VolumeX, X } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { ClockNote } from '../../client/ClockNote.tsx';
import { EmergencyButton } from '../emergency/index.ts';
import type { FloorClock } from '../../client/floorClock.ts';
import type { FloorPerson } from './floorPeople.ts';
import type { FloorRun } from './floorRuns.ts';
import type { useWakeLock } from '../../client/useWakeLock.ts';
import { voice } from '../../client/voice.ts';
import { UnreadableNote } from '../../kit/UnreadableNote.tsx';

interface FloorBarProps {
  readonly people: readonly FloorPerson[];
  readonly at: number;
  readonly go: (at: number) => void;
  readonly clock: FloorClock;
  readonly wake: ReturnType<typeof useWakeLock>;
  /** Ends the set under way with what was done of it. */
  readonly endSet: () => void;
}

/** Who trains, what is not yet sent, sound, and the way out. */
export function FloorBar({ people, at, go, clock, wake, endSet }: FloorBarProps) {
  const person = people[at];
  const [muted, setMuted] = useState(clock.muted);
  const [spoken, setSpoken] = useState(voice.on);
  const mute = () => {
    clock.mute(!muted);
    setMuted(!muted);
    void clock.wake();
  };
  return (
    <header className="flex flex-wrap items-center gap-x-3 gap-y-[4px] border-b border-base-300 px-3 py-[6px] sm:px-6 low:py-[2px]">
      {people.length === 1 ? (
        <span className="font-display text-lg font-semibold">{people[0]?.name}</span>
      ) : (
        <nav aria-label="Trainees" className="flex flex-wrap gap-1.5">
          {people.map((p, i) => (
            <button
              key={p.runId}
              type="button"
              className={`btn h-auto min-h-[44px] px-3 ${i === at ? 'btn-primary' : 'btn-outline border-base-300'}`}
              aria-pressed={i === at}
              onClick={() => go(i)}
            >
              {firstName(p.name)}
              <span className="text-sm font-normal">
                {p.run.closed ? 'logged' : p.open.length === 0 ? 'say the effort' : `${p.open.length} to go`}
                {p.kept.unsent.length > 0 ? ` · ${p.kept.unsent.length} unsent` : ''}
              </span>
            </button>
          ))}
        </nav>
      )}
      <span className="ms-auto flex items-center gap-1">
        <LinkState people={people} />
        {wake === 'refused' && <span className="text-sm max-sm:hidden">screen may sleep</span>}
        <button
          type="button"
          className="btn btn-ghost size-[44px] min-h-0 p-0"
          aria-label={muted ? 'Sound on' : 'Sound off'}
          aria-pressed={muted}
          onClick={mute}
        >
          {muted ? <VolumeX size={22} aria-hidden /> : <Volume2 size={22} aria-hidden />}
        </button>
        {voice.available && (
          <button
            type="button"
            className="btn btn-ghost size-[44px] min-h-0 p-0"
            aria-label={spoken ? 'Voice off' : 'Voice on: says what is next and what is left'}
            aria-pressed={spoken}
            onClick={() => {
              voice.turn(!spoken);
              setSpoken(!spoken);
            }}
          >
            <Speech size={22} className={spoken ? '' : 'opacity-50'} aria-hidden />
          </button>
        )}
        {person && (
          <EmergencyButton
            className="h-auto min-h-[44px]! py-0"
            traineeId={person.kept.pack.trainee.id}
            name={person.name}
            before={endSet}
          />
        )}
        <Link className="btn btn-ghost size-[44px] min-h-0 p-0" to="/" aria-label="Leave the floor; the session stays open">
          <X size={22} aria-hidden />
        </Link>
      </span>
      <ClockNote />
      {people.map(({ runId, name, kept }) => (
        <KeptNote key={runId} name={name} kept={kept} />
      ))}
    </header>
  );
}

/** Whether all is with the server, in words. */
function LinkState({ people }: { readonly people: readonly FloorPerson[] }) {
  const unsent = people.reduce((sum, { kept }) => sum + kept.unsent.length + kept.unsentPhotos.length, 0);
  const offline = people.some(({ kept }) => kept.link === 'offline');
  const words = offline
    ? `no server · ${unsent} unsent, kept here`
    : unsent > 0
      ? `sending ${unsent}…`
      : people.some(({ kept }) => kept.link === 'refused')
        ? 'refused'
        : 'all sent';
  return (
    <span role="status" className={`text-sm ${offline ? 'state-mark font-semibold' : ''}`}>
      {words}
    </span>
  );
}

/** What stands between a set and the record. */
function KeptNote({ name, kept }: { readonly name: string; readonly kept: FloorRun }) {
  if (kept.keepsNothing)
    return (
      <p role="alert" className="w-full border-s-4 border-warning bg-warning/10 px-3 py-1">
        Nothing can be kept here: {kept.keepsNothing}. Each set of {firstName(name)} goes to the server before it counts as logged, so stay
        online, or free some space.
      </p>
    );
  if (kept.link === 'refused' && kept.problem)
    return (
      <p role="alert" className="w-full border-s-4 border-error bg-error/10 px-3 py-1">
        The server refuses what {firstName(name)} did: {kept.problem.sentence} It stays on this device.
      </p>
    );
  return <UnreadableNote sentences={kept.unreadable ?? []} />;
}

export function firstName(name: string): string {
  return name.split(' ')[0] ?? name;
}
