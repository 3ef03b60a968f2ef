/** The side, as a half disc that points to it and as a word. */
export function SideMark({ side }: { readonly side: 'left' | 'right' }) {
  return (
    <span className="ms-3 inline-flex items-baseline gap-2 text-accent">
      <svg viewBox="0 0 14 20" className="h-6 self-center" aria-hidden>
        <path d={side === 'left' ? 'M12 1v18a9 9 0 0 1 0 -18z' : 'M2 1v18a9 9 0 0 0 0 -18z'} fill="currentColor" />
      </svg>
      {side}
    </span>
  );
}
