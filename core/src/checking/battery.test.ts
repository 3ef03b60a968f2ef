import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { BatteryCellDto, BatteryReply } from '../contracts/index.ts';
import { instant } from '../quantities/index.ts';
import { batteryAfter, blankCheck, cellKey, type CheckDraft, patchOf } from './index.ts';

const now = instant('2026-11-24T12:00:00Z');
let made = 0;
const newId = () => `id-${++made}`;
const blank = () => blankCheck(newId, now);
const L0 = cellKey('shoulder-flexion', 'left', 0);

describe('a battery', () => {
  it('keeps the trial of a cell while its text changes, and empties it on the way back', () => {
    const first = batteryAfter(blank(), { kind: 'figure', cell: L0, figure: { text: '15' } }, newId);
    const second = batteryAfter(first, { kind: 'figure', cell: L0, figure: { text: '158' } }, newId);
    expect(second.cells[L0]).toEqual({ trialId: first.cells[L0]?.trialId, text: '158' });
    const back = batteryAfter(second, { kind: 'travel', to: { cells: {}, skips: {} } }, newId);
    expect(back.cells[L0]).toEqual({ trialId: first.cells[L0]?.trialId, text: '' });
  });

  it('skips a check for a reason, and takes it up again', () => {
    const skipped = batteryAfter(blank(), { kind: 'skip', measureId: 'grip', reason: 'pain' }, newId);
    expect(skipped.skips).toEqual({ grip: 'pain' });
    expect(batteryAfter(skipped, { kind: 'skip', measureId: 'grip', reason: undefined }, newId).skips).toEqual({});
  });

  it('fixes its time once, and takes no answer meant for another', () => {
    const saving = batteryAfter(blank(), { kind: 'saving', at: 'first' }, newId);
    expect(batteryAfter(saving, { kind: 'saving', at: 'second' }, newId).takenAt).toBe('first');
    // What was taken earlier keeps its own day.
    const earlier = batteryAfter(saving, { kind: 'dated', at: 'long ago' }, newId);
    expect(batteryAfter(earlier, { kind: 'saving', at: 'now' }, newId).takenAt).toBe('long ago');
    const other = { ...patchOf(batteryAfter(blank(), { kind: 'note', note: 'x' }, newId))! };
    expect(batteryAfter(saving, { kind: 'sent', patch: other }, newId)).toBe(saving);
  });
});

/** A server that keeps the newest figure of each cell. */
class Server {
  id: string | undefined;
  note = '';
  readonly cells = new Map<string, BatteryCellDto>();

  take(patch: NonNullable<ReturnType<typeof patchOf>>): BatteryReply {
    this.id ??= patch.id;
    this.note = patch.note;
    for (const cell of patch.cells) this.cells.set(cellKey(cell.measureId, cell.side, cell.ordinal), cell);
    return this.reply();
  }

  reply(): BatteryReply {
    return {
      id: this.id ?? '',
      startedAt: now,
      touchedAt: now,
      scope: 'gate',
      note: this.note,
      coach: 'C',
      cells: [...this.cells.values()],
      skips: [],
    };
  }
}

it('two devices and a server come to the same, in whatever order they type and hear, and lose no figure', () => {
  const anyDeed = fc.record({
    device: fc.constantFrom(0, 1),
    what: fc.oneof(
      fc.record({
        side: fc.constantFrom('left' as const, 'right' as const),
        ordinal: fc.integer({ min: 0, max: 2 }),
        text: fc.integer({ min: 100, max: 180 }).map(String),
      }),
      fc.constant('sync' as const),
    ),
  });
  fc.assert(
    fc.property(fc.array(anyDeed, { maxLength: 40 }), (deeds) => {
      const server = new Server();
      const devices: CheckDraft[] = [blank(), blank()];
      const typed = new Set<string>();
      const sync = (i: number) => {
        const patch = patchOf(devices[i]!);
        if (patch) {
          const reply = server.take(patch);
          devices[i] = batteryAfter(devices[i]!, { kind: 'sent', patch }, newId);
          devices[i] = batteryAfter(devices[i]!, { kind: 'heard', battery: reply }, newId);
        } else if (server.id) devices[i] = batteryAfter(devices[i]!, { kind: 'heard', battery: server.reply() }, newId);
      };
      for (const { device, what } of deeds) {
        if (what === 'sync') sync(device);
        else {
          const cell = cellKey('shoulder-flexion', what.side, what.ordinal);
          typed.add(cell);
          devices[device] = batteryAfter(devices[device]!, { kind: 'figure', cell, figure: { text: what.text } }, newId);
        }
      }
      for (const i of [0, 1, 0, 1]) sync(i);
      const texts = (draft: CheckDraft) => Object.fromEntries(Object.entries(draft.cells).map(([key, { text }]) => [key, text]));
      expect(texts(devices[0]!)).toEqual(texts(devices[1]!));
      for (const cell of typed) expect(texts(devices[0]!)[cell]).toBe(server.cells.get(cell)?.text);
      expect(patchOf(devices[0]!)).toBeUndefined();
    }),
    { seed: 4, numRuns: 200 },
  );
});
