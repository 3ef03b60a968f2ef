export { faulty, SHOWN_FAULTS, showsFault } from './faults.ts';
export { partTravel } from './parts.ts';
