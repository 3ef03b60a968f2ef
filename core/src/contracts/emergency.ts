import 'reflect-metadata';
import { IsOptional, IsUUID, Matches, MaxLength } from 'class-validator';
import { EMERGENCY_SIGN_IDS, type EmergencySign } from '../safety/index.ts';
import { IsInstant, IsPlainText } from './decorators.ts';
import { LIMITS } from './limits.ts';
import { SomeOf } from './parts.ts';

/** That the emergency button was pressed. What was seen is added afterwards: nothing waits for a form. */
export class EmergencyDto {
  @IsUUID('7') id!: string;
  /** A device whose clock is ahead must not lose it: what lies in the future is taken as now. */
  @IsInstant('The time of the emergency') at!: string;
}

/** What was seen, added to an emergency. */
export class EmergencySeenDto {
  @IsUUID('7') id!: string;
  @IsUUID('7') emergencyId!: string;
  @SomeOf(EMERGENCY_SIGN_IDS) signs!: EmergencySign[];
  @IsPlainText('The note', { max: LIMITS.note }) note!: string;
}

/** That it was pressed by mistake. */
export class EmergencyMistakeDto {
  @IsUUID('7') id!: string;
  @IsUUID('7') emergencyId!: string;
  @IsPlainText('The reason', { min: 3, max: LIMITS.reason }) reason!: string;
}

/** Whom to call, and where the studio is: what a caller is asked first. */
export class EmergencyCareDto {
  @IsUUID('7') id!: string;
  @IsOptional() @IsUUID('7') basedOn!: string | null;
  @MaxLength(30, { message: 'The number has at most 30 characters.' })
  @Matches(/^[+0-9 ()-]*$/, { message: 'The number holds digits, spaces, +, ( ) and - only.' })
  number!: string;
  @IsPlainText('The place', { max: LIMITS.reason }) place!: string;
}
