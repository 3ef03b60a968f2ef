import { describe, expect, it } from 'vitest';
import {
  bladeOf,
  cuesOf,
  type Drill,
  EQUIPMENT,
  faultsOf,
  isLoaded,
  isOverheadUnderLoad,
  PHASES,
  POSITIONS,
  QUALITIES,
} from '../drills/index.ts';
import { exclusionByCaution, libraryProblems } from '../library/index.ts';
import { CAUTION_IDS, type CautionId, cautionOf } from '../safety/index.ts';
import { DEFAULT_SCHOOLS } from '../schools/index.ts';
import { POSES } from '../statics/index.ts';
import { BUILT_IN, BUILT_IN_LIBRARY } from './index.ts';

const { measures: MEASURES, hasMeasure: isMeasure } = BUILT_IN_LIBRARY;

const library = BUILT_IN_LIBRARY;
const { drills } = library;
const general = drills.filter((d) => !d.rung);

describe('the catalogue', () => {
  it('holds at least 110 drills besides the practice of rungs, each id and name once', () => {
    expect(general.length).toBeGreaterThanOrEqual(110);
    expect(new Set(drills.map((d) => d.id)).size).toBe(drills.length);
    expect(new Set(general.map((d) => d.name)).size).toBe(general.length);
  });

  it('fits together: neighbours, rungs and practices exist, and no neighbour leads back', () => {
    expect(libraryProblems(BUILT_IN)).toEqual([]);
  });

  it('names only checks, faults, cautions, equipment and drawings that exist', () => {
    for (const d of drills) {
      expect(Object.keys(d.trains).filter((id) => !isMeasure(id))).toEqual([]);
      expect(d.faults.filter((id) => !library.hasFault(id))).toEqual([]);
      expect(d.excludedBy.filter((id) => !CAUTION_IDS.includes(id))).toEqual([]);
      expect(d.equipment.filter((e) => !(e in EQUIPMENT))).toEqual([]);
      expect(POSES[d.pose]).toBeDefined();
    }
  });

  it('reaches every drill: each has a neighbour, and serves a check or opens and closes sessions', () => {
    const lonely = drills.filter((d) => d.easier.length === 0 && library.harderThan(d.id).length === 0);
    expect(lonely.map((d) => d.id)).toEqual([]);
    const framing = ['wrists and forearms', 'warm-up', 'cool-down'];
    const supporting = (d: Drill) => d.joint === 'trunk';
    const idle = drills.filter((d) => Object.keys(d.trains).length === 0 && !framing.includes(d.phase) && !supporting(d));
    expect(idle.map((d) => d.id)).toEqual([]);
  });

  it('trains every check with at least two drills, and every check is demanded on a ladder, or worth taking without', () => {
    const trainedBy = (id: string) => general.filter((d) => d.trains[id]).length;
    expect(MEASURES.filter((m) => trainedBy(m.id) < 2).map((m) => m.id)).toEqual([]);
    const demanded = new Set(library.ladders.flatMap((l) => l.rungs.flatMap((r) => r.demands.map((d) => d.measureId))));
    expect(
      MEASURES.filter((m) => !demanded.has(m.id))
        .map((m) => m.id)
        .sort(),
    ).toEqual([
      'back-of-hand',
      'ball-toss',
      'blade-depression',
      'blade-dyskinesis',
      'blade-elevation',
      'blade-protraction',
      'blade-retraction',
      'closed-chain-touches',
      'dead-hang',
      'forearm-stretch-gap',
      'full-fist',
      'grip-pain-free',
      'horizontal-abduction',
      'peel-depth',
      'push-ups-clean',
      'rotation-at-side',
      'rotation-overhead',
      'rotator-ratio',
      'rows-clean',
      'seated-press-hold',
      'shoulder-flexion-passive',
      'straddle',
    ]);
  });

  it('fills every phase, quality, position and piece of equipment', () => {
    expect(PHASES.filter((p) => !general.some((d) => d.phase === p))).toEqual([]);
    expect(QUALITIES.filter((q) => !general.some((d) => d.quality === q))).toEqual([]);
    expect(POSITIONS.filter((p) => !drills.some((d) => d.position === p))).toEqual([]);
    expect(Object.keys(EQUIPMENT).filter((e) => !drills.some((d) => (d.equipment as readonly string[]).includes(e)))).toEqual([]);
  });

  it('has a cue and a regression for every fault, and every fault is invited somewhere', () => {
    for (const fault of library.faults) {
      expect(fault.cue.length).toBeGreaterThan(5);
      expect(fault.regression.length).toBeGreaterThan(5);
    }
    const invited = new Set(
      (['by drill', 'set', 'sweep', 'follow'] as const).flatMap((blade) =>
        drills.flatMap((d) => faultsOf(d, { ...DEFAULT_SCHOOLS, blade }, library.faults).map((f) => f.id)),
      ),
    );
    expect(library.faults.map((f) => f.id).filter((id) => !invited.has(id))).toEqual([]);
  });

  it('names the caution of every exclusion, and every caution that is more than a note excludes something', () => {
    const acting = CAUTION_IDS.filter((id) => cautionOf(id).kind !== 'note');
    const excludes = (id: CautionId) => drills.some((d) => exclusionByCaution(d, [{ id, because: [] }]));
    expect(acting.filter((id) => !excludes(id))).toEqual([]);
  });
});

describe('what keeps the hurt, the young and the lax away (common practice, no source)', () => {
  const notExcluded = (which: (d: Drill) => boolean, by: readonly CautionId[]) =>
    drills.filter((d) => which(d) && !by.every((id) => d.excludedBy.includes(id))).map((d) => d.id);

  it('passive end-range work of the shoulder: not with a shoulder once dislocated, nor lax', () =>
    expect(notExcluded((d) => d.quality === 'mobility passive' && d.joint === 'shoulder', ['shoulder-dislocated', 'lax-joints'])).toEqual(
      [],
    ));

  it('inversions: not with neck, eye or blood pressure, pregnancy, head injury, reflux or vertigo', () =>
    expect(
      notExcluded((d) => d.position === 'inverted', ['neck-condition', 'raised-pressure', 'pregnancy', 'head-injury', 'reflux-vertigo']),
    ).toEqual([]));

  it('swings: not with a loose shoulder until a professional spoke', () =>
    expect(notExcluded((d) => d.pose === 'swing' || d.pose === 'hand-to-hand travel', ['unstable-under-load'])).toEqual([]));

  it('lying face down: not in pregnancy', () => expect(notExcluded((d) => d.pose === 'prone', ['pregnancy'])).toEqual([]));

  it('fingertips and heavy wrist loading: not for minors', () => {
    expect(notExcluded((d) => /fingertips/.test(d.pose), ['minor'])).toEqual([]);
    // Children lean five centimetres, no further.
    const lean = (d: Drill) => ({ leanM: 0, ...d.support?.setUp }).leanM;
    expect(notExcluded((d) => d.pose === 'plank, leaning' && lean(d) > 0.05, ['minor'])).toEqual([]);
  });

  it('weight through the wrists: not with a wrist that is being rebuilt', () =>
    expect(
      notExcluded((d) => isLoaded(d) && d.handLoad?.direction === 'push' && d.handLoad.joints.includes('wrist'), ['wrist-injury']),
    ).toEqual([]));

  it('all of body weight in a pull: not with elbow pain', () =>
    expect(
      notExcluded((d) => d.handLoad?.direction === 'pull' && d.handLoad.share >= 1 && d.handLoad.joints.includes('grip'), ['elbow-pain']),
    ).toEqual([]));
});

describe('customary doses (common practice, no source)', () => {
  it.each<[string, string, number, number, number, boolean]>([
    ['wall-scapular-push-up', 'reps', 15, 20, 1, false],
    ['seated-wall-scapular-push-up', 'reps', 15, 20, 1, false],
    ['kneeling-scapular-push-up', 'reps', 15, 20, 1, false],
    ['plank-scapular-push-up', 'reps', 15, 20, 1, false],
    ['four-directions', 'reps', 3, 5, 1, false],
    ['prone-t-pulses', 'reps', 5, 5, 4, false],
    ['wrapped-squeeze', 'breaths', 3, 5, 1, true],
    ['seated-press-raised', 'breaths', 3, 5, 2, false],
    ['seated-press-floor', 'breaths', 3, 5, 2, false],
    ['three-leg-dog-rocks', 'reps', 3, 5, 1, true],
    ['halo', 'reps', 10, 10, 1, true],
    ['thread-and-open', 'reps', 5, 5, 1, true],
    ['clasped-fold', 's', 30, 30, 1, false],
    ['overhead-behind-reach', 'breaths', 3, 3, 1, true],
    ['wrist-circles', 'reps', 20, 20, 2, false],
    ['palm-lifts', 'reps', 3, 5, 3, false],
    ['finger-knuckle-bends', 'reps', 10, 10, 1, false],
    ['return-to-neutral', 'reps', 5, 5, 2, true],
    ['wrist-raises', 'reps', 5, 5, 2, true],
    ['elbow-circles', 'reps', 10, 10, 1, true],
    ['nerve-glide-open-close', 'reps', 5, 5, 1, true],
    ['side-to-side-rock', 's', 30, 40, 2, false],
    ['forearm-stretch', 's', 30, 30, 1, true],
    ['practice-tips-knees', 's', 10, 20, 3, false],
    ['practice-tips-lean', 's', 5, 10, 2, false],
    ['bench-dip-slow-down', 'reps', 10, 10, 2, false],
    ['bench-dip-slow-up', 'reps', 10, 10, 2, false],
  ])('%s: %s %d–%d × %d', (id, unit, min, max, sets, perSide) =>
    expect(library.drill(id).dose).toMatchObject({ unit, min, max, sets, perSide }),
  );

  it('stand in the order of a session: pulse before wrists, long holds last', () =>
    expect(PHASES).toEqual([
      'pulse',
      'wrists and forearms',
      'warm-up',
      'active mobility',
      'blade activation',
      'stability',
      'skill',
      'strength',
      'isolation',
      'cool-down',
    ]));

  it('bench dips go two seconds down and quick up, then the other way round, slow', () => {
    expect(library.drill('bench-dip-slow-down').dose.tempo).toEqual({ out: 2, hold: 0, back: 1 });
    expect(library.drill('bench-dip-slow-up').dose.tempo).toEqual({ out: 1, hold: 0, back: 4 });
  });

  it('external rotation gets more than internal, and extension its share: daily life gives plenty of the others', () => {
    const weight = (id: string) => general.reduce((sum, d) => sum + (d.trains[id] ?? 0), 0);
    expect(weight('shoulder-external-rotation')).toBeGreaterThan(weight('shoulder-internal-rotation'));
    expect(weight('shoulder-extension')).toBeGreaterThanOrEqual(12);
  });

  it('wall and kneeling versions stand in the order of the load that the statics work out', () => {
    const worked = (d: Drill) => d.support && d.handLoad?.direction === 'push' && d.pose !== 'forearm dog';
    const wrong = general.flatMap((d) =>
      d.easier
        .map(library.drill)
        .filter((e) => worked(d) && worked(e) && (e.handLoad?.share ?? 0) > (d.handLoad?.share ?? 0))
        .map((e) => `${e.id} before ${d.id}`),
    );
    expect(wrong).toEqual([]);
    const family = ['seated-wall', 'wall', 'tabletop', 'kneeling', 'plank'].map((id) => library.drill(`${id}-scapular-push-up`));
    const shares = family.map((d) => d.handLoad?.share ?? 0);
    expect(shares).toEqual(shares.toSorted((a, b) => a - b));
    const pushUps = ['practice-wall-push-up', 'practice-far-wall-push-up', 'kneeling-push-up', 'practice-floor-push-up'];
    const loads = pushUps.map((id) => library.drill(id).handLoad?.share ?? 0);
    expect(loads).toEqual(loads.toSorted((a, b) => a - b));
  });

  it('slow is the rule: no repetition takes under two seconds', () => {
    const quick = general.filter((d) => d.dose.tempo && d.dose.tempo.out + d.dose.tempo.hold + d.dose.tempo.back < 2);
    expect(quick.map((d) => d.id)).toEqual([]);
  });
});

describe('schools cannot loosen safety (professional judgement, from memory)', () => {
  const overhead = library.drills.filter((d) => isOverheadUnderLoad(d));

  it('above the head under load the blade follows the arm, and nothing says down and back, or blades touching', () => {
    expect(overhead.length).toBeGreaterThan(30);
    for (const drill of library.drills)
      for (const blade of ['by drill', 'set', 'sweep', 'follow'] as const) {
        const schools = { ...DEFAULT_SCHOOLS, blade };
        const said = cuesOf(drill, schools).join(' ');
        if (!isOverheadUnderLoad(drill)) continue;
        expect([drill.id, blade, bladeOf(drill, schools)]).toEqual([drill.id, blade, drill.blade ? 'follow' : undefined]);
        expect([drill.id, blade, /down and back|touching|pull(ed)? together,|blades down|shoulders down/i.exec(said)?.[0]]).toEqual([
          drill.id,
          blade,
          undefined,
        ]);
      }
  });

  it('a shrug that pushes above the head is no fault; one that hangs is', () => {
    const faults = (id: string) => faultsOf(library.drill(id), DEFAULT_SCHOOLS, library.faults).map((f) => f.id);
    expect([faults('practice-wall-handstand'), faults('practice-overhead-press')].flat()).not.toContain('shrug');
    expect(faults('practice-half-hang')).toContain('shrug');
  });
});

describe('single drills (professional judgement, from memory)', () => {
  it.each<[string, readonly CautionId[]]>([
    ['grip-squeezes', ['raised-pressure', 'finger-injury']],
    ['towel-hold', ['raised-pressure', 'finger-injury', 'shoulder-injury']],
    ['rope-roll', ['raised-pressure', 'finger-injury', 'shoulder-injury']],
    ['forearm-stretch', ['wrist-injury', 'arm-numbness', 'lax-joints']],
    ['back-of-hand-stretch', ['wrist-injury', 'arm-numbness', 'lax-joints']],
    ['arm-across', ['shoulder-injury']],
    ['clasped-fold', ['neck-condition', 'pregnancy']],
    ['neck-loosening', ['neck-condition', 'arm-numbness', 'head-injury']],
    ['hollow-hold', ['recent-birth', 'pregnancy']],
    ['hip-compressions', ['recent-birth', 'pregnancy']],
    ['practice-wall-handstand', ['elbow-pain', 'unstable-under-load', 'minor']],
    ['practice-loaded-push-up', ['elbow-pain', 'pregnancy']],
    ['practice-strict-dip', ['lax-joints', 'unstable-under-load', 'pregnancy']],
    ['practice-tips-plank', ['minor', 'lax-joints', 'finger-injury']],
  ])('%s is closed by %j', (id, cautions) => {
    for (const caution of cautions) expect([caution, isClosed(id, caution)]).toEqual([caution, true]);
  });

  it.each<[CautionId, string, boolean]>([
    ['minor', 'practice-strict-pull-up', false],
    ['minor', 'practice-half-hang', false],
    ['minor', 'practice-lean-5', false],
    ['minor', 'practice-lean-10', true],
    ['minor', 'practice-one-hand-30', true],
    ['lax-joints', 'practice-free-hang', false],
    ['lax-joints', 'practice-free-taps', true],
    ['lax-joints', 'practice-straight-swings', true],
    ['unstable-under-load', 'practice-free-hang', true],
    ['unstable-under-load', 'practice-half-hang', false],
    ['finger-injury', 'practice-half-hang', false],
    ['finger-injury', 'practice-free-hang', true],
    ['wrist-injury', 'practice-hand-to-hand', true],
    ['shoulder-injury', 'practice-support-tabletop', true],
    ['elbow-pain', 'practice-side-carry', true],
    ['elbow-pain', 'wrist-curls', false],
    ['pregnancy', 'practice-free-hang', true],
    ['pregnancy', 'practice-half-hang', false],
    ['reflux-vertigo', 'practice-free-hang', true],
    ['from-60', 'practice-straight-swings', true],
    ['from-60', 'practice-strict-pull-up', false],
    ['fever', 'wrist-circles', true],
    ['unfed', 'practice-strict-pull-up', true],
    ['unfed', 'wrist-circles', false],
    ['no-consent', 'practice-half-hang', true],
  ])('%s: %s closed %s', (caution, id, closed) => expect(isClosed(id, caution)).toBe(closed));

  it('a nerve glide is planned only where the coach asks for it', () => {
    expect(library.drill('nerve-glide-open-close').byChoice).toBe(true);
  });

  const isClosed = (id: string, caution: CautionId) => exclusionByCaution(library.drill(id), [{ id: caution, because: [] }]) !== undefined;
});
