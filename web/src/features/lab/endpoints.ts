import type { BandDto, BandReply, CalibrationReply, ReadingSetAsideDto, ScaleReadingDto } from '@myokinet/core/contracts';
import { type About, api } from '../../client/api.ts';
import { rests, stales } from '../../client/stale.ts';

const endpoints = api.injectEndpoints({
  endpoints: (build) => ({
    calibration: build.query<CalibrationReply, string>({
      query: (id) => `trainees/${id}/calibration`,
      providesTags: (_r, _e, id) => rests('Calibration', id),
    }),
    recordScaleReading: build.mutation<CalibrationReply, About<ScaleReadingDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/scale-readings`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('calibration', traineeId, error),
    }),
    setReadingAside: build.mutation<CalibrationReply, About<ReadingSetAsideDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/scale-readings/set-aside`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('calibration', traineeId, error),
    }),
    bands: build.query<readonly BandReply[], void>({ query: () => 'bands', providesTags: ['Bands'] }),
    saveBand: build.mutation<readonly BandReply[], BandDto>({
      query: (body) => ({ url: `bands/${body.id}`, method: 'PUT', body }),
      invalidatesTags: (_r, error) => (error ? [] : ['Bands']),
    }),
  }),
});

export const { useCalibrationQuery, useRecordScaleReadingMutation, useSetReadingAsideMutation, useBandsQuery, useSaveBandMutation } =
  endpoints;
