import { type Feeling, FEELINGS } from '@myokinet/core/readiness';
import { FEELING_WORDS } from '@myokinet/core/words';

/** By feel: the four answers. */
export function FeelChoice({ choose }: { readonly choose: (feeling: Feeling) => void }) {
  return (
    <fieldset>
      <legend className="font-display text-3xl font-semibold">How was it?</legend>
      <div className="mt-2 grid grid-cols-2 gap-2">
        {FEELINGS.map((f, i) => (
          <button
            key={f}
            type="button"
            className="btn btn-outline min-h-20 border-base-300 text-2xl first-letter:uppercase"
            onClick={() => choose(f)}
            aria-keyshortcuts={String(i + 1)}
          >
            {FEELING_WORDS[f]}
          </button>
        ))}
      </div>
    </fieldset>
  );
}
