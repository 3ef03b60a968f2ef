import 'reflect-metadata';
import { IsString, IsUUID, Matches, MaxLength, MinLength } from 'class-validator';
import { IsLadderId, IsRungId } from './decorators.ts';
import { LIMITS } from './limits.ts';

/** The coach signs a rung. The server judges the gate again and stores the figures it rests on. */
export class ClearanceDto {
  @IsUUID('7') id!: string;
  @IsLadderId() ladderId!: string;
  @IsRungId() rungId!: string;
  @Matches(/^\p{L}{2,4}$/u, { message: 'Initials must be 2 to 4 letters.' }) initials!: string;
}

/** The coach takes a clearance back. */
export class WithdrawalDto {
  @IsUUID('7') id!: string;
  @IsUUID('7') clearanceId!: string;
  @MaxLength(LIMITS.reason, { message: `The reason must be at most ${LIMITS.reason} characters.` })
  @MinLength(5, { message: 'A reason of at least 5 characters is needed.' })
  @IsString()
  reason!: string;
}
