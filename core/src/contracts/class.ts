import 'reflect-metadata';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsBoolean, IsIn, IsOptional, IsUUID, ValidateIf } from 'class-validator';
import { CLASS_EVENT_FIELDS, CLASS_EVENT_OPTIONS, CLASS_LIMITS, type ClassFieldRule, type ClassMoment } from '../classes/index.ts';
import { PHASES, type Phase } from '../drills/index.ts';
import { IsDrillId, IsInstant, IsNotBelow, IsPlainText, IsWritten } from './decorators.ts';
import { between, EVENT_RULES, EventDto, eventContracts } from './events.ts';
import { SupportPlanDto } from './library.ts';
import { IsManner, type MannerDto } from './manner.ts';
import { LIMITS } from './limits.ts';
import { AllDifferent, Part, Parts } from './parts.ts';
import { MOST_AMOUNT } from './session.ts';

const KINDS = ['ready', 'work', 'rest', 'pause', 'change'] as const satisfies readonly ClassMoment['kind'][];
/** No stretch of a class is longer than a block of a routine may be. */
const LONGEST = 3600;

const Whole =
  (label: string, { min, max }: { readonly min: number; readonly max: number }): PropertyDecorator =>
  (target, property) => {
    for (const holds of between(label, min, max)) holds(target, property);
  };

export class ClassSlotDto {
  @IsUUID('7') id!: string;
  @IsDrillId() drillId!: string;
  @IsOptional() @IsIn([...PHASES]) phase?: Phase;
}

export class ClassMomentDto {
  @IsIn(KINDS) kind!: ClassMoment['kind'];
  @Whole('A stretch', { min: 1, max: LONGEST }) seconds!: number;
  @ValidateIf(({ kind }: ClassMomentDto) => kind === 'work') @IsUUID('7') slotId?: string;
  @IsOptional() @IsIn(['left', 'right']) side?: 'left' | 'right';
  @IsOptional() @Whole('A round', { min: 1, max: 1000 }) round?: number;
  @IsOptional() @Whole('Rounds', { min: 0, max: 1000 }) rounds?: number;
  @IsOptional() @IsWritten('The words of a change over', { max: LIMITS.name }) text?: string;
}

/** What a class begins with. Its times are by the device’s own clock, which may be wrong. */
export class ClassHeadDto {
  @IsUUID('7') id!: string;
  @IsOptional() @IsUUID('7') groupId!: string | null;
  @IsPlainText('The name of a class', { min: 1, max: LIMITS.name }) name!: string;
  @IsInstant('The start of the class') startedAt!: string;
  @IsOptional() @IsPlainText('The name of a routine', { min: 1, max: LIMITS.name }) preparation!: string | null;
  @Parts(() => ClassSlotDto)
  @ArrayMaxSize(CLASS_LIMITS.slots, { message: `At most ${CLASS_LIMITS.slots} drills fit one class.` })
  @ArrayMinSize(1, { message: 'A class needs at least one drill.' })
  @IsArray()
  slots!: ClassSlotDto[];
  @Parts(() => ClassMomentDto)
  @ArrayMaxSize(CLASS_LIMITS.moments, { message: `At most ${CLASS_LIMITS.moments} stretches fit one class.` })
  @ArrayMinSize(1, { message: 'A class needs at least one stretch of work.' })
  @IsArray()
  moments!: ClassMomentDto[];
}

export class SlotItemDto {
  @IsUUID('7') slotId!: string;
  @IsDrillId() drillId!: string;
  @Whole('Sets', { min: 1, max: 20 }) sets!: number;
  @Whole('A dose', { min: 1, max: MOST_AMOUNT }) min!: number;
  @IsNotBelow('min') @Whole('A dose', { min: 1, max: MOST_AMOUNT }) max!: number;
  @IsOptional() @Part(() => SupportPlanDto) support?: SupportPlanDto;
  @IsOptional() @IsManner() manner?: MannerDto;
}

export class ClassMemberDto {
  @IsUUID('7') traineeId!: string;
  @Whole('A moment', { min: 0, max: CLASS_LIMITS.moments }) from!: number;
  @IsOptional() @IsUUID('7') plannedSessionId!: string | null;
  @AllDifferent<SlotItemDto>(({ slotId }) => slotId, 'A slot is filled twice.')
  @Parts(() => SlotItemDto)
  @ArrayMaxSize(CLASS_LIMITS.slots)
  @IsArray()
  items!: SlotItemDto[];
}

const RULES: Readonly<Record<ClassFieldRule, readonly PropertyDecorator[]>> = {
  ...EVENT_RULES,
  moment: between('A moment', 0, CLASS_LIMITS.moments),
  milliseconds: between('What is left', 0, LONGEST * 1000),
};

const { discriminator } = eventContracts(CLASS_EVENT_FIELDS, CLASS_EVENT_OPTIONS, RULES);

/** What happened in a class. */
export class ClassEventsDto {
  @Parts(() => EventDto, discriminator)
  @ArrayMaxSize(LIMITS.eventsAtOnce, { message: `At most ${LIMITS.eventsAtOnce} events are sent at once.` })
  @IsArray()
  events!: EventDto[];
}

/** What one device knows of a class and the server may not: sending it again changes nothing. */
export class ClassPatchDto extends ClassEventsDto {
  @Part(() => ClassHeadDto) head!: ClassHeadDto;
  @AllDifferent<ClassMemberDto>(({ traineeId }) => traineeId, 'The same person is in it twice.')
  @Parts(() => ClassMemberDto)
  @ArrayMaxSize(CLASS_LIMITS.members, { message: `A class has room for ${CLASS_LIMITS.members} people.` })
  @IsArray()
  members!: ClassMemberDto[];
}

export class ClassRhythmDto {
  @Whole('Seconds of work', CLASS_LIMITS.work) work!: number;
  @Whole('Seconds of rest', CLASS_LIMITS.rest) rest!: number;
  @Whole('Seconds to change over', CLASS_LIMITS.change) change!: number;
  @Whole('Rounds', CLASS_LIMITS.rounds) rounds!: number;
  @IsBoolean() circle!: boolean;
}

/** What everybody would do: by a routine of the studio, or by each one’s own plan of a day and one rhythm. */
export class ClassSheetDto {
  @AllDifferent(undefined, 'The same person is in it twice.')
  @IsUUID('7', { each: true })
  @ArrayMaxSize(CLASS_LIMITS.members, { message: `A class has room for ${CLASS_LIMITS.members} people.` })
  @ArrayMinSize(1, { message: 'A class needs at least one person.' })
  @IsArray()
  traineeIds!: string[];
  /** Of somebody who comes in late: the class as it is. */
  @IsOptional() @IsUUID('7') classId?: string | null;
  @IsOptional() @IsUUID('7') routineId?: string | null;
  @ValidateIf(({ routineId, classId }: ClassSheetDto) => !routineId && !classId) @Part(() => ClassRhythmDto) rhythm?: ClassRhythmDto;
}
