import type { FloorDeed, Holds, RunState, Step } from '@myokinet/core/floor';
import { openSteps, runOf } from '@myokinet/core/floor';
import { fittedTo, type Library, openLibrary, EMPTY_LIBRARY } from '@myokinet/core/library';
import type { CautionInForce, SymptomContext } from '@myokinet/core/safety';
import { type KnownBody, traineeBody } from '@myokinet/core/statics';
import { useSelector, useStore } from 'react-redux';
import { clock } from '../../client/clock.ts';
import { pressedHere } from '../emergency/index.ts';
import { floor, type FloorHome } from './floorSync.ts';
import type { FloorRun, FloorState } from './floorRuns.ts';
import type { FloorPack } from './keep.ts';

/** One trainee on the floor: the run as it stands, and what can be done in it. */
export interface FloorPerson {
  readonly runId: string;
  readonly name: string;
  readonly kept: FloorRun;
  readonly run: RunState;
  /** What closes drills from outside the run. */
  readonly holds: Holds;
  /** What a symptom of the run is read beside. */
  readonly felt: SymptomContext;
  readonly library: Library;
  readonly body: KnownBody;
  /** Sets still to do, in order. */
  readonly open: readonly Step[];
  /** Resolves to the id of what was kept, to nothing where it could not be. */
  readonly happen: (deed: FloorDeed, id?: string) => Promise<string | undefined>;
}

/** Everybody of this floor whose run is on this page. */
export function useFloorPeople(runIds: readonly string[]): readonly FloorPerson[] {
  const home = useStore() as FloorHome;
  const runs = useSelector((state: FloorState) => state.floor);
  return runIds
    .flatMap((id) => runs[id] ?? [])
    .map((kept): FloorPerson => {
      const { library, body } = fittedFor(kept.pack);
      const run = runOf(kept.pack.head, kept.events);
      const cautions = cautionsNow(kept);
      const felt = feltOf(kept.pack, cautions);
      const holds = { stopSigns: kept.holds, cautions, felt };
      return {
        runId: kept.pack.id,
        name: kept.pack.trainee.name,
        kept,
        run,
        holds,
        felt,
        library,
        body,
        open: run.closed || run.givenUp ? [] : openSteps(run, library, holds),
        happen: (deed, id) => floor.happen(home, kept.pack.id, deed, id),
      };
    });
}

/** The days before, the age, and lasting pains, as the pack has them. */
function feltOf({ history, trainee }: FloorPack, cautions: readonly CautionInForce[]): SymptomContext {
  return {
    history: [...history.sessions.flatMap((s) => s.symptoms), ...history.symptoms],
    under18: cautions.some((c) => c.id === 'minor'),
    // A pack from before has none.
    lasting: trainee.lastingPains ?? [],
  };
}

/** As the server last said; an emergency pressed on this device counts at once. */
function cautionsNow({ cautions, pack }: FloorRun): readonly CautionInForce[] {
  const at = pressedHere(pack.trainee.id, clock.now());
  if (!at || cautions.some((c) => c.id === 'emergency')) return cautions;
  return [{ id: 'emergency', because: [{ code: 'emergency', signs: [], at }] }, ...cautions];
}

type Fitted = Pick<FloorPerson, 'library' | 'body'>;

/** The library on each body, worked out once. */
const FITTED = new WeakMap<FloorPack['trainee'], Fitted>();

function fittedFor({ trainee, content }: FloorPack): Fitted {
  const known = FITTED.get(trainee);
  if (known) return known;
  const body = traineeBody(trainee);
  const fitted = { body, library: fittedTo(openLibrary({ ...EMPTY_LIBRARY, ...content }), body) };
  FITTED.set(trainee, fitted);
  return fitted;
}
