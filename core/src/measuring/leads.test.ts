import { describe, expect, it } from 'vitest';
import { BUILT_IN, BUILT_IN_LIBRARY as library } from '../catalogue/index.ts';
import { libraryProblems } from '../library/index.ts';
import { instant } from '../quantities/index.ts';
import { type Capacity, leadsOf, type Measure } from './index.ts';

const takenAt = instant(new Date('2026-11-20T10:00:00Z'));
const shown = (measure: Measure, side: Capacity['side'], value: number, band = 0): Capacity =>
  ({ measureId: measure.id, side, value, band, standardError: band / 1.65, trials: 3, takenAt, errorBasis: 'default' }) as Capacity;
const of = (id: string, ...figures: (readonly [Capacity['side'], number, number?])[]) => {
  const measure = library.measure(id);
  return leadsOf(measure, { capacities: figures.map(([side, value, band]) => shown(measure, side, value, band)) });
};

describe('what a check shows beside its number', () => {
  it('leads on by the level that was seen, side by side', () => {
    expect(of('wall-slide-contact', ['whole', 3]).map((l) => l.lead.drills[0])).toEqual(['low-kneel-lifts']);
    expect(of('wall-slide-contact', ['whole', 0])).toEqual([]);
    expect(of('blade-winging', ['left', 2], ['right', 0]).map((l) => l.side)).toEqual(['left']);
  });

  it('leads on where a figure is beyond its mark by its band, and not within it', () => {
    expect(of('elbow-crease', ['left', 12, 5], ['right', 18, 5]).map((l) => l.side)).toEqual(['left']);
    expect(of('release-swing', ['whole', 40, 5])).toHaveLength(1);
    expect(of('release-swing', ['whole', 27, 5])).toEqual([]);
  });

  it('leads on where the sides differ beyond their limit, to the weaker one', () => {
    expect(of('wrist-extension', ['left', 40, 4], ['right', 75, 4]).map((l) => l.side)).toEqual(['left']);
    // Of a gap the larger one is the worse.
    expect(of('side-reach', ['left', 2, 1], ['right', 14, 1]).map((l) => l.side)).toEqual(['right']);
    expect(of('wrist-extension', ['left', 74, 4], ['right', 75, 4])).toEqual([]);
    expect(of('wrist-extension', ['left', 40, 4])).toEqual([]);
  });

  it('leads on from pain to the plane between front and side', () => {
    const [lead, ...more] = leadsOf(library.measure('shoulder-flexion'), { capacities: [], stopped: 'pain' });
    expect([lead?.lead.drills[0], more]).toEqual(['scapular-plane-raises', []]);
    expect(leadsOf(library.measure('shoulder-flexion'), { capacities: [], stopped: 'out of time' })).toEqual([]);
  });

  it('names drills and levels that there are', () => {
    for (const m of library.measures.filter((one) => one.leads))
      for (const { drills, levels = [], sign } of m.leads ?? []) {
        for (const id of drills) expect(library.hasDrill(id)).toBe(true);
        for (const level of levels) expect(m.choices?.[level]).toBeDefined();
        if (sign === 'sides') expect(m.sided).toBe(true);
      }
    const broken = BUILT_IN.measures.map((m) => (m.leads ? { ...m, leads: m.leads.map((l) => ({ ...l, drills: ['gone'] })) } : m));
    expect(libraryProblems({ ...BUILT_IN, measures: broken })[0]?.message).toContain('no drill called "gone" to try');
  });
});
