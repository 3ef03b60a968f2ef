import { expect, it } from 'vitest';
import { instant } from '../quantities/index.ts';
import type { ResponseFinding, Symptom } from '../safety/index.ts';
import { responseInWords } from './index.ts';

const felt = (own: Partial<Symptom>): Symptom => ({
  ...{ intensity: 2, kind: 'ache', place: 'wrist', side: 'left', moment: 'during', at: instant('2026-11-26T18:00:00Z') },
  ...own,
});

it.each<[ResponseFinding, string]>([
  [{ code: 'nothing-felt' }, 'Nothing felt: go on.'],
  [
    { code: 'stop-sign', stop: 'sharp', symptom: felt({ intensity: 4, kind: 'sharp' }) },
    'Sharp 4/10, left wrist, during: stop and step back. Loaded work ends here, and every gate is locked until the stop sign is closed.',
  ],
  [
    { code: 'stop-sign', stop: 'again', symptom: felt({ kind: 'sharp', retest: 'gone' }) },
    'Sharp 2/10, left wrist, during, gone on a second try, the second time within 14 days: stop and step back. Loaded work ends here, and every gate is locked until the stop sign is closed.',
  ],
  [
    { code: 'leave-drill', symptom: felt({ kind: 'pinch', retest: 'gone' }) },
    'Pinch 2/10, left wrist, during, gone on a second try: leave the drill for today. The next one within two weeks stops.',
  ],
  [{ code: 'half', symptom: felt({ kind: 'soreness', intensity: 5 }) }, 'Sore muscles 5/10, left wrist, during: half the sets today.'],
  [{ code: 'step-back', symptom: felt({ intensity: 3 }) }, 'Ache 3/10, left wrist, during: one step lighter, and no harder today.'],
  [
    { code: 'hold', symptom: felt({}), why: { kind: 'often', times: 3, days: 7 } },
    'Ache 2/10, left wrist, during: hold, no harder today, since the left wrist was reported 3 times in the last 7 days.',
  ],
  [
    { code: 'hold', symptom: felt({}), why: { kind: 'rising', before: 1 } },
    'Ache 2/10, left wrist, during: hold, no harder today, since the left wrist is more than the 1/10 reported before.',
  ],
  [
    { code: 'hold', symptom: felt({}), why: { kind: 'morning after' } },
    'Ache 2/10, left wrist, during: hold, no harder today, since the left wrist had not come back to rest by the morning after.',
  ],
  [{ code: 'go-on', symptom: felt({ side: 'whole', place: 'neck' }) }, 'Ache 2/10, neck, during: go on, and look out for it.'],
])('%j', (finding, sentence) => expect(responseInWords(finding)).toBe(sentence));
