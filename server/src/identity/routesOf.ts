type Method = 'GET' | 'POST' | 'PUT' | 'DELETE';
export type Route = readonly [method: Method, path: string];

/** Every route that the server has, read off its own list. */
export function routesOf(tree: string): readonly Route[] {
  const found: Route[] = [];
  const path: string[] = [];
  for (const line of tree.split('\n')) {
    const match = /^([│ ]*)(?:├──|└──) (\S*?)(?: \(([A-Z, ]+)\))?$/.exec(line);
    if (!match) continue;
    const depth = (match[1] ?? '').length / 4;
    path.length = depth;
    path[depth] = match[2] ?? '';
    const full = path.join('');
    for (const method of (match[3] ?? '').split(', '))
      if (full.startsWith('/api/') && ['GET', 'POST', 'PUT', 'DELETE'].includes(method)) found.push([method as Method, full]);
  }
  return found;
}
