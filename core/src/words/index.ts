export { capacityInWords, headroomInWords } from './headroom.ts';
export { chanceInWords, say, type GateWords } from './gate.ts';
export { RULE_WORDS, SETTING_WORDS, EVIDENCE_WORDS, type RuleWords } from './rules.ts';
export { errorBasisInWords, ownErrorInWords } from './measuring.ts';
export { responseInWords } from './response.ts';
export { cleannessInWords } from './cleanness.ts';
export { lockInWords } from './screening.ts';
export { dueInWords, lapseInWords } from './today.ts';
