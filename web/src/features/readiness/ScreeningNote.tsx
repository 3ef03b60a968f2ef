import type { ScreeningOutcome } from '@myokinet/core/safety';
import { Link } from 'react-router';

const WORDS: Readonly<Record<Exclude<ScreeningOutcome['state'], 'fresh'>, string>> = {
  missing: 'The screening before training has not been answered yet: every gate stays closed until it is.',
  partial: 'Some questions of the screening were never asked: every gate stays closed until they are.',
  stale: 'The screening is more than a year old: every gate stays closed until it is answered again.',
};

/** That the screening is to be asked first; nothing while it is fresh. */
export function ScreeningNote({ screening: { state } }: { readonly screening: ScreeningOutcome }) {
  if (state === 'fresh') return null;
  return (
    <p className="mb-3 flex flex-wrap items-center gap-3 border-s-4 border-error bg-error/10 px-4 py-2.5">
      {WORDS[state]}
      <Link className="btn btn-primary btn-sm" to="screening">
        {state === 'missing' ? 'Ask the screening' : 'Open the screening'}
      </Link>
    </p>
  );
}
