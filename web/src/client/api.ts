import type { MeReply, ProblemReply } from '@myokinet/core/contracts';
import { createApi, fetchBaseQuery, type FetchBaseQueryError } from '@reduxjs/toolkit/query/react';
import { clock } from './clock.ts';
import { SIGNED_OUT } from './problem.ts';
import { sessionHere } from './session.ts';
import { TAGS } from './stale.ts';

const asked = fetchBaseQuery({
  baseUrl: '/api',
  prepareHeaders: (headers) => {
    headers.set('x-myokinet-page', sessionHere.pageToken());
  },
});

/** Nobody is signed in, or somebody else, or in another studio than this page shows. */
const AWAY = new Set(['not-signed-in', 'from-elsewhere']);

const codeOf = (error: FetchBaseQueryError | undefined) => (error?.data as Partial<ProblemReply> | undefined)?.code;

/** Server state. Features add their endpoints; `stale.ts` says what a write makes stale. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: async (args: Parameters<typeof asked>[0], request, extra) => {
    const ask = async () => {
      const result = await asked(args, request, extra);
      const server = result.meta?.response?.headers.get('x-server-time');
      if (server) clock.heard(server);
      return result;
    };
    let result = await ask();
    if (codeOf(result.error) === 'confirm-first' && (await sessionHere.askPassword())) result = await ask();
    // Whoever is signed out loses nothing: it is as if the server were away, until they are back.
    if (AWAY.has(codeOf(result.error) ?? '')) {
      sessionHere.lost();
      return { error: { status: 'FETCH_ERROR', error: SIGNED_OUT } };
    }
    return result;
  },
  tagTypes: TAGS,
  refetchOnReconnect: true,
  refetchOnFocus: true,
  endpoints: (build) => ({
    me: build.query<MeReply, void>({
      query: () => 'me',
      providesTags: ['Me'],
      onQueryStarted: async (_nothing, { queryFulfilled }) => {
        const { data } = await queryFulfilled.catch(() => ({ data: undefined }));
        if (data) sessionHere.heard(data);
      },
    }),
  }),
});

export const { useMeQuery } = api;

/** A write about one trainee. */
export interface About<Dto> {
  readonly traineeId: string;
  readonly body: Dto;
}
