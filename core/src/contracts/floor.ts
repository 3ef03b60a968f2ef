import 'reflect-metadata';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBase64, IsIn, IsInt, IsOptional, IsUUID, Max, MaxLength, Min } from 'class-validator';
import { DRILL_SKIP_REASONS, FLOOR_EVENT_FIELDS, FLOOR_EVENT_OPTIONS, type FloorFieldRule } from '../floor/index.ts';
import { SESSION_FORM_IDS, type SessionForm } from '../planning/index.ts';
import { IsDrillId, IsInstant, IsNotBelow } from './decorators.ts';
import { between, EVENT_RULES, EventDto, eventContracts } from './events.ts';
import { SupportPlanDto } from './library.ts';
import { IsManner, type MannerDto } from './manner.ts';
import { LIMITS } from './limits.ts';
import { IsFeeling, MOST_AMOUNT } from './session.ts';
import { Part, Parts } from './parts.ts';

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
  @IsOptional() @Part(() => SupportPlanDto) support?: SupportPlanDto;
  /** The weight, band or tempo it is done with. */
  @IsOptional() @IsManner() manner?: MannerDto;
}

/** What a run begins with. Its times are by the device's own clock, which may be wrong. */
export class FloorHeadDto {
  @IsUUID('7') id!: string;
  @IsOptional() @IsUUID('7') plannedSessionId!: string | null;
  @IsInstant('The start of the run') startedAt!: string;
  @IsIn(SESSION_FORM_IDS) form!: SessionForm;
  @IsIn(['count', 'feel']) progress!: 'count' | 'feel';
  @Parts(() => FloorItemDto)
  @ArrayMaxSize(LIMITS.drillsPerSession, { message: `At most ${LIMITS.drillsPerSession} drills fit one session.` })
  @ArrayMinSize(1, { message: 'A run needs at least one drill.' })
  @IsArray()
  items!: FloorItemDto[];
}

/** What holds for each kind of field. */
const RULES: Readonly<Record<FloorFieldRule, readonly PropertyDecorator[]>> = {
  ...EVENT_RULES,
  round: between('A round', 1, MOST_ROUNDS),
  oneSide: [IsIn(['left', 'right'])],
  feeling: [IsFeeling()],
  rest: between('Rest', 0, LIMITS.rest),
  skipReason: [IsIn(DRILL_SKIP_REASONS)],
};

const { contracts, discriminator } = eventContracts(FLOOR_EVENT_FIELDS, FLOOR_EVENT_OPTIONS, RULES);

/** How the run ended, in the coach's or trainee's words. */
export const FloorCloseDto = contracts.close;

/** What happened in a run. */
export class FloorEventsDto {
  @Parts(() => EventDto, discriminator)
  @ArrayMaxSize(LIMITS.eventsAtOnce, { message: `At most ${LIMITS.eventsAtOnce} events are sent at once.` })
  @IsArray()
  events!: EventDto[];
}

/** What one device knows of a run and the server may not: sending it again changes nothing. */
export class FloorPatchDto extends FloorEventsDto {
  @IsUUID('7') traineeId!: string;
  @Part(() => FloorHeadDto) head!: FloorHeadDto;
}

/** A picture taken at the end of a run. */
export class FloorPhotoDto {
  @IsUUID('7') id!: string;
  @IsInstant('The time of the picture') takenAt!: string;
  /** JPEG, base64. */
  @IsBase64() @MaxLength(LIMITS.pictureCharacters) image!: string;
}
