import type {
  ConfirmDto,
  CopiesReply,
  DeviceReply,
  FirstRunDto,
  InvitationDto,
  InvitedDto,
  JoinDto,
  MembershipDto,
  MeReply,
  OneTimeReply,
  PasswordChangeDto,
  PeopleReply,
  PersonDto,
  ResetDto,
  SignInDto,
  StudioDto,
} from '@myokinet/core/contracts';
import { api } from '../../client/api.ts';

type Done = { readonly done: true };

const endpoints = api.injectEndpoints({
  endpoints: (build) => ({
    firstRun: build.mutation<Done, FirstRunDto>({ query: (body) => ({ url: 'first-run', method: 'POST', body }) }),
    signIn: build.mutation<Done, SignInDto>({ query: (body) => ({ url: 'sign-in', method: 'POST', body }) }),
    join: build.mutation<Done, JoinDto>({ query: (body) => ({ url: 'join', method: 'POST', body }) }),
    resetPassword: build.mutation<Done, ResetDto>({ query: (body) => ({ url: 'reset', method: 'POST', body }) }),
    signOut: build.mutation<Done, void>({ query: () => ({ url: 'sign-out', method: 'POST' }) }),
    confirm: build.mutation<MeReply, ConfirmDto>({
      query: (body) => ({ url: 'me/confirm', method: 'POST', body }),
      invalidatesTags: ['Me'],
    }),
    savePerson: build.mutation<MeReply, PersonDto>({
      query: (body) => ({ url: 'me', method: 'PUT', body }),
      invalidatesTags: ['Me', 'People'],
    }),
    changePassword: build.mutation<MeReply, PasswordChangeDto>({
      query: (body) => ({ url: 'me/password', method: 'PUT', body }),
      invalidatesTags: ['Me', 'Devices'],
    }),
    devices: build.query<readonly DeviceReply[], void>({ query: () => 'me/devices', providesTags: ['Devices'] }),
    signOutDevice: build.mutation<readonly DeviceReply[], string>({
      query: (id) => ({ url: `me/devices/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Devices'],
    }),
    acceptInvitation: build.mutation<MeReply, InvitedDto>({ query: (body) => ({ url: 'me/studios', method: 'POST', body }) }),
    enterStudio: build.mutation<MeReply, string>({ query: (id) => ({ url: `me/studios/${id}/enter`, method: 'POST' }) }),
    people: build.query<PeopleReply, void>({ query: () => 'people', providesTags: ['People'] }),
    invite: build.mutation<OneTimeReply, InvitationDto>({
      query: (body) => ({ url: 'people/invitations', method: 'POST', body }),
      invalidatesTags: ['People'],
    }),
    takeBackInvitation: build.mutation<PeopleReply, string>({
      query: (id) => ({ url: `people/invitations/${id}`, method: 'DELETE' }),
      invalidatesTags: ['People'],
    }),
    setRole: build.mutation<PeopleReply, { readonly accountId: string; readonly body: MembershipDto }>({
      query: ({ accountId, body }) => ({ url: `people/${accountId}`, method: 'PUT', body }),
      invalidatesTags: ['People', 'Me'],
    }),
    resetCode: build.mutation<OneTimeReply, string>({
      query: (accountId) => ({ url: `people/${accountId}/reset-code`, method: 'POST' }),
      invalidatesTags: ['People'],
    }),
    renameStudio: build.mutation<MeReply, StudioDto>({
      query: (body) => ({ url: 'studio', method: 'PUT', body }),
      invalidatesTags: ['Me'],
    }),
    makeStudio: build.mutation<MeReply, StudioDto>({ query: (body) => ({ url: 'studios', method: 'POST', body }) }),
    copies: build.query<CopiesReply, void>({ query: () => 'copies', providesTags: ['Copies'] }),
    copyNow: build.mutation<CopiesReply, void>({
      query: () => ({ url: 'copies', method: 'POST' }),
      invalidatesTags: ['Copies', 'Me'],
    }),
    restore: build.mutation<CopiesReply, string>({ query: (name) => ({ url: `copies/${name}/restore`, method: 'POST' }) }),
  }),
});

export const {
  useFirstRunMutation,
  useSignInMutation,
  useJoinMutation,
  useResetPasswordMutation,
  useSignOutMutation,
  useConfirmMutation,
  useSavePersonMutation,
  useChangePasswordMutation,
  useDevicesQuery,
  useSignOutDeviceMutation,
  useAcceptInvitationMutation,
  useEnterStudioMutation,
  usePeopleQuery,
  useInviteMutation,
  useTakeBackInvitationMutation,
  useSetRoleMutation,
  useResetCodeMutation,
  useMakeStudioMutation,
  useRenameStudioMutation,
  useCopiesQuery,
  useCopyNowMutation,
  useRestoreMutation,
} = endpoints;
