import {
  FILE_SHAPE,
  inspect,
  LIBRARY_FORMAT,
  LIBRARY_FORMAT_VERSION,
  LIBRARY_LIMITS,
  LibraryFileDto,
  type LibraryFilePictureDto,
  RoutineInFileDto,
  withTwoErrors,
} from '../contracts/index.ts';
import type { FieldProblem } from '../errors.ts';
import type { Drill, FaultEntry } from '../drills/index.ts';
import type { Ladder } from '../ladders/index.ts';
import type { Measure } from '../measuring/index.ts';
import type { Routine } from '../routines/index.ts';
import {
  EMPTY_LIBRARY,
  type LibraryContent,
  libraryProblems,
  LIST_OF,
  measureChangeProblems,
  merged,
  openLibrary,
} from '../library/index.ts';

/** What a file brings, or every reason why it brings nothing. */
export interface ReadLibrary {
  readonly content: LibraryContent;
  /** Pictures that travel with it; most readers bring none. */
  readonly pictures?: readonly LibraryFilePictureDto[];
  /** Routines that travel with it. */
  readonly routines?: readonly RoutineInFile[];
  readonly problems: readonly FieldProblem[];
}

/** A routine with the id under which it is the same elsewhere. */
export interface RoutineInFile extends Routine {
  readonly id: string;
}

/**
 * A library as the text of one JSON file.
 *
 * @param content the entries to write
 * @param libraryVersion version of the built-in library they stand beside
 * @param more the studio's own pictures, where they are wanted, in the file or as addresses; and its routines
 */
export function writeLibraryFile(
  { drills, ladders, measures, faults }: LibraryContent,
  libraryVersion: string,
  {
    pictures = [],
    routines = [],
  }: { readonly pictures?: readonly LibraryFilePictureDto[]; readonly routines?: readonly RoutineInFile[] } = {},
): string {
  const head = { format: LIBRARY_FORMAT, formatVersion: LIBRARY_FORMAT_VERSION, libraryVersion };
  return `${JSON.stringify({ ...head, drills, ladders, measures, faults, ...(pictures.length > 0 ? { pictures } : {}), ...(routines.length > 0 ? { routines } : {}) }, null, 2)}\n`;
}

/**
 * Reads a library file: everything is checked, by itself and against the library it comes to, before
 * anything is handed over.
 *
 * @param text what the file holds
 * @param current the library the file comes to; its entries may be named as neighbours and practices
 * @param now the moment of judging
 * @returns the entries, or an empty library and every problem with its place
 * @example readLibraryFile('{}', content, now).problems[0].field // '/format'
 */
export function readLibraryFile(text: string, current: LibraryContent, now: Date): ReadLibrary {
  if (text.length > LIBRARY_LIMITS.fileBytes)
    return refused('', 'size', `The file is larger than the limit of ${LIBRARY_LIMITS.fileBytes / 1024 / 1024} MB.`);
  let plain: unknown;
  try {
    plain = JSON.parse(text);
  } catch (error) {
    return refused('', 'json', `This is not readable JSON: ${error instanceof Error ? error.message : 'no reason given'}.`);
  }
  const head = headProblems(plain);
  if (head.length > 0) return { content: EMPTY_LIBRARY, problems: head };
  const { instance, problems } = inspect(LibraryFileDto, today(plain), { now, shape: FILE_SHAPE });
  if (problems.length > 0) return { content: EMPTY_LIBRARY, problems: problems.map((p) => named(p, plain)) };
  const entries = readEntries(
    {
      drills: instance.drills as Drill[],
      ladders: instance.ladders as Ladder[],
      measures: (instance.measures ?? []) as Measure[],
      faults: instance.faults as FaultEntry[],
      setAside: [],
    },
    current,
  );
  if (entries.problems.length > 0) return entries;
  const pictures = instance.pictures ?? [];
  const strays = strayPictures(pictures, merged(current, entries.content));
  if (strays.length > 0) return { content: EMPTY_LIBRARY, problems: strays };
  const routines = readRoutines(instance.routines ?? [], merged(current, entries.content), now);
  return routines.problems.length > 0
    ? { content: EMPTY_LIBRARY, problems: routines.problems }
    : { ...entries, pictures, routines: routines.routines };
}

/** Routines of a file, held against the library as the file leaves it. */
function readRoutines(
  plain: readonly object[],
  content: LibraryContent,
  now: Date,
): { readonly routines: readonly RoutineInFile[]; readonly problems: readonly FieldProblem[] } {
  if (plain.length === 0) return { routines: [], problems: [] };
  const library = openLibrary(content);
  const read = plain.map((one, i) => {
    const { instance, problems } = inspect(RoutineInFileDto, one, { now, library });
    const name = (one as { readonly name?: unknown }).name;
    const label = typeof name === 'string' ? name : `number ${i + 1}`;
    return {
      instance,
      problems: problems.map((p) => ({ ...p, field: `/routines/${i}${p.field}`, message: `Routine “${label}”: ${p.message}` })),
    };
  });
  const ids = read.map((r) => r.instance.id);
  const twice = ids.flatMap((id, i) =>
    ids.indexOf(id) < i ? [{ field: `/routines/${i}/id`, limit: 'unique', message: 'The same routine is in the file twice.' }] : [],
  );
  return { routines: plain as readonly RoutineInFile[], problems: [...read.flatMap((r) => r.problems), ...twice] };
}

/** Pictures of entries that neither the library nor the file has. */
function strayPictures(pictures: readonly LibraryFilePictureDto[], { drills, measures }: LibraryContent): FieldProblem[] {
  const known = { drill: new Set(drills.map((d) => d.id)), measure: new Set(measures.map((m) => m.id)) };
  return pictures.flatMap(({ kind, entry }, i) =>
    known[kind].has(entry)
      ? []
      : [{ field: `/pictures/${i}/entry`, limit: 'known', message: `Picture ${i + 1} is of “${entry}”, which the library has not got.` }],
  );
}

/** Entries that are each sound, held against each other and the library they come to. */
export function readEntries(content: LibraryContent, current: LibraryContent): ReadLibrary {
  const own = libraryProblems(content).filter(({ limit }) => limit === 'unique');
  if (own.length > 0) return { content: EMPTY_LIBRARY, problems: own };
  const whole = merged(current, content);
  const placeInFile = placesIn(content, whole);
  const problems = [...libraryProblems(whole), ...measureChangeProblems(current, whole)].map((p) => ({
    ...p,
    field: placeInFile(p.field),
  }));
  return problems.length > 0 ? { content: EMPTY_LIBRARY, problems } : { content, problems };
}

function refused(field: string, limit: string, message: string): ReadLibrary {
  return { content: EMPTY_LIBRARY, problems: [{ field, limit, message }] };
}

/** Checks that an older program wrote have one error; today's have two. */
function today(plain: unknown): unknown {
  const file = plain as { readonly measures?: unknown };
  return Array.isArray(file.measures) ? { ...file, measures: file.measures.map(withTwoErrors) } : plain;
}

/** Format and version first: a file of another kind would break every other rule as well. */
function headProblems(plain: unknown): readonly FieldProblem[] {
  if (typeof plain !== 'object' || plain === null || Array.isArray(plain))
    return [{ field: '', limit: 'object', message: 'A library file holds one JSON object.' }];
  const { format, formatVersion } = plain as Record<string, unknown>;
  if (format !== LIBRARY_FORMAT)
    return [{ field: '/format', limit: 'equals', message: `This is not a library file: "format" must be "${LIBRARY_FORMAT}".` }];
  if (formatVersion !== LIBRARY_FORMAT_VERSION)
    return [
      {
        field: '/formatVersion',
        limit: 'equals',
        message: `This file has version ${JSON.stringify(formatVersion)} of the format; this program reads version ${LIBRARY_FORMAT_VERSION}.`,
      },
    ];
  return [];
}

const LISTS = Object.values(LIST_OF);

/** A pointer into the merged library, told as a place in the file where the entry comes from there. */
function placesIn(file: LibraryContent, whole: LibraryContent): (field: string) => string {
  const places = new Map(LISTS.map((kind) => [kind, new Map<string, number>(file[kind].map(({ id }, i) => [id, i]))]));
  return (field) => {
    const [, kind, index, ...rest] = field.split('/');
    const list = LISTS.find((l) => l === kind);
    if (!list) return field;
    const at = places.get(list)?.get(whole[list][Number(index)]?.id ?? '');
    return at === undefined ? field : ['', kind, at, ...rest].join('/');
  };
}

/** Says which entry a place belongs to: a coach knows names, not numbers. */
function named(problem: FieldProblem, plain: unknown): FieldProblem {
  const [, kind, index, ...rest] = problem.field.split('/');
  const entries = (plain as Record<string, unknown>)[kind ?? ''];
  if (!Array.isArray(entries) || index === undefined) return problem;
  const entry = entries[Number(index)] as { name?: unknown; id?: unknown; rungs?: unknown } | undefined;
  const label = typeof entry?.id === 'string' ? entry.id : `number ${Number(index) + 1}`;
  const rungs =
    Array.isArray(entry?.rungs) && rest[0] === 'rungs' ? (entry.rungs[Number(rest[1])] as { id?: unknown } | undefined) : undefined;
  const rung = typeof rungs?.id === 'string' ? `, rung “${rungs.id}”` : '';
  return {
    ...problem,
    message: `${{ drills: 'Drill', ladders: 'Ladder', measures: 'Check', faults: 'Fault' }[kind ?? ''] ?? 'Entry'} “${label}”${rung}: ${problem.message}`,
  };
}
