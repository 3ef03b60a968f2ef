import type { ShownDrill } from '@myokinet/core/movements';

/** Something to take home or hand on: what is drawn on the page and in the file alike. */
export interface PaperDocument {
  readonly title: string;
  readonly trainee: string;
  readonly coach: string;
  readonly studio: string;
  /** The day on which it was made, in words. */
  readonly made: string;
  /** Each begins on a page of its own. */
  readonly sheets: readonly PaperSheet[];
}

interface PaperSheet {
  readonly heading: string;
  /** Where, how long, with what. */
  readonly under: readonly string[];
  readonly blocks: readonly PaperBlock[];
}

export type PaperBlock =
  | { readonly is: 'notice'; readonly heading: string; readonly lines: readonly string[] }
  | { readonly is: 'list'; readonly heading: string; readonly lines: readonly string[] }
  | { readonly is: 'table'; readonly heading: string; readonly columns: readonly string[]; readonly rows: readonly (readonly string[])[] }
  | PaperDrill
  /** Lines to write on. */
  | { readonly is: 'write'; readonly heading: string; readonly lines: number };

export interface PaperDrill {
  readonly is: 'drill';
  readonly name: string;
  readonly dose: string;
  readonly lines: readonly string[];
  readonly steps: readonly string[];
  /** A box to tick for each set, by side where sides are done apart. */
  readonly boxes: readonly { readonly label: string; readonly count: number }[];
  readonly figure?: ShownDrill | undefined;
}

export const PAPER_SIZES = { a4: 'A4', letter: 'US Letter' } as const;
export type PaperSize = keyof typeof PAPER_SIZES;

/** How a document is put on paper. */
export interface PaperLook {
  readonly size: PaperSize;
  /** For eyes that want large letters. */
  readonly large: boolean;
}
