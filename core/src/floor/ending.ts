import type { Library } from '../library/index.ts';
import type { FloorDeed } from './events.ts';
import type { RunState } from './run.ts';
import { closedBecause, type Holds } from './steps.ts';

/** What the end of a session asks for, as it was answered so far; texts as typed. */
export interface Ending {
  /** 0–10; nothing is assumed. */
  readonly effort?: number;
  readonly minutes: string;
  readonly note: string;
  /** Neither the device nor the server could take it. */
  readonly failed: boolean;
}

export type EndingEvent =
  /** A digit of the effort: 1 and then 0 is ten. */
  | { readonly kind: 'digit'; readonly digit: number }
  | { readonly kind: 'effort'; readonly effort: number }
  | { readonly kind: 'minutes'; readonly text: string }
  | { readonly kind: 'note'; readonly text: string }
  | { readonly kind: 'kept' }
  | { readonly kind: 'not kept' };

/** Where the end of a run stands: given up, on record, without a set, or still to be answered for. */
export type EndOfRun = 'given up' | 'logged' | 'nothing done' | 'asking';

export function endOf(run: RunState): EndOfRun {
  if (run.givenUp) return 'given up';
  if (run.closed) return 'logged';
  return run.items.every((i) => i.done.length === 0) ? 'nothing done' : 'asking';
}

/** The end form before anything is answered. */
export function endingFor(minutes: number): Ending {
  return { minutes: String(minutes), note: '', failed: false };
}

/**
 * The end form after an answer.
 *
 * @example endingAfter({ ...endingFor(30), effort: 1 }, { kind: 'digit', digit: 0 }).effort // 10
 */
export function endingAfter(ending: Ending, event: EndingEvent): Ending {
  switch (event.kind) {
    case 'digit':
      return { ...ending, effort: ending.effort === 1 && event.digit === 0 ? 10 : event.digit };
    case 'effort':
      return { ...ending, effort: event.effort };
    case 'minutes':
      return { ...ending, minutes: event.text };
    case 'note':
      return { ...ending, note: event.text };
    case 'kept':
      return { ...ending, failed: false };
    case 'not kept':
      return { ...ending, failed: true };
  }
}

/** What closes the run: figures that were not given are no numbers, and the contract says so in its own words. */
export function closingDeed({ effort, minutes, note }: Ending): Extract<FloorDeed, { kind: 'close' }> {
  return { kind: 'close', effort: effort ?? Number.NaN, minutes: minutes.trim() === '' ? Number.NaN : Number(minutes), note };
}

/**
 * What goes on record before the run is closed: drills that a stop sign or a lock kept from being done say so.
 *
 * @param holds what closes drills from outside the run
 */
export function deedsBeforeClosing(run: RunState, library: Library, holds: Holds): readonly FloorDeed[] {
  return run.items.flatMap(({ now, skipped, done }): FloorDeed[] =>
    !skipped && done.length < now.sets && closedBecause(library.asPlanned(now), run, holds)
      ? [{ kind: 'skip', itemId: now.id, reason: 'stop sign' }]
      : [],
  );
}
