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
      return `${stopSignInWords(finding.symptom) ?? ''} Loaded work ends here, and every gate is locked until the coach closes the stop sign.`;
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
