import type { EmergencySign } from './emergency.ts';
import type { BodyPlace, Symptom, SymptomKind } from './symptoms.ts';

/** A symptom of any of these kinds or places asks for a look at these signs. */
interface Look {
  readonly kinds?: readonly SymptomKind[];
  readonly places?: readonly BodyPlace[];
  readonly signs: readonly EmergencySign[];
}

const ARM: readonly BodyPlace[] = ['shoulder', 'elbow', 'forearm', 'wrist', 'hand', 'fingers'];

/** Which signs go with what is felt (professional judgement, from memory, no single published source). Kind and place both have to fit. */
const LOOKS: readonly Look[] = [
  { kinds: ['dizziness'], signs: ['chest-breath', 'face-speech-sight'] },
  { places: ['chest'], signs: ['chest-breath'] },
  { kinds: ['headache'], signs: ['worst-headache', 'face-speech-sight', 'head-blow'] },
  { places: ['head'], signs: ['worst-headache', 'face-speech-sight', 'head-blow', 'flashes'] },
  { places: ['neck'], signs: ['neck-with-signs', 'both-sides-numb'] },
  { kinds: ['numbness or tingling', 'weakness', 'giving way'], signs: ['both-sides-numb', 'face-speech-sight'] },
  { places: ['lower back'], signs: ['both-sides-numb'] },
  { kinds: ['numbness or tingling', 'weakness'], places: ARM, signs: ['cold-hand'] },
  { kinds: ['giving way', 'locked up', 'sharp', 'tender bone'], places: [...ARM, 'hip', 'knee', 'foot'], signs: ['deformity'] },
  { kinds: ['sharp', 'weakness'], places: ['shoulder', 'elbow', 'forearm', 'fingers', 'knee', 'foot'], signs: ['tendon-pop'] },
  { kinds: ['sharp', 'ache', 'tender bone'], places: ['wrist', 'hand'], signs: ['fall-on-hand'] },
  { kinds: ['ache', 'sharp', 'swelling', 'numbness or tingling'], places: ['forearm'], signs: ['tense-forearm'] },
  { kinds: ['swelling'], places: ARM, signs: ['swollen-arm'] },
  { kinds: ['swelling'], signs: ['hot-joint'] },
  { kinds: ['soreness', 'weakness', 'swelling'], signs: ['dark-urine'] },
];

/**
 * Signs that call for a doctor and are to be looked for beside what is felt: the sheet names them before anything is recorded.
 *
 * @param felt what is known of it so far; nothing is concluded from what is not
 * @returns in the order of the table, each once
 * @example redFlagsFor({ place: 'chest', kind: 'ache' }) // ['chest-breath']
 */
export function redFlagsFor(felt: Partial<Pick<Symptom, 'kind' | 'place'>>): readonly EmergencySign[] {
  const fits = <T>(some: readonly T[] | undefined, value: T | undefined) =>
    some === undefined || (value !== undefined && some.includes(value));
  return [...new Set(LOOKS.filter((look) => fits(look.kinds, felt.kind) && fits(look.places, felt.place)).flatMap((look) => look.signs))];
}
