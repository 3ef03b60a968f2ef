import { type Feeling, FEELINGS } from '@myokinet/core/readiness';

const FEEL_WORDS: Readonly<Record<Feeling, string>> = {
  'too easy': 'Too easy',
  right: 'Right',
  'too much': 'Too much',
  'locked up': 'Locked up',
};

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
            className="btn btn-outline min-h-20 border-base-300 text-2xl"
            onClick={() => choose(f)}
            aria-keyshortcuts={String(i + 1)}
          >
            {FEEL_WORDS[f]}
          </button>
        ))}
      </div>
    </fieldset>
  );
}
