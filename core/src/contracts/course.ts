import 'reflect-metadata';
import { Equals, IsIn, IsInt, IsOptional, Max, Min } from 'class-validator';
import { COURSE_LIMITS, HELPER_DEEDS, type HelperDeed } from '../drills/index.ts';
import { Part } from './parts.ts';
import { NullIsNone } from './rule.ts';
import { BreathingDto } from './teaching.ts';

const { pulses, lastHold } = COURSE_LIMITS;
const PULSES = `Pulses must be a whole number from ${pulses.min} to ${pulses.max}; leave them out for none.`;
const LAST_HOLD = `The last one is held from ${lastHold.min} to ${lastHold.max} s; leave it out where it is not.`;

/** How a set is gone through, beside how often and how fast. */
export class CourseDto {
  @NullIsNone() @IsOptional() @Equals(true) bothWays?: true;
  @NullIsNone() @IsOptional() @Equals(true) alternating?: true;
  @NullIsNone()
  @IsOptional()
  @Max(pulses.max, { message: PULSES })
  @Min(pulses.min, { message: PULSES })
  @IsInt({ message: PULSES })
  pulses?: number;
  @NullIsNone()
  @IsOptional()
  @Max(lastHold.max, { message: LAST_HOLD })
  @Min(lastHold.min, { message: LAST_HOLD })
  @IsInt({ message: LAST_HOLD })
  lastHold?: number;
  @NullIsNone() @IsOptional() @IsIn(HELPER_DEEDS, { message: `A helper ${HELPER_DEEDS.join(' or ')}.` }) helper?: HelperDeed;
  @NullIsNone() @IsOptional() @Part(() => BreathingDto) breath?: BreathingDto;
}
