/** Seconds that run out, with what comes then. */
export function Count({ seconds, words }: { readonly seconds: number; readonly words: string }) {
  return (
    <div className="flex items-baseline gap-4" role="timer" aria-label="Until the next set">
      <span className="font-display text-6xl leading-none font-bold sm:text-8xl">{Math.max(0, Math.ceil(seconds))}</span>
      <span className="text-2xl leading-tight">
        <span className="sr-only">seconds. </span>
        <span aria-hidden>s · </span>
        {words}
      </span>
    </div>
  );
}
