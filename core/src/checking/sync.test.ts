import { BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import { inspect, BatteryPatchDto, type BatteryReply } from '../contracts/index.ts';
import { instant } from '../quantities/index.ts';
import { describe, expect, it } from 'vitest';
import { blankCheck, cellKey, type CheckDraft } from './draft.ts';
import { acknowledged, asItsOwn, bothNotes, isEmpty, merged, patchOf, unsent } from './sync.ts';

let made = 0;
/** A valid UUID v7, another one each time. */
const newId = () => `0190d0a0-0000-7000-8000-${String(++made).padStart(12, '0')}`;
const now = instant('2026-11-24T12:00:00Z');
const L0 = cellKey('shoulder-flexion', 'left', 0);
const L1 = cellKey('shoulder-flexion', 'left', 1);
const typed = (texts: Readonly<Record<string, string>>, own: Partial<CheckDraft> = {}): CheckDraft => ({
  ...blankCheck(newId, now),
  startedAt: now,
  cells: Object.fromEntries(Object.entries(texts).map(([key, text]) => [key, { trialId: newId(), text }])),
  ...own,
});
const cellOf = (ordinal: number, text: string) => ({
  measureId: 'shoulder-flexion',
  side: 'left' as const,
  ordinal,
  trialId: newId(),
  text,
});
const battery = (own: Partial<BatteryReply>): BatteryReply => ({
  ...{ id: newId(), startedAt: now, touchedAt: now, scope: 'gate', note: '', coach: 'Coach', cells: [], skips: [] },
  ...own,
});
const sent = (draft: CheckDraft) => acknowledged(draft, patchOf(draft)!);

describe('what goes to the server', () => {
  it('is what changed since it last did, as a request it takes', () => {
    const draft = typed({ [L0]: '158' }, { note: 'calm' });
    const patch = patchOf(draft);
    expect(inspect(BatteryPatchDto, patch, { now: new Date(now), library: BUILT_IN_LIBRARY }).problems).toEqual([]);
    const after = acknowledged(draft, patch!);
    expect(patchOf(after)).toBeUndefined();
    const changed = { ...after, cells: { ...after.cells, [L1]: { trialId: newId(), text: '160' } } };
    expect(patchOf(changed)?.cells.map((c) => c.text)).toEqual(['160']);
  });

  it('is nothing for a cell that was only looked at, but an emptied one is told', () => {
    expect(patchOf(typed({ [L0]: '' }))).toBeUndefined();
    const after = sent(typed({ [L0]: '158' }));
    expect(patchOf({ ...after, cells: { [L0]: { ...after.cells[L0]!, text: '' } } })?.cells[0]?.text).toBe('');
  });

  it('takes a skip back by naming no reason', () => {
    const after = sent(typed({}, { skips: { grip: 'pain' } }));
    expect(patchOf({ ...after, skips: {} })?.skips).toEqual([{ measureId: 'grip', reason: null }]);
  });
});

describe('what comes from the server', () => {
  it('fills in what the other device did, under its battery', () => {
    const theirs = battery({ cells: [cellOf(0, '158')], skips: [{ measureId: 'grip', reason: 'pain' }], note: 'tired' });
    const draft = merged(typed({}), theirs, newId);
    expect(draft).toMatchObject({ id: theirs.id, note: 'tired', skips: { grip: 'pain' } });
    expect(draft.cells[L0]?.text).toBe('158');
    expect(patchOf(draft)).toBeUndefined();
  });

  it('keeps both notes where two devices wrote at once, and what one of them took away', () => {
    expect([
      bothNotes('stiff', 'slept badly', ''),
      bothNotes('stiff', '', ''),
      bothNotes('', 'tired', ''),
      bothNotes('tired today', 'tired', 'tired today'),
      bothNotes('tired', 'tired today', 'tired today'),
      bothNotes('tired today', 'tired', ''),
    ]).toEqual(['stiff\nslept badly', 'stiff', 'tired', 'tired', 'tired', 'tired today']);
    const mine = typed({ [L0]: '158' }, { note: 'slept badly' });
    const draft = merged(mine, battery({ id: mine.id, note: 'left is stiff' }), newId);
    expect([draft.note, patchOf(draft)?.noteBefore]).toEqual(['left is stiff\nslept badly', 'left is stiff']);
  });

  it('leaves what was typed here and has not gone out', () => {
    const mine = typed({ [L0]: '16' });
    const draft = merged(mine, battery({ id: mine.id, cells: [cellOf(0, '158'), cellOf(1, '161')] }), newId);
    expect([draft.cells[L0]?.text, draft.cells[L1]?.text]).toEqual(['16', '161']);
    expect(patchOf(draft)?.cells.map((c) => c.text)).toEqual(['16']);
  });

  it('is the other device’s newer figure once mine has gone out', () => {
    const mine = sent(typed({ [L0]: '158' }));
    expect(merged(mine, battery({ id: mine.id, cells: [cellOf(0, '150')] }), newId).cells[L0]?.text).toBe('150');
  });

  it('forgets a skip that was taken back elsewhere', () => {
    const mine = sent(typed({}, { skips: { grip: 'pain' } }));
    expect(merged(mine, battery({ id: mine.id }), newId).skips).toEqual({});
  });
});

describe('a battery that ended elsewhere', () => {
  it('given up there drops nothing here: all of it goes on as a battery of its own', () => {
    const mine = sent(typed({ [L0]: '158' }, { note: 'calm', skips: { grip: 'pain' } }));
    const rest = asItsOwn(mine, newId);
    expect([rest.cells[L0]?.text, rest.note, rest.skips]).toEqual(['158', 'calm', { grip: 'pain' }]);
    expect([rest.id === mine.id, rest.cells[L0]?.trialId === mine.cells[L0]?.trialId]).toEqual([false, false]);
    expect(patchOf(rest)?.cells.map((c) => c.text)).toEqual(['158']);
  });

  it('leaves only what the server never had, as a battery of its own', () => {
    const after = sent(typed({ [L0]: '158' }));
    const rest = unsent({ ...after, cells: { ...after.cells, [L1]: { trialId: newId(), text: '160' } } }, newId);
    expect(Object.keys(rest.cells)).toEqual([L1]);
    expect(rest.id).not.toBe(after.id);
    expect(isEmpty(rest)).toBe(false);
    expect(isEmpty(unsent({ ...after, note: '' }, newId))).toBe(true);
  });
});
