import type { RoutineDto, RoutineReply } from '@myokinet/core/contracts';
import { api } from '../../client/api.ts';

const endpoints = api.injectEndpoints({
  endpoints: (build) => ({
    routines: build.query<readonly RoutineReply[], void>({ query: () => 'routines', providesTags: ['Routines'] }),
    saveRoutine: build.mutation<readonly RoutineReply[], { readonly id: string; readonly body: RoutineDto }>({
      query: ({ id, body }) => ({ url: `routines/${id}`, method: 'PUT', body }),
      invalidatesTags: ['Routines'],
    }),
    retireRoutine: build.mutation<readonly RoutineReply[], string>({
      query: (id) => ({ url: `routines/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Routines'],
    }),
  }),
});

export const { useRoutinesQuery, useSaveRoutineMutation, useRetireRoutineMutation } = endpoints;
