import type { FieldProblem } from '../errors.ts';
import type { RungDemand } from '../ladders/index.ts';
import { type Measure, formatReading, trialProblem } from '../measuring/index.ts';
import { UNITS } from '../quantities/index.ts';
import type { LibraryContent } from './library.ts';
import { problem } from './problem.ts';

/** Demands whose check is unknown, retired, measured in something else, or cannot read the figure. */
export function demandProblems({ ladders, measures, setAside }: LibraryContent): FieldProblem[] {
  const byId = new Map(measures.map((m) => [m.id, m]));
  const retired = new Set(setAside);
  return ladders.flatMap((l, i) =>
    l.rungs.flatMap((r, j) =>
      r.demands.flatMap((d, k): FieldProblem[] => {
        const at = `/ladders/${i}/rungs/${j}/demands/${k}`;
        const measure = byId.get(d.measureId);
        if (!measure) return [problem(`${at}/measureId`, 'known', `“${r.name}”: there is no check called "${d.measureId}".`)];
        if (retired.has(measure.id))
          return [problem(`${at}/measureId`, 'retired', `“${r.name}” asks for “${measure.name}”, which the studio has retired.`)];
        const wrong = demandProblem(d, measure);
        return wrong ? [problem(`${at}/${wrong.property}`, wrong.property, `“${r.name}”: ${wrong.message}`)] : [];
      }),
    ),
  );
}

interface WrongDemand {
  readonly property: keyof RungDemand;
  readonly message: string;
}

/** Body masses that a demand may at most ask for. */
const MOST_BODY_MASSES = 3;

/** What is wrong with one demand on a check: its unit, its figures, or what it is a share of. */
function demandProblem({ unit, value, upTo, per, direction }: RungDemand, measure: Measure): WrongDemand | undefined {
  if (unit !== measure.unit)
    return {
      property: 'unit',
      message: `${measure.name} is measured in ${UNITS[measure.unit].name} ("${measure.unit}"), not in "${unit}".`,
    };
  if (direction === 'within' && measure.choices)
    return {
      property: 'direction',
      message: `${measure.name} is a level: ask for at least or at most “${formatReading(measure, value)}”.`,
    };
  if (per === 'bodyMass' && measure.unit !== 'kg')
    return { property: 'per', message: 'Only a check in kilograms can be asked as a share of body mass.' };
  if (per === 'setUpLoad' && measure.unit !== 'percentBodyWeight')
    return { property: 'per', message: 'Only a tolerated hand load can be asked as a share of what the set-up puts on the hands.' };
  if (per !== undefined)
    return value > 0 && value <= MOST_BODY_MASSES
      ? undefined
      : { property: 'value', message: `A share must be above 0 and at most ${MOST_BODY_MASSES}.` };
  const { min, max } = measure.limits;
  const readable = `${measure.name} reads from ${formatReading(measure, min)} to ${formatReading(measure, max)}${measure.choices ? ', in whole steps' : ''}.`;
  if (trialProblem(measure, value)) return { property: 'value', message: readable };
  return upTo !== undefined && trialProblem(measure, upTo) ? { property: 'upTo', message: readable } : undefined;
}

/**
 * What a changed check would take from the figures already on record under its id: its unit, its sides, and the number of its named
 * readings stay as they are. A check that measures something else is a check of its own.
 *
 * @param before the library as it is
 * @param after the library as it would be
 * @returns pointers into `after`
 */
export function measureChangeProblems(before: LibraryContent, after: LibraryContent): readonly FieldProblem[] {
  const known = new Map(before.measures.map((m) => [m.id, m]));
  return after.measures.flatMap((m, i) => {
    const was = known.get(m.id);
    if (!was || was === m) return [];
    const keep = (property: 'unit' | 'sided' | 'choices', same: boolean) =>
      same
        ? []
        : [
            problem(
              `/measures/${i}/${property}`,
              'kept',
              `“${was.name}” may be on record: its ${WORDS_OF[property]} cannot change. Copy it to a check of its own.`,
            ),
          ];
    return [
      ...keep('unit', m.unit === was.unit),
      ...keep('sided', m.sided === was.sided),
      ...keep('choices', m.choices?.length === was.choices?.length),
    ];
  });
}

const WORDS_OF = { unit: 'unit', sided: 'sides', choices: 'number of readings' } as const;

/** The rungs that ask for a check: it cannot be retired while there are some. */
export function askingFor({ ladders }: Pick<LibraryContent, 'ladders'>, measureId: string): readonly string[] {
  return ladders.flatMap((l) => l.rungs.filter((r) => r.demands.some((d) => d.measureId === measureId)).map((r) => `${l.name}, ${r.name}`));
}
