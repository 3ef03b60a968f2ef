import type { BatteryPatchDto, BatteryReply } from '../contracts/index.ts';
import type { SkipReason } from '../measuring/index.ts';
import type { Cell, Cells, CheckDraft, Skips } from './draft.ts';
import { acknowledged, asItsOwn, merged, unsent } from './sync.ts';

/** What undo goes back to: the figures and what was skipped. */
export interface BatteryStep {
  readonly cells: Cells;
  readonly skips: Skips;
}

/** What happens to a battery that is being taken. */
export type BatteryEvent =
  /** A figure was typed or read, into one cell. */
  | { readonly kind: 'figure'; readonly cell: string; readonly figure: Pick<Cell, 'text' | 'reading'> }
  /** A check was skipped, or taken up again. */
  | { readonly kind: 'skip'; readonly measureId: string; readonly reason: SkipReason | undefined }
  | { readonly kind: 'note'; readonly note: string }
  /** It was taken then, and not while it is entered; null: it is now. */
  | { readonly kind: 'dated'; readonly at: string | null }
  /** Back or forth to how it stood. */
  | { readonly kind: 'travel'; readonly to: BatteryStep }
  /** The page knows which checks it is about. */
  | { readonly kind: 'scope'; readonly scope: string }
  /** The server has taken what was sent. */
  | { readonly kind: 'sent'; readonly patch: BatteryPatchDto }
  /** What the server has, another device's figures among it. */
  | { readonly kind: 'heard'; readonly battery: BatteryReply }
  /** Saved elsewhere: what the server never had goes on as a battery of its own. Given up elsewhere: all that this device has does. */
  | { readonly kind: 'ended elsewhere'; readonly saved: boolean }
  /** About to be saved: the time is fixed, so that a second try is the same request. */
  | { readonly kind: 'saving'; readonly at: string };

/**
 * A battery after something happened to it. Pure: devices that hear the same come to the same.
 *
 * @param draft how it stands on this device
 * @param newId makes ids of trials and batteries; core has no randomness of its own
 * @example batteryAfter(blank, { kind: 'note', note: 'calm' }, newId).note // 'calm'
 */
export function batteryAfter(draft: CheckDraft, event: BatteryEvent, newId: () => string): CheckDraft {
  switch (event.kind) {
    case 'figure': {
      const trialId = draft.cells[event.cell]?.trialId ?? newId();
      return { ...draft, cells: { ...draft.cells, [event.cell]: { trialId, ...event.figure } } };
    }
    case 'skip': {
      const { [event.measureId]: _, ...others } = draft.skips;
      return { ...draft, skips: event.reason ? { ...others, [event.measureId]: event.reason } : others };
    }
    case 'note':
      return { ...draft, note: event.note };
    case 'dated':
      return { ...draft, takenAt: event.at };
    case 'travel': {
      const { cells, skips } = event.to;
      // A figure that was not there yet becomes an empty one: the server must hear of it.
      const emptied = Object.entries(draft.cells).map(([key, { trialId }]) => [key, cells[key] ?? { trialId, text: '' }]);
      return { ...draft, cells: { ...(Object.fromEntries(emptied) as Cells), ...cells }, skips };
    }
    case 'scope':
      return { ...draft, scope: event.scope };
    case 'sent':
      return draft.id === event.patch.id ? acknowledged(draft, event.patch) : draft;
    case 'heard':
      return merged(draft, event.battery, newId);
    case 'ended elsewhere':
      return event.saved ? unsent(draft, newId) : asItsOwn(draft, newId);
    case 'saving':
      return { ...draft, takenAt: draft.takenAt ?? event.at };
  }
}
