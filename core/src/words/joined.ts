/**
 * Names in a row, as they are read: with commas, and with semicolons where a name has a comma of its own.
 *
 * @example joined(['grip', 'plank', 'hang']) // 'grip, plank and hang'
 * @example joined(['hand load, pushing', 'grip']) // 'hand load, pushing; grip'
 */
export function joined(names: readonly string[]): string {
  if (names.some((name) => name.includes(','))) return names.join('; ');
  const last = names.at(-1) ?? '';
  return names.length < 2 ? last : `${names.slice(0, -1).join(', ')} and ${last}`;
}
