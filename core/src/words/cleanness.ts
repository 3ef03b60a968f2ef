import type { CleanFinding } from '../readiness/index.ts';
import type { Feeling } from '../readiness/index.ts';
import { capital } from './capital.ts';
import { stopSignInWords, symptomInWords } from './symptoms.ts';

/** How a set felt, as one says it; `clenched` is a position that was held too hard. */
export const FEELING_WORDS: Readonly<Record<Feeling, string>> = {
  'too easy': 'too easy',
  right: 'right',
  'too much': 'too much',
  clenched: 'clenched',
};

/** The names of drills, as a library has them. */
export interface DrillNames {
  hasDrill(id: string): boolean;
  drill(id: string): { readonly name: string };
}

/**
 * What decided whether a session is clean, in one sentence.
 *
 * @param drillName the library's, for records too that name what is no longer there
 * @example cleannessInWords({ code: 'effort', effort: 9, limit: 8 }, library) // 'Effort 9/10: 8 or more means hold.'
 */
export function cleannessInWords(finding: CleanFinding, library: DrillNames): string {
  const name = (id: string) => (library.hasDrill(id) ? library.drill(id).name : id);
  switch (finding.code) {
    case 'clean':
      return 'All sets clean at the top of the dose, effort and symptoms quiet.';
    case 'reported':
      return 'Reported by the trainee: it counts as load, and toward no gate.';
    case 'preparation':
      return 'A preparation: it counts as work done, and toward no gate.';
    case 'nothing-loading':
      return 'No blade, stability, skill or strength drill was done.';
    case 'sets-missing': {
      const where = finding.side ? ` on the ${finding.side}` : '';
      return `${name(finding.drillId)}: ${finding.done} of ${finding.wanted} sets done${where}.`;
    }
    case 'unconfirmed':
      return `${name(finding.drillId)}: ${finding.sets === 1 ? 'a set' : `${finding.sets} sets`} ran out by the clock, and nobody said that ${finding.sets === 1 ? 'it was' : 'they were'} done.`;
    case 'felt':
      return `${name(finding.drillId)}: felt “${FEELING_WORDS[finding.feeling]}”.`;
    case 'below-top':
      return `${name(finding.drillId)}: not every set reached the top of its dose (${finding.top}).`;
    case 'below-least':
      return `${name(finding.drillId)}: not every set reached the least of its dose (${finding.least}).`;
    case 'fault-stayed':
      return `${name(finding.drillId)}: a fault stayed that the cue did not mend.`;
    case 'effort':
      return `Effort ${finding.effort}/10: ${finding.limit} or more means hold.`;
    case 'stop-sign':
      return stopSignInWords(finding.symptom) ?? `${capital(symptomInWords(finding.symptom))}.`;
    case 'symptom':
      return `${capital(symptomInWords(finding.symptom))}: more than is quiet.`;
  }
}
