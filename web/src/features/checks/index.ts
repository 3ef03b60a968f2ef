export { ProtocolLines, whatCounts } from './ProtocolCard.tsx';
export { changeInWords, sidesInWords } from './changeWords.ts';
export { checkEndpoints, useAllChecksQuery, useChecksQuery, useRecordCheckMutation } from './endpoints.ts';
export { newestOf } from './newestOf.ts';
export { originWords } from './originWords.ts';
export { scopeFrom, useScope } from './scopes.ts';
export { type CheckDesk, useCheckDesk } from './useCheckDesk.ts';
export { ClosedChecks } from './ClosedChecks.tsx';
export { TakenOn } from './TakenOn.tsx';
