import { doseInWords, type Drill, mannerInWords, UNIT_WORDS } from '@myokinet/core/drills';
import type { ClassHead, ClassItem, ClassMoment, ClassState, MemberState, WorkNow } from '@myokinet/core/classes';
import type { ClassPersonReply } from '@myokinet/core/contracts';
import type { Library } from '@myokinet/core/library';
import { setUpInWords } from '@myokinet/core/statics';
import { choiceInWords } from '../routines/index.ts';
import { drillNameIn } from '../../client/drillName.ts';
import type { ClassRun } from './classRuns.ts';

const KIND_WORDS: Readonly<Record<ClassMoment['kind'], string>> = {
  ready: 'Find your place',
  work: 'Work',
  rest: 'Rest',
  pause: 'Pause',
  change: 'Change over',
};

/** What everybody does now, in a few words. */
export function momentInWords({ slots }: Pick<ClassHead, 'slots'>, moment: ClassMoment | undefined, library: Library): string {
  if (!moment) return 'The end';
  if (moment.kind === 'change' && moment.text) return moment.text;
  if (moment.kind !== 'work') return KIND_WORDS[moment.kind];
  const slot = slots.find((s) => s.id === moment.slotId);
  const name = !slot ? KIND_WORDS.work : slot.phase ? choiceInWords(slot.phase) : drillNameIn(library, slot.drillId);
  const round = moment.rounds !== undefined && moment.rounds > 1 ? `, set ${moment.round} of ${moment.rounds}` : '';
  return `${name}${moment.side ? `, ${moment.side}` : ''}${round}`;
}

/** `20 s each side`, `8 reps`. */
export function askedInWords({ asked }: Pick<WorkNow, 'asked'>, { dose }: Pick<Drill, 'dose'>): string {
  const [side, other] = asked.sides;
  const each = other ? ' each side' : side && side !== 'whole' ? ` ${side}` : '';
  return `${asked.amount} ${UNIT_WORDS[dose.unit]}${each}`;
}

/** The set-up and the weight or band, where they are not the drill’s. */
export function howInWords({ support, manner }: ClassItem): string {
  return [support ? setUpInWords(support.setUp) : '', mannerInWords(manner) ?? ''].filter(Boolean).join(', ');
}

/** A drill with its dose, for a sheet. */
export function itemInWords(item: ClassItem, library: Library): string {
  const drill = library.asPlanned(item);
  const dose = { sets: item.sets, min: item.min, max: item.max, restSeconds: 0 };
  return `${drill.name}, ${doseInWords(dose, drill.dose)}`;
}

/** First names where they are enough to tell people apart, else whole names. */
export function shortNames(names: ReadonlyMap<string, string>): ReadonlyMap<string, string> {
  const first = (name: string) => name.split(' ')[0] ?? name;
  const counts = new Map<string, number>();
  for (const name of names.values()) counts.set(first(name), (counts.get(first(name)) ?? 0) + 1);
  return new Map([...names].map(([id, name]) => [id, counts.get(first(name)) === 1 ? first(name) : name]));
}

/** Everybody of a class, by name; of whom nothing is known here but that they are in it, so. */
export function peopleIn(
  { pack }: ClassRun,
  { members }: ClassState,
): readonly { readonly person: ClassPersonReply; readonly member: MemberState }[] {
  const unknown = (traineeId: string): ClassPersonReply => ({
    ...{ traineeId, name: 'Somebody let in elsewhere', stopped: [], choices: [] },
    felt: { history: [], under18: false, lasting: [] },
  });
  return members
    .map((member) => {
      const { traineeId } = member.member;
      return { member, person: pack.people.find((p) => p.traineeId === traineeId) ?? unknown(traineeId) };
    })
    .sort((a, b) => a.person.name.localeCompare(b.person.name));
}
