import type { BeforeSessionDto } from '@myokinet/core/contracts';
import { waitingWrites } from '../../client/onDevice.ts';
import { screeningEndpoints } from './endpoints.ts';

interface Answered {
  readonly traineeId: string;
  readonly body: BeforeSessionDto;
}

/** Short forms that the server has not got yet. */
export const formsHere = waitingWrites<Answered>('myokinet.before-session', (dispatch, item) =>
  dispatch(screeningEndpoints.recordBeforeSession.initiate(item)),
);

/** Sends what waits. */
export const sendWaitingForms = formsHere.sendAll;
