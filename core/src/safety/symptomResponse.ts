import type { BodySide, Joint } from '../anatomy/index.ts';
import { daysBetween } from '../quantities/index.ts';
import { type BodyPlace, isStopSign, QUIET_UP_TO, type Symptom } from './symptoms.ts';

/** What a symptom asks for, mildest first. */
export const SYMPTOM_ACTS = ['go on', 'hold', 'step back', 'stop'] as const;
export type SymptomAct = (typeof SYMPTOM_ACTS)[number];

/** Why a quiet symptom asks for a hold: reported so often lately, more than before, or still there the morning after. */
export type HoldReason =
  | { readonly kind: 'often'; readonly times: number; readonly days: number }
  | { readonly kind: 'rising'; readonly before: number }
  | { readonly kind: 'morning after' };

/** What decided; how it reads is said in `words`. */
export type ResponseFinding =
  | { readonly code: 'nothing-felt' }
  | { readonly code: 'stop-sign'; readonly symptom: Symptom }
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
  neck: ['neck', 'scapula'],
  'upper back': ['scapula', 'trunk'],
  'lower back': ['trunk'],
};

/**
 * The pain rule: what the symptoms of this moment ask for, read beside those of the days before.
 *
 * Up to 2 of 10: go on, with a hold where the same place was reported often lately, is rising, or has not come back to its baseline
 * next morning. 3–4: step back, one turn of the dial lighter. From 5, or anything sharp, pinching, numb, tingling or locked up: stop,
 * step back, lock (common practice, no source; the limits are stricter than published rules).
 *
 * @param symptoms felt now; the worst decides
 * @param history earlier reports, in any order
 * @example symptomResponse([{ intensity: 3, kind: 'ache', place: 'wrist', side: 'left', … }], []).act // 'step back'
 */
export function symptomResponse(symptoms: readonly Symptom[], history: readonly Symptom[]): SymptomResponse {
  const answers = symptoms.filter((s) => s.intensity > 0).map((s) => answerTo(s, history));
  const [worst] = answers.sort((a, b) => SYMPTOM_ACTS.indexOf(b.act) - SYMPTOM_ACTS.indexOf(a.act));
  return worst ?? { act: 'go on', locks: false, finding: { code: 'nothing-felt' }, loadChange: 0, joints: [] };
}

function answerTo(symptom: Symptom, history: readonly Symptom[]): SymptomResponse {
  const { place, side, intensity } = symptom;
  const at = { at: { place, side } };
  if (isStopSign(symptom))
    return {
      ...at,
      act: 'stop',
      locks: true,
      loadChange: -BACK,
      joints: JOINTS_AT[place],
      finding: { code: 'stop-sign', symptom },
    };
  if (intensity > QUIET_UP_TO) return { ...at, ...QUIETLY, act: 'step back', loadChange: -STEP, finding: { code: 'step-back', symptom } };
  const alike = history.filter(
    (s) => s.intensity > 0 && s.place === place && s.side === side && ageOf(s, symptom) >= 0 && ageOf(s, symptom) <= LOOK_BACK_DAYS,
  );
  const why = holdReason(symptom, alike);
  return why
    ? { ...at, ...QUIETLY, act: 'hold', finding: { code: 'hold', symptom, why } }
    : { ...at, ...QUIETLY, act: 'go on', finding: { code: 'go-on', symptom } };
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
