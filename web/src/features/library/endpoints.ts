import type { EntryKind, LibraryEntry } from '@myokinet/core/library';
import type {
  EntryResetDto,
  ImportReply,
  LibraryImportDto,
  LibraryPictureDto,
  LibraryPictureReply,
  LibraryReply,
  PlanUse,
  RoutineDto,
  RoutineReply,
  SchoolsReply,
  StudioSchoolsDto,
} from '@myokinet/core/contracts';
import { api } from '../../client/api.ts';
import { isOffline } from '../../client/problem.ts';
import { libraryStales } from '../../client/stale.ts';

const touched = (_reply: unknown, error: unknown) => libraryStales(error);

/** An entry of the library with the revision it edits. */
export interface SavedEntry {
  readonly kind: EntryKind;
  readonly body: { readonly revision: string; readonly basedOn: string | null; readonly entry: LibraryEntry };
}

const endpoints = api.injectEndpoints({
  endpoints: (build) => ({
    library: build.query<LibraryReply, void>({ query: () => 'library', providesTags: ['Library'] }),
    libraryPictures: build.query<readonly LibraryPictureReply[], void>({
      query: () => 'library/pictures',
      providesTags: ['LibraryPictures'],
    }),
    addLibraryPicture: build.mutation<readonly LibraryPictureReply[], LibraryPictureDto>({
      query: (body) => ({ url: 'library/pictures', method: 'POST', body }),
      invalidatesTags: (_reply, error) => (isOffline(error) ? [] : ['LibraryPictures']),
    }),
    takeOffLibraryPicture: build.mutation<readonly LibraryPictureReply[], string>({
      query: (id) => ({ url: `library/pictures/${id}`, method: 'DELETE' }),
      invalidatesTags: (_reply, error) => (isOffline(error) ? [] : ['LibraryPictures']),
    }),
    routines: build.query<readonly RoutineReply[], void>({ query: () => 'routines', providesTags: ['Routines'] }),
    saveRoutine: build.mutation<readonly RoutineReply[], { readonly id: string; readonly body: RoutineDto }>({
      query: ({ id, body }) => ({ url: `routines/${id}`, method: 'PUT', body }),
      invalidatesTags: ['Routines'],
    }),
    retireRoutine: build.mutation<readonly RoutineReply[], string>({
      query: (id) => ({ url: `routines/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Routines'],
    }),
    schools: build.query<SchoolsReply, void>({ query: () => 'schools', providesTags: ['Schools'] }),
    planUses: build.query<readonly PlanUse[], string>({
      query: (drillId) => `drills/${encodeURIComponent(drillId)}/plans`,
      providesTags: ['PlanUses'],
    }),
    saveEntry: build.mutation<LibraryReply, SavedEntry>({
      query: ({ kind, body }) => ({ url: `library/${kind}s/${body.entry.id}`, method: 'PUT', body }),
      invalidatesTags: touched,
    }),
    resetEntry: build.mutation<LibraryReply, { readonly kind: EntryKind; readonly id: string; readonly body: EntryResetDto }>({
      query: ({ kind, id, body }) => ({ url: `library/${kind}s/${id}/reset`, method: 'POST', body }),
      invalidatesTags: touched,
    }),
    importLibrary: build.mutation<ImportReply, LibraryImportDto>({
      query: (body) => ({ url: 'library/imports', method: 'POST', body }),
      invalidatesTags: (reply, error) => (reply?.applied ? [...touched(reply, error), 'LibraryPictures'] : []),
    }),
    saveSchools: build.mutation<SchoolsReply, StudioSchoolsDto>({
      query: (body) => ({ url: 'schools', method: 'PUT', body }),
      // Shown as chosen at once; taken back when the server refuses.
      async onQueryStarted({ revision, basedOn: _, ...schools }, { dispatch, queryFulfilled }) {
        const shown = dispatch(endpoints.util.updateQueryData('schools', undefined, () => ({ revision, schools })));
        await queryFulfilled.catch(() => shown.undo());
      },
      invalidatesTags: (_reply, error) => (isOffline(error) ? [] : ['Schools']),
    }),
  }),
});

/** What is asked outside the hooks. */
export const libraryEndpoints = endpoints.endpoints;

export const {
  useLibraryQuery,
  useLibraryPicturesQuery,
  useAddLibraryPictureMutation,
  useTakeOffLibraryPictureMutation,
  usePlanUsesQuery,
  useRetireRoutineMutation,
  useRoutinesQuery,
  useSaveRoutineMutation,
  useSchoolsQuery,
  useSaveEntryMutation,
  useResetEntryMutation,
  useImportLibraryMutation,
  useSaveSchoolsMutation,
} = endpoints;
