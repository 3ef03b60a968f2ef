export { COMMON_PRACTICE, originInWords, projectDefault, type Origin } from './origin.ts';
export type { Reference, Sex } from './table.ts';
export { REFERENCES, referencePercentile, referencesFor, type Percentile, type Person } from './percentile.ts';
export { SEGMENT_LENGTHS, SEGMENTS_CITATION, type SegmentLengths } from './bodySegments.ts';
