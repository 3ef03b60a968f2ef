export { normalCdf, normalQuantile } from './normal.ts';
export { studentTCdf, studentTQuantile } from './studentT.ts';
export { fCdf, fQuantile } from './fDistribution.ts';
