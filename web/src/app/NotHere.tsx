import { Link, useRouteError } from 'react-router';

/** An address that leads nowhere, or a page that broke. */
export function NotHere() {
  const error = useRouteError();
  return (
    <div className="mx-auto max-w-xl p-8">
      <h1>{error ? 'This page broke' : 'There is nothing at this address'}</h1>
      <p className="my-3">
        {error
          ? 'Nothing that was saved is lost, and what you typed is kept. Reload the page.'
          : 'It may have been renamed, or the link was cut short.'}
      </p>
      <Link className="link" to="/caseload">
        Go to the caseload
      </Link>
    </div>
  );
}
