export { useCaseloadQuery, useRechecksQuery, useTodayQuery } from './endpoints.ts';
