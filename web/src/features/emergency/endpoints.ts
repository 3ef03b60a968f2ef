import type {
  EmergencyCareDto,
  EmergencyCareReply,
  EmergencyDto,
  EmergencyMistakeDto,
  EmergencyReply,
  EmergencySeenDto,
} from '@myokinet/core/contracts';
import { type About, api } from '../../client/api.ts';
import { rests, stales } from '../../client/stale.ts';

const endpoints = api.injectEndpoints({
  endpoints: (build) => ({
    emergencyCare: build.query<EmergencyCareReply, void>({ query: () => 'emergency-care', providesTags: ['Schools'] }),
    saveEmergencyCare: build.mutation<EmergencyCareReply, EmergencyCareDto>({
      query: (body) => ({ url: 'emergency-care', method: 'PUT', body }),
      invalidatesTags: ['Schools'],
    }),
    emergencies: build.query<readonly EmergencyReply[], string>({
      query: (id) => `trainees/${id}/emergencies`,
      providesTags: (_r, _e, id) => rests('Screening', id),
    }),
    pressEmergency: build.mutation<readonly EmergencyReply[], About<EmergencyDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/emergencies`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('correction', traineeId, error),
    }),
    emergencySeen: build.mutation<readonly EmergencyReply[], About<EmergencySeenDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/emergencies/seen`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('correction', traineeId, error),
    }),
    emergencyMistake: build.mutation<readonly EmergencyReply[], About<EmergencyMistakeDto>>({
      query: ({ traineeId, body }) => ({ url: `trainees/${traineeId}/emergencies/mistake`, method: 'POST', body }),
      invalidatesTags: (_r, error, { traineeId }) => stales('correction', traineeId, error),
    }),
  }),
});

/** What is asked outside the hooks. */
export const emergencyEndpoints = endpoints.endpoints;

export const {
  useEmergencyCareQuery,
  useSaveEmergencyCareMutation,
  useEmergenciesQuery,
  useEmergencySeenMutation,
  useEmergencyMistakeMutation,
} = endpoints;
