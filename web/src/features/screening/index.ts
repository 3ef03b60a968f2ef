export { BeforeSession, type ReadyToStart } from './BeforeSession.tsx';
export { sendWaitingForms } from './beforeSessionHere.ts';
