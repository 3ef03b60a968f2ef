import 'reflect-metadata';
import { IsOptional, IsUUID, Matches } from 'class-validator';
import { IsLadderId, IsRungId, IsWritten } from './decorators.ts';
import { LIMITS } from './limits.ts';

/** The coach signs a rung. The server judges the gate again and stores the figures it rests on. */
export class ClearanceDto {
  @IsUUID('7') id!: string;
  @IsLadderId() ladderId!: string;
  @IsRungId() rungId!: string;
  @Matches(/^\p{L}{2,4}$/u, { message: 'Initials must be 2 to 4 letters.' }) initials!: string;
  /** Why the coach signs although lines that do not guard safety are unmet. */
  @IsOptional()
  @IsWritten('The reason', { min: 10, max: LIMITS.reason, needed: 'Say in at least 10 characters why you sign against these lines.' })
  against?: string | null;
}

/** The coach takes a clearance back. */
export class WithdrawalDto {
  @IsUUID('7') id!: string;
  @IsUUID('7') clearanceId!: string;
  @IsWritten('The reason', { min: 5, max: LIMITS.reason, needed: 'A reason of at least 5 characters is needed.' })
  reason!: string;
}
