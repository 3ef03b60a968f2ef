import { mannerInWords, type Drill, type Manner, mannersNear } from '@myokinet/core/drills';

/** The weight or band in hand: the nearest others, or the first to choose from where none was named. */
export function WeightChoice({ drill, choose }: { readonly drill: Drill; readonly choose: (manner: Manner) => void }) {
  const near = mannersNear(drill);
  if (near.length === 0) return null;
  const now = mannerInWords(drill.manner);
  return (
    <section aria-label="Weight or band" className="mb-4">
      <h2>{now ? `Done with ${now}` : 'Done with'}</h2>
      <div className="mt-1 flex flex-wrap gap-2">
        {near.map((manner) => {
          const name = mannerInWords(manner) ?? '';
          return (
            <button
              key={name}
              type="button"
              className={`btn min-h-13 px-4 text-lg ${name === now ? 'outline-2 outline-accent' : ''}`}
              aria-pressed={name === now}
              onClick={() => choose(manner)}
            >
              {name}
            </button>
          );
        })}
      </div>
    </section>
  );
}
