import { describe, expect, it } from 'vitest';
import { BUILT_IN } from '../catalogue/index.ts';
import { armLoadOf } from '../drills/index.ts';
import { fittedTo, openLibrary } from '../library/index.ts';
import { bodyModel } from '../statics/index.ts';
import { aloneInWords, practisedAlone } from './index.ts';
import { ANYTHING_SHOWN } from './shown.ts';

const library = fittedTo(openLibrary(BUILT_IN), bodyModel({ statureM: 1.7, massKg: 70 }));
const facts = { library, cautions: [], foothold: { ladderId: 'hand-support', here: 8, shown: ANYTHING_SHOWN } };
const asked = (drillId: string, own: object = {}) => {
  const { sets, min, max, restSeconds } = library.drill(drillId).dose;
  return { drillId, sets, min, max, restSeconds, ...own };
};
const of = (drillId: string, own: object = {}, more: object = {}) => practisedAlone([asked(drillId, own)], { ...facts, ...more })[0]!;

describe('what is practised with no coach by', () => {
  it('is light work as it is planned', () => {
    const { drillId: _, ...dose } = asked('wall-slides');
    expect(of('wall-slides')).toMatchObject({ dose, because: [] });
    expect(aloneInWords(of('wall-slides'), library)).toBeUndefined();
  });

  it('is nothing that wants somebody there: upside down, where one may fall, with a helper', () => {
    for (const drill of library.drills.filter((d) => d.position === 'inverted' || d.dose.course?.helper)) {
      expect(of(drill.id), drill.id).toMatchObject({ not: { kind: 'company' } });
      expect(of(drill.id, { overruled: 'she is used to it' }), drill.id).toMatchObject({ not: { kind: 'company' } });
    }
    expect(aloneInWords(of('inverted-v'), library)).toBe('Not alone: somebody stands by for it.');
  });

  it('is no more than may be done, unless the coach planned it against the rule', () => {
    const shown = { ...ANYTHING_SHOWN, sets: { plank: [{ most: 20, perArm: armLoadOf(library.drill('plank')) }] } };
    const more = { foothold: { ...facts.foothold, shown } };
    const planned = { min: 100, max: 200 };
    const found = of('plank', planned, more);
    if (!('dose' in found)) throw new Error(JSON.stringify(found.not));
    expect(found.dose.max).toBeLessThan(200);
    expect(aloneInWords(found, library)).toMatch(/^Less than planned: /);
    expect(of('plank', { ...planned, overruled: 'a test week' }, more)).toMatchObject({ dose: planned, because: [] });
  });

  it('keeps a lock shut, whatever reason stands beside it', () => {
    const cautions = [{ id: 'medical-hold' as const, because: [] }];
    expect(of('plank', { overruled: 'she feels fine' }, { cautions })).toMatchObject({ not: { kind: 'caution' } });
  });
});
