import type { PaperBlock, PaperDocument } from './paperDocument.ts';

/** Signs that the file’s typeface does not have, as words or as signs that it has. */
const SAID_AS: readonly (readonly [RegExp, string])[] = [
  [/≥\s*/g, 'at least '],
  [/≤\s*/g, 'at most '],
  [/→/g, 'to'],
  [/[\u202f\u2009]/g, ' '],
];

/** Letters that the typeface of the file has: Latin with its extensions, punctuation, a few signs. */
const HAS = /[\n -~\u00a0-\u02ff\u1e00-\u1eff\u2000-\u206f\u20a0-\u20c0\u2113\u2122\u2191\u2193\u2212\u2215]/u;

/** The document in letters that can be set in the file. */
export function printable(document: PaperDocument): PaperDocument {
  return throughout(document, (text) => SAID_AS.reduce((said, [sign, words]) => said.replace(sign, words), text.normalize('NFC')));
}

/**
 * Letters of a document that the file cannot set.
 *
 * @example lettersMissing({ …, trainee: 'Нина' }) // ['Н', 'и', 'н', 'а']
 */
export function lettersMissing(document: PaperDocument): readonly string[] {
  const missing = new Set<string>();
  throughout(printable(document), (text) => {
    for (const letter of text) if (!HAS.test(letter)) missing.add(letter);
    return text;
  });
  return [...missing];
}

function throughout(document: PaperDocument, say: (text: string) => string): PaperDocument {
  const all = (texts: readonly string[]) => texts.map(say);
  const block = (b: PaperBlock): PaperBlock => {
    switch (b.is) {
      case 'notice':
      case 'list':
        return { ...b, heading: say(b.heading), lines: all(b.lines) };
      case 'table':
        return { ...b, heading: say(b.heading), columns: all(b.columns), rows: b.rows.map(all) };
      case 'write':
        return { ...b, heading: say(b.heading) };
      case 'drill':
        return { ...b, name: say(b.name), dose: say(b.dose), lines: all(b.lines), steps: all(b.steps) };
    }
  };
  const { title, trainee, coach, studio, made, sheets } = document;
  return {
    ...{ title: say(title), trainee: say(trainee), coach: say(coach), studio: say(studio), made: say(made) },
    sheets: sheets.map((s) => ({ heading: say(s.heading), under: all(s.under), blocks: s.blocks.map(block) })),
  };
}
