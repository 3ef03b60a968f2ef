import type { FieldProblem } from '../errors.ts';
import type { Drill } from '../drills/index.ts';
import { EMPTY_LIBRARY, type EntryKind, type LibraryContent, LIST_OF } from './library.ts';
import { demandProblems, measureChangeProblems } from './measureProblems.ts';
import { merged } from './merge.ts';
import { problem } from './problem.ts';

/**
 * What does not fit together in a library: ids used twice, neighbours, rungs and practices that do not
 * exist, checks and faults that are asked for and not there, demands that their check cannot read, and cycles among neighbours. What is wrong inside one entry is the contract's business.
 *
 * @param content a whole library, built-in entries included
 * @returns one problem for each place, as a JSON pointer into the content; none when all is well
 * @example libraryProblems(BUILT_IN) // []
 */
export function libraryProblems(content: LibraryContent): readonly FieldProblem[] {
  return [
    ...twice(content.drills, '/drills'),
    ...twice(content.ladders, '/ladders'),
    ...twice(content.measures, '/measures'),
    ...twice(content.faults, '/faults'),
    ...namedProblems(content),
    ...demandProblems(content),
    ...neighbourProblems(content.drills),
    ...rungProblems(content),
  ];
}

function twice(entries: readonly { readonly id: string }[], at: string): FieldProblem[] {
  const seen = new Set<string>();
  return entries.flatMap(({ id }, i) => {
    if (!seen.has(id)) {
      seen.add(id);
      return [];
    }
    return [problem(`${at}/${i}/id`, 'unique', `The id "${id}" is used twice.`)];
  });
}

function neighbourProblems(drills: readonly Drill[]): FieldProblem[] {
  const byId = new Map(drills.map((d) => [d.id, d]));
  const knots = knotsAmong(drills);
  return drills.flatMap((drill, i) =>
    drill.easier.flatMap((easier, j): FieldProblem[] => {
      const field = `/drills/${i}/easier/${j}`;
      const neighbour = byId.get(easier);
      if (!neighbour) return [problem(field, 'known', `“${drill.name}”: there is no drill called "${easier}" to be its easier neighbour.`)];
      if (drill === neighbour) return [problem(field, 'acyclic', `“${drill.name}” is its own easier neighbour.`)];
      if (knots.get(drill.id) !== undefined && knots.get(drill.id) === knots.get(easier))
        return [
          problem(
            field,
            'acyclic',
            `A cycle among neighbours: “${drill.name}” is harder than “${neighbour.name}”, which leads back to it.`,
          ),
        ];
      return [];
    }),
  );
}

/** Drills that can reach one another through easier neighbours share a knot number (Tarjan 1972); others have none. */
function knotsAmong(drills: readonly Drill[]): ReadonlyMap<string, number> {
  const easierOf = new Map(drills.map((d) => [d.id, d.easier]));
  const order = new Map<string, number>();
  const low = new Map<string, number>();
  const open: string[] = [];
  const isOpen = new Set<string>();
  const knots = new Map<string, number>();
  const visit = (id: string): void => {
    order.set(id, order.size);
    low.set(id, order.get(id) ?? 0);
    open.push(id);
    isOpen.add(id);
    for (const next of easierOf.get(id) ?? []) {
      if (!easierOf.has(next)) continue;
      if (!order.has(next)) {
        visit(next);
        low.set(id, Math.min(low.get(id) ?? 0, low.get(next) ?? 0));
      } else if (isOpen.has(next)) low.set(id, Math.min(low.get(id) ?? 0, order.get(next) ?? 0));
    }
    if (low.get(id) !== order.get(id)) return;
    const members = open.splice(open.lastIndexOf(id));
    for (const member of members) isOpen.delete(member);
    if (members.length > 1) for (const member of members) knots.set(member, order.get(id) ?? 0);
  };
  for (const { id } of drills) if (!order.has(id)) visit(id);
  return knots;
}

function rungProblems({ drills, ladders, setAside }: LibraryContent): FieldProblem[] {
  const drillIds = new Set(drills.map((d) => d.id));
  const rungs = new Map(ladders.map((l) => [l.id, new Set(l.rungs.map((r) => r.id))]));
  const known = (ref: { readonly ladderId: string; readonly rungId: string }) => rungs.get(ref.ladderId)?.has(ref.rungId) ?? false;
  return [
    ...drills.flatMap((d, i) =>
      d.rung && !known(d.rung) && !setAside.includes(d.id)
        ? [problem(`/drills/${i}/rung`, 'known', `“${d.name}”: there is no rung "${d.rung.rungId}" on a ladder "${d.rung.ladderId}".`)]
        : [],
    ),
    ...ladders.flatMap((l, i) => [
      ...twice(l.rungs, `/ladders/${i}/rungs`),
      ...(l.preparation ?? []).flatMap((id, j) =>
        drillIds.has(id)
          ? []
          : [problem(`/ladders/${i}/preparation/${j}`, 'known', `“${l.name}”: there is no drill called "${id}" to prepare for it.`)],
      ),
      ...(l.carries ?? []).flatMap(({ to }, j) =>
        l.rungs.some((r) => r.id === to)
          ? []
          : [problem(`/ladders/${i}/carries/${j}/to`, 'known', `“${l.name}”: it has no rung "${to}" for a signature to count on.`)],
      ),
      ...(l.branchOf && !known(l.branchOf)
        ? [
            problem(
              `/ladders/${i}/branchOf`,
              'known',
              `“${l.name}”: there is no rung "${l.branchOf.rungId}" on a ladder "${l.branchOf.ladderId}".`,
            ),
          ]
        : []),
      ...l.rungs.flatMap((r, j) =>
        r.demands.flatMap((d, k) =>
          d.per === 'setUpLoad' && !r.support
            ? [
                problem(
                  `/ladders/${i}/rungs/${j}/demands/${k}/per`,
                  'known',
                  `“${r.name}”: a demand is asked as a share of the set-up’s load, but the rung has no set-up that the lab knows.`,
                ),
              ]
            : [],
        ),
      ),
      ...l.rungs.flatMap((r, j) =>
        drillIds.has(r.practice)
          ? []
          : [
              problem(
                `/ladders/${i}/rungs/${j}/practice`,
                'known',
                `“${r.name}”: there is no drill called "${r.practice}" to practise it.`,
              ),
            ],
      ),
    ]),
  ];
}

/** Checks that drills train and faults that they invite. */
function namedProblems({ drills, measures, faults }: LibraryContent): FieldProblem[] {
  const checks = new Set(measures.map((m) => m.id));
  const known = new Set(faults.map((f) => f.id));
  const named = new Set(drills.map((d) => d.id));
  const led = measures.flatMap((m, i) =>
    (m.leads ?? []).flatMap((lead, j) =>
      lead.drills.flatMap((id, k) =>
        named.has(id)
          ? []
          : [problem(`/measures/${i}/leads/${j}/drills/${k}`, 'known', `“${m.name}”: there is no drill called "${id}" to try.`)],
      ),
    ),
  );
  const ofDrills = drills.flatMap((d, i) => [
    ...Object.keys(d.trains)
      .filter((id) => !checks.has(id))
      .map((id) => problem(`/drills/${i}/trains`, 'known', `“${d.name}”: there is no check called "${id}" to train.`)),
    ...Object.keys(d.faultNotes ?? {})
      .filter((id) => !known.has(id))
      .map((id) => problem(`/drills/${i}/faultNotes`, 'known', `“${d.name}”: there is no fault called "${id}" to say otherwise.`)),
    ...d.faults.flatMap((id, j) =>
      known.has(id) ? [] : [problem(`/drills/${i}/faults/${j}`, 'known', `“${d.name}”: there is no fault called "${id}".`)],
    ),
  ]);
  return [...ofDrills, ...led];
}

/**
 * What one entry would break in a library: the problems of the whole that lie in it.
 *
 * @param content the library as it is
 * @param entry the entry as it would be saved
 * @returns pointers into the entry
 */
export function entryProblems(content: LibraryContent, kind: EntryKind, entry: { readonly id: string }): readonly FieldProblem[] {
  const list = LIST_OF[kind];
  const after = merged(content, { ...EMPTY_LIBRARY, [list]: [entry] });
  const at = `/${list}/${after[list].findIndex((e) => e.id === entry.id)}/`;
  return [...libraryProblems(after), ...measureChangeProblems(content, after)].flatMap((p) =>
    p.field.startsWith(at) ? [{ ...p, field: `/${p.field.slice(at.length)}` }] : [],
  );
}
