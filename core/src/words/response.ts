import { type HoldReason, type ResponseFinding } from '../safety/index.ts';
import { capital } from './capital.ts';
import { placeInWords, stopSignInWords, symptomInWords } from './symptoms.ts';

/**
 * What the pain rule asks for, in a sentence for the floor.
 *
 * @example responseInWords({ code: 'nothing-felt' }) // 'Nothing felt: go on.'
 */
export function responseInWords(finding: ResponseFinding): string {
  switch (finding.code) {
    case 'nothing-felt':
      return 'Nothing felt: go on.';
    case 'stop-sign':
      return `${stopSignInWords({ ...finding.symptom, judged: { stop: finding.stop, quiet: false } }) ?? ''} Loaded work ends here, and every gate is locked until the stop sign is closed.`;
    case 'too-sore':
      return `${capital(symptomInWords(finding.symptom))}: no load on it today. Soreness this strong, or of more than three days, wants rest; with dark urine call emergency care.`;
    case 'half':
      return `${capital(symptomInWords(finding.symptom))}: half the sets today.`;
    case 'leave-drill':
      return `${capital(symptomInWords(finding.symptom))}: leave the drill for today. The next one within two weeks stops.`;
    case 'step-back':
      return `${capital(symptomInWords(finding.symptom))}: one step lighter, and no harder today.`;
    case 'hold':
      return `${capital(symptomInWords(finding.symptom))}: hold, no harder today, since the ${placeInWords(finding.symptom)} ${holdInWords(finding.why)}.`;
    case 'go-on':
      return `${capital(symptomInWords(finding.symptom))}: go on, and look out for it.`;
  }
}

function holdInWords(why: HoldReason): string {
  switch (why.kind) {
    case 'often':
      return `was reported ${why.times} times in the last ${why.days} days`;
    case 'rising':
      return `is more than the ${why.before}/10 reported before`;
    case 'morning after':
      return 'had not come back to rest by the morning after';
  }
}
