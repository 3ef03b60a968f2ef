import { IsIn, IsOptional, IsString, IsUUID, MaxLength } from 'class-validator';
import { type Outcome, OUTCOME_IDS, OUTCOME_WEEKS } from '../outcomes/index.ts';
import { LIMITS } from './limits.ts';

/** What became of a clearance after some weeks; a second answer to the same question puts the first right. */
export class OutcomeDto {
  @IsUUID('7') id!: string;
  @IsUUID('7') clearanceId!: string;
  @IsIn(OUTCOME_WEEKS, { message: `Weeks must be one of ${OUTCOME_WEEKS.join(', ')}.` }) weeks!: number;
  @IsIn(OUTCOME_IDS, { message: `The outcome must be one of ${OUTCOME_IDS.join(', ')}.` }) outcome!: Outcome;
  @IsOptional()
  @IsString({ message: 'The note must be a text.' })
  @MaxLength(LIMITS.reason, { message: `The note has room for ${LIMITS.reason} characters.` })
  note?: string | null;
}
