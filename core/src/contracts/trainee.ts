import 'reflect-metadata';
import { IsIn, IsInt, IsNumber, IsOptional, IsUUID, Max, Min } from 'class-validator';
import { Refusal } from '../errors.ts';
import { type Equipment, EQUIPMENT_IDS } from '../drills/index.ts';
import { type Weekday, WEEKDAYS } from '../planning/index.ts';
import { BODY_LIMITS, traineeBody } from '../statics/index.ts';
import { IsBirthDate, IsBirthYear, IsLadderId, IsWritten } from './decorators.ts';
import { LIMITS } from './limits.ts';
import { rule } from './rule.ts';
import { SomeOf } from './parts.ts';

const { stature, mass, minutes } = LIMITS;

const CM = 100;

const IsArmLength = () => rule('isArmLength', (value) => lengthProblem('Arm length', value, BODY_LIMITS.armM));

/** Within the limits of legs, and short enough to leave room for trunk and head. */
const IsLegLength = () =>
  rule('isLegLength', (value, { sex, stature: tall, mass: weight }) => {
    const problem = lengthProblem('Leg length', value, BODY_LIMITS.legM);
    if (problem || typeof tall !== 'number' || typeof weight !== 'number') return problem;
    try {
      traineeBody({ sex: sex as 'female', stature: tall, mass: weight, legLength: value as number });
      return undefined;
    } catch (error) {
      // What is wrong with the other measures is said at their own fields.
      return error instanceof Refusal && error.detail.startsWith('A leg') ? error.detail : undefined;
    }
  });

function lengthProblem(label: string, value: unknown, { min, max }: { readonly min: number; readonly max: number }): string | undefined {
  const fits = typeof value === 'number' && value >= min * CM && value <= max * CM;
  return fits ? undefined : `${label} must be from ${min * CM} to ${max * CM} cm.`;
}

/** What a coach records about a trainee. Each save is a new revision that names the one it edits. */
export class TraineeDto {
  @IsUUID('7') id!: string;
  @IsUUID('7') revision!: string;
  @IsOptional() @IsUUID('7') basedOn!: string | null;

  @IsWritten('Name', { min: 1, max: LIMITS.name, needed: 'A name is needed.' })
  name!: string;

  @IsBirthYear() birthYear!: number;
  /** Where it is known; the year alone leaves the age open by one. */
  @IsOptional() @IsBirthDate() birthDate?: string | null;
  @IsIn(['female', 'male', 'unstated'], { message: 'Sex for body proportions must be female, male or unstated.' }) sex!:
    'female' | 'male' | 'unstated';

  /** Centimetres. */
  @Max(stature.max, { message: `Stature must be at most ${stature.max} cm.` })
  @Min(stature.min, { message: `Stature must be at least ${stature.min} cm.` })
  @IsNumber({}, { message: `Stature must be a number from ${stature.min} to ${stature.max} cm.` })
  stature!: number;

  /** Kilograms. */
  @Max(mass.max, { message: `Mass must be at most ${mass.max} kg.` })
  @Min(mass.min, { message: `Mass must be at least ${mass.min} kg.` })
  @IsNumber({}, { message: `Mass must be a number from ${mass.min} to ${mass.max} kg.` })
  mass!: number;

  /** Centimetres, shoulder to wrist; absent: scaled to stature. */
  @IsOptional() @IsArmLength() armLength?: number | null;
  /** Centimetres, hip to ankle; absent: scaled to stature. */
  @IsOptional() @IsLegLength() legLength?: number | null;

  @IsIn(['left', 'right', 'both']) dominantHand!: 'left' | 'right' | 'both';
  @IsWritten('Injuries and notes', { max: LIMITS.note }) history!: string;
  @IsLadderId() ladderId!: string;
  @SomeOf(WEEKDAYS) trainingDays!: Weekday[];

  @Max(minutes.max, { message: `Session minutes must be at most ${minutes.max}.` })
  @Min(minutes.min, { message: `Session minutes must be at least ${minutes.min}.` })
  @IsInt({ message: `Session minutes must be a whole number from ${minutes.min} to ${minutes.max}.` })
  sessionMinutes!: number;

  @SomeOf(EQUIPMENT_IDS)
  equipment!: Equipment[];
}
