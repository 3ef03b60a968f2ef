import { rhythmMoments } from '@myokinet/core/classes';
import type { ClassPatchDto } from '@myokinet/core/contracts';
import { addDays, instant } from '@myokinet/core/quantities';
import { BUILT_IN_COACH } from '../actor.ts';
import type { Services } from '../services.ts';

const GROUPS = [
  {
    name: 'Foredeck, Tuesday and Friday',
    place: 'sail loft',
    days: [
      { weekday: 2, time: '18:30' },
      { weekday: 5, time: '18:30' },
    ],
    members: ['Tamsin Halyard', 'Jory Capstan', 'Petra Windlass', 'Wilma Cleat', 'Ines Shroud', 'Anselm Deck', 'Elke Fender', 'Linus Gaff'],
    routine: 'Before a climb',
  },
  {
    name: 'Saturday, beginners',
    place: 'quay',
    days: [{ weekday: 6, time: '10:00' }],
    members: ['Maren Topsail', 'Odo Ratline', 'Bram Yard', 'Tobias Thole'],
    routine: undefined,
  },
] as const;

/** Days ago on which the first group came together, and who stayed away. */
const MET = [
  { ago: 5, away: ['Ines Shroud'] },
  { ago: 2, away: [] },
] as const;

/** Groups of the demo’s studio, and the classes they had: a short one each, which prepares hands and shoulders. */
export function seedGroups({ groups, routines, caseload, classes }: Services, today: Date, newId: () => string): void {
  const idOf = new Map(caseload.rows().map((r) => [r.name, r.id]));
  const ids = (names: readonly string[]) => names.flatMap((n) => idOf.get(n) ?? []);
  const known = new Map(routines.all().map((r) => [r.name, r.id]));
  const made = GROUPS.map(({ name, place, days, members, routine }) => {
    const id = newId();
    groups.save(BUILT_IN_COACH, id, {
      ...{ revision: newId(), basedOn: null, name, place, note: '', days: [...days], memberIds: [...ids(members)] },
      routineId: (routine && known.get(routine)) ?? null,
    });
    return { id, name, members };
  });
  const [first] = made;
  if (!first) return;
  for (const { ago, away } of MET) {
    const here = ids(first.members.filter((m) => !away.some((a) => a === m) && m !== 'Linus Gaff'));
    const slots = ['wrist-circles', 'arm-circles'].map((drillId) => ({ id: newId(), drillId }));
    const moments = rhythmMoments(
      slots.map((s) => s.id),
      { work: 40, rest: 20, change: 20, rounds: 1, circle: false },
    );
    const at = instant(addDays(today, -ago));
    const id = newId();
    const event = (order: number, deed: object) => ({ ...deed, id: newId(), order, at });
    const patch = {
      head: { id, groupId: first.id, name: first.name, startedAt: at, preparation: 'Before a climb', slots, moments: [...moments] },
      members: here.map((traineeId) => ({
        ...{ traineeId, from: 0, plannedSessionId: null },
        items: slots.map((slot) => ({ slotId: slot.id, drillId: slot.drillId, sets: 1, min: 8, max: 10 })),
      })),
      events: [
        ...moments.flatMap((m, i) => (m.kind === 'work' ? [event(i + 1, { kind: 'passed', moment: i })] : [])),
        event(20, { kind: 'close', effort: 2, minutes: 5, note: '' }),
      ],
    };
    classes.takeIn(BUILT_IN_COACH, id, patch as unknown as ClassPatchDto);
  }
}
