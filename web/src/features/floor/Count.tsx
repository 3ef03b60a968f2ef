/** Seconds that run out, with what comes then. */
export function Count({ seconds, words }: { readonly seconds: number; readonly words: string }) {
  return (
    <div className="flex flex-wrap items-baseline gap-x-4" role="timer" aria-label="Until the next set">
      <span className="font-display read-count font-bold" data-read="count">
        {Math.max(0, Math.ceil(seconds))}
      </span>
      <span className="read-far">
        <span className="sr-only">seconds. </span>
        <span aria-hidden>s · </span>
        {words}
      </span>
    </div>
  );
}
