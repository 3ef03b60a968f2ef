type Id = string | number;
interface Named {
  readonly id: Id;
  readonly name: string;
}

/** What a screen reader hears while one of a list is moved by keys. */
export function dragAnnouncements(items: readonly Named[]) {
  const name = (id: Id) => items.find((i) => i.id === id)?.name ?? 'it';
  const place = (id: Id) => items.findIndex((i) => i.id === id) + 1;
  return {
    onDragStart: ({ active }: { active: { id: Id } }) => `Picked up ${name(active.id)}, place ${place(active.id)} of ${items.length}.`,
    onDragOver: ({ active, over }: { active: { id: Id }; over: { id: Id } | null }) =>
      over ? `${name(active.id)} is over place ${place(over.id)}.` : undefined,
    onDragEnd: ({ active, over }: { active: { id: Id }; over: { id: Id } | null }) =>
      over ? `${name(active.id)} put down at place ${place(over.id)}.` : `${name(active.id)} put back.`,
    onDragCancel: ({ active }: { active: { id: Id } }) => `${name(active.id)} put back.`,
  };
}
