export { readinessEndpoints, useReadinessQuery } from './endpoints.ts';
