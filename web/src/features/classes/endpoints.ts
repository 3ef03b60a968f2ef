import type { ClassPatchDto, ClassPersonReply, ClassReply, ClassSheetDto, ClassSheetReply } from '@myokinet/core/contracts';
import { api } from '../../client/api.ts';
import { stales } from '../../client/stale.ts';

const endpoints = api.injectEndpoints({
  endpoints: (build) => ({
    oneClass: build.query<ClassReply, string>({ query: (id) => `classes/${id}`, keepUnusedDataFor: 0 }),
    classPeople: build.query<readonly ClassPersonReply[], string>({ query: (id) => `classes/${id}/people`, keepUnusedDataFor: 0 }),
    sendClass: build.mutation<ClassReply, { readonly id: string; readonly everybody: readonly string[]; readonly body: ClassPatchDto }>({
      query: ({ id, body }) => ({ url: `classes/${id}`, method: 'PUT', body }),
      // Looking whether there is news touches nothing; marks alone change no verdict, what hurts and the end do.
      invalidatesTags: (_r, error, { everybody, body }) => {
        const felt = body.events.flatMap((e) => (e.kind === 'symptom' && 'who' in e ? [String(e.who)] : []));
        const closed = body.events.some((e) => e.kind === 'close' || e.kind === 'give up');
        return [
          ...felt.flatMap((id) => stales('symptom', id, error)),
          ...(closed ? everybody : []).flatMap((id) => stales('session', id, error)),
          ...(closed ? (['Classes'] as const) : []),
        ];
      },
    }),
    classSheet: build.mutation<ClassSheetReply, ClassSheetDto>({ query: (body) => ({ url: 'class-sheets', method: 'POST', body }) }),
  }),
});

export const classEndpoints = endpoints.endpoints;
export const { useClassSheetMutation } = endpoints;
