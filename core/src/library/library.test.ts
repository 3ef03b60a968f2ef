import { describe, expect, it } from 'vitest';
import { BUILT_IN } from '../catalogue/index.ts';
import type { Drill } from '../drills/index.ts';
import {
  differences,
  drillSearch,
  EMPTY_LIBRARY,
  exclusionByCaution,
  type LibraryContent,
  libraryProblems,
  merged,
  openLibrary,
  fittedTo,
} from './index.ts';
import { bodyModel, handLoad } from '../statics/index.ts';

const library = openLibrary(BUILT_IN);
const plank = library.drill('plank');
const own = (part: Partial<LibraryContent>): LibraryContent => ({ ...EMPTY_LIBRARY, ...part });
const withDrills = (...drills: Drill[]) => merged(BUILT_IN, own({ drills }));

describe('an open library', () => {
  it('finds by id, and refuses by name what is not there', () => {
    expect(library.drill('plank').name).toBe('Plank');
    expect(() => library.drill('moonwalk')).toThrow('There is no drill called "moonwalk".');
    expect(() => library.ladder('moon')).toThrow('no ladder called "moon"');
    expect(() => library.rung('push-up', 'moon')).toThrow('has no rung called "moon"');
  });

  it('understands what a drill was called before', () => {
    expect(library.hasDrill('towel-wringing')).toBe(true);
    expect(library.drill('towel-wringing')).toBe(library.drill('grip-squeezes'));
  });

  it('lends the lesson of the built-in drill to a studio’s that was written before there were lessons', () => {
    const { teaching: _t, faultNotes: _n, ...before } = library.drill('halo');
    const ours = openLibrary(withDrills({ ...before, name: 'Our halo' })).drill('halo');
    expect([ours.name, ours.teaching, ours.faultNotes]).toEqual([
      'Our halo',
      library.drill('halo').teaching,
      library.drill('halo').faultNotes,
    ]);
    const own = { steps: [{ part: 'start', text: 'Ours.' }], felt: '', still: '', gaze: '', breath: {}, why: '' } as const;
    expect(openLibrary(withDrills({ ...before, teaching: own })).drill('halo').teaching).toBe(own);
  });

  it('knows harder neighbours from the easier ones, both ways round', () => {
    for (const drill of library.drills)
      for (const easier of library.easierThan(drill.id)) expect(library.harderThan(easier.id)).toContain(drill);
    expect(library.easierThan('raised-arm-plank').map((d) => d.id)).toEqual(['plank', 'opposite-reach']);
  });

  it('keeps what was set aside for the record, and offers it no longer', () => {
    const without = openLibrary(merged(BUILT_IN, own({ setAside: ['plank'] })));
    expect(without.drill('plank')).toBe(plank);
    expect(without.drills).not.toContain(plank);
    expect(without.easierThan('raised-arm-plank')).toContain(plank);
  });

  it('names a rung for the record even when a coach has since taken it out', () => {
    expect(library.rungName('push-up', 'floor')).toBe('Floor');
    expect(library.rungName('push-up', 'gone')).toBe('gone');
  });

  it('knows where a drill is practised, and which caution keeps it away', () => {
    expect(library.practisedOn('practice-free-hang').map(({ ladder, rung }) => [ladder.id, rung.id])).toEqual([
      ['hang-and-swing', 'free-hang'],
    ]);
    expect(exclusionByCaution(plank, [{ id: 'pregnancy', because: [] }])).toBeUndefined();
    expect(exclusionByCaution(plank, [{ id: 'wrist-injury', because: [] }])?.id).toBe('wrist-injury');
  });
});

describe('an entry of the studio’s own', () => {
  it('stands in the place of the built-in one; a new one follows', () => {
    const mine = { ...plank, name: 'Plank, our way' };
    const { drills } = withDrills(mine, { ...plank, id: 'brand-new' });
    expect(drills.map((d) => d.id)).toEqual([...BUILT_IN.drills.map((d) => d.id), 'brand-new']);
    expect(drills.find((d) => d.id === 'plank')).toBe(mine);
  });

  it('that is a ladder without a rung of the built-in one: the practice of that rung is no longer offered, and breaks nothing', () => {
    const dip = library.ladder('dip');
    const content = merged(BUILT_IN, own({ ladders: [{ ...dip, rungs: dip.rungs.slice(0, 2) }] }));
    expect(content.setAside).toEqual([...BUILT_IN.setAside, 'practice-bar-support', 'practice-band-dip', 'practice-strict-dip']);
    expect(libraryProblems(content)).toEqual([]);
    expect(openLibrary(content).drills.map((d) => d.id)).not.toContain('practice-strict-dip');
  });

  it('may be a fault in other words; the rest stays as it was', () => {
    const mine = { id: 'shrug', name: 'ears swallowed', cue: 'Tall neck.', regression: 'Lighter.' } as const;
    const ours = openLibrary(merged(BUILT_IN, own({ faults: [mine] })));
    expect(ours.fault('shrug').cue).toBe('Tall neck.');
    expect(ours.fault('swings')).toEqual(library.fault('swings'));
    expect(openLibrary(EMPTY_LIBRARY).fault('shrug').name).toBe('shrug');
  });

  it('differs in named places from the built-in one', () => {
    const mine = { ...plank, dose: { ...plank.dose, max: 45 }, aids: ['Music'] };
    expect(differences(plank, mine)).toEqual([
      { path: ['aids'], before: plank.aids.join(', '), after: 'Music' },
      { path: ['dose', 'max'], before: '40', after: '45' },
    ]);
    expect(differences(plank, { ...plank })).toEqual([]);
  });

  it('tells a moved rung as moved, a changed demand as changed, a lost one as gone', () => {
    const dip = library.ladder('dip');
    const [first, second, third] = dip.rungs;
    if (!first || !second || !third) throw new Error('three rungs');
    const ladder = { ...dip, rungs: [first, second, third] };
    const moved = differences(ladder, { ...ladder, rungs: [second, first, third] });
    expect(moved).toEqual([
      {
        path: ['rungs', 'order'],
        before: 'bar-support-half, bar-support-light, bar-support',
        after: 'bar-support-light, bar-support-half, bar-support',
      },
    ]);
    const asked = first.demands.map((d) => (d.measureId === 'hand-load-push' ? { ...d, value: 0.9 } : d)).slice(1);
    expect(differences(ladder, { ...ladder, rungs: [{ ...first, demands: asked }, second, third] })).toEqual([
      expect.objectContaining({
        path: ['rungs', 'bar-support-half', 'demands', 'shoulder-extension'],
        before: expect.stringContaining('40') as string,
      }),
      { path: ['rungs', 'bar-support-half', 'demands', 'hand-load-push', 'value'], before: '1', after: '0.9' },
    ]);
  });
});

describe('a library fitted to a trainee', () => {
  const body = bodyModel({ sex: 'female', statureM: 1.6, massKg: 55 });
  const fitted = fittedTo(library, body);

  it('says the hand load of a drill as its set-up puts it on this trainee', () => {
    const share = handLoad(body, { position: 'push-up', handHeightM: 0.6 }).loadShare;
    expect(fitted.drill('practice-push-up-60').handLoad?.share).toBeCloseTo(share, 9);
    expect(fitted.drills.find((d) => d.id === 'practice-push-up-60')?.handLoad?.share).toBeCloseTo(share, 9);
    expect(library.drill('practice-push-up-60').handLoad?.share).not.toBeCloseTo(share, 2);
  });

  it('keeps the share of the library where the lab has no set-up', () => {
    expect(fitted.drill('four-directions')).toEqual(library.drill('four-directions'));
    expect(fitted.easierThan('plank').map((d) => d.id)).toEqual(library.easierThan('plank').map((d) => d.id));
  });
});

describe('what does not fit together', () => {
  it('a demand on the load of a set-up that the rung does not have', () => {
    const ladder = library.ladder('dip');
    const rungs = ladder.rungs.map(({ support: _support, ...rung }) => rung);
    const problems = libraryProblems({ ...BUILT_IN, ladders: [...BUILT_IN.ladders.filter((l) => l !== ladder), { ...ladder, rungs }] });
    expect(problems.map((p) => p.message).join(' ')).toContain('the rung has no set-up that the lab knows');
  });

  const messages = (content: LibraryContent) => libraryProblems(content).map((p) => p.message);

  it('a ring of neighbours, at every place of it', () => {
    const easiest = { ...library.drill('wall-push-hold'), easier: ['raised-arm-plank'] };
    const problems = libraryProblems(withDrills(easiest));
    expect(problems.every((p) => p.limit === 'acyclic')).toBe(true);
    const at = BUILT_IN.drills.findIndex((d) => d.id === 'wall-push-hold');
    expect(problems.map((p) => p.field)).toContain(`/drills/${at}/easier/0`);
    expect(messages(withDrills(easiest)).join(' ')).toContain(
      '“Steady wall push, blades wide” is harder than “Push-up position, one arm raised”',
    );
  });

  it('a drill that is its own neighbour, and one that nobody knows', () => {
    expect(messages(withDrills({ ...plank, easier: ['plank', 'moonwalk'] }))).toEqual([
      '“Plank” is its own easier neighbour.',
      '“Plank”: there is no drill called "moonwalk" to be its easier neighbour.',
    ]);
  });

  it('a rung without its practice, a practice without its rung, a branch without its tree, an id used twice', () => {
    const dip = library.ladder('dip');
    const [rung] = dip.rungs;
    if (!rung) throw new Error('a rung');
    const broken = { ...dip, branchOf: { ladderId: 'push-up', rungId: 'moon' }, rungs: [{ ...rung, practice: 'moonwalk' }, rung] };
    expect(
      libraryProblems(merged(BUILT_IN, own({ ladders: [broken] }))).map((p) => [p.limit, p.field.split('/').slice(3).join('/')]),
    ).toEqual([
      ['unique', 'rungs/1/id'],
      ['known', 'branchOf'],
      ['known', 'rungs/0/practice'],
    ]);
    const lost = { ...plank, id: 'lost', rung: { ladderId: 'dip', rungId: 'moon' } };
    expect(messages({ ...BUILT_IN, drills: [...BUILT_IN.drills, lost] })).toEqual([expect.stringContaining('no rung "moon"')]);
    const nowhere = { ...dip, carries: [{ rungId: 'old', name: 'Old', to: 'moon' }] };
    expect(messages(merged(BUILT_IN, own({ ladders: [nowhere] })))).toEqual([expect.stringContaining('no rung "moon"')]);
    expect(messages({ ...BUILT_IN, drills: [...BUILT_IN.drills, plank] })).toEqual(['The id "plank" is used twice.']);
  });
});

describe('search', () => {
  const search = drillSearch(library.drills);
  const ids = (text: string, filter = {}) => search(text, filter).map((d) => d.id);

  it('takes words as they are typed, in any order, best match first', () => {
    expect(ids('wrist cur').slice(0, 2).sort()).toEqual(['band-wrist-curls', 'wrist-curls']);
    expect(ids('cur wrist')).toEqual(expect.arrayContaining(['wrist-curls']));
    expect(ids('elastic rotation')).toContain('band-external-rotation');
    expect(ids('scapullar push')).toContain('wall-scapular-push-up');
    expect(ids('zeppelin')).toEqual([]);
  });

  it('finds by muscle in plain words, by joint action, and however it is written together', () => {
    expect(ids('rotator cuff')).toEqual(expect.arrayContaining(['side-lying-rotation', 'band-external-rotation', 'hands-open']));
    expect(ids('serratus')).toEqual(expect.arrayContaining(['wall-scapular-push-up', 'plank-scapular-push-up']));
    expect(ids('triceps')).toContain('elbow-straightening');
    expect(ids('elbow extension')).toContain('elbow-straightening');
    expect(ids('pushup').slice(0, 8)).toContain('kneeling-push-up');
    expect(ids('pullup')).toContain('practice-strict-pull-up');
    expect(ids('shoulder blade')).toContain('standing-blade-clocks');
  });

  it('finds for every drill its own name', () => {
    for (const drill of library.drills) expect([drill.id, ids(drill.name).includes(drill.id)]).toEqual([drill.id, true]);
  });

  it('narrows by every filter, alone and together, as a plain scan would', () => {
    expect(ids('')).toEqual(library.drills.map((d) => d.id));
    const scanned = library.drills.filter((d) => (d.joint === 'wrist' || d.alsoWorks.includes('wrist')) && d.position === 'seated');
    expect(ids('', { joint: 'wrist', position: 'seated' })).toEqual(scanned.map((d) => d.id));
    expect(search('', { equipment: 'none' }).every((d) => d.equipment.length === 0)).toBe(true);
    expect(search('', { equipment: 'band', quality: 'strength' }).map((d) => d.id)).toContain('strap-rows');
    expect(search('', { motion: 'pronation' }).every((d) => d.motions.includes('pronation'))).toBe(true);
    expect(search('', { blade: 'follow' }).every((d) => d.blade === 'follow')).toBe(true);
  });
});
