/** One place in which two versions of an entry differ. */
export interface Difference {
  /** Names from the entry inward: `['dose', 'max']`, `['rungs', 'free-hang', 'demands', 'grip', 'value']`. */
  readonly path: readonly string[];
  /** Absent where the place is new. */
  readonly before?: string;
  /** Absent where the place is gone. */
  readonly after?: string;
}

type Json = unknown;

/**
 * Where two versions of a drill or ladder differ, place by place. Rungs are followed by their id and
 * demands by their check, the steps of a lesson by their part, so that a moved rung is told as moved and not as ten changes.
 *
 * @example differences({ dose: { max: 20 } }, { dose: { max: 25 } }) // [{ path: ['dose', 'max'], before: '20', after: '25' }]
 */
export function differences(before: Json, after: Json, path: readonly string[] = []): readonly Difference[] {
  if (same(before, after)) return [];
  if (isKeyedList(before) && isKeyedList(after)) {
    const [was, is] = [keyed(before), keyed(after)];
    const common = [...was.keys()].filter((k) => is.has(k));
    const moved = !same(
      common,
      [...is.keys()].filter((k) => was.has(k)),
    );
    return [
      ...differences(Object.fromEntries(was), Object.fromEntries(is), path),
      ...(moved ? [{ path: [...path, 'order'], before: [...was.keys()].join(', '), after: [...is.keys()].join(', ') }] : []),
    ];
  }
  if (isRecord(before) && isRecord(after)) {
    return [...new Set([...Object.keys(before), ...Object.keys(after)])].flatMap((key) =>
      differences(before[key], after[key], [...path, key]),
    );
  }
  return [
    {
      path,
      ...(before === undefined ? {} : { before: told(before) }),
      ...(after === undefined ? {} : { after: told(after) }),
    },
  ];
}

function same(a: Json, b: Json): boolean {
  return JSON.stringify(sorted(a)) === JSON.stringify(sorted(b));
}

/** Key order says nothing; list order does. */
function sorted(value: Json): Json {
  if (Array.isArray(value)) return value.map(sorted);
  if (!isRecord(value)) return value;
  return Object.fromEntries(
    Object.keys(value)
      .sort()
      .filter((k) => value[k] !== undefined)
      .map((k) => [k, sorted(value[k])]),
  );
}

function isRecord(value: Json): value is Record<string, Json> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}

function keyOf(value: Json): string | undefined {
  if (!isRecord(value)) return undefined;
  const key = value.id ?? value.measureId ?? value.part;
  return typeof key === 'string' ? key : undefined;
}

function isKeyedList(value: Json): value is readonly Record<string, Json>[] {
  return Array.isArray(value) && value.length > 0 && value.every((v) => keyOf(v) !== undefined);
}

function keyed(list: readonly Record<string, Json>[]): Map<string, Json> {
  return new Map(list.map((v) => [keyOf(v) ?? '', v]));
}

function told(value: Json): string {
  if (Array.isArray(value)) return value.map(told).join(', ') || 'none';
  if (isRecord(value)) {
    const { name } = value;
    return typeof name === 'string'
      ? name
      : Object.entries(value)
          .map(([k, v]) => `${k} ${told(v)}`)
          .join(', ') || 'none';
  }
  return String(value);
}
