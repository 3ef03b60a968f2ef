import type { PictureDto, PictureReply } from '@myokinet/core/contracts';
import { type About, api } from '../../client/api.ts';
import { rests, stales } from '../../client/stale.ts';

const endpoints = api.injectEndpoints({
  endpoints: (build) => ({
    pictures: build.query<readonly PictureReply[], string>({
      query: (id) => `trainees/${id}/pictures`,
      providesTags: (_r, _e, id) => rests('Pictures', id),
    }),
    keepPicture: build.mutation<readonly PictureReply[], About<PictureDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/pictures`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('picture', traineeId, error),
    }),
    takeOffPicture: build.mutation<readonly PictureReply[], { traineeId: string; pictureId: string }>({
      query: ({ traineeId, pictureId }) => ({ url: `trainees/${traineeId}/pictures/${pictureId}/image`, method: 'DELETE' }),
      invalidatesTags: (_r, error, { traineeId }) => stales('picture', traineeId, error),
    }),
  }),
});

export const { useKeepPictureMutation, usePicturesQuery, useTakeOffPictureMutation } = endpoints;
