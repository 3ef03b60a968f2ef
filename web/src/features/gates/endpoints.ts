import type { GateSettingsDto, GateSettingsReply } from '@myokinet/core/contracts';
import { api } from '../../client/api.ts';
import { libraryStales } from '../../client/stale.ts';

const endpoints = api.injectEndpoints({
  endpoints: (build) => ({
    gateSettings: build.query<GateSettingsReply, void>({ query: () => 'gate-settings', providesTags: ['Library'] }),
    saveGateSettings: build.mutation<GateSettingsReply, GateSettingsDto>({
      query: (body) => ({ url: 'gate-settings', method: 'PUT', body }),
      // Every verdict rests on it, as on the library.
      invalidatesTags: (_reply, error) => libraryStales(error),
    }),
  }),
});

export const { useGateSettingsQuery, useSaveGateSettingsMutation } = endpoints;
