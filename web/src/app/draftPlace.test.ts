import { expect, it } from 'vitest';
import { draftPlace } from './draftPlace.ts';

it.each([
  ['trainee:new', { what: 'A new trainee', to: '/trainees/new' }],
  ['trainee:t1', { what: 'Profile', traineeId: 't1', to: '/trainees/t1/profile' }],
  ['check:t1', { what: 'Check', traineeId: 't1', to: '/trainees/t1/checks/new' }],
  ['plan:t1', { what: 'Weeks of a plan', traineeId: 't1', to: '/trainees/t1/plan' }],
  ['brief:t1', { what: 'Planning brief', traineeId: 't1', to: '/trainees/t1/plan/brief' }],
  ['session:t1:free', { what: 'Session', traineeId: 't1', to: '/trainees/t1/session?free=1' }],
  ['session:t1:s9:2026-11-23', { what: 'Session', traineeId: 't1', to: '/trainees/t1/session?planned=s9&week=2026-11-23' }],
  ['repeatability', { what: 'A repeatability test', to: '/measuring' }],
  ['something:else', undefined],
])('%s', (key, place) => expect(draftPlace(key)).toEqual(place));
