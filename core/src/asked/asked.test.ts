import { expect, it } from 'vitest';
import { prepare, rangesOf } from '../motion/index.ts';
import { MOVEMENTS } from '../movements/index.ts';
import { BUILT_IN_LIBRARY as library } from '../catalogue/index.ts';
import { askedOf, mostAsked } from './index.ts';

const ANYBODY = { stature: 1.7 } as const;

/** The table as it is written, one drill a line, from the movements as they are drawn. */
function written(): string {
  const lines = Object.entries(MOVEMENTS).map(([id, movement]) => {
    const peaks = new Map<string, number>();
    for (const { range, degrees, loaded } of rangesOf(prepare(movement, ANYBODY))) {
      if (range === 'elbow extension') continue;
      const key = `'${range}', #, ${loaded ? 1 : 0}`;
      peaks.set(key, Math.max(peaks.get(key) ?? 0, Math.round(degrees)));
    }
    return `  '${id}': [${[...peaks].map(([key, degrees]) => `[${key.replace('#', String(degrees))}]`).join(', ')}],\n`;
  });
  return [
    "import type { RangeName } from '../motion/index.ts';\n\n",
    '/** What every built-in movement asks for at its peak: range, degrees, under load. Written by the test beside it. */\n',
    'export const ASKED: Readonly<Record<string, readonly (readonly [range: RangeName, degrees: number, loaded: 0 | 1])[]>> = {\n',
    ...lines,
    '};\n',
  ].join('');
}

it('the table is what the movements ask for', { timeout: 180_000 }, async () => {
  await expect(written()).toMatchFileSnapshot('table.ts');
});

it('a copy asks for what it was copied from, and what has no movement asks for nothing', () => {
  expect(askedOf({ id: 'own', movement: 'plank' })).toEqual(askedOf({ id: 'plank' }));
  expect(askedOf({ id: 'own' })).toEqual([]);
  expect(askedOf({ id: 'constructor' })).toEqual([]);
  expect(mostAsked({ id: 'own' }, 'wrist extension')).toBe(0);
});

it('facts of the trade: a plank bends the wrist to about a right angle under load, a hang lifts the arm all the way (common practice, no source)', () => {
  expect(mostAsked({ id: 'plank' }, 'wrist extension')).toBeGreaterThan(80);
  expect(mostAsked({ id: 'plank' }, 'wrist extension')).toBeLessThan(95);
  expect(mostAsked({ id: 'practice-free-hang' }, 'shoulder flexion')).toBeGreaterThan(160);
  expect(mostAsked({ id: 'forearm-plank' }, 'wrist extension')).toBe(0);
  expect(library.drills.filter((d) => askedOf(d).length > 0).length / library.drills.length).toBeGreaterThan(0.8);
});
