import { type Joint, JOINTS, type Motion, MOTIONS } from '@myokinet/core/anatomy';
import { type Equipment, EQUIPMENT_IDS, type Position, POSITIONS, QUALITIES, type Quality } from '@myokinet/core/drills';
import type { AskedFilter, DrillFilter } from '@myokinet/core/library';
import { type RangeName, RANGES } from '@myokinet/core/motion';
import { type Blade, BLADES } from '@myokinet/core/schools';
import { useAddressFields } from '../../client/useAddressFields.ts';

export const FILTER_NAMES = ['joint', 'motion', 'quality', 'position', 'equipment', 'blade'] as const;
export type FilterName = (typeof FILTER_NAMES)[number];

function oneOf<T extends string>(text: string | null, values: readonly T[]): T | undefined {
  return values.find((v) => v === text);
}

/** Of a range that is asked for: which, the bound, the degrees. */
export const ASKED_NAMES = ['range', 'bound', 'degrees'] as const;
export type AskedName = (typeof ASKED_NAMES)[number];
export const ASKED_LIMITS = { min: 0, max: 180, step: 5 } as const;
/** What a range that has just been chosen is held against first, degrees. */
const FIRST_DEGREES = 60;

function askedIn(search: URLSearchParams): AskedFilter | undefined {
  const range = oneOf<RangeName>(search.get('range'), RANGES);
  if (!range) return undefined;
  const degrees = Number(search.get('degrees') ?? FIRST_DEGREES);
  const { min, max } = ASKED_LIMITS;
  const bound = oneOf<AskedFilter['bound']>(search.get('bound'), ['most', 'least']) ?? 'most';
  return { range, bound, degrees: Number.isFinite(degrees) ? Math.min(max, Math.max(min, degrees)) : FIRST_DEGREES };
}

/** What the list of drills is narrowed to, kept in the address so that a way back finds it again. */
export function useDrillFilter() {
  const { fields, set, clear } = useAddressFields();
  const filter: DrillFilter = {
    joint: oneOf<Joint>(fields.get('joint'), JOINTS),
    motion: oneOf<Motion>(fields.get('motion'), MOTIONS),
    quality: oneOf<Quality>(fields.get('quality'), QUALITIES),
    position: oneOf<Position>(fields.get('position'), POSITIONS),
    equipment: oneOf<Equipment | 'none'>(fields.get('equipment'), [...EQUIPMENT_IDS, 'none']),
    blade: oneOf<Blade>(fields.get('blade'), BLADES),
    asks: askedIn(fields),
  };
  return {
    text: fields.get('text') ?? '',
    filter,
    set: (name: FilterName | AskedName | 'text', value: string) => set(name, value),
    clear,
    narrowed: fields.size > 0,
  };
}
