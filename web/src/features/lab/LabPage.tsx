import { type SetUp, setUpProblem } from '@myokinet/core/statics';
import { ArrowLeftRight, X } from 'lucide-react';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { Link, useSearchParams } from 'react-router';
import { ProblemNote } from '../../client/ProblemNote.tsx';
import { useAllChecksQuery } from '../checks/index.ts';
import { useLibrary } from '../../client/LibraryContext.ts';
import { useBandsQuery } from './endpoints.ts';
import { useCurrentBody, useCurrentTrainee } from '../trainee/index.ts';
import { Backwards } from './Backwards.tsx';
import { Bench, useReading } from './Bench.tsx';
import { CalibratePanel } from './CalibratePanel.tsx';
import { UndoRedo } from '../../kit/UndoRedo.tsx';
import { useSteps } from './useSteps.ts';
import { limitsOf } from './limitsOf.ts';
import { LoadCurve } from './LoadCurve.tsx';
import { UseSetUp } from './UseSetUp.tsx';

/** What is on the bench: one set-up, or two side by side. */
interface OnTheBench {
  readonly first: SetUp;
  readonly second?: SetUp | undefined;
}

const START: SetUp = { position: 'push-up', handHeightM: 0.3 };

/** The set-up lab: how much weight is in the hands, and which set-up gives the load wanted. */
export function LabPage() {
  const trainee = useCurrentTrainee();
  const body = useCurrentBody();
  const [search] = useSearchParams();
  const steps = useSteps<OnTheBench>(() => ({
    first: setUpFrom(search.get('setUp')) ?? START,
    second: setUpFrom(search.get('second')),
  }));
  const { put } = steps;
  const { first, second } = steps.value;
  useInTheAddress({ first, second });
  const { data: bands = [], error } = useBandsQuery();
  const { data: checks, error: checksError, refetch } = useAllChecksQuery(trainee.id);
  const { measure } = useLibrary();
  const now = useMemo(() => new Date(), []);
  const limits = useMemo(() => limitsOf(checks ?? [], measure, now), [checks, measure, now]);
  const firstRead = useReading(body, first);
  const { reading, problem } = firstRead;
  const inUse = useMemo(() => bands.filter((b) => b.inUse), [bands]);
  const putFirst = useCallback((setUp: SetUp) => put((bench) => ({ ...bench, first: setUp })), [put]);
  // Panels that ask about the set-up as a whole follow when it stands still, so that a handle that is dragged does not wait.
  const settled = useWhenStill(first);
  const secondRead = useReading(body, second ?? first);
  return (
    <div className="flex flex-1 flex-col gap-5 px-4 py-3 sm:px-6">
      <title>{`Set-up lab · ${trainee.name} · Myokinet`}</title>
      <div className="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h2 className="sr-only">Set-up lab</h2>
        {second ? (
          <>
            <button type="button" className="btn btn-sm" onClick={() => put(() => ({ first: second, second: first }))}>
              <ArrowLeftRight size={15} aria-hidden /> Swap the two
            </button>
            <button type="button" className="btn btn-sm" onClick={() => put(() => ({ first }))}>
              <X size={15} aria-hidden /> Take the second away
            </button>
          </>
        ) : (
          <button type="button" className="btn btn-sm" onClick={() => put(() => ({ first, second: first }))}>
            Compare with a second set-up
          </button>
        )}
        <UndoRedo desk={steps} />
        {reading && !problem && <UseSetUp setUp={first} reading={reading.reading} />}
        <Link className="link ms-auto" to="ladder">
          The ladder’s loads on {trainee.name}
        </Link>
      </div>
      <ProblemNote error={error ?? checksError} retry={() => void refetch()} />
      <div className={second ? 'grid gap-6 md:grid-cols-2' : ''}>
        <Bench
          body={body}
          setUp={first}
          read={firstRead}
          change={putFirst}
          limits={limits}
          bands={inUse}
          title="Set-up"
          narrow={second !== undefined}
        />
        {second && (
          <Bench
            body={body}
            setUp={second}
            read={secondRead}
            change={(setUp) => put((bench) => ({ ...bench, second: setUp }))}
            limits={limits}
            bands={inUse}
            title="Second set-up"
            narrow
          />
        )}
      </div>
      <div className="grid gap-x-8 gap-y-5 lg:grid-cols-2">
        <section aria-label="Load against the dial" className="min-w-0">
          <h2>Load against the dial</h2>
          <LoadCurve body={body} setUp={first} load={problem ? undefined : reading?.reading.loadShare} limits={limits} />
        </section>
        {checks && <Backwards key={settled.position} body={body} setUp={settled} limits={limits} bands={inUse} change={putFirst} />}
      </div>
      <CalibratePanel trainee={trainee} body={body} setUp={settled} />
      <p className="aside text-sm">
        A model of rigid segments, for a position held still. Coaching aid, not medical advice; what hurts is too much, whatever the figure
        says.
      </p>
    </div>
  );
}

const STILL_MS = 300;
const FOLLOW_MS = 120;

/** A value once it has not changed for a moment. */
function useWhenStill<T>(value: T): T {
  const [still, setStill] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setStill(value), FOLLOW_MS);
    return () => clearTimeout(timer);
  }, [value]);
  return still;
}

/** Keeps what is on the bench in the page's address, so that it survives a reload and can be sent on. */
function useInTheAddress({ first, second }: OnTheBench): void {
  useEffect(() => {
    // Not while a handle is being dragged.
    const timer = setTimeout(() => {
      const query = new URLSearchParams({ setUp: JSON.stringify(first), ...(second ? { second: JSON.stringify(second) } : {}) });
      window.history.replaceState(window.history.state, '', `?${query.toString()}`);
    }, STILL_MS);
    return () => clearTimeout(timer);
  }, [first, second]);
}

/** A set-up out of a link; one that is none is not taken. */
function setUpFrom(text: string | null): SetUp | undefined {
  if (!text) return undefined;
  try {
    const setUp: unknown = JSON.parse(text);
    return setUpProblem(setUp) ? undefined : (setUp as SetUp);
  } catch {
    return undefined;
  }
}
