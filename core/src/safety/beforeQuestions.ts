/** What is asked before each session; a yes is what speaks against it. How it is asked is said in `words`. */
export const BEFORE_SESSION = ['pain', 'fever', 'medicine', 'injury', 'unfed'] as const;
export type BeforeQuestion = (typeof BEFORE_SESSION)[number];
