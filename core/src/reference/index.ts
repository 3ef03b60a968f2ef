export { COMMON_PRACTICE, originInWords, projectDefault, type Origin } from './origin.ts';
export type { Reference, Sex } from './table.ts';
export { REFERENCES, referencePercentile, referencesFor, type Percentile, type Person } from './percentile.ts';
export { BODY_SEGMENTS, SEGMENTS, SEGMENTS_CITATION, type SegmentName, type SegmentTable } from './bodySegments.ts';
