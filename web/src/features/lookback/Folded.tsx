import { type ReactNode, useState } from 'react';

interface FoldedProps {
  readonly children: readonly ReactNode[];
  readonly shown?: number;
}

/** The first of a list, and the rest on demand. */
export function Folded({ children, shown = 5 }: FoldedProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <ul>{children.slice(0, open ? children.length : shown)}</ul>
      {children.length > shown && (
        <button type="button" className="link mt-1 text-sm" aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? `The first ${shown} only` : `Show all ${children.length}`}
        </button>
      )}
    </>
  );
}
