import type { HeadroomState } from '@myokinet/core/readiness';

export const STATE_CLASS: Readonly<Record<HeadroomState, string>> = {
  spare: 'state-spare',
  'on the mark': 'state-mark',
  short: 'state-short',
  unknown: 'state-unknown',
};

/** The shape of a state: a flag right of the mark, a diamond on it, a bracket left of it, a dashed ring. */
export function StateMark({ state }: { readonly state: HeadroomState }) {
  return (
    <svg viewBox="0 0 16 16" width="16" height="16" aria-hidden className={`inline-block flex-none ${STATE_CLASS[state]}`}>
      {SHAPES[state]}
    </svg>
  );
}

const SHAPES: Readonly<Record<HeadroomState, React.ReactNode>> = {
  spare: <path d="M3 1v14M3 2h11l-3.5 3.5L14 9H3z" fill="currentColor" stroke="currentColor" strokeWidth="1.5" />,
  'on the mark': <path d="M8 1.5 14.5 8 8 14.5 1.5 8z" fill="none" stroke="currentColor" strokeWidth="2" />,
  short: <path d="M12 2H5v12h7" fill="none" stroke="currentColor" strokeWidth="2.5" />,
  unknown: <circle cx="8" cy="8" r="6" fill="none" stroke="currentColor" strokeWidth="1.75" strokeDasharray="3 2.2" />,
};
