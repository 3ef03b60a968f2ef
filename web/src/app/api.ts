import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import { isOffline } from './problem.ts';

/** Server state. Features add their endpoints; tags say what a write makes stale. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: fetchBaseQuery({ baseUrl: '/api' }),
  // `Trainee` is everything known about one trainee; `Lists` what spans the caseload.
  tagTypes: ['Trainee', 'Lists', 'Library', 'Schools', 'Bands', 'Templates'],
  refetchOnReconnect: true,
  refetchOnFocus: true,
  endpoints: () => ({}),
});

/** Tags of whatever a write about one trainee touches; a server that never answered touched nothing. */
export function touches(traineeId: string, error: unknown) {
  return isOffline(error) ? [] : [{ type: 'Trainee' as const, id: traineeId }, 'Lists' as const];
}
