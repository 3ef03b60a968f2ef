import { FloorCloseDto, inspect } from '@myokinet/core/contracts';
import { closingDeed, deedsBeforeClosing, endingAfter, endingFor, endOf, minutesTaken, verdictOn } from '@myokinet/core/floor';
import { responseInWords, cleannessInWords } from '@myokinet/core/words';
import { useEffect, useEffectEvent, useReducer } from 'react';
import { Link } from 'react-router';
import { clock, nowInstant } from '../../client/clock.ts';
import { newId } from '../../client/newId.ts';
import { AfterLogged } from './AfterLogged.tsx';
import { DoneList } from './DoneList.tsx';
import type { FloorPerson } from './floorPeople.ts';
import { JustDone } from './JustDone.tsx';
import { responseInRun } from './useFloorTools.ts';
import { Unconfirmed } from './Unconfirmed.tsx';
import { useLastSet } from './useLastSet.ts';
import { usePedal } from './usePedal.ts';
import type { LastSet } from './useStage.ts';

interface AfterProps {
  readonly person: FloorPerson;
  /** The set that ended the session: it may still be put right. */
  readonly last: LastSet | undefined;
  readonly setLast: (last: LastSet | undefined) => void;
  readonly back: () => void;
  readonly canGoBack: boolean;
  /** Something is felt now. */
  readonly hurts: () => void;
  /** It is being entered. */
  readonly hurting: boolean;
}

/** The end of a session: how hard, how long, a note; then what follows from it. */
export function After(props: AfterProps) {
  const { person } = props;
  const { run, name } = person;
  const end = endOf(run);
  if (end === 'given up')
    return (
      <section className="my-auto">
        <h1 className="text-4xl">Left without a record</h1>
        <p className="mt-2 text-xl">{name} did no set that was kept.</p>
        <Link className="btn btn-primary mt-4 min-h-16 text-xl" to="/">
          To Today
        </Link>
      </section>
    );
  return (
    <>
      <h1 className="pt-3 text-3xl sm:text-4xl">{end === 'logged' ? `${name}: logged` : `How was it, ${name}?`}</h1>
      {end === 'logged' ? <AfterLogged person={person} /> : <EndForm {...props} />}
    </>
  );
}

const EFFORTS = Array.from({ length: 11 }, (_, i) => i);

function EndForm({ person, last, setLast, back, canGoBack, hurts, hurting }: AfterProps) {
  const { run } = person;
  const [ending, tell] = useReducer(endingAfter, undefined, () => endingFor(minutesTaken(run, person.kept.events, person.library)));
  const { effort, minutes, note, failed } = ending;
  const lastSet = useLastSet(person, last, setLast);
  const close = closingDeed(ending);
  const { problems } = inspect(FloorCloseDto, { ...close, id: newId(), order: 1, at: nowInstant() }, { now: clock.now() });
  const save = async () => {
    for (const deed of deedsBeforeClosing(run, person.library, person.holds)) await person.happen(deed);
    tell({ kind: (await person.happen(close)) === undefined ? 'not kept' : 'kept' });
  };

  useEffortKeys((digit) => {
    if (!hurting) tell({ kind: 'digit', digit });
  });
  usePedal({
    on: () => {
      if (problems.length === 0) void save();
    },
    // Back counts the effort up.
    back: () => tell({ kind: 'effort', effort: ((effort ?? -1) + 1) % EFFORTS.length }),
    off: hurting,
  });

  if (endOf(run) === 'nothing done')
    return (
      <section className="mt-3">
        <p className="text-xl">Nothing was logged.</p>
        <div className="mt-4 flex flex-wrap gap-2">
          {canGoBack && (
            <button type="button" className="btn btn-primary min-h-16 text-xl" onClick={back}>
              Back to the session
            </button>
          )}
          <button type="button" className="btn min-h-16 text-xl" onClick={() => void person.happen({ kind: 'give up' })}>
            Leave without a record
          </button>
        </div>
      </section>
    );
  return (
    <>
      <form
        className="mt-2 flex flex-1 flex-col gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          if (problems.length === 0) void save();
        }}
      >
        <fieldset>
          <legend className="text-xl font-semibold">Effort of the whole session, 0 nothing to 10 all there was</legend>
          <div className="mt-1 grid grid-cols-6 gap-1.5 sm:grid-cols-11">
            {EFFORTS.map((n) => (
              <button
                key={n}
                type="button"
                className={`btn min-h-14 px-0 text-xl ${effort === n ? 'btn-primary' : 'btn-outline border-base-300'}`}
                aria-pressed={effort === n}
                onClick={() => tell({ kind: 'effort', effort: n })}
              >
                {n}
              </button>
            ))}
          </div>
        </fieldset>
        <div className="grid gap-4 sm:grid-cols-[10rem_1fr]">
          <label className="text-xl font-semibold">
            Minutes
            <input
              className="input mt-1 min-h-14 w-full text-2xl font-normal"
              inputMode="numeric"
              value={minutes}
              onChange={(e) => tell({ kind: 'minutes', text: e.target.value })}
            />
          </label>
          <label className="text-xl font-semibold">
            Notes
            <textarea
              className="textarea mt-1 min-h-14 w-full text-lg font-normal"
              rows={2}
              value={note}
              onChange={(e) => tell({ kind: 'note', text: e.target.value })}
            />
          </label>
        </div>
        {last && <JustDone last={last} handle={lastSet} named confirms />}
        <Unconfirmed person={person} leave={last?.setId} />
        <DoneList person={person} />
        <button type="button" className="btn btn-outline min-h-14 self-start border-error text-lg text-error" onClick={hurts}>
          Something is felt now
        </button>
        {run.symptoms.length > 0 && <p className="text-lg">{responseInWords(responseInRun(person).finding)}</p>}
        {effort !== undefined && (
          <p className="text-xl">{cleannessInWords(verdictOn(run, person.library, effort).finding, person.library)}</p>
        )}
        <div className="mt-auto">
          {effort !== undefined && problems[0] && (
            <p role="alert" className="mb-2 text-lg text-error">
              {problems[0].message}
            </p>
          )}
          {failed && (
            <p role="alert" className="mb-2 text-lg text-error">
              Neither this device nor the server has taken it. Nothing is lost on this screen; try again.
            </p>
          )}
          <button type="submit" className="btn btn-primary min-h-20 w-full text-2xl" disabled={problems.length > 0}>
            {effort === undefined ? 'Say the effort' : 'Log the session'}
          </button>
          {canGoBack && (
            <button type="button" className="btn btn-ghost mt-2 min-h-14 w-full text-lg" onClick={back}>
              Back to the session
            </button>
          )}
        </div>
      </form>
    </>
  );
}

/** Digits say the effort wherever nothing is being typed; 1 and then 0 is ten. */
function useEffortKeys(say: (digit: number) => void): void {
  const pressed = useEffectEvent(({ key, target }: KeyboardEvent) => {
    const typing = target instanceof HTMLElement && target.matches('input, textarea');
    if (!typing && /^\d$/.test(key)) say(Number(key));
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => pressed(event);
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}
