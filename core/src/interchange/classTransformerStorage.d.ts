/** The package keeps its decorators' record here and ships no types for the path. */
declare module 'class-transformer/cjs/storage.js' {
  export const defaultMetadataStorage: never;
}
