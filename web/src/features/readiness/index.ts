export { readinessEndpoints, useForecastQuery, useReadinessQuery } from './endpoints.ts';
