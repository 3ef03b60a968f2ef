import type { BatteryPatchDto, BatteryReply } from '../contracts/index.ts';
import type { BodySide } from '../anatomy/index.ts';
import { LIMITS } from '../contracts/limits.ts';
import { type Cell, cellKey, type CheckDraft } from './draft.ts';

/*
 * A battery is taken at the trainee's side, on one device or on two. Each device keeps a draft of its
 * own and sends only what changed in it; what comes back fills in what the other one did.
 */

/** What the server does not have of a draft yet; nothing when it has it all. */
export function patchOf(draft: CheckDraft): BatteryPatchDto | undefined {
  const cells = Object.entries(draft.cells).filter(([key, cell]) => draft.synced[key] !== printOf(cell) && !isUntouched(draft, key, cell));
  const skips = [...new Set([...Object.keys(draft.skips), ...syncedSkips(draft)])].filter(
    (id) => (draft.synced[`skip/${id}`] ?? '') !== (draft.skips[id] ?? ''),
  );
  if (cells.length === 0 && skips.length === 0 && (draft.synced['note'] ?? '') === draft.note) return undefined;
  return {
    id: draft.id,
    startedAt: draft.startedAt,
    scope: draft.scope,
    note: draft.note,
    noteBefore: draft.synced['note'] ?? '',
    cells: cells.map(([key, { trialId, text, reading }]) => {
      const [measureId = '', side = '', ordinal = '0'] = key.split('/');
      return { measureId, side: side as BodySide, ordinal: Number(ordinal), trialId, text, ...(reading ? { reading } : {}) };
    }),
    skips: skips.map((measureId) => ({ measureId, reason: draft.skips[measureId] ?? null })),
  };
}

/** The draft once the server has taken a patch. */
export function acknowledged(draft: CheckDraft, { cells, skips, note }: BatteryPatchDto): CheckDraft {
  return {
    ...draft,
    synced: {
      ...draft.synced,
      ...Object.fromEntries(cells.map((c) => [cellKey(c.measureId, c.side, c.ordinal), printOf(c)])),
      ...Object.fromEntries(skips.map((s) => [`skip/${s.measureId}`, s.reason ?? ''])),
      note,
    },
  };
}

/** The draft with what the server has; what was changed here and has not been sent stays. */
export function merged(draft: CheckDraft, battery: BatteryReply, newId: () => string): CheckDraft {
  const base = battery.id === draft.id ? draft : { ...unsent(draft, newId), id: battery.id, startedAt: battery.startedAt };
  const dirty = patchOf(base);
  const mine = new Set(dirty?.cells.map((c) => cellKey(c.measureId, c.side, c.ordinal)));
  const cells = { ...base.cells };
  const synced: Record<string, string> = { ...base.synced };
  for (const { measureId, side, ordinal, trialId, text, reading } of battery.cells) {
    const key = cellKey(measureId, side, ordinal);
    const theirs: Cell = { trialId, text, ...(reading ? { reading } : {}) };
    synced[key] = printOf(theirs);
    if (!mine.has(key)) cells[key] = theirs;
  }
  const mySkips = new Set(dirty?.skips.map((s) => s.measureId));
  const skips = Object.fromEntries([
    ...battery.skips.filter((s) => !mySkips.has(s.measureId)).map((s) => [s.measureId, s.reason]),
    ...Object.entries(base.skips).filter(([id]) => mySkips.has(id)),
  ]) as CheckDraft['skips'];
  for (const key of Object.keys(synced)) if (key.startsWith('skip/')) synced[key] = '';
  for (const s of battery.skips) synced[`skip/${s.measureId}`] = s.reason;
  const note = bothNotes(battery.note, base.note, base.synced['note'] ?? '');
  return { ...base, cells, skips, synced: { ...synced, note: battery.note }, note };
}

/** Most characters of a note, as its contract has it. */
const NOTE = LIMITS.note;

/**
 * One note of two that were written at the same time: neither writes over the other.
 *
 * @param theirs what the other device made of it
 * @param mine what this one made of it
 * @param before what both began with
 * @example bothNotes('left is stiff', 'slept badly', '') // 'left is stiff\nslept badly'
 */
export function bothNotes(theirs: string, mine: string, before: string): string {
  if (mine === before) return theirs;
  if (theirs === before) return mine;
  if (theirs.includes(mine) || mine.includes(theirs)) return theirs.length > mine.length ? theirs : mine;
  return `${theirs}\n${mine}`.slice(0, NOTE);
}

/** What is left when the run was ended elsewhere: what the server never had, as a battery of its own. */
export function unsent(draft: CheckDraft, newId: () => string): CheckDraft {
  const cells = Object.fromEntries(
    Object.entries(draft.cells)
      .filter(([key, cell]) => draft.synced[key] !== printOf(cell))
      .map(([key, cell]) => [key, { ...cell, trialId: newId() }]),
  );
  const skips = Object.fromEntries(Object.entries(draft.skips).filter(([id, reason]) => draft.synced[`skip/${id}`] !== reason));
  return { ...draft, id: newId(), takenAt: null, cells, skips, synced: {} };
}

/** All that this device has, as a battery of its own: giving one up on one device drops nothing of another's. */
export function asItsOwn(draft: CheckDraft, newId: () => string): CheckDraft {
  const cells = Object.fromEntries(Object.entries(draft.cells).map(([key, cell]) => [key, { ...cell, trialId: newId() }]));
  return { ...draft, id: newId(), takenAt: null, cells, synced: {} };
}

/** Whether anything in the draft is worth keeping. */
export function isEmpty({ cells, skips, note }: CheckDraft): boolean {
  return Object.values(cells).every((c) => c.text.trim() === '') && Object.keys(skips).length === 0 && note.trim() === '';
}

function isUntouched(draft: CheckDraft, key: string, { text }: Cell): boolean {
  return text === '' && draft.synced[key] === undefined;
}

function syncedSkips({ synced }: CheckDraft): readonly string[] {
  return Object.keys(synced).flatMap((key) => (key.startsWith('skip/') ? [key.slice('skip/'.length)] : []));
}

function printOf({ text, reading }: { readonly text: string; readonly reading?: unknown }): string {
  return reading ? `${text} ${JSON.stringify(reading)}` : text;
}
