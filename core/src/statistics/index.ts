export { binomialInterval } from './binomial.ts';
export { fCdf, fQuantile, normalCdf, normalQuantile, studentTCdf, studentTQuantile } from './distributions.ts';
