import type { BodySide, Joint } from '../anatomy/index.ts';
import { daysBetween } from '../quantities/index.ts';
import { BRIEF_KINDS, isSoreMuscle, judgeSymptom, sorenessOf, type SymptomContext } from './painRule.ts';
import { atSamePlace, type BodyPlace, type StopCode, type Symptom } from './symptoms.ts';

/** What a symptom asks for, mildest first. */
export const SYMPTOM_ACTS = ['go on', 'hold', 'leave drill', 'half', 'step back', 'stop'] as const;
export type SymptomAct = (typeof SYMPTOM_ACTS)[number];

/** Why a quiet symptom asks for a hold: reported so often lately, more than before, or still there the morning after. */
export type HoldReason =
  | { readonly kind: 'often'; readonly times: number; readonly days: number }
  | { readonly kind: 'rising'; readonly before: number }
  | { readonly kind: 'morning after' };

/** What decided; how it reads is said in `words`. */
export type ResponseFinding =
  | { readonly code: 'nothing-felt' }
  | { readonly code: 'stop-sign'; readonly symptom: Symptom; readonly stop: StopCode }
  | { readonly code: 'too-sore'; readonly symptom: Symptom }
  | { readonly code: 'half'; readonly symptom: Symptom }
  | { readonly code: 'leave-drill'; readonly symptom: Symptom }
  | { readonly code: 'step-back'; readonly symptom: Symptom }
  | { readonly code: 'hold'; readonly symptom: Symptom; readonly why: HoldReason }
  | { readonly code: 'go-on'; readonly symptom: Symptom };

/** What to do now that something is felt, and why. */
export interface SymptomResponse {
  readonly act: SymptomAct;
  /** Every gate is locked until the coach closes the stop sign, and the clearance in hand is withdrawn. */
  readonly locks: boolean;
  readonly finding: ResponseFinding;
  /** Turn of the support dial, as a fraction of body weight: 0, or less on the hands. */
  readonly loadChange: number;
  /** Joints to leave alone for the rest of the session; none unless it stops. */
  readonly joints: readonly Joint[];
  /** Where the worst of it is; absent when nothing is felt. */
  readonly at?: { readonly place: BodyPlace; readonly side: BodySide };
}

/** Turns of the dial (models of progress: common practice, no source). */
const STEP = 0.05;
const BACK = 0.1;
/** How far back an earlier report at the same place still counts (project default). */
const LOOK_BACK_DAYS = 7;
/** Reports at one place, this one included, that together ask for a hold however quiet each is (project default). */
const OFTEN = 3;

/** Joints that a place belongs to, and that loaded work must leave alone when it hurts. */
const JOINTS_AT: Readonly<Record<BodyPlace, readonly Joint[]>> = {
  shoulder: ['shoulder', 'scapula'],
  'shoulder blade': ['scapula', 'shoulder'],
  elbow: ['elbow', 'forearm'],
  forearm: ['forearm', 'wrist', 'grip'],
  wrist: ['wrist', 'forearm'],
  hand: ['grip', 'wrist'],
  fingers: ['grip', 'wrist'],
  head: ['neck'],
  chest: ['shoulder', 'scapula'],
  belly: ['trunk'],
  hip: ['trunk'],
  knee: [],
  foot: [],
  neck: ['neck', 'scapula'],
  'upper back': ['scapula', 'trunk'],
  'lower back': ['trunk'],
};

/**
 * The pain rule: what the symptoms of this moment ask for, read beside those of the days before.
 *
 * A stop sign: stop, step back, lock. Sharp or a pinch that went at once on a second try: leave the drill for the day. Soreness of
 * muscle: half the dose from 5, no load from 7 or after three days. Otherwise up to 2 (or what is usual at a place): go on, with a hold
 * where the same place was reported often lately, is rising, or has not come back to its baseline next morning; more: step back, one
 * turn of the dial lighter. What stops is said by `judgeSymptom`.
 *
 * @param symptoms felt now; the worst decides
 * @param context the days before, the age, and lasting pains
 * @example symptomResponse([{ intensity: 3, kind: 'ache', place: 'shoulder', side: 'left', … }], { history: [] }).act // 'step back'
 */
export function symptomResponse(symptoms: readonly Symptom[], context: SymptomContext): SymptomResponse {
  const [worst] = symptomResponses(symptoms, context).toSorted(
    (a, b) => SYMPTOM_ACTS.indexOf(b.act) - SYMPTOM_ACTS.indexOf(a.act) || Number(b.locks) - Number(a.locks),
  );
  return worst ?? { act: 'go on', locks: false, finding: { code: 'nothing-felt' }, loadChange: 0, joints: [] };
}

/** What each of them asks for, those felt before it among what it is read beside. */
export function symptomResponses(symptoms: readonly Symptom[], context: SymptomContext): readonly SymptomResponse[] {
  const { history } = context;
  return symptoms
    .filter((s) => s.intensity > 0)
    .map((s) => answerTo(s, { ...context, history: [...history, ...symptoms.filter((earlier) => earlier.at < s.at)] }));
}

function answerTo(symptom: Symptom, context: SymptomContext): SymptomResponse {
  const { place, side, kind } = symptom;
  const at = { at: { place, side } };
  const { stop, quiet } = judgeSymptom(symptom, context);
  if (stop)
    return {
      ...at,
      act: 'stop',
      locks: true,
      loadChange: -BACK,
      joints: JOINTS_AT[place],
      finding: { code: 'stop-sign', symptom, stop },
    };
  if (isSoreMuscle(symptom)) return { ...at, ...sore(symptom, context.history) };
  if (BRIEF_KINDS.includes(kind)) return { ...at, ...QUIETLY, act: 'leave drill', finding: { code: 'leave-drill', symptom } };
  if (!quiet) return { ...at, ...QUIETLY, act: 'step back', loadChange: -STEP, finding: { code: 'step-back', symptom } };
  const alike = context.history.filter(
    (s) =>
      s.intensity > 0 && s.kind !== 'soreness' && atSamePlace(s, symptom) && ageOf(s, symptom) > 0 && ageOf(s, symptom) <= LOOK_BACK_DAYS,
  );
  const why = holdReason(symptom, alike);
  return why
    ? { ...at, ...QUIETLY, act: 'hold', finding: { code: 'hold', symptom, why } }
    : { ...at, ...QUIETLY, act: 'go on', finding: { code: 'go-on', symptom } };
}

function sore(symptom: Symptom, history: readonly Symptom[]): Omit<SymptomResponse, 'at'> {
  switch (sorenessOf(symptom, history)) {
    case 'too sore':
      return { act: 'stop', locks: false, loadChange: 0, joints: JOINTS_AT[symptom.place], finding: { code: 'too-sore', symptom } };
    case 'half':
      return { ...QUIETLY, act: 'half', finding: { code: 'half', symptom } };
    case 'little':
      return { ...QUIETLY, act: 'go on', finding: { code: 'go-on', symptom } };
  }
}

function holdReason({ intensity }: Symptom, alike: readonly Symptom[]): HoldReason | undefined {
  const before = Math.max(0, ...alike.map((s) => s.intensity));
  if (alike.length + 1 >= OFTEN) return { kind: 'often', times: alike.length, days: LOOK_BACK_DAYS };
  if (alike.length > 0 && intensity > before) return { kind: 'rising', before };
  return alike.some((s) => s.moment === 'next morning') ? { kind: 'morning after' } : undefined;
}

const QUIETLY = { locks: false, loadChange: 0, joints: [] } as const;

function ageOf(earlier: Symptom, later: Symptom): number {
  return daysBetween(earlier.at, later.at);
}
