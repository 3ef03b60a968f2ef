import type { OwnProgress } from '@myokinet/core/contracts';
import { format } from 'date-fns';
import { hashOf } from './useView.ts';

const RUNG_WORDS: Readonly<Record<OwnProgress['rungs'][number]['is'], string>> = {
  signed: 'yours',
  next: 'comes next',
  later: '',
};

/** What the trainee may do now, what comes next, and what that still needs: figures, and nobody to be measured against. */
export function Progress({ progress: { ladder, rungs, needs } }: { readonly progress: OwnProgress }) {
  const missing = needs.filter((n) => n.state !== 'spare');
  return (
    <main className="flex flex-col gap-5 p-4">
      <a className="link" href={hashOf({ at: 'today' })}>
        Back to today
      </a>
      <h1>{ladder}</h1>
      <ol className="flex flex-col">
        {rungs.map(({ name, is }) => (
          <li
            key={name}
            className={`flex items-baseline justify-between gap-3 border-s-8 py-1.5 ps-3 ${
              is === 'signed' ? 'border-success' : is === 'next' ? 'border-base-content font-semibold' : 'aside border-base-300'
            }`}
          >
            {name}
            <span className="text-base font-normal">{RUNG_WORDS[is]}</span>
          </li>
        ))}
      </ol>
      {needs.length > 0 && (
        <section>
          <h2>What the next step asks for</h2>
          <p className="text-base">
            {missing.length === 0
              ? 'Every figure is there. Sessions, quiet days and your coach’s signature decide the rest.'
              : `${needs.length - missing.length} of ${needs.length} figures are there.`}
          </p>
          <ul className="mt-2">
            {needs.map(({ check, asks, stands, state, trail }) => (
              <li key={check} className="border-b border-base-300 py-2 leading-snug">
                <span className={state === 'spare' ? '' : 'font-semibold'}>{check}</span>
                <span className="block text-base">
                  asked: {asks};{' '}
                  <span className={`state-${STATE_MARKS[state]} font-semibold`}>{state === 'on the mark' ? TOO_CLOSE : stands}</span>
                </span>
                {trail && trail.length > 1 && <Trail trail={trail} />}
              </li>
            ))}
          </ul>
        </section>
      )}
    </main>
  );
}

const LINE = { width: 120, height: 28, margin: 4 } as const;

/** Three months of one figure: a line from the first to the newest, and both in words. */
function Trail({ trail }: { readonly trail: OwnProgress['needs'][number]['trail'] }) {
  const times = trail.map((t) => Date.parse(t.at));
  // Drawn with their error: what is only error looks like none.
  const values = trail.flatMap((t) => [t.value - t.band, t.value + t.band]);
  const place = (all: readonly number[], value: number, room: number) => {
    const [least, most] = [Math.min(...all), Math.max(...all)];
    return LINE.margin + (most > least ? (value - least) / (most - least) : 0.5) * (room - 2 * LINE.margin);
  };
  const points = trail.map((_, i) => [
    place(times, times[i] ?? 0, LINE.width),
    LINE.height - place(values, trail[i]?.value ?? 0, LINE.height),
  ]);
  const [first, last] = [trail[0], trail.at(-1)];
  return (
    <span className="flex items-center gap-3 text-base">
      <svg viewBox={`0 0 ${LINE.width} ${LINE.height}`} width={LINE.width} height={LINE.height} aria-hidden>
        <polyline points={points.map((p) => p.join(',')).join(' ')} fill="none" stroke="currentColor" strokeWidth={1.5} />
        {points.map(([x, y], i) => (
          <circle key={trail[i]?.at} cx={x} cy={y} r={i === points.length - 1 ? 3.5 : 2} fill="currentColor" />
        ))}
      </svg>
      {first && last && (
        <span className="aside">
          {first.figure} on {format(new Date(first.at), 'd MMM')}, {last.figure} on {format(new Date(last.at), 'd MMM')}
        </span>
      )}
    </span>
  );
}

/** A trainee knows no error bands. */
const TOO_CLOSE = 'too close to tell: within the error of measuring';

const STATE_MARKS: Readonly<Record<OwnProgress['needs'][number]['state'], string>> = {
  spare: 'spare',
  'on the mark': 'mark',
  short: 'short',
  unknown: 'unknown',
};
