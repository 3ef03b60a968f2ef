import type { Drill } from '../drills/index.ts';
import { insteadOf, type Instead, mayDo, type MayDo, type MayDoFacts, type PlannedDose, type When } from '../planning/index.ts';
import type { ClassItem, SlotItem } from './events.ts';

/** What a class would ask of somebody in one slot. */
export interface WantedInSlot {
  readonly slotId: string;
  readonly planned: PlannedDose;
  /** Planned against a rule by the coach, on record: it stands as planned, but where it is locked. */
  readonly overruled?: boolean | undefined;
}

/** What somebody may do in place of what they do. */
export interface SlotChoice extends ClassItem {
  readonly harder: boolean;
}

/** Why somebody does less in a slot than the class asks, or something else, or nothing. */
export interface LessInSlot {
  readonly slotId: string;
  readonly drill: Drill;
  readonly may: Exclude<MayDo, { readonly answer: 'may' }>;
  /** What they do in its place; absent where nothing of the kind may be done, or where it is only less. */
  readonly instead?: Drill;
}

export interface MemberSheet {
  readonly items: readonly SlotItem[];
  readonly less: readonly LessInSlot[];
  readonly choices: readonly { readonly slotId: string; readonly these: readonly SlotChoice[] }[];
}

/**
 * What one person does in each slot of a class: what is asked, within what they may do; in place of what is closed to them the nearest
 * that is not; and, for the coach’s eye, what is easier and harder.
 *
 * @param facts the library is fitted to them
 * @throws Refusal `drill-unknown`
 */
export function memberSheet(facts: MayDoFacts, wanted: readonly WantedInSlot[], when: When): MemberSheet {
  const items: SlotItem[] = [];
  const less: LessInSlot[] = [];
  for (const { slotId, planned, overruled } of wanted) {
    const drill = facts.library.asPlanned(planned);
    const may = mayDo(facts, planned, when);
    const lock = may.answer === 'may not' && may.because.kind === 'caution';
    if (may.answer === 'may' || (overruled && !lock)) items.push({ slotId, ...asItem(planned) });
    else if (may.answer === 'reduced') {
      items.push({ slotId, ...asItem({ ...planned, ...may.dose }) });
      less.push({ slotId, drill, may });
    } else {
      const [instead] = insteadOf(facts, planned, when);
      if (instead) items.push({ slotId, ...asItem({ ...instead, sets: Math.min(instead.sets, planned.sets) }) });
      less.push({ slotId, drill, may, ...(instead ? { instead: facts.library.asPlanned(instead) } : {}) });
    }
  }
  return { items, less, choices: choicesOf(facts, items, when) };
}

/** What somebody might do in place of what they do, slot by slot: easier first, then harder. */
export function choicesOf(facts: MayDoFacts, items: readonly SlotItem[], when: When): MemberSheet['choices'] {
  return items.map((item) => ({ slotId: item.slotId, these: choicesFor(facts, item, when) }));
}

function asItem({ drillId, sets, min, max, support, manner }: PlannedDose): ClassItem {
  return { drillId, sets, min, max, ...(support ? { support } : {}), ...(manner ? { manner } : {}) };
}

const EASIER: ReadonlySet<Instead['how']> = new Set(['lighter', 'easier', 'less load', 'other plane']);

function choicesFor(facts: MayDoFacts, item: ClassItem, when: When): readonly SlotChoice[] {
  const { library } = facts;
  const asked = { ...item, restSeconds: 0 };
  const easier = insteadOf(facts, asked, when).filter(({ how }) => EASIER.has(how));
  const half = Math.ceil(item.max / 2);
  const harder = library.harderThan(item.drillId).flatMap((drill): SlotChoice[] => {
    const planned = { drillId: drill.id, ...drill.dose };
    const may = mayDo(facts, planned, when);
    if (may.answer === 'may not') return [];
    const dose = may.answer === 'reduced' ? may.dose : planned;
    return [{ ...asItem({ ...planned, ...dose, sets: Math.min(dose.sets, item.sets) }), harder: true }];
  });
  return [
    ...easier.map((one) => ({ ...asItem({ ...one, sets: Math.min(one.sets, item.sets) }), harder: false })),
    ...(half < item.max ? [{ ...item, min: Math.min(item.min, half), max: half, harder: false }] : []),
    ...harder,
  ].map(({ slotId: _, ...choice }: SlotChoice & { readonly slotId?: string }) => choice);
}
