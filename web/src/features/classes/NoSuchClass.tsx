import { Link } from 'react-router';
import type { Problem } from '../../client/problem.ts';

/** The address of a class that neither this device nor the server has. */
export function NoSuchClass({ problem, again }: { readonly problem: Problem; readonly again: () => void }) {
  return (
    <main className="p-6">
      <title>Class · Myokinet</title>
      <h1>This class is not on this device</h1>
      <p role="alert" className="my-3 border-s-4 border-error bg-error/10 px-4 py-2.5">
        {problem.sentence}
      </p>
      <div className="flex gap-2">
        <button type="button" className="btn" onClick={again}>
          Try again
        </button>
        <Link className="btn btn-ghost" to="/groups">
          To the groups
        </Link>
      </div>
    </main>
  );
}
