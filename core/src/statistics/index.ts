export { fCdf, fQuantile, normalCdf, normalQuantile, studentTCdf, studentTQuantile } from './distributions.ts';
