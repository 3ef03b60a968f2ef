import { breathOf, type Breathing, type Drill, type MovePart } from '@myokinet/core/drills';
import { partTravel } from '@myokinet/core/showing';
import { StillBody } from '../../kit/body/StillBody.tsx';
import { BREATH_WORDS, PART_WORDS } from './words.ts';

const breathIn = (breath: Breathing, part: MovePart) =>
  part === 'out' || part === 'hold' || part === 'back' ? breath[part] && BREATH_WORDS[breath[part]] : undefined;

/** The drill step by step, each with its figure, and what to feel, keep still and look at. */
export function HowItIsDone({ drill }: { readonly drill: Drill }) {
  const { teaching } = drill;
  if (!teaching)
    return (
      <section aria-label="How it is done">
        <h3>How it is done</h3>
        <p className="aside">No steps are written yet: edit it for the studio.</p>
      </section>
    );
  const told = teaching.steps.map(({ part }) => part);
  const facts = (
    [
      ['Felt', teaching.felt],
      ['Stays still', teaching.still],
      ['Look', teaching.gaze],
      ['Why', teaching.why],
    ] as const
  ).filter(([, fact]) => fact !== '');
  return (
    <section aria-label="How it is done">
      <h3>How it is done</h3>
      <ol className="mt-1 grid gap-x-4 gap-y-1 sm:grid-cols-2 xl:grid-cols-3">
        {teaching.steps.map(({ part, text }) => {
          const breath = breathIn(breathOf(drill) ?? {}, part);
          return (
            <li key={part} className="flex min-w-0 items-center gap-2.5">
              <span className="shrink-0">
                <StillBody of={drill} size={92} at={(movement) => partTravel(movement, part, told)} />
              </span>
              <div className="min-w-0 leading-snug">
                <span className="text-sm font-semibold">{PART_WORDS[part]}</span>
                {breath && <span className="aside text-sm">, {breath}</span>}
                <p>{text}</p>
              </div>
            </li>
          );
        })}
      </ol>
      <dl className="mt-2 grid grid-cols-[5.5rem_1fr] gap-x-3 gap-y-0.5 text-sm leading-snug">
        {facts.map(([term, fact]) => (
          <div key={term} className="contents">
            <dt className="aside">{term}</dt>
            <dd>{fact}</dd>
          </div>
        ))}
      </dl>
    </section>
  );
}
