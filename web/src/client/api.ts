import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import { clock } from './clock.ts';
import { TAGS } from './stale.ts';

const asked = fetchBaseQuery({ baseUrl: '/api' });

/** Server state. Features add their endpoints; `stale.ts` says what a write makes stale. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: async (args, request, extra) => {
    const result = await asked(args, request, extra);
    const server = result.meta?.response?.headers.get('x-server-time');
    if (server) clock.heard(server);
    return result;
  },
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
