import 'reflect-metadata';
import { ArrayMaxSize, ArrayMinSize, IsArray, IsIn, IsOptional } from 'class-validator';
import { type Breath, BREATHS, MOVE_PARTS, type MovePart, SITUATIONS } from '../drills/index.ts';
import { plainTextProblem } from './decorators.ts';
import { isEntryId, IsText } from './entry.ts';
import { LIBRARY_LIMITS as MOST } from './limits.ts';
import { Part, Parts } from './parts.ts';
import { NullIsNone, rule, shown } from './rule.ts';

export class TeachingStepDto {
  @IsIn(MOVE_PARTS, { message: `A step belongs to ${MOVE_PARTS.join(', ')}.` }) part!: MovePart;
  @IsText('A step', MOST.teaching) text!: string;
}

export class BreathingDto {
  @NullIsNone() @IsOptional() @IsIn(BREATHS) out?: Breath;
  @NullIsNone() @IsOptional() @IsIn(BREATHS) hold?: Breath;
  @NullIsNone() @IsOptional() @IsIn(BREATHS) back?: Breath;
}

/** The parts of a movement follow one another, each at most once. */
const InOrder = () =>
  rule('inOrder', (value) => {
    if (!Array.isArray(value)) return undefined;
    const places = value.map((step: unknown) => MOVE_PARTS.indexOf((step as { readonly part?: MovePart } | null)?.part as MovePart));
    const falls = places.findIndex((place, i) => i > 0 && place <= (places[i - 1] ?? 0));
    return falls < 0 ? undefined : `Step ${falls + 1} is out of order: ${MOVE_PARTS.join(', ')}, each at most once.`;
  });

/** How a drill is taught. */
export class TeachingDto {
  @InOrder()
  @Parts(() => TeachingStepDto)
  @ArrayMaxSize(MOVE_PARTS.length, { message: `A drill has at most ${MOVE_PARTS.length} steps.` })
  @ArrayMinSize(1, { message: 'At least one step is needed.' })
  @IsArray()
  steps!: TeachingStepDto[];
  @IsText('Where it is felt', MOST.teaching, 0) felt!: string;
  @IsText('What stays still', MOST.teaching, 0) still!: string;
  @IsText('What to look at', MOST.teaching, 0) gaze!: string;
  @Part(() => BreathingDto) breath!: BreathingDto;
  @IsText('The reason', MOST.teaching, 0) why!: string;
}

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Words of faults under a key; nothing else may stand there. */
function wordsProblem(label: string, value: unknown, isKey: (key: string) => string | undefined, parts: boolean): string | undefined {
  if (!isRecord(value)) return `${label} must be an object of words.`;
  if (Object.keys(value).length > MOST.faultsOfDrill) return `${label}: at most ${MOST.faultsOfDrill} entries fit.`;
  for (const [key, words] of Object.entries(value)) {
    const unknown = isKey(key);
    if (unknown) return unknown;
    if (!isRecord(words)) return `${label}, ${shown(key)}: words must be an object.`;
    for (const [name, text] of Object.entries(words)) {
      if (parts && name === 'part') {
        if (!MOVE_PARTS.some((p) => p === text)) return `${label}, ${key}: the part must be ${MOVE_PARTS.join(', ')}.`;
        continue;
      }
      if (name !== 'cue' && name !== 'regression') return `${label}, ${key}: there is no "${shown(name)}".`;
      const problem = plainTextProblem(`${label}, ${key}, ${name}`, text, 1, MOST.text);
      if (problem) return problem;
    }
  }
  return undefined;
}

/** What a drill says of its faults in its own way, by the fault's id. */
export const IsFaultNotes = () =>
  rule('isFaultNotes', (value) =>
    wordsProblem('Notes on faults', value, (key) => (isEntryId(key) ? undefined : `"${shown(key)}" is not the id of a fault.`), true),
  );

/** What a fault says where the body is placed otherwise. */
export const IsPlaced = () =>
  rule('isPlaced', (value) =>
    wordsProblem(
      'Words by placement',
      value,
      (key) => (SITUATIONS.some((s) => s === key) ? undefined : `There is no placement "${shown(key)}"; use ${SITUATIONS.join(', ')}.`),
      false,
    ),
  );
