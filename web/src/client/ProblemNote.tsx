import { problemFrom } from './problem.ts';

/** What went wrong, what was kept, and a way to go on. */
export function ProblemNote({ error, retry }: { readonly error: unknown; readonly retry?: (() => void) | undefined }) {
  const problem = problemFrom(error);
  if (!problem) return null;
  return (
    <div role="alert" className="my-3 border-s-4 border-error bg-error/10 px-4 py-2.5">
      <p>{problem.sentence}</p>
      {problem.fields.length > 1 && (
        <ul className="mt-1 list-disc ps-5 text-sm">
          {problem.fields.slice(0, 8).map(({ field, message }) => (
            <li key={field}>{message}</li>
          ))}
        </ul>
      )}
      {retry && (
        <button type="button" className="btn btn-sm mt-2" onClick={retry}>
          Try again
        </button>
      )}
    </div>
  );
}
