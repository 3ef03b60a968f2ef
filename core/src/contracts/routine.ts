import 'reflect-metadata';
import { ArrayMaxSize, IsArray, IsBoolean, IsIn, IsInt, IsOptional, IsUUID, Max, Min, ValidateIf } from 'class-validator';
import {
  BLOCK_WAYS,
  type BlockWay,
  ROUTINE_LIMITS,
  ROUTINE_PARTS,
  ROUTINE_PURPOSES,
  type RoutinePart,
  type RoutinePurpose,
  type RoutineStep,
} from '../routines/index.ts';
import { PHASES, type Phase } from '../drills/index.ts';
import { IsDrillId, IsPlainText, IsWritten } from './decorators.ts';
import { LIMITS } from './limits.ts';
import { Parts } from './parts.ts';

const KINDS = ['drill', 'choice', 'pause', 'breath', 'transition'] as const satisfies readonly RoutineStep['kind'][];

/** A whole number between limits, where the condition holds; elsewhere it is not looked at. */
function Counted<T>(
  label: string,
  { min, max }: { readonly min: number; readonly max: number },
  where: (of: T) => boolean,
): PropertyDecorator {
  const message = `${label} must be a whole number from ${min} to ${max}.`;
  return (target, property) => {
    Max(max, { message })(target, property);
    Min(min, { message })(target, property);
    IsInt({ message })(target, property);
    ValidateIf((of: object) => where(of as T))(target, property);
  };
}

const isKind =
  (...kinds: readonly RoutineStep['kind'][]) =>
  ({ kind }: RoutineStepDto) =>
    kinds.includes(kind);
const goes = (way: BlockWay) => (block: RoutineBlockDto) => block.way === way;

/** One thing to do; which fields it needs is decided by its kind. */
export class RoutineStepDto {
  @IsUUID('7') id!: string;
  @IsIn(KINDS) kind!: RoutineStep['kind'];
  @ValidateIf(isKind('drill')) @IsDrillId() drillId?: string;
  @Counted('An amount', ROUTINE_LIMITS.amount, isKind('drill')) amount?: number;
  @Counted('Rest', { min: 0, max: LIMITS.rest }, isKind('drill', 'choice')) restSeconds?: number;
  @Counted('A stretch', ROUTINE_LIMITS.pause, isKind('pause', 'transition', 'choice')) seconds?: number;
  @ValidateIf(isKind('choice')) @IsIn(PHASES) phase?: Phase;
  @Counted('Breaths', ROUTINE_LIMITS.breaths, isKind('breath')) breaths?: number;
  @ValidateIf(isKind('transition')) @IsWritten('The transition', { max: LIMITS.name }) text?: string;
}

export class RoutineBlockDto {
  @IsUUID('7') id!: string;
  @IsWritten('The name of a block', { max: LIMITS.name }) name!: string;
  @IsIn(ROUTINE_PARTS) part!: RoutinePart;
  @IsIn(BLOCK_WAYS) way!: BlockWay;
  @Counted('Rounds', ROUTINE_LIMITS.rounds, goes('rounds')) rounds?: number;
  @Counted('Minutes', ROUTINE_LIMITS.minutes, goes('time')) minutes?: number;
  @Counted('Breaths', ROUTINE_LIMITS.breaths, goes('stations')) breaths?: number;
  @IsBoolean() mirrored!: boolean;
  @Parts(() => RoutineStepDto)
  @ArrayMaxSize(ROUTINE_LIMITS.steps, { message: `At most ${ROUTINE_LIMITS.steps} steps fit one block.` })
  @IsArray()
  steps!: RoutineStepDto[];
}

/** What a routine is, but for its name and whose it is. */
export class RoutineDocumentDto {
  @IsIn(ROUTINE_PURPOSES) purpose!: RoutinePurpose;
  @IsWritten('The note', { max: LIMITS.note }) note!: string;
  @Parts(() => RoutineBlockDto)
  @ArrayMaxSize(ROUTINE_LIMITS.blocks, { message: `At most ${ROUTINE_LIMITS.blocks} blocks fit one routine.` })
  @IsArray()
  blocks!: RoutineBlockDto[];
}

/** A routine in a library file. */
export class RoutineInFileDto extends RoutineDocumentDto {
  @IsUUID('7') id!: string;
  @IsPlainText('The name of a routine', { min: 1, max: LIMITS.name }) name!: string;
}

/** A routine as it is saved; each saving is a revision of its own. */
export class RoutineDto extends RoutineDocumentDto {
  @IsUUID('7') revision!: string;
  /** The revision it was made from; absent: a new one. */
  @IsOptional() @IsUUID('7') basedOn?: string | null;
  @IsPlainText('The name of a routine', { min: 1, max: LIMITS.name }) name!: string;
}
