import 'reflect-metadata';
import { ArrayMaxSize, IsArray, IsInt, IsOptional, IsUUID, Matches, Max, Min } from 'class-validator';
import { GROUP_LIMITS } from '../groups/index.ts';
import { IsPlainText, IsWritten } from './decorators.ts';
import { LIMITS } from './limits.ts';
import { AllDifferent, Parts } from './parts.ts';

const WEEKDAY = { message: 'A weekday is a number from 1 (Monday) to 7 (Sunday).' };

export class GroupDayDto {
  @Max(7, WEEKDAY) @Min(1, WEEKDAY) @IsInt(WEEKDAY) weekday!: number;
  @Matches(/^([01]\d|2[0-3]):[0-5]\d$/, { message: 'A time of day is written like 18:30.' }) time!: string;
}

/** A group as it is saved; the revision that it was made from must be the one in force. */
export class GroupDto {
  @IsUUID('7') revision!: string;
  /** The revision it was made from; absent: a new one. */
  @IsOptional() @IsUUID('7') basedOn?: string | null;
  @IsPlainText('The name of a group', { min: 1, max: LIMITS.name }) name!: string;
  @IsPlainText('The place', { max: LIMITS.name }) place!: string;
  @IsWritten('The note', { max: LIMITS.note }) note!: string;
  @AllDifferent<GroupDayDto>(({ weekday, time }) => `${weekday} ${time}`, 'The same time is named twice.')
  @Parts(() => GroupDayDto)
  @ArrayMaxSize(GROUP_LIMITS.days, { message: `At most ${GROUP_LIMITS.days} times a week.` })
  @IsArray()
  days!: GroupDayDto[];
  /** A routine of the studio; absent: each one’s own plan. */
  @IsOptional() @IsUUID('7') routineId?: string | null;
  @AllDifferent(undefined, 'The same person is in it twice.')
  @IsUUID('7', { each: true })
  @ArrayMaxSize(GROUP_LIMITS.members, { message: `At most ${GROUP_LIMITS.members} people fit one group.` })
  @IsArray()
  memberIds!: string[];
}
