import 'vitest';

declare module 'vitest' {
  interface ProvidedContext {
    /** The long suite runs: many more of what is made up. */
    readonly long: boolean;
  }
}
