export {
  type Answered,
  type Cleared,
  type DueOutcome,
  OUTCOME_IDS,
  OUTCOME_WEEKS,
  type Outcome,
  outcomesDue,
  type Since,
  suggestOutcome,
  type Suggestion,
} from './outcome.ts';
export { type Judgeable, type Reliability, reliabilityOf, type ReliabilityGroup, type Telling } from './reliability.ts';
