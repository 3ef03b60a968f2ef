export { useGroupsQuery } from './endpoints.ts';
