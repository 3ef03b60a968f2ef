import type { GroupReply } from '@myokinet/core/contracts';
import type { ListedTrainee } from './columns.tsx';

/** What somebody waits for, as a coach asks for it. */
export const STATES = {
  sign: { label: 'gate open', holds: (r: ListedTrainee) => r.gateOpen },
  stopped: { label: 'stop sign or lock', holds: (r: ListedTrainee) => r.openStopSigns > 0 || r.locked },
  check: { label: 'to check', holds: (r: ListedTrainee) => r.unknown > 0 },
  late: { label: 'not at this rate', holds: (r: ListedTrainee) => r.forecast?.kind === 'not at this rate' },
  unplanned: { label: 'nothing planned', holds: (r: ListedTrainee) => r.nextSessionOn === undefined },
} as const;
export type State = keyof typeof STATES;

/** What is asked of the list; it stands in the address, so that a bookmark is a saved view. */
export interface Asked {
  readonly words: string;
  readonly state: string;
  readonly ladder: string;
  readonly group: string;
}

export const askedOf = (params: URLSearchParams): Asked => ({
  words: params.get('find') ?? '',
  state: params.get('state') ?? '',
  ladder: params.get('ladder') ?? '',
  group: params.get('group') ?? '',
});

/** Without accents and capitals: "jose" finds José. */
export function folded(words: string): string {
  return words
    .normalize('NFD')
    .replace(/\p{Mark}/gu, '')
    .toLocaleLowerCase();
}

const isState = (state: string): state is State => Object.hasOwn(STATES, state);

/** Those whom every question lets through. */
export function asked(rows: readonly ListedTrainee[], { words, state, ladder, group }: Asked, groups: readonly GroupReply[]) {
  const wanted = folded(words).split(/\s+/);
  const members = groups.find((g) => g.id === group)?.memberIds;
  return rows.filter((r) => {
    const said = folded(`${r.name} ${r.ladderName} ${r.rungName ?? ''}`);
    return (
      wanted.every((word) => said.includes(word)) &&
      (!isState(state) || STATES[state].holds(r)) &&
      (ladder === '' || r.ladderId === ladder) &&
      (!members || members.includes(r.id))
    );
  });
}
