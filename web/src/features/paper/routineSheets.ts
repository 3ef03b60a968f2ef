import { cuesOf, type Drill, EQUIPMENT } from '@myokinet/core/drills';
import type { Library } from '@myokinet/core/library';
import { type MostOf, ROUTINE_PARTS, type Routine, type RoutineBlock, routineSeconds, type RoutineStep } from '@myokinet/core/routines';
import type { Schools } from '@myokinet/core/schools';
import { amountInWords, choiceInWords, lastsInWords, PURPOSE_WORDS, wayInWords } from '../routines/index.ts';
import { type HandOutWith, STOPS } from './handOut.ts';
import type { PaperBlock, PaperDocument, PaperDrill } from './paperDocument.ts';

interface RoutineFacts {
  /** What stands against its drills for this trainee. */
  readonly against: ReadonlyMap<string, { readonly most: MostOf; readonly says: string }>;
  /** Fitted to the trainee. */
  readonly library: Library;
  readonly schools: Schools;
  readonly drillOf: (id: string) => Drill | undefined;
}

/** A routine as it is taken home: its blocks in order, every drill within what this trainee may do, a box for each round. */
export function routineSheets(routine: Routine, facts: RoutineFacts, told: HandOutWith): PaperDocument['sheets'] {
  const { against, library, drillOf } = facts;
  const left = [...against].flatMap(([id, { most, says }]) => (most === 'closed' ? [`${library.drill(id).name}: ${says}`] : []));
  const ids = routine.blocks
    .flatMap((b) => b.steps)
    .flatMap((s) => (s.kind === 'drill' && against.get(s.drillId)?.most !== 'closed' ? [s.drillId] : []));
  const needed = [...new Set(ids.flatMap((id) => drillOf(id)?.equipment ?? []))].map((e) => EQUIPMENT[e]);
  const blocks = ROUTINE_PARTS.flatMap((part) => routine.blocks.filter((b) => b.part === part));
  return [
    {
      heading: routine.name,
      under: [
        `${PURPOSE_WORDS[routine.purpose].name}, about ${lastsInWords(routineSeconds(routine, drillOf))}`,
        ...(needed.length > 0 ? [`You need: ${needed.join(', ')}`] : []),
        ...(routine.note ? [routine.note] : []),
      ],
      blocks: [
        ...blocks.flatMap((block, i) => blockBlocks(block, i, facts, told)),
        ...(left.length > 0 ? [{ is: 'list', heading: 'Not for you as things stand', lines: left } as const] : []),
        { is: 'notice', heading: 'Stop for today, and tell your coach', lines: STOPS },
      ],
    },
  ];
}

function blockBlocks(block: RoutineBlock, at: number, facts: RoutineFacts, told: HandOutWith): readonly PaperBlock[] {
  const heading = `${block.name || `Part ${at + 1}`}: ${wayInWords(block)}`;
  const between = block.steps.flatMap((step) => (step.kind === 'drill' ? [] : [otherInWords(step)]));
  return [
    { is: 'list', heading, lines: between },
    ...block.steps.flatMap((step) => (step.kind === 'drill' ? drillBlocks(step, block, facts, told) : [])),
  ];
}

function otherInWords(step: Exclude<RoutineStep, { readonly kind: 'drill' }>): string {
  switch (step.kind) {
    case 'pause':
      return `Between: a pause of ${step.seconds} s`;
    case 'breath':
      return `Between: ${step.breaths} slow breaths`;
    case 'transition':
      return `Between: ${step.text || 'change place'}, ${step.seconds} s`;
    case 'choice':
      return `${choiceInWords(step.phase)}, ${step.seconds} s`;
  }
}

type DrillStep = Extract<RoutineStep, { readonly kind: 'drill' }>;

function drillBlocks(
  step: DrillStep,
  block: RoutineBlock,
  { against, schools, drillOf }: RoutineFacts,
  told: HandOutWith,
): readonly PaperDrill[] {
  const drill = drillOf(step.drillId);
  const limit = against.get(step.drillId);
  if (!drill || limit?.most === 'closed') return [];
  const amount = Math.min(step.amount, limit?.most.max ?? step.amount);
  const rounds = Math.min(block.way === 'rounds' ? (block.rounds ?? 1) : 1, limit?.most.sets ?? Infinity);
  const asked = block.way === 'stations' ? `${block.breaths} breaths` : amountInWords(amount, drill.dose.unit);
  return [
    {
      is: 'drill',
      name: drill.name,
      dose: `${asked}${drill.dose.perSide ? ' a side' : ''}${step.restSeconds > 0 ? `, then rest ${step.restSeconds} s` : ''}`,
      lines: [...(limit ? [limit.says] : []), cuesOf(drill, schools).join(' ')],
      steps: told.steps ? (drill.teaching?.steps.map((s) => s.text) ?? []) : [],
      boxes: [{ label: block.way === 'rounds' ? 'Rounds' : 'Done', count: rounds }],
      ...(told.figures ? { figure: drill } : {}),
    },
  ];
}
