import type { ClassRow, GroupDto, GroupReply } from '@myokinet/core/contracts';
import { api } from '../../client/api.ts';

const endpoints = api.injectEndpoints({
  endpoints: (build) => ({
    /** Classes that go on, and those of the last weeks. */
    classes: build.query<readonly ClassRow[], void>({ query: () => 'classes', providesTags: ['Classes'] }),
    saveGroup: build.mutation<readonly GroupReply[], { readonly id: string; readonly body: GroupDto }>({
      query: ({ id, body }) => ({ url: `groups/${id}`, method: 'PUT', body }),
      invalidatesTags: ['Groups'],
    }),
    retireGroup: build.mutation<readonly GroupReply[], string>({
      query: (id) => ({ url: `groups/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Groups'],
    }),
  }),
});

export const { useClassesQuery, useSaveGroupMutation, useRetireGroupMutation } = endpoints;
