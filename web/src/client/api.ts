import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import { TAGS } from './stale.ts';

/** Server state. Features add their endpoints; `stale.ts` says what a write makes stale. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: fetchBaseQuery({ baseUrl: '/api' }),
  tagTypes: TAGS,
  refetchOnReconnect: true,
  refetchOnFocus: true,
  endpoints: () => ({}),
});

/** A write about one trainee. */
export interface About<Dto> {
  readonly traineeId: string;
  readonly body: Dto;
}
