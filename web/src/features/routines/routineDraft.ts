import type { RoutineDto, RoutineReply } from '@myokinet/core/contracts';
import type { Drill } from '@myokinet/core/drills';
import type { BlockWay, Routine, RoutineBlock, RoutinePart, RoutineStep } from '@myokinet/core/routines';
import { newId } from '../../client/newId.ts';

/** A routine under the coach’s hands; its steps are what the core knows. */
export interface RoutineDraft extends Routine {
  readonly revision: string;
  readonly basedOn: string | null;
}

/** What a block starts with when it becomes another kind. */
const STARTS: Readonly<Record<BlockWay, Pick<RoutineBlock, 'rounds' | 'minutes' | 'breaths'>>> = {
  once: {},
  rounds: { rounds: 2 },
  time: { minutes: 5 },
  stations: { breaths: 5 },
};

export const emptyBlock = (part: RoutinePart = 'work'): RoutineBlock => ({
  ...{ id: newId(), name: '', part, way: 'once', mirrored: false, steps: [] },
});

export const newRoutine = (): RoutineDraft => ({
  ...{ revision: newId(), basedOn: null, name: '', purpose: 'preparation', note: '', blocks: [emptyBlock()] },
});

export function draftOf({ revision, name, purpose, note, blocks }: RoutineReply): RoutineDraft {
  return { revision: newId(), basedOn: revision, name, purpose, note, blocks };
}

/** Under another id, with ids of its own throughout. */
export function copyOf({ name, purpose, note, blocks }: Routine): RoutineDraft {
  const copied = blocks.map((b) => ({ ...b, id: newId(), steps: b.steps.map((s) => ({ ...s, id: newId() })) }));
  return { revision: newId(), basedOn: null, name: `${name}, copy`.slice(0, 80), purpose, note, blocks: copied };
}

export const asDto = (draft: RoutineDraft): RoutineDto => draft as unknown as RoutineDto;

export const stepFor = ({ id, dose }: Pick<Drill, 'id' | 'dose'>): RoutineStep => ({
  ...{ id: newId(), kind: 'drill', drillId: id, amount: dose.min, restSeconds: 0 },
});

export function withBlock(draft: RoutineDraft, id: string, change: (block: RoutineBlock) => RoutineBlock): RoutineDraft {
  return { ...draft, blocks: draft.blocks.map((b) => (b.id === id ? change(b) : b)) };
}

export function withWay({ rounds: _, minutes: _m, breaths: _b, ...block }: RoutineBlock, way: BlockWay): RoutineBlock {
  return { ...block, way, ...STARTS[way] };
}

export function moved<T extends { readonly id: string }>(list: readonly T[], id: string, to: string): readonly T[] {
  const from = list.findIndex((s) => s.id === id);
  const goal = list.findIndex((s) => s.id === to);
  const one = list[from];
  if (!one || goal < 0) return list;
  const rest = list.filter((s) => s.id !== id);
  return [...rest.slice(0, goal), one, ...rest.slice(goal)];
}

/** A block one place up or down. */
export function shifted(draft: RoutineDraft, id: string, by: 1 | -1): RoutineDraft {
  const at = draft.blocks.findIndex((b) => b.id === id);
  const other = draft.blocks[at + by];
  return other ? { ...draft, blocks: moved(draft.blocks, id, other.id) } : draft;
}
