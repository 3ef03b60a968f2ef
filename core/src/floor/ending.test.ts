import { describe, expect, it } from 'vitest';
import { event, headOf, itemOf, library, ran, setOf } from './testing.ts';
import { closingDeed, deedsBeforeClosing, endingAfter, endingFor, endOf } from './index.ts';

const head = headOf([itemOf('plank'), itemOf('wrist-circles')]);

describe('the end of a run', () => {
  it.each([
    ['nothing done', []],
    ['asking', [setOf('plank')]],
    ['logged', [setOf('plank'), event({ kind: 'close', effort: 5, minutes: 30, note: '' })]],
    ['given up', [event({ kind: 'give up' })]],
  ] as const)('is %s', (end, events) => expect(endOf(ran(head, events))).toBe(end));

  it('takes the effort by digits: 1 and then 0 is ten, any other digit starts anew', () => {
    const digits = (...all: readonly number[]) =>
      all.reduce((ending, digit) => endingAfter(ending, { kind: 'digit', digit }), endingFor(30)).effort;
    expect([digits(7), digits(1, 0), digits(1, 0, 0), digits(2, 0), digits(1, 3)]).toEqual([7, 10, 0, 0, 3]);
  });

  it('assumes no effort and no minutes: what was not said is no number', () => {
    expect(closingDeed(endingFor(30))).toEqual({ kind: 'close', effort: Number.NaN, minutes: 30, note: '' });
    const emptied = endingAfter(endingAfter(endingFor(30), { kind: 'minutes', text: ' ' }), { kind: 'effort', effort: 4 });
    expect(closingDeed(emptied)).toMatchObject({ effort: 4, minutes: Number.NaN });
    const noted = endingAfter(endingAfter(emptied, { kind: 'note', text: 'calm' }), { kind: 'not kept' });
    expect([noted.note, noted.failed, endingAfter(noted, { kind: 'kept' }).failed]).toEqual(['calm', true, false]);
  });

  it('says of loaded drills that were left because of a stop sign why they were', () => {
    const run = ran(head, [setOf('plank')]);
    expect(deedsBeforeClosing(run, library, { stopSigns: [], cautions: [] })).toEqual([]);
    expect(deedsBeforeClosing(run, library, { stopSigns: ['Sharp 7/10, right shoulder.'], cautions: [] })).toEqual([
      { kind: 'skip', itemId: 'item-plank', reason: 'stop sign' },
    ]);
    const done = ran(head, [setOf('plank'), setOf('plank', 2)]);
    expect(deedsBeforeClosing(done, library, { stopSigns: ['Sharp 7/10, right shoulder.'], cautions: [] })).toEqual([]);
  });
});
