import { describe, expect, it } from 'vitest';
import { BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import { fittedTo } from '../library/index.ts';
import { bodyModel, plannedLoads } from '../statics/index.ts';
import { rampSets } from './index.ts';

const body = bodyModel({ statureM: 1.75, massKg: 70 });
const library = fittedTo(BUILT_IN_LIBRARY, body);

describe('two easy sets before a loaded drill (professional judgement, from memory)', () => {
  it('carry 40 and 70% of its load, in its own set-up turned down', () => {
    const drill = library.drill('practice-half-hang');
    const shares = rampSets(drill, body).map(({ setUp }) => setUp && plannedLoads(body, { setUp })?.share);
    expect(shares.map((s) => Math.round(100 * s!))).toEqual([20, 35]);
  });

  it('are said without a set-up where nothing can be turned so far', () => {
    expect(rampSets(library.drill('practice-free-hang'), body)).toEqual([{ part: 0.4 }, { part: 0.7 }]);
  });

  it('lead up to nothing that is light, or no work', () => {
    expect(['practice-quarter-hang', 'wrist-circles', 'plank'].map((id) => rampSets(library.drill(id), body).length)).toEqual([0, 0, 2]);
  });
});
