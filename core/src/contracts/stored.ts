import 'reflect-metadata';
import type { ClassConstructor } from 'class-transformer';
import { ArrayMaxSize, IsArray, IsBoolean, IsIn, IsInt, IsNumber, IsOptional } from 'class-validator';
import type { BodySide } from '../anatomy/index.ts';
import type { Drill, Manner, FaultEntry } from '../drills/index.ts';
import type { ClassEvent, ClassHead, ClassMember } from '../classes/index.ts';
import type { FloorEvent, FloorHead } from '../floor/index.ts';
import { DEMAND_DIRECTIONS, type DemandDirection, type Ladder } from '../ladders/index.ts';
import { type Measure, PROVISIONAL_KINDS, type Provisional } from '../measuring/index.ts';
import type { PlanBrief } from '../planning/index.ts';
import { type Instant, type Unit, UNITS } from '../quantities/index.ts';
import type { Headroom } from '../readiness/index.ts';
import type { Routine } from '../routines/index.ts';
import type { SetUp, SupportPlan } from '../statics/index.ts';
import { BriefDocumentDto, TemplateDocumentDto } from './brief.ts';
import { IsInstant, IsWritten } from './decorators.ts';
import { IsEntryId, OriginDto } from './entry.ts';
import { ClassEventsDto, ClassHeadDto, ClassMemberDto } from './class.ts';
import { FloorEventsDto, FloorHeadDto } from './floor.ts';
import { DrillDto, FaultDto, IsSetUp, LadderDto, SupportPlanDto } from './library.ts';
import { MeasureDto } from './measure.ts';
import { withTwoErrors } from './olderMeasure.ts';
import { Part, Parts } from './parts.ts';
import { MannerDto } from './manner.ts';
import { PlanDocumentDto } from './plan.ts';
import { RoutineDocumentDto } from './routine.ts';
import type { Scope } from './scope.ts';
import { inspect } from './validate.ts';

const SIDES = ['left', 'right', 'whole'];

class SignedDemandDto {
  @IsEntryId() measureId!: string;
  @IsIn(SIDES) side!: BodySide;
  @IsNumber() value!: number;
  @IsIn(Object.keys(UNITS)) unit!: Unit;
  @IsOptional() @IsNumber() upTo?: number;
  @IsIn(DEMAND_DIRECTIONS) direction!: DemandDirection;
  @Part(() => OriginDto) origin!: OriginDto;
  @IsOptional() @IsWritten('The basis', { max: 400 }) basis?: string;
  @IsBoolean() allowOnTheMark!: boolean;
}

class SignedCapacityDto {
  @IsEntryId() measureId!: string;
  @IsIn(SIDES) side!: BodySide;
  @IsNumber() value!: number;
  @IsNumber() band!: number;
  @IsNumber() standardError!: number;
  @IsInt() trials!: number;
  @IsInstant('The time of the check') takenAt!: string;
  @IsWritten('The basis of the error', { max: 400 }) errorBasis!: string;
  @IsOptional() @IsIn(PROVISIONAL_KINDS) provisional?: Provisional;
}

class SignedFigureDto {
  @Part(() => SignedDemandDto) demand!: SignedDemandDto;
  @IsIn(SIDES) side!: BodySide;
  @IsOptional() @Part(() => SignedCapacityDto) capacity?: SignedCapacityDto;
  @IsOptional() @IsNumber() amount?: number;
  @IsOptional() @IsNumber() bands?: number;
  @IsIn(['spare', 'on the mark', 'short', 'unknown']) state!: Headroom['state'];
  @IsOptional() @IsInt() ageDays?: number;
  @IsBoolean() stale!: boolean;
}

class SignedFiguresDto {
  @Parts(() => SignedFigureDto) @ArrayMaxSize(200) @IsArray() list!: SignedFigureDto[];
}

class SetUpDocumentDto {
  @IsSetUp() setUp!: SetUp;
}

/** A kind of document that the database keeps as text: what it must look like, and how an older version becomes today's. */
interface StoredKind<T> {
  readonly name: string;
  /** What is written today. */
  readonly version: number;
  readonly contract: ClassConstructor<object>;
  /** By the version it starts from: each makes the next version of what an older program wrote. */
  readonly upgrades: Readonly<Record<number, (older: unknown) => unknown>>;
  /** How the document is put into its contract, where it is not an object of its own, and taken out again. */
  readonly wrap?: (document: unknown) => unknown;
  readonly unwrap?: (wrapped: object) => unknown;
  /** Never there: says what comes out. */
  readonly gives?: T;
}

const stored = <T>(name: string, contract: ClassConstructor<object>, own: Partial<StoredKind<T>> = {}): StoredKind<T> => ({
  name,
  version: 1,
  contract,
  upgrades: {},
  ...own,
});

const inside = (property: string) => ({
  wrap: (document: unknown) => ({ [property]: document }),
  unwrap: (wrapped: object) => (wrapped as Readonly<Record<string, unknown>>)[property],
});

/** One event is read as a list of one: the list tells its kinds apart. */
const oneEvent = {
  wrap: (event: unknown) => ({ events: [event] }),
  unwrap: (wrapped: object) => (wrapped as { readonly events: readonly unknown[] }).events[0],
};

/** Every kind of document in the database. */
export const STORED = {
  plan: stored<PlanDocumentDto>('This week', PlanDocumentDto),
  brief: stored<PlanBrief>('This brief', BriefDocumentDto),
  template: stored<TemplateDocumentDto>('This template', TemplateDocumentDto),
  routine: stored<Omit<Routine, 'name'>>('This routine', RoutineDocumentDto),
  setUp: stored<SetUp>('This set-up', SetUpDocumentDto, inside('setUp')),
  support: stored<SupportPlan>('This set-up', SupportPlanDto),
  manner: stored<Manner>('This weight, band or tempo', MannerDto),
  figures: stored<readonly Headroom[]>('What this clearance rested on', SignedFiguresDto, inside('list')),
  floorHead: stored<FloorHead>('This run', FloorHeadDto),
  floorEvent: stored<FloorEvent>('An event of this run', FloorEventsDto, oneEvent),
  classHead: stored<ClassHead>('This class', ClassHeadDto),
  classMember: stored<ClassMember>('Who takes part in this class', ClassMemberDto),
  classEvent: stored<ClassEvent>('An event of this class', ClassEventsDto, oneEvent),
  drill: stored<Drill>('This drill', DrillDto),
  ladder: stored<Ladder>('This ladder', LadderDto),
  measure: stored<Measure>('This check', MeasureDto, { version: 2, upgrades: { 1: withTwoErrors } }),
  fault: stored<FaultEntry>('This fault', FaultDto),
} as const;

/** A document of the database as read: itself, or what is wrong with it in a sentence. */
export type Read<T> = { readonly value: T } | { readonly unreadable: string };

/**
 * Reads a document of the database through its contract. Whatever is wrong with it is said and not thrown: an entry that cannot
 * be read fails alone.
 *
 * @param text JSON as it was written
 * @param version of the document when it was written
 * @param scope the moment, and the library that its ids belong to
 * @example readStored(STORED.setUp, '{"position":"levitating"}', 1, { now }) // { unreadable: 'This set-up cannot be read: …' }
 */
export function readStored<T>(kind: StoredKind<T>, text: string, version: number, scope: Scope): Read<T> {
  if (version > kind.version) return { unreadable: `${kind.name} was written by a newer program (version ${version}).` };
  try {
    let document: unknown = JSON.parse(text);
    for (let v = version; v < kind.version; v++) document = kind.upgrades[v]?.(document);
    const wrapped = kind.wrap ? kind.wrap(document) : document;
    const { problems } = inspect(kind.contract, wrapped, { ...scope, mayHoldMore: true });
    const [problem] = problems;
    if (problem) return { unreadable: `${kind.name} cannot be read: ${problem.message} (${problem.field || 'the whole'})` };
    return { value: (kind.unwrap ? kind.unwrap(wrapped as object) : wrapped) as T };
  } catch {
    return { unreadable: `${kind.name} cannot be read: it is no JSON.` };
  }
}

/** A check that a clearance rested on. */
export interface SignedCheck {
  readonly measureId: string;
  readonly side: BodySide;
  readonly takenAt: Instant;
}

/**
 * The checks among the stored figures of a clearance: all that a list of a whole studio needs of them, read in a tenth of the time
 * that the whole contract takes. Nothing where they cannot be read.
 */
export function signedChecks(text: string): readonly SignedCheck[] | undefined {
  let figures: unknown;
  try {
    figures = JSON.parse(text);
  } catch {
    return undefined;
  }
  if (!Array.isArray(figures)) return undefined;
  const checks: SignedCheck[] = [];
  for (const figure of figures as readonly unknown[]) {
    if (typeof figure !== 'object' || figure === null) return undefined;
    const { capacity } = figure as { readonly capacity?: unknown };
    if (capacity === undefined) continue;
    const { measureId, side, takenAt } = (capacity ?? {}) as Readonly<Record<string, unknown>>;
    if (typeof measureId !== 'string' || typeof takenAt !== 'string' || !SIDES.includes(side as BodySide)) return undefined;
    if (Number.isNaN(Date.parse(takenAt))) return undefined;
    checks.push({ measureId, side: side as BodySide, takenAt: takenAt as Instant });
  }
  return checks;
}
