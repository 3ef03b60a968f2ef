/** Rows gathered under a key, in their order. */
export function groupRows<Row>(rows: readonly Row[], key: (row: Row) => string): ReadonlyMap<string, readonly Row[]> {
  const groups = new Map<string, Row[]>();
  for (const row of rows) {
    const group = groups.get(key(row));
    if (group) group.push(row);
    else groups.set(key(row), [row]);
  }
  return groups;
}
