export { useCaseloadQuery, useGroupsQuery, useRechecksQuery, useTodayQuery } from './endpoints.ts';
