export { normalCdf, normalQuantile } from './normal.ts';
export { studentTCdf, studentTQuantile } from './studentT.ts';
