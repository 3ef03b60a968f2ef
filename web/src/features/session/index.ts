export { useLogSessionMutation } from './endpoints.ts';
