import { type CalendarDay, type Instant, longDay } from '../quantities/index.ts';
import type { BeforeQuestion, CautionCause, CautionId, CautionInForce, EmergencySign, LiftedCaution, Permit } from '../safety/index.ts';
import { answerInWords } from './questions.ts';

/** A caution's name and what it means for training. Wording defers to licensed professionals. */
export const CAUTION_WORDS: Readonly<Record<CautionId, { readonly name: string; readonly consequence: string }>> = {
  unscreened: { name: 'Not screened', consequence: 'Only unloaded work until the questions before training are answered.' },
  emergency: {
    name: 'Emergency',
    consequence: 'Nothing straining, no check of it and no gate until a doctor’s word says what is permitted.',
  },
  'doctor-today': {
    name: 'Doctor the same day',
    consequence: 'Nothing straining, no check of it and no gate until a doctor’s word says what is permitted.',
  },
  'heart-vessels': {
    name: 'Heart, vessels or kidneys',
    consequence: 'Nothing straining, no check of it and no gate until a doctor’s word says what is permitted.',
  },
  'exertion-signs': {
    name: 'Chest pain, fainting or breathlessness on little effort',
    consequence: 'Nothing straining, no check of it and no gate until a doctor’s word says what is permitted.',
  },
  'blood-clot': {
    name: 'A clot, or an arm that swells',
    consequence: 'Nothing straining, no check of it and no gate until a doctor’s word says what is permitted.',
  },
  'vessel-wall': {
    name: 'Aorta or connective tissue of the vessels',
    consequence: 'Nothing straining, no check of it and no gate until a doctor’s word says what is permitted.',
  },
  'cancer-weight-loss': {
    name: 'Weight lost without reason, or cancer under treatment',
    consequence: 'Nothing straining, no check of it and no gate until a doctor’s word says what is permitted.',
  },
  'fresh-fracture': {
    name: 'Fracture less than twelve weeks old',
    consequence: 'Nothing straining, no check of it and no gate until a doctor’s word says what is permitted.',
  },
  'eye-surgery': {
    name: 'Eye surgery, or active disease of the retina',
    consequence: 'Nothing straining, no check of it and no gate until a doctor’s word says what is permitted.',
  },
  'unsteady-gait': {
    name: 'Clumsy hands or unsteady gait',
    consequence: 'Nothing straining, no check of it and no gate until a doctor’s word says what is permitted.',
  },
  'very-high-pressure': {
    name: 'Blood pressure of 180/110 or more',
    consequence: 'Nothing straining, no check of it and no gate until a doctor’s word says what is permitted.',
  },
  seizures: { name: 'Seizures', consequence: 'Nothing head down, no free hangs and nothing one may fall from; ask a doctor first.' },
  'blood-sugar': {
    name: 'Diabetes treated with insulin or the like',
    consequence: 'No hard efforts and no long holds; ask a doctor first.',
  },
  'blood-thinners': { name: 'Blood thinners', consequence: 'Nothing one may fall from, nothing head down; ask a doctor first.' },
  'brittle-bones': {
    name: 'Thin bones, or long treatment with steroids',
    consequence: 'No rolls or kick-ups, no heavy load on an arm; ask a doctor first.',
  },
  'tendon-medicine': {
    name: 'A steroid injection within two weeks, or certain antibiotics (fluoroquinolones) within three months',
    consequence: 'No heavy load on tendons; ask a doctor first.',
  },
  implants: { name: 'Implant, port, or swelling of the lymph', consequence: 'No heavy load on an arm and no hangs; ask a doctor first.' },
  hernia: { name: 'Hernia', consequence: 'No hard efforts, no heavy load; ask a doctor first.' },
  'recent-birth': {
    name: 'Birth within twelve weeks',
    consequence: 'Nothing loaded until a midwife or doctor was asked; leaking or heaviness steps back.',
  },
  'shoulder-dislocated': {
    name: 'Shoulder once dislocated',
    consequence: 'No end-range passive stretching of the shoulder; stability first.',
  },
  'unstable-under-load': {
    name: 'Loose shoulder under load',
    consequence: 'Free hangs, one-handed work on the bar, swings, kick-ups, pikes and deep dips wait for a licensed professional’s word.',
  },
  'lax-joints': {
    name: 'Lax joints',
    consequence: 'No end-range passive stretching, no dips, swings, fingertip rungs or one-handed hangs; stability first.',
  },
  'shoulder-injury': {
    name: 'Shoulder injury, rebuilding',
    consequence: 'At most a quarter of body weight on the hands in all; control drills, at reduced doses.',
  },
  'wrist-injury': {
    name: 'Wrist injury, rebuilding',
    consequence:
      'No body weight through the wrists, no hang above a quarter of body weight on an arm; forearm versions stand in, wrist work at reduced doses.',
  },
  'finger-injury': {
    name: 'Finger or hand injury, rebuilding',
    consequence: 'No fingertip supports, no heavy grip, no hang above a quarter of body weight on an arm; open-hand work at reduced doses.',
  },
  'elbow-pain': {
    name: 'Elbow pain',
    consequence:
      'No free hanging, no heavy grip and no one-handed work, no handstands, no loaded push-ups; elbow and forearm work at reduced doses.',
  },
  'neck-condition': { name: 'Neck condition', consequence: 'No inversions; ask a licensed professional first.' },
  'raised-pressure': {
    name: 'Raised blood or eye pressure',
    consequence: 'Nothing head down, no efforts above 5, no holds above 20 s; ask a doctor first.',
  },
  pregnancy: {
    name: 'Pregnancy',
    consequence:
      'No inversions, no hangs with the feet off, no dips, no weighted push-ups, nothing lying face down; on the back at most 3 minutes from week 20. Ask a midwife or doctor first.',
  },
  'head-injury': {
    name: 'Recent head injury',
    consequence: 'Nothing straining, no check of it and no gate until a doctor’s word says what is permitted.',
  },
  'reflux-vertigo': {
    name: 'Dizziness or vertigo',
    consequence: 'No inversions, no free hangs, no swings; ask a licensed professional first.',
  },
  reflux: { name: 'Reflux', consequence: 'Nothing head down soon after a meal; stop where it burns.' },
  'from-60': {
    name: 'From 60',
    consequence:
      'Warm up for 15 minutes; load grows by at most 5% a week, and tissue gets half as long again. Kick-ups and free swings wait.',
  },
  minor: {
    name: 'Under 18',
    consequence: 'Growth plates: no fingertip and no one-armed loading, leans of at most 5 cm. A guardian’s consent is needed.',
  },
  'no-consent': {
    name: 'No guardian’s consent',
    consequence: 'Nothing straining and no gate until whoever is responsible for the child has agreed; on the screening page.',
  },
  fever: {
    name: 'Fever, or not yet 48 hours without',
    consequence: 'No training at all until 48 hours without fever, then half for as many days as it lasted.',
  },
  'after-fever': { name: 'After a fever', consequence: 'Half of every dose and no efforts above 5, for as many days as it lasted.' },
  'changed-since': {
    name: 'A new medicine or an injury since the screening',
    consequence: 'Nothing straining and no gate until the screening is answered anew.',
  },
  unfed: { name: 'Not eaten or drunk today', consequence: 'Eat and drink first; no efforts above 5 today.' },
  'controlled-pressure': {
    name: 'Raised blood pressure, under control',
    consequence: 'Nothing head down until a doctor was asked; measured normal in the last four weeks.',
  },
  'pain-now': { name: 'Pain before training', consequence: 'Report it as a symptom first, and look for the nearest position without it.' },
  'recent-surgery': {
    name: 'Operation within a year',
    consequence: 'Nothing straining, no check of it and no gate until the surgeon’s word says what is permitted.',
  },
  'arm-numbness': {
    name: 'Numbness, tingling or weakness in an arm',
    consequence: 'Nothing straining, no check of it and no gate until a doctor or physiotherapist was consulted; no nerve glides.',
  },
  'night-pain': {
    name: 'Pain at rest or at night',
    consequence: 'Nothing straining, no check of it and no gate until a doctor or physiotherapist was consulted.',
  },
  'medical-hold': {
    name: 'Medical hold',
    consequence: 'Nothing straining, no check of it and no gate until a doctor’s word says what is permitted.',
  },
};

/** The short form before a session: the question, and a yes as a fact. */
export const BEFORE_SESSION_WORDS: Readonly<Record<BeforeQuestion, { readonly text: string; readonly fact: string }>> = {
  pain: { text: 'Does anything hurt today?', fact: 'something hurts' },
  fever: { text: 'Fever today, or in the last 48 hours?', fact: 'fever in the last 48 hours' },
  medicine: { text: 'A new medicine since last time?', fact: 'a new medicine' },
  injury: { text: 'An injury or a fall since last time?', fact: 'an injury or a fall' },
  unfed: { text: 'Not eaten or drunk enough today?', fact: 'not eaten or drunk enough' },
};

/** What somebody sees or hears, in plain words. */
export const SIGN_WORDS: Readonly<Record<EmergencySign, string>> = {
  'chest-breath': 'Pressure in the chest, fainting, or short of breath at rest',
  'worst-headache': 'Sudden headache, the worst ever',
  'face-speech-sight': 'Face, speech, sight or walk changed',
  'neck-with-signs': 'Sudden severe neck pain with any of these',
  'both-sides-numb': 'Numb or weak in both arms or legs, numb where one sits, or no hold on the bladder',
  deformity: 'A limb out of shape, or a joint out of place',
  'cold-hand': 'A cold or white hand',
  'tense-forearm': 'Tense forearm, with pain that rises at rest',
  'swollen-arm': 'An arm that is suddenly swollen and blue',
  'head-blow': 'Blow to the head with confusion or vomiting',
  'dark-urine': 'Dark urine after extreme soreness',
  'hot-joint': 'A hot joint with fever',
  'pregnancy-signs': 'In pregnancy: bleeding, fluid or contractions',
  'tendon-pop': 'A “pop” in a tendon, weak since',
  flashes: 'Flashes in the sight',
  'fall-on-hand': 'Fall on the hand, pain at the thumb side of the wrist',
};

/**
 * A caution with its consequence and its cause, in words.
 *
 * @example cautionInWords({ id: 'minor', because: [{ code: 'born', on: '2012' }] }) // 'Under 18: Growth plates: … Because: born 2012.'
 */
export function cautionInWords({ id, because, permit }: CautionInForce): string {
  const { name, consequence } = CAUTION_WORDS[id];
  const causes = because.length > 0 ? ` Because: ${because.map(causeInWords).join('; ')}.` : '';
  return `${name}: ${consequence}${causes}${permit ? ` ${permitInWords(permit)}` : ''}`;
}

/** What brought a caution about, in a few words. */
export function causeInWords(cause: CautionCause): string {
  switch (cause.code) {
    case 'not screened':
      return 'the questions before training are not answered';
    case 'answered':
      return answerInWords(cause);
    case 'answered before':
      return `${answerInWords(cause)}, on ${longDay(cause.at)}; a no since needs a professional’s word`;
    case 'laxity':
      return `laxity ${cause.points} of 9 points`;
    case 'born':
      return `born ${cause.on}`;
    case 'emergency':
      return `${cause.signs.map((s) => SIGN_WORDS[s].toLowerCase()).join(', ') || 'the emergency button'}, ${longDay(cause.at)}`;
    case 'ill':
      return `ill since ${dayOf(cause.since)}${cause.until ? `; until ${longDay(cause.until)}` : ', and not yet over'}`;
    case 'before session':
      return `${cause.told.map((q) => BEFORE_SESSION_WORDS[q].fact).join(', ')}, on ${longDay(cause.at)}`;
    case 'pressure':
      return `${cause.systolic}/${cause.diastolic} mmHg on ${longDay(cause.at)}`;
    case 'as written':
      return cause.text;
  }
}

/**
 * What a licensed professional permits, in a sentence.
 *
 * @example permitInWords({ loadPerArm: 0.25, effort: 5, … }) // 'Permitted until Wed 3 Feb 2027: up to 25% of body weight on one arm, …'
 */
export function permitInWords({ loadPerArm, effort, overhead, hanging, headDown, until }: Permit): string {
  const places = [overhead && 'overhead', hanging && 'hanging', headDown && 'head down'].filter((p) => p !== false);
  const closed = [!overhead && 'overhead', !hanging && 'hanging', !headDown && 'head down'].filter((p) => p !== false);
  return [
    `Permitted until ${dayOf(until)}: up to ${Math.round(100 * loadPerArm)}% of body weight on one arm, effort up to ${effort}`,
    ...(places.length > 0 ? [`also ${places.join(', ')}`] : []),
    ...(closed.length > 0 ? [`not ${closed.join(', ')}`] : []),
  ]
    .join('; ')
    .concat('.');
}

/** Whose word opened a caution, when, and what was allowed. */
export function liftedInWords({ role, consultedOn, allowed }: LiftedCaution): string {
  return `${role} consulted ${dayOf(consultedOn)}: ${allowed}`;
}

function dayOf(day: CalendarDay): string {
  return longDay(`${day}T12:00:00.000Z` as Instant);
}
