/** What the file is printed with, and on. */
export const INK = '#1f1d17';
export const PAPER = '#ffffff';
export const FAINT_LINE = '#b9b09a';
