import { describe, expect, inject, it } from 'vitest';
import { type Drill, faultsOf, MOVE_PARTS, situationOf } from '../drills/index.ts';
import { prepare } from '../motion/index.ts';
import { movementOf } from '../movements/index.ts';
import { BLADES, DEFAULT_SCHOOLS } from '../schools/index.ts';
import { SHOWN_FAULTS, showsFault } from '../showing/index.ts';
import { BUILT_IN_LIBRARY as library } from './index.ts';
import { LESSONS } from './teaching/index.ts';

const ANYBODY = { sex: 'female', stature: 1.7 } as const;
const { drills, faults } = library;

/** Every fault of every drill under every blade school, as it is told there. */
const told = drills.flatMap((drill) =>
  (['by drill', ...BLADES] as const).flatMap((blade) =>
    faultsOf(drill, { ...DEFAULT_SCHOOLS, blade }, faults).map((fault) => ({
      drill,
      blade,
      fault,
      said: `${fault.cue} ${fault.regression}`,
    })),
  ),
);
const wrongly = (is: (one: (typeof told)[number]) => boolean) => [
  ...new Set(told.filter(is).map(({ drill, fault, said }) => `${drill.id}: ${fault.id}: ${said}`)),
];

describe('every drill is taught (common practice, no source)', () => {
  it('in two to five steps in the order of the movement, with what is felt, what stays still, where to look, breath and reason', () => {
    for (const { id, teaching } of drills) {
      const parts = teaching?.steps.map(({ part }) => part) ?? [];
      expect([id, parts.length >= 2 && parts.length <= 5, parts[0]]).toEqual([id, true, 'start']);
      expect(parts).toEqual(MOVE_PARTS.filter((part) => parts.includes(part)));
      const { felt, still, gaze, why, breath, steps = [] } = teaching ?? {};
      expect([id, [felt, still, gaze, why, ...steps.map(({ text }) => text)].filter((text) => !text || !/^[A-Z].*\.$/.test(text))]).toEqual(
        [id, []],
      );
      expect([id, Object.keys(breath ?? {}).length > 0]).toEqual([id, true]);
    }
  });

  it('nothing is taught that is no drill', () => expect(Object.keys(LESSONS).filter((id) => !library.hasDrill(id))).toEqual([]));

  it('a step speaks of a hold or of a way where the dose has it', () => {
    const partsOf = ({ teaching }: Drill) => teaching?.steps.map(({ part }) => part) ?? [];
    const held = drills.filter(
      (d) => d.dose.unit !== 'reps' && !d.id.startsWith('march') && d.id !== 'shake-out' && d.id !== 'side-to-side-rock',
    );
    expect(held.filter((d) => !partsOf(d).includes('hold')).map((d) => d.id)).toEqual([]);
    const repeated = drills.filter((d) => d.dose.unit === 'reps');
    expect(repeated.filter((d) => !partsOf(d).includes('out')).map((d) => d.id)).toEqual([]);
  });

  it('none says again, word for word, what another says', () => {
    const says = (d: Drill) => [...(d.teaching?.steps.map(({ text }) => text) ?? []), d.teaching?.why].join(' ');
    const alike = drills.filter((d, i) => drills.some((o, j) => j < i && says(o) === says(d)));
    expect(alike.map((d) => d.id)).toEqual([]);
  });
});

describe('faults fit the movement', () => {
  /** Degrees to which the way out bends an elbow: 30 and more are meant. */
  const elbowTravel = ({ id }: Drill) => {
    const { start, keys } = movementOf(library.drill(id));
    return Math.max(
      0,
      ...(['right', 'left'] as const).flatMap((side) =>
        keys.map((pose) => pose[side]?.elbow ?? pose.both?.elbow ?? start.both?.elbow ?? 0),
      ),
    );
  };

  it('each drill has two or more, each once, and each fault of the library is looked for somewhere', () => {
    expect(
      drills
        .filter(
          (d) =>
            new Set(d.faults).size !== d.faults.length ||
            (d.faults.length < 2 && d.quality !== 'mobility active' && d.phase !== 'cool-down'),
        )
        .map((d) => d.id),
    ).toEqual([]);
  });

  it('straight arms are asked nowhere where the movement bends them', () =>
    expect(wrongly(({ drill, fault }) => fault.id === 'elbows-bend' && elbowTravel(drill) >= 30)).toEqual([]));

  it('bent elbows flare only where the movement bends them', () =>
    expect(wrongly(({ drill, fault }) => fault.id === 'elbows-flare' && elbowTravel(drill) < 30 && !/lowered/.test(drill.id))).toEqual([]));

  it('a swing is no fault of swinging, and halves are out of time only there', () => {
    const swinging = (d: Drill) => d.pose === 'swing' || d.pose === 'hand-to-hand travel';
    expect(
      wrongly(({ drill, fault }) => (fault.id === 'swings' && swinging(drill)) || (fault.id === 'out-of-time' && !swinging(drill))),
    ).toEqual([]);
  });

  it('feet are named where they carry, or stand', () => {
    const carry = ['free hang', 'feet hang', 'between the hands', 'at a wall', 'at a post', 'upside down'];
    expect(
      wrongly(({ drill, said }) => /\bfeet\b|\bfoot\b/i.test(said) && !carry.includes(situationOf(drill)) && drill.position !== 'standing'),
    ).toEqual([]);
  });

  it('what is named is at hand', () => {
    const named: readonly (readonly [RegExp, (d: Drill) => boolean])[] = [
      [/\bbar\b/i, (d) => d.position === 'hanging' || d.equipment.some((e) => e === 'bar' || e === 'row of bars')],
      [/\bband\b/i, (d) => d.equipment.includes('band') || library.practisedOn(d.id).some(({ ladder }) => ladder.id === 'assisted-pull')],
      [/\bstrap\b/i, (d) => d.equipment.includes('strap')],
      [/\bstick\b/i, (d) => d.equipment.includes('stick')],
      [/\bwall\b/i, (d) => d.equipment.includes('wall')],
      [/\bpost\b/i, (d) => d.equipment.includes('post')],
      [/\bbench\b|\btable\b/i, (d) => d.equipment.includes('bench')],
      [/lighter weight|the weight\b/i, (d) => d.equipment.some((e) => e.includes('weight') || e === 'stick')],
      [/\bfloor\b/i, (d) => !['hanging', 'at a wall'].includes(d.position) || d.id === 'catch-standing'],
    ];
    for (const [word, has] of named) expect(wrongly(({ drill, said }) => word.test(said) && !has(drill))).toEqual([]);
  });

  it('no blade rule fights a drill whose purpose is the travel of the blade', () =>
    expect(
      wrongly(
        ({ drill, fault }) => drill.bladeTravels === true && ['blades-pinch', 'upper-back-rounds', 'blade-held-down'].includes(fault.id),
      ),
    ).toEqual([]));

  it('a blade is held down only where an arm rises', () =>
    expect(
      wrongly(
        ({ drill, fault }) =>
          fault.id === 'blade-held-down' && ['on the hands', 'on the forearms', 'free hang', 'feet hang'].includes(situationOf(drill)),
      ),
    ).toEqual([]));

  it('shows at a part that the drill has', () =>
    expect(
      wrongly(({ drill, fault }) => {
        const parts = drill.teaching?.steps.map(({ part }) => part) ?? [];
        return fault.part !== undefined && !parts.includes(fault.part);
      }),
    ).toEqual([]));
});

describe('figures of faults', () => {
  it('at least fifteen faults have one, each on a drill that invites it', () => {
    const shown = SHOWN_FAULTS.filter((id) => drills.some((d) => d.faults.includes(id) && showsFault(d, id)));
    expect(shown).toEqual(SHOWN_FAULTS);
    expect(shown.length).toBeGreaterThanOrEqual(15);
  });

  // Each fault on some of its drills; the long suite takes all.
  const most = inject('long') ? Number.POSITIVE_INFINITY : 4;
  it.each(SHOWN_FAULTS)(
    '%s stands on its contacts and within human limits, and differs from the right one',
    { timeout: 120_000 },
    (fault) => {
      const pairs = drills.filter((d) => d.faults.includes(fault) && showsFault(d, fault));
      const every = Math.max(1, Math.ceil(pairs.length / most));
      for (const drill of pairs.filter((_, i) => i % every === 0)) {
        const wrong = prepare(movementOf({ fault, drill }), ANYBODY);
        const right = prepare(movementOf(drill), ANYBODY);
        const apart = wrong.keys.map(({ figures }, i) =>
          Math.max(...figures.map((v, j) => Math.abs(v - ((right.keys[i] ?? right.keys[0]).figures[j] ?? 0)))),
        );
        expect([drill.id, fault, Math.max(...apart) > 5]).toEqual([drill.id, fault, true]);
      }
    },
  );
});
