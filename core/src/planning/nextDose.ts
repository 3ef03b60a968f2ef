import { type Dose, type Drill, type Manner, slower, stepped } from '../drills/index.ts';
import { daysBetween, type Instant } from '../quantities/index.ts';
import { type Feeling } from '../readiness/index.ts';
import { isStopSign, judgementOf, type Symptom } from '../safety/index.ts';
import type { Schools } from '../schools/index.ts';
import { doseStep, mostEver } from './doseStep.ts';

/** A drill as it was done once, with what the session around it said. */
export interface DrillDone {
  readonly at: Instant;
  /** Effort of the whole session, 0–10. */
  readonly effort: number;
  readonly plannedSets: number;
  readonly max: number;
  readonly sets: readonly {
    readonly amount: number;
    readonly feeling?: Feeling | undefined;
    readonly unconfirmed?: boolean | undefined;
    readonly faults: readonly { readonly mended: boolean }[];
  }[];
  readonly symptoms: readonly Symptom[];
}

/** What the next dose of a drill is to be, and why. */
export interface NextDose {
  readonly change: 'more' | 'same' | 'less' | 'back';
  /** Change of the load on the hands, as a fraction of body weight; 0 where the drill does not load them. */
  readonly loadChange: number;
  /** The dose; it grows before the load does, and where the load cannot. */
  readonly dose: Dose;
  /** The next weight, band or tempo, where that is what changes. */
  readonly manner?: Manner;
  /** The next rung's check has been earned. */
  readonly offersCheck: boolean;
  readonly because: DoseBecause;
}

/** Why the next dose is what it is; `words/nextDose.ts` says it. */
export type DoseBecause =
  | { readonly code: 'stop sign' | 'symptom'; readonly symptom: Symptom }
  | { readonly code: 'sets missing'; readonly done: number; readonly wanted: number }
  | { readonly code: 'below the top'; readonly top: number }
  | { readonly code: 'effort'; readonly effort: number }
  | { readonly code: 'clean once'; readonly wanted: number }
  | {
      readonly code:
        | 'unconfirmed'
        | 'fault'
        | 'half dose clean'
        | 'too close'
        | 'clean twice'
        | 'clenched'
        | 'too much'
        | 'too easy twice'
        | 'too easy once'
        | 'right'
        | 'not noted';
    };

/** Turns of the support dial, as fractions of body weight (common practice, no source). */
const STEP = 0.05;
const STEP_BACK = 0.1;
/** Effort from here on means "hold" (common practice, no source). */
const HARD_EFFORT = 8;
const CLEAN_IN_A_ROW = 2;
const DAYS_APART = 2;

/**
 * The next dose of a drill after what was logged, by the plan's school.
 *
 * Count: all sets clean at the top of the dose in two sessions 48 hours apart → more repetitions or seconds up to what the drill has,
 * then 5 points of body weight, the next weight or the next band, and what has none of these a slower way back; the practice of a rung
 * earns the next rung's check; an unmended fault, effort from 8 or pain of 3–4 → the same again; a stop sign → 10 points back.
 * Feel: "too easy" twice → 5 points more; "right" → the same; "too much" → 5 less; "clenched" → 10 less.
 *
 * @param history newest first
 * @param drill as planned now: its dose, load and set-up
 * @param school what tells that a set is enough
 * @returns nothing before the drill was done once
 * @example nextDose([clean, clean], { drill, dose, practice: true }, 'count') // { change: 'more', loadChange: 0.05, offersCheck: true, … }
 */
export function nextDose(
  history: readonly DrillDone[],
  planned: {
    readonly drill: Pick<Drill, 'dose' | 'handLoad' | 'support' | 'equipment' | 'manner'>;
    readonly dose: Dose;
    readonly practice?: boolean;
  },
  school: Schools['progress'],
): NextDose | undefined {
  const last = history[0];
  if (!last) return undefined;
  const sign = last.symptoms.find((s) => isStopSign(s));
  if (sign) return change('back', -STEP_BACK, { code: 'stop sign', symptom: sign }, planned);
  const worst = last.symptoms.filter((s) => !judgementOf(s).quiet).toSorted((a, b) => b.intensity - a.intensity)[0];
  if (worst) return change('same', 0, { code: 'symptom', symptom: worst }, planned);
  return school === 'feel' ? byFeel(history, planned) : byCount(history, planned);
}

type Planned = Parameters<typeof nextDose>[1];

function byCount(history: readonly DrillDone[], planned: Planned): NextDose {
  const [last, before] = history;
  if (!last) return change('same', 0, { code: 'not noted' }, planned);
  const trouble = troubleOf(last, planned.drill);
  if (trouble) return change('same', 0, trouble, planned);
  if (planned.dose.sets < planned.drill.dose.sets)
    return {
      ...change('more', 0, { code: 'half dose clean' }, planned),
      dose: { ...planned.dose, sets: planned.drill.dose.sets },
    };
  if (!before || troubleOf(before, planned.drill)) return change('same', 0, { code: 'clean once', wanted: CLEAN_IN_A_ROW }, planned);
  if (daysBetween(before.at, last.at) < DAYS_APART) return change('same', 0, { code: 'too close' }, planned);
  const more = change('more', STEP, { code: 'clean twice' }, planned);
  return planned.practice ? { ...more, offersCheck: true } : more;
}

/** What keeps a session from being clean at the top of its dose; nothing when it was. */
function troubleOf(done: DrillDone, { dose }: Pick<Drill, 'dose'>): DoseBecause | undefined {
  const wanted = done.plannedSets * (dose.perSide ? 2 : 1);
  if (done.sets.length < wanted) return { code: 'sets missing', done: done.sets.length, wanted };
  if (done.sets.some((s) => s.unconfirmed)) return { code: 'unconfirmed' };
  if (done.sets.some((s) => s.amount < done.max)) return { code: 'below the top', top: done.max };
  if (done.sets.some((s) => s.faults.some((f) => !f.mended))) return { code: 'fault' };
  return done.effort >= HARD_EFFORT ? { code: 'effort', effort: done.effort } : undefined;
}

function byFeel(history: readonly DrillDone[], planned: Planned): NextDose {
  const felt = history.slice(0, CLEAN_IN_A_ROW).map(({ sets }) => hardest(sets.flatMap((s) => s.feeling ?? [])));
  if (felt[0] === 'clenched') return change('back', -STEP_BACK, { code: 'clenched' }, planned);
  if (felt[0] === 'too much') return change('less', -STEP, { code: 'too much' }, planned);
  if (felt.length === CLEAN_IN_A_ROW && felt.every((f) => f === 'too easy'))
    return change('more', STEP, { code: 'too easy twice' }, planned);
  if (felt[0] === 'too easy') return change('same', 0, { code: 'too easy once' }, planned);
  return change('same', 0, { code: felt[0] === 'right' ? 'right' : 'not noted' }, planned);
}

const HARDNESS: readonly Feeling[] = ['too easy', 'right', 'too much', 'clenched'];

function hardest(feelings: readonly Feeling[]): Feeling | undefined {
  return feelings.toSorted((a, b) => HARDNESS.indexOf(b) - HARDNESS.indexOf(a))[0];
}

function change(kind: NextDose['change'], load: number, because: DoseBecause, planned: Planned): NextDose {
  const { drill, dose } = planned;
  const plain = { change: kind, because, offersCheck: false, loadChange: 0, dose };
  if (load === 0) return plain;
  // Repetitions, seconds and breaths come first, up to where the drill has them; then the load.
  if (load > 0 && dose.max < drill.dose.max) return { ...plain, dose: otherDose(drill.dose, dose, 1, drill.dose.max) };
  if (drill.handLoad !== undefined && drill.support !== undefined && drill.manner?.kg === undefined) return { ...plain, loadChange: load };
  const manner = drill.manner && stepped(drill, drill.manner, load > 0 ? 1 : -1);
  if (manner) return { ...plain, manner };
  const other = otherDose(drill.dose, dose, load / STEP, mostEver(drill.dose));
  const tempo = load > 0 && other.max === dose.max ? slower(drill.dose) : undefined;
  // What cannot grow in amount any more grows in control.
  return tempo ? { ...plain, manner: { ...drill.manner, tempo } } : { ...plain, dose: other };
}

/** More or fewer repetitions, seconds or breaths. */
function otherDose(range: Drill['dose'], dose: Dose, steps: number, ceiling: number): Dose {
  const by = doseStep(range.unit, dose.max);
  const max = Math.min(ceiling, Math.max(1, dose.max + Math.sign(steps) * by * Math.abs(steps)));
  return { ...dose, max, min: Math.min(dose.min, max) };
}
