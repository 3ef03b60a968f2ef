import 'reflect-metadata';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBase64,
  IsBoolean,
  IsIn,
  IsInt,
  IsOptional,
  IsUUID,
  Max,
  MaxLength,
  Min,
} from 'class-validator';
import { DRILL_SKIP_REASONS, FLOOR_EVENT_FIELDS, FLOOR_EVENT_OPTIONS, type FloorEventKind, type FloorFieldRule } from '../floor/index.ts';
import { SESSION_FORM_IDS, type SessionForm } from '../planning/index.ts';
import { IsDrillId, IsFaultId, IsInstant, IsNotBelow, IsWritten } from './decorators.ts';
import { SupportPlanDto } from './library.ts';
import { IsManner, type MannerDto } from './manner.ts';
import { LIMITS } from './limits.ts';
import { IsFeeling, MOST_AMOUNT, SymptomValuesDto } from './session.ts';
import { Part, Parts } from './parts.ts';

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

const between = (label: string, min: number, max: number): readonly PropertyDecorator[] => {
  const message = `${label} must be a whole number from ${min} to ${max}.`;
  return [Max(max, { message }), Min(min, { message }), IsInt({ message })];
};

/** What holds for each kind of field. */
const RULES: Readonly<Record<FloorFieldRule, readonly PropertyDecorator[]>> = {
  id: [IsUUID('7')],
  round: between('A round', 1, MOST_ROUNDS),
  side: [IsIn(SIDES)],
  oneSide: [IsIn(['left', 'right'])],
  amount: between('A set', 0, MOST_AMOUNT),
  feeling: [IsFeeling()],
  fault: [IsFaultId()],
  flag: [IsBoolean()],
  support: [Part(() => SupportPlanDto)],
  manner: [IsManner()],
  drill: [IsDrillId()],
  sets: between('Sets', 1, MOST_ROUNDS),
  least: between('A dose', 1, MOST_AMOUNT),
  most: [IsNotBelow('min'), ...between('A dose', 1, MOST_AMOUNT)],
  rest: between('Rest', 0, LIMITS.rest),
  skipReason: [IsIn(DRILL_SKIP_REASONS)],
  symptom: [Part(() => SymptomValuesDto)],
  effort: between('Effort', 0, 10),
  minutes: between('Minutes', 1, LIMITS.minutes.max),
  note: [IsWritten('The note', { max: LIMITS.note })],
};

const KINDS = Object.keys(FLOOR_EVENT_FIELDS) as readonly FloorEventKind[];

/** What every event has. */
class FloorEventDto {
  @IsIn([...KINDS]) kind!: FloorEventKind;
  @IsUUID('7') id!: string;
  @Max(LIMITS.eventsPerRun * 10) @Min(1) @IsInt() order!: number;
  @IsInstant('The time of the event') at!: string;
}

/** The contract of one kind of event, made from the fields that the floor declares for it. */
function contractOf(kind: FloorEventKind): typeof FloorEventDto {
  class OneEventDto extends FloorEventDto {}
  const { prototype } = OneEventDto;
  for (const [field, rule] of Object.entries(FLOOR_EVENT_FIELDS[kind])) for (const holds of RULES[rule]) holds(prototype, field);
  const options: Readonly<Partial<Record<FloorEventKind, Readonly<Record<string, FloorFieldRule>>>>> = FLOOR_EVENT_OPTIONS;
  for (const [field, rule] of Object.entries(options[kind] ?? {}))
    for (const holds of [...RULES[rule], IsOptional()]) holds(prototype, field);
  return OneEventDto;
}

const CONTRACTS = Object.fromEntries(KINDS.map((kind) => [kind, contractOf(kind)])) as Readonly<
  Record<FloorEventKind, typeof FloorEventDto>
>;

/** How the run ended, in the coach's or trainee's words. */
export const FloorCloseDto = CONTRACTS.close;

/** What happened in a run. */
export class FloorEventsDto {
  @Parts(() => FloorEventDto, {
    keepDiscriminatorProperty: true,
    discriminator: { property: 'kind', subTypes: KINDS.map((kind) => ({ value: CONTRACTS[kind], name: kind })) },
  })
  @ArrayMaxSize(LIMITS.eventsAtOnce, { message: `At most ${LIMITS.eventsAtOnce} events are sent at once.` })
  @IsArray()
  events!: FloorEventDto[];
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
