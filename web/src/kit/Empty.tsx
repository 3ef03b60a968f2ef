import type { ReactNode } from 'react';

/** Nothing here yet, and what to do about it. */
export function Empty({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <div className="border border-dashed border-base-300 p-8 text-center">
      <h2>{title}</h2>
      <div className="mt-2">{children}</div>
    </div>
  );
}
