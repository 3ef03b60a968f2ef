import 'reflect-metadata';
import {
  ArrayMaxSize,
  ArrayMinSize,
  Equals,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsNumber,
  IsObject,
  IsOptional,
  IsString,
  IsUUID,
  Matches,
  Max,
  Min,
} from 'class-validator';
import { type Joint, JOINTS, type Motion, MOTIONS } from '../anatomy/index.ts';
import {
  type Equipment,
  EQUIPMENT_IDS,
  type FaultId,
  type FaultNote,
  type FaultWords,
  MOVE_PARTS,
  type MovePart,
  type Phase,
  PHASES,
  type Position,
  POSITIONS,
  QUALITIES,
  type Quality,
  type Situation,
  SITUATIONS,
} from '../drills/index.ts';
import {
  CLIMBS,
  type Climbs,
  DEMAND_DIRECTIONS,
  DEMAND_SHARES,
  type DemandDirection,
  LADDER_KINDS,
  type LadderKind,
} from '../ladders/index.ts';
import { type Unit, UNITS } from '../quantities/index.ts';
import { CAUTION_IDS, type CautionId } from '../safety/index.ts';
import { BLADES, type Blade } from '../schools/index.ts';
import { POSES, type PoseName, type SetUp, setUpProblem } from '../statics/index.ts';
import { DoseRangeDto } from './dose.ts';
import { IsNotBelow, IsPlainText, plainTextProblem } from './decorators.ts';
import { IsEntryId, isEntryId, IsText, OriginDto } from './entry.ts';
import { LIBRARY_LIMITS as MOST, PICTURED_LIMITS } from './limits.ts';
import { LibraryFilePictureDto } from './libraryPicture.ts';
import { MeasureDto } from './measure.ts';
import { NullIsNone, rule, shown } from './rule.ts';
import { AllDifferent, Part, Parts, SomeOf } from './parts.ts';
import { IsFaultNotes, IsPlaced, TeachingDto } from './teaching.ts';

/** `{ "plank-hold": 3 }`: checks by their id, strengths 1 to 3. */
const IsTrains = () =>
  rule('isTrains', (value) => {
    if (!isRecord(value)) return 'What it trains must be an object of checks and strengths.';
    if (Object.keys(value).length > MOST.trains) return `A drill trains at most ${MOST.trains} checks.`;
    for (const [id, strength] of Object.entries(value)) {
      if (!isEntryId(id)) return `"${shown(id)}" is not the id of a check.`;
      if (![1, 2, 3].includes(strength as number)) return `The strength for "${id}" must be 1, 2 or 3, not ${shown(strength)}.`;
    }
    return undefined;
  });

/** Texts by a key out of a list: cues by blade school, stand-ins by equipment. */
const IsTexts = (name: string, label: string, keys: readonly string[]) =>
  rule(name, (value) => {
    if (!isRecord(value)) return `${label} must be an object of texts.`;
    for (const [key, text] of Object.entries(value)) {
      if (!keys.includes(key)) return `${label}: there is no "${shown(key)}"; use ${keys.join(', ')}.`;
      const problem = plainTextProblem(`${label}, ${key}`, text, 1, MOST.text);
      if (problem) return problem;
    }
    return undefined;
  });

/** A demand “within” has an upper end above its lower one, no other has any. */
const HasItsEnds = () =>
  rule('hasItsEnds', (direction, { value: lower, upTo, per }) => {
    if (direction !== 'within') return upTo === undefined ? undefined : 'Only a demand “within” has an upper end.';
    if (per !== undefined) return 'A share is asked as “at least” or “at most”.';
    return typeof upTo === 'number' && upTo > (lower as number) ? undefined : 'A demand “within” needs an upper end above its lower one.';
  });

/** A position that the model knows, its dials within their limits. */
export const IsSetUp = () => rule('isSetUp', setUpProblem);

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

export class EffortDto {
  @IsIn(['effort', 'tension']) scale!: 'effort' | 'tension';
  @Max(100) @Min(0) @IsInt() min!: number;
  @IsNotBelow('min') @Max(100) @Min(0) @IsInt() max!: number;
}

export class HandLoadDto {
  @IsIn(['push', 'pull']) direction!: 'push' | 'pull';
  @Max(2, { message: 'The hands carry at most 2 body weights.' })
  @Min(0.01, { message: 'Leave the hand load out where the hands carry nothing.' })
  @IsNumber()
  share!: number;
  @SomeOf(JOINTS, { least: 1 }) joints!: Joint[];
}

/** A set-up of the model, as it stands or turned for each trainee to a wanted share of body weight. */
export class SupportPlanDto {
  @IsSetUp() setUp!: SetUp;
  @IsOptional()
  @Max(3, { message: 'A wanted load must be at most 300% of body weight.' })
  @Min(0.01, { message: 'A wanted load must be at least 1% of body weight.' })
  @IsNumber()
  wanted?: number | undefined;
}

export class RungRefDto {
  @IsEntryId() ladderId!: string;
  @IsEntryId() rungId!: string;
}

/** One drill of the library. */
export class DrillDto {
  @IsEntryId() id!: string;
  @IsText('The name', MOST.name) name!: string;
  @IsIn(PHASES) phase!: Phase;
  @IsIn(JOINTS) joint!: Joint;
  @SomeOf(JOINTS) alsoWorks!: Joint[];
  @SomeOf(MOTIONS, { least: 1, message: 'At least one direction is needed.' })
  motions!: Motion[];
  @IsIn(QUALITIES) quality!: Quality;
  @IsIn(POSITIONS) position!: Position;
  @IsIn(Object.keys(POSES), { message: 'This figure is not among the drawings.' }) pose!: PoseName;
  @IsOptional() @IsEntryId() movement?: string;
  @SomeOf(EQUIPMENT_IDS) equipment!: Equipment[];
  @Part(() => DoseRangeDto) dose!: DoseRangeDto;
  @Part(() => EffortDto) effort!: EffortDto;
  @IsOptional() @Part(() => HandLoadDto) handLoad?: HandLoadDto;
  @IsOptional() @Part(() => SupportPlanDto) support?: SupportPlanDto;
  @IsTrains() trains!: Record<string, 1 | 2 | 3>;
  @IsText('The cue', MOST.text) cue!: string;
  @IsOptional() @IsIn(BLADES) blade?: Blade;
  @IsOptional() @IsTexts('isBladeCues', 'Blade cues', BLADES) bladeCues?: Partial<Record<Blade, string>>;
  @NullIsNone() @IsOptional() @Equals(true) bladeTravels?: true;
  @AllDifferent() @IsEntryId(true) @ArrayMaxSize(MOST.faultsOfDrill) @IsArray() faults!: FaultId[];
  @NullIsNone() @IsOptional() @IsFaultNotes() faultNotes?: Record<FaultId, FaultNote>;
  @NullIsNone() @IsOptional() @Part(() => TeachingDto) teaching?: TeachingDto;
  @AllDifferent() @ArrayMaxSize(MOST.neighbours) @Matches(/^[a-z0-9-]+$/, { each: true }) @IsArray() easier!: string[];
  @SomeOf(CAUTION_IDS) excludedBy!: CautionId[];
  @IsOptional() @Equals(true) byChoice?: true;
  @IsPlainText('An aid', { min: 1, max: MOST.text }, true) @ArrayMaxSize(MOST.aids) @IsArray() aids!: string[];
  @IsTexts('isStandIns', 'Stand-ins', EQUIPMENT_IDS) standIns!: Partial<Record<Equipment, string>>;
  @IsOptional() @Part(() => RungRefDto) rung?: RungRefDto;
  @Part(() => OriginDto) origin!: OriginDto;
}

export class RungDemandDto {
  @IsEntryId() measureId!: string;
  @IsNumber({}, { message: 'A demand needs a figure.' }) value!: number;
  @IsOptional() @IsNumber() upTo?: number;
  @IsIn(Object.keys(UNITS)) unit!: Unit;
  @IsOptional() @IsIn(DEMAND_SHARES, { message: 'A demand is absolute, or per "bodyMass" or "setUpLoad".' }) per?: 'bodyMass' | 'setUpLoad';
  @HasItsEnds() @IsIn(DEMAND_DIRECTIONS) direction!: DemandDirection;
  @Part(() => OriginDto) origin!: OriginDto;
  @IsOptional() @IsBoolean() allowOnTheMark?: boolean;
}

export class RungDto {
  @IsEntryId() id!: string;
  @IsText('The name of the rung', MOST.name) name!: string;
  @IsText('The set-up', MOST.text) setUp!: string;
  @IsIn(Object.keys(POSES), { message: 'This figure is not among the drawings.' }) pose!: PoseName;
  @IsOptional() @Part(() => SupportPlanDto) support?: SupportPlanDto;
  @IsOptional() @IsIn(CLIMBS, { message: `A rung climbs by ${CLIMBS.join(', ')}; or by its load, and says nothing.` }) climbs?: Climbs;
  @IsEntryId() practice!: string;
  @Parts(() => RungDemandDto)
  @ArrayMaxSize(MOST.demands, { message: `A rung has at most ${MOST.demands} demands.` })
  @IsArray()
  demands!: RungDemandDto[];
}

/** Where a signature for a rung that moved counts. */
export class CarriedDto {
  @IsOptional() @IsEntryId() ladderId?: string;
  @IsEntryId() rungId!: string;
  @IsText('The name of the rung that moved', MOST.name) name!: string;
  @IsEntryId() to!: string;
}

/** One ladder of the library, lowest rung first. */
export class LadderDto {
  @IsEntryId() id!: string;
  @IsText('The name of the ladder', MOST.name) name!: string;
  @IsIn(LADDER_KINDS) kind!: LadderKind;
  @IsText('The aim', MOST.text) aim!: string;
  @IsPlainText('A warning', { min: 1, max: MOST.text }, true) @ArrayMaxSize(MOST.aids) @IsArray() warnings!: string[];
  @IsOptional() @AllDifferent() @ArrayMaxSize(MOST.neighbours) @IsEntryId(true) @IsArray() preparation?: string[];
  @IsOptional() @Part(() => RungRefDto) branchOf?: RungRefDto;
  @IsOptional() @Parts(() => CarriedDto) @ArrayMaxSize(MOST.rungs) @IsArray() carries?: CarriedDto[];
  @Parts(() => RungDto)
  @ArrayMaxSize(MOST.rungs, { message: `A ladder has at most ${MOST.rungs} rungs.` })
  @ArrayMinSize(1, { message: 'A ladder needs at least one rung.' })
  @IsArray()
  rungs!: RungDto[];
}

/** A fault: a built-in one in the studio's own words, or one of its own. */
export class FaultDto {
  @IsEntryId() id!: FaultId;
  @IsText('The name of the fault', MOST.name) name!: string;
  @IsText('The first cue', MOST.text) cue!: string;
  @IsText('What to do when it stays', MOST.text) regression!: string;
  @NullIsNone() @IsOptional() @IsIn(MOVE_PARTS) part?: MovePart;
  @NullIsNone() @IsOptional() @Equals(true) oneSided?: true;
  @IsOptional() @IsIn(BLADES) under?: Blade;
  @NullIsNone() @IsOptional() @SomeOf(SITUATIONS, { least: 1 }) only?: Situation[];
  @NullIsNone() @IsOptional() @IsPlaced() placed?: Partial<Record<Situation, FaultWords>>;
}

/** Saves a drill or a ladder as the studio's own. Each save names the revision it edits. */
class EntryRevisionDto {
  @IsUUID('7') revision!: string;
  @IsOptional() @IsUUID('7') basedOn!: string | null;
}

export class DrillEntryDto extends EntryRevisionDto {
  @Part(() => DrillDto) entry!: DrillDto;
}

export class LadderEntryDto extends EntryRevisionDto {
  @Part(() => LadderDto) entry!: LadderDto;
}

export class MeasureEntryDto extends EntryRevisionDto {
  @Part(() => MeasureDto) entry!: MeasureDto;
}

export class FaultEntryDto extends EntryRevisionDto {
  @Part(() => FaultDto) entry!: FaultDto;
}

/** Goes back to the built-in entry, or stops offering one of the studio's own. */
export class EntryResetDto extends EntryRevisionDto {}

/** A file to look at, or to take over. */
export class LibraryImportDto {
  @IsUUID('7') id!: string;
  @IsIn(['json', 'csv'], { message: 'A library file is "json" or "csv".' }) format!: 'json' | 'csv';
  @IsString() text!: string;
  @IsBoolean() apply!: boolean;
  @IsString() state!: string;
}

export const LIBRARY_FORMAT = 'myokinet-library';
export const LIBRARY_FORMAT_VERSION = 1;

/** A library as one file. */
export class LibraryFileDto {
  @Equals(LIBRARY_FORMAT, { message: `This is not a library file: "format" must be "${LIBRARY_FORMAT}".` }) format!: typeof LIBRARY_FORMAT;
  @Equals(LIBRARY_FORMAT_VERSION, {
    message: `This file has another version of the format: "formatVersion" must be ${LIBRARY_FORMAT_VERSION}.`,
  })
  formatVersion!: typeof LIBRARY_FORMAT_VERSION;
  /** Version of the built-in library it was written beside. */
  @IsText('The version of the library', MOST.name) libraryVersion!: string;
  @Parts(() => DrillDto)
  @ArrayMaxSize(MOST.drills, { message: `At most ${MOST.drills} drills fit one file.` })
  @IsArray()
  drills!: DrillDto[];
  @Parts(() => LadderDto)
  @ArrayMaxSize(MOST.ladders, { message: `At most ${MOST.ladders} ladders fit one file.` })
  @IsArray()
  ladders!: LadderDto[];

  @Parts(() => FaultDto)
  @ArrayMaxSize(MOST.faults, { message: `At most ${MOST.faults} faults fit one file.` })
  @IsArray()
  faults!: FaultDto[];

  /** Absent in files of before checks travelled with them. */
  @IsOptional()
  @Parts(() => MeasureDto)
  @ArrayMaxSize(MOST.measures, { message: `At most ${MOST.measures} checks fit one file.` })
  @IsArray()
  measures?: MeasureDto[];

  /** Pictures of the studio's own, where whoever wrote the file wanted them in it. */
  @IsOptional()
  @Parts(() => LibraryFilePictureDto)
  @ArrayMaxSize(PICTURED_LIMITS.ofStudio, { message: `At most ${PICTURED_LIMITS.ofStudio} pictures fit one file.` })
  @IsArray()
  pictures?: LibraryFilePictureDto[];

  /** The studio’s routines. Each is read by a contract of its own, against the library as the file leaves it. */
  @IsOptional()
  @IsObject({ each: true })
  @ArrayMaxSize(MOST.routines, { message: `At most ${MOST.routines} routines fit one file.` })
  @IsArray()
  routines?: object[];
}
