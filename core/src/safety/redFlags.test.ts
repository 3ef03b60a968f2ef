import { expect, it } from 'vitest';
import { BODY_PLACES, EMERGENCY_SIGN_IDS, redFlagsFor, SYMPTOM_KINDS } from './index.ts';

// Professional judgement, from memory, no single published source.
it.each([
  ['chest', 'ache', 'chest-breath'],
  ['head', 'headache', 'worst-headache'],
  ['neck', 'sharp', 'neck-with-signs'],
  ['hand', 'numbness or tingling', 'cold-hand'],
  ['forearm', 'ache', 'tense-forearm'],
  ['elbow', 'swelling', 'swollen-arm'],
  ['shoulder', 'soreness', 'dark-urine'],
  ['wrist', 'tender bone', 'fall-on-hand'],
  ['lower back', 'numbness or tingling', 'both-sides-numb'],
  ['fingers', 'sharp', 'tendon-pop'],
] as const)('%s, %s: look for %s', (place, kind, sign) => {
  expect(redFlagsFor({ place, kind })).toContain(sign);
});

it('a stretch in the shoulder calls for none; what is not known concludes nothing', () => {
  expect([redFlagsFor({ place: 'shoulder', kind: 'stretch' }), redFlagsFor({})]).toEqual([[], []]);
  expect(redFlagsFor({ place: 'chest' })).toEqual(['chest-breath']);
});

it('reaches every sign but that of pregnancy, which is asked elsewhere, and names none twice', () => {
  const all = BODY_PLACES.flatMap((place) => SYMPTOM_KINDS.map((kind) => redFlagsFor({ place, kind })));
  expect(EMERGENCY_SIGN_IDS.filter((sign) => !all.flat().includes(sign))).toEqual(['pregnancy-signs']);
  for (const signs of all) expect(new Set(signs).size).toBe(signs.length);
});
