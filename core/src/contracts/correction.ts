import 'reflect-metadata';
import { IsIn, IsUUID } from 'class-validator';
import { IsWritten } from './decorators.ts';
import { LIMITS } from './limits.ts';
import { Part } from './parts.ts';
import { SessionDto, SymptomDto } from './session.ts';

/** Facts that can be taken back as a whole. */
export const FACT_KINDS = ['session', 'symptom', 'check', 'screening'] as const;
export type FactKind = (typeof FACT_KINDS)[number];

const IsReason = () => IsWritten('The reason', { min: 3, max: LIMITS.reason, needed: 'A reason of at least 3 characters is needed.' });

/** A fact that counts no more; it stays on record with its reason. */
export class TakenBackDto {
  @IsUUID('7') id!: string;
  @IsIn(FACT_KINDS) kind!: FactKind;
  @IsUUID('7') factId!: string;
  @IsReason() reason!: string;
}

/** A session as it truly was, in place of one on record. */
export class SessionCorrectionDto {
  @IsUUID('7') replaces!: string;
  @IsReason() reason!: string;
  @Part(() => SessionDto) session!: SessionDto;
}

/** A symptom as it truly was, in place of one on record. */
export class SymptomCorrectionDto {
  @IsUUID('7') replaces!: string;
  @IsReason() reason!: string;
  @Part(() => SymptomDto) symptom!: SymptomDto;
}
