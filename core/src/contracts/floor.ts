import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBase64,
  IsBoolean,
  IsIn,
  IsInt,
  IsOptional,
  IsString,
  IsUUID,
  Max,
  MaxLength,
  Min,
  ValidateNested,
} from 'class-validator';
import type { BodySide } from '../anatomy/index.ts';
import { FAULT_IDS, type FaultId } from '../drills/index.ts';
import { DRILL_SKIP_REASONS, type DrillSkipReason, type FloorEvent } from '../floor/index.ts';
import { SESSION_FORMS, type SessionForm } from '../planning/index.ts';
import { type Feeling, FEELINGS } from '../readiness/index.ts';
import { BODY_PLACES, type BodyPlace, SYMPTOM_KINDS, SYMPTOM_MOMENTS, type SymptomKind, type SymptomMoment } from '../safety/index.ts';
import { IsDrillId, IsInstant, IsNotBelow } from './decorators.ts';
import { SupportPlanDto } from './library.ts';
import { LIMITS } from './limits.ts';
import { MOST_AMOUNT, TEN } from './session.ts';

const SIDES = ['left', 'right', 'whole'] as const;
const MOST_ROUNDS = 20;

class FloorDoseDto {
  @IsDrillId() drillId!: string;
  @Max(MOST_ROUNDS) @Min(1) @IsInt() sets!: number;
  @Max(MOST_AMOUNT) @Min(1) @IsInt() min!: number;
  @IsNotBelow('min') @Max(MOST_AMOUNT) @Min(1) @IsInt() max!: number;
  @Max(LIMITS.rest) @Min(0) @IsInt() restSeconds!: number;
}

export class FloorItemDto extends FloorDoseDto {
  @IsUUID('7') id!: string;
  @IsOptional() @ValidateNested() @Type(() => SupportPlanDto) support?: SupportPlanDto;
}

/** What a run begins with. Its times are by the device's own clock, which may be wrong. */
export class FloorHeadDto {
  @IsUUID('7') id!: string;
  @IsOptional() @IsUUID('7') plannedSessionId!: string | null;
  @IsInstant('The start of the run') startedAt!: string;
  @IsIn(Object.keys(SESSION_FORMS)) form!: SessionForm;
  @IsIn(['count', 'feel']) progress!: 'count' | 'feel';
  @ValidateNested({ each: true })
  @Type(() => FloorItemDto)
  @ArrayMaxSize(LIMITS.drillsPerSession, { message: `At most ${LIMITS.drillsPerSession} drills fit one session.` })
  @ArrayMinSize(1, { message: 'A run needs at least one drill.' })
  @IsArray()
  items!: FloorItemDto[];
}

/** What every event has; the kinds below add their own. */
class FloorEventDto {
  @IsIn(['set', 'fault', 'turn', 'swap', 'skip', 'symptom', 'close', 'give up', 'take back']) kind!: FloorEvent['kind'];
  @IsUUID('7') id!: string;
  @Max(LIMITS.eventsPerRun * 10) @Min(1) @IsInt() order!: number;
  @IsInstant('The time of the event') at!: string;
}

class AtPlaceDto extends FloorEventDto {
  @IsUUID('7') itemId!: string;
  @Max(MOST_ROUNDS) @Min(1) @IsInt() round!: number;
  @IsIn(SIDES) side!: BodySide;
}

class FloorSetDto extends AtPlaceDto {
  @Max(MOST_AMOUNT, { message: `A set must be at most ${MOST_AMOUNT}.` })
  @Min(0, { message: 'A set must not be negative.' })
  @IsInt({ message: `A set must be a whole number from 0 to ${MOST_AMOUNT}.` })
  amount!: number;
  @IsOptional() @IsIn(FEELINGS) feeling?: Feeling;
}

class FloorFaultDto extends AtPlaceDto {
  @IsIn(FAULT_IDS) faultId!: FaultId;
  @IsBoolean() mended!: boolean;
}

class FloorTurnDto extends FloorEventDto {
  @IsUUID('7') itemId!: string;
  @ValidateNested() @Type(() => SupportPlanDto) support!: SupportPlanDto;
  @IsBoolean() harder!: boolean;
}

class FloorSwapDto extends FloorDoseDto {
  @IsIn(['swap']) kind!: 'swap';
  @IsUUID('7') id!: string;
  @Max(LIMITS.eventsPerRun * 10) @Min(1) @IsInt() order!: number;
  @IsInstant('The time of the event') at!: string;
  @IsUUID('7') itemId!: string;
  @IsBoolean() harder!: boolean;
}

class FloorSkipDto extends FloorEventDto {
  @IsUUID('7') itemId!: string;
  @IsIn(DRILL_SKIP_REASONS) reason!: DrillSkipReason;
}

class FloorSymptomValuesDto {
  @Max(10, { message: `Symptom ${TEN}` }) @Min(0, { message: `Symptom ${TEN}` }) @IsInt({ message: `Symptom ${TEN}` }) intensity!: number;
  @IsIn(BODY_PLACES) place!: BodyPlace;
  @IsIn(SIDES) side!: BodySide;
  @IsIn(SYMPTOM_KINDS) kind!: SymptomKind;
  @IsIn(SYMPTOM_MOMENTS) moment!: SymptomMoment;
}

class FloorSymptomDto extends FloorEventDto {
  @ValidateNested() @Type(() => FloorSymptomValuesDto) symptom!: FloorSymptomValuesDto;
}

/** How the run ended, in the coach's or trainee's words. */
export class FloorCloseDto extends FloorEventDto {
  @Max(10, { message: `Effort ${TEN}` }) @Min(0, { message: `Effort ${TEN}` }) @IsInt({ message: `Effort ${TEN}` }) effort!: number;
  @Max(LIMITS.minutes.max, { message: `Minutes must be at most ${LIMITS.minutes.max}.` })
  @Min(1, { message: 'Minutes must be at least 1.' })
  @IsInt({ message: `Minutes must be a whole number from 1 to ${LIMITS.minutes.max}.` })
  minutes!: number;
  @MaxLength(LIMITS.note, { message: `The note must be at most ${LIMITS.note} characters.` }) @IsString() note!: string;
}

class FloorTakeBackDto extends FloorEventDto {
  @IsUUID('7') eventId!: string;
}

/** What one device knows of a run and the server may not: sending it again changes nothing. */
export class FloorPatchDto {
  @IsUUID('7') traineeId!: string;
  @ValidateNested() @Type(() => FloorHeadDto) head!: FloorHeadDto;

  @ValidateNested({ each: true })
  @Type(() => FloorEventDto, {
    keepDiscriminatorProperty: true,
    discriminator: {
      property: 'kind',
      subTypes: [
        { value: FloorSetDto, name: 'set' },
        { value: FloorFaultDto, name: 'fault' },
        { value: FloorTurnDto, name: 'turn' },
        { value: FloorSwapDto, name: 'swap' },
        { value: FloorSkipDto, name: 'skip' },
        { value: FloorSymptomDto, name: 'symptom' },
        { value: FloorCloseDto, name: 'close' },
        { value: FloorEventDto, name: 'give up' },
        { value: FloorTakeBackDto, name: 'take back' },
      ],
    },
  })
  @ArrayMaxSize(LIMITS.eventsAtOnce, { message: `At most ${LIMITS.eventsAtOnce} events are sent at once.` })
  @IsArray()
  events!: FloorEventDto[];
}

/** A picture taken at the end of a run. */
export class FloorPhotoDto {
  @IsUUID('7') id!: string;
  @IsInstant('The time of the picture') takenAt!: string;
  /** JPEG, base64. */
  @IsBase64() @MaxLength(LIMITS.pictureCharacters) image!: string;
}
