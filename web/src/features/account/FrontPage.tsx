import type { ReactNode } from 'react';

/** A page before anybody is in: the name, one column, one thing to do. */
export function FrontPage({ title, children }: { readonly title: string; readonly children: ReactNode }) {
  return (
    <main className="grid min-h-screen content-start justify-items-center px-4 py-8 sm:py-16">
      <title>{`${title} · Myokinet`}</title>
      <div className="w-full max-w-md">
        <p className="font-display border-b-2 border-base-content pb-2 text-2xl font-bold" aria-label="Myokinet">
          Myo
          <span className="mx-px inline-block h-6 w-1 translate-y-1 bg-primary" aria-hidden />
          kinet
        </p>
        <h1 className="mt-6 mb-4">{title}</h1>
        {children}
      </div>
    </main>
  );
}
