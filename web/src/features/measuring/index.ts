export { useMeasuringQuery } from './endpoints.ts';
