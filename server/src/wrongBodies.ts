export type Body = Record<string, unknown>;
type Path = readonly (string | number)[];

/** Every place in a body; of a list of like things the first, of events each. */
export function placesIn(value: unknown, at: Path = []): Path[] {
  if (typeof value !== 'object' || value === null) return [at];
  const list = Array.isArray(value);
  const inside = Object.entries(value as Body).filter(([key]) => !list || key === '0' || at.at(-1) === 'events');
  return [...(at.length > 0 ? [at] : []), ...inside.flatMap(([key, v]) => placesIn(v, [...at, list ? Number(key) : key]))];
}

const GONE = Symbol('gone');
export const nested = (depth: number) => Array.from({ length: depth }).reduce<unknown>((inner) => [inner], 'x');

/** What a field may hold that no contract takes; some of it is right for some. */
export const WRONG: readonly (readonly [string, unknown])[] = [
  ['gone', GONE],
  ['null', null],
  ['an object', {}],
  ['an empty list', []],
  ['a list in a list', [[]]],
  ['a list of nothing', [null]],
  ['an empty text', ''],
  ['a long text', 'x'.repeat(3000)],
  ['a text of NUL', 'a\u0000b'],
  ['a minus', -1],
  ['huge', 1e300],
  ['a truth', true],
  ['a deep list', nested(40)],
  ['a long list', Array.from({ length: 5000 }, () => ({}))],
  ['a property of the language', JSON.parse('{"constructor":{"prototype":{}}}')],
];

/** Puts a value into a body, or takes it out. */
export function put(body: Body, [key, ...rest]: Path, value: unknown): void {
  const target = body as Record<string | number, unknown>;
  if (key === undefined) return;
  if (rest.length > 0) put(target[key] as Body, rest, value);
  else if (value === GONE) Reflect.deleteProperty(target, key);
  else target[key] = value;
}
