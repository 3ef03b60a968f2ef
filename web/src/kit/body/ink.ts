import type { Ink } from './shape.ts';

/** Colours of the parts: the page's ink, thinner for what is far; paper is what the figure lies on. */
export const COLOURS: Readonly<Record<Ink, { readonly line: string; readonly fill: string }>> = {
  near: same('var(--color-base-content)'),
  far: same(mixed('var(--color-base-content)', 34)),
  faint: same(mixed('var(--color-base-content)', 14)),
  trunk: same(mixed('var(--color-base-content)', 66)),
  blade: { line: 'var(--figure-paper)', fill: 'var(--color-warning)' },
  equipment: { line: 'var(--color-secondary)', fill: mixed('var(--color-secondary)', 28) },
  ground: { line: mixed('var(--color-secondary)', 45), fill: mixed('var(--color-secondary)', 12) },
  band: same('var(--color-primary)'),
  paper: same('var(--figure-paper)'),
};

function same(colour: string) {
  return { line: colour, fill: colour };
}

function mixed(colour: string, percent: number): string {
  return `color-mix(in oklab, ${colour} ${percent}%, var(--figure-paper))`;
}
