import { useState } from 'react';
import type { FloorPerson } from './floorPeople.ts';
import type { LastSet } from './useStage.ts';

const MOST = 3600;

/** Putting the set just logged right: another figure, or taking it back. The first log stays in the run, taken back by name. */
export function useLastSet(person: FloorPerson, last: LastSet | undefined, setLast: (last: LastSet | undefined) => void) {
  const [typed, setTyped] = useState('');
  const [problem, setProblem] = useState('');
  const [asks, setAsks] = useState<string | undefined>();
  const correct = async (amount: number) => {
    if (!last || last.feeling || (amount === last.amount && !last.unconfirmed)) return;
    if (amount < 0 || amount > MOST) {
      setProblem(`A set is from 0 to ${MOST}; ${last.amount} stays.`);
      return;
    }
    setProblem('');
    // However fast the taps come, it stays one set, and the last word counts.
    setLast({ ...last, amount, unconfirmed: false });
    if (!(await person.happen({ kind: 'amend', setId: last.setId, amount }))) setLast(last);
  };
  return {
    typed,
    /** Why a figure was not taken over. */
    problem,
    /** A digit of the right figure. */
    type: (digit: string) => {
      if (last && !last.feeling) setTyped((typed + digit).slice(-4));
    },
    /** Takes over what was typed. Returns whether anything was. */
    commit: (): boolean => {
      if (typed === '') return false;
      setTyped('');
      void correct(Number(typed));
      return true;
    },
    nudge: (by: number) => {
      if (last) void correct(last.amount + by);
    },
    /** It was done, as it ran out. */
    confirm: () => {
      if (last?.unconfirmed) void correct(last.amount);
    },
    /** Going back never throws a set away unasked. */
    asksBack: last !== undefined && asks === last.setId,
    askBack: () => {
      if (last) setAsks(last.setId);
    },
    keepIt: () => setAsks(undefined),
    takeBack: () => {
      if (!last) return;
      setTyped('');
      setAsks(undefined);
      setLast(undefined);
      void person.happen({ kind: 'take back', eventId: last.setId });
    },
    /** The set's right figure, said at once. */
    say: (amount: number) => void correct(amount),
  };
}

export type LastSetHandle = ReturnType<typeof useLastSet>;
