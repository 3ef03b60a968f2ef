import type { PlannerHandle } from './usePlanner.ts';

/** How far the search is, with the ways to end it. */
export function SearchNote({ planner }: { readonly planner: PlannerHandle }) {
  const { running, problem } = planner;
  if (problem)
    return (
      <p role="alert" className="my-3 border-s-4 border-error bg-error/10 px-4 py-2.5">
        The planner stopped: {problem}. Nothing of the plan was changed; try again.
      </p>
    );
  if (!running) return null;
  const { seconds, limit, objective, bound, found, label } = running;
  const gap = objective && bound ? (bound - objective) / Math.abs(objective) : undefined;
  return (
    <div
      role="status"
      className="no-print my-3 flex flex-wrap items-center gap-x-4 gap-y-2 border-s-4 border-primary bg-primary/10 px-4 py-2.5"
    >
      <span className="font-semibold">{label}…</span>
      <progress className="progress progress-primary w-40" value={Math.min(seconds, limit)} max={limit} aria-label="Time of the search" />
      <span className="text-sm">
        {!found
          ? 'laying out the weeks'
          : gap === undefined
            ? 'a plan is found; how good it can get is being worked out'
            : `a plan within ${(gap * 100).toFixed(1)}% of the best there can be`}
        , {seconds.toFixed(1)} s;{' '}
        {seconds > limit ? 'longer than usual, since this task or this machine takes more' : `usually under ${limit} s`}
      </span>
      <span className="ms-auto flex gap-2">
        <button type="button" className="btn btn-sm" disabled={!found} onClick={planner.takeBest}>
          Take the best so far
        </button>
        <button type="button" className="btn btn-sm btn-ghost" onClick={planner.giveUp}>
          Cancel
        </button>
      </span>
    </div>
  );
}
