import type { SessionReply, SymptomDto } from '@myokinet/core/contracts';

/**
 * What is being put right, as it stood when that was begun. The page holds it, not the entry: when a colleague
 * corrects the same fact meanwhile, the entry is drawn anew, and what was typed here stays to be read and refused.
 */
export type Correction =
  | { readonly kind: 'session'; readonly session: SessionReply; readonly name: string }
  | { readonly kind: 'symptom'; readonly symptom: SymptomDto; readonly name: string };
