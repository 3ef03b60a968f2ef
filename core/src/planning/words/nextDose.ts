import { stopSignInWords, symptomInWords } from '../../words/index.ts';
import { mannerInWords, tempoInWords } from '../../drills/index.ts';
import type { DoseBecause, NextDose } from '../nextDose.ts';

/**
 * Why the next dose is what it is, in a sentence.
 *
 * @example doseBecauseInWords({ because: { code: 'too easy twice' }, … }) // 'Too easy twice.'
 */
export function doseBecauseInWords({ because, offersCheck, manner }: Pick<NextDose, 'because' | 'offersCheck' | 'manner'>): string {
  const slowed = manner?.tempo && tempoInWords({ unit: 'reps', tempo: manner.tempo });
  const next = [mannerInWords(manner), slowed].filter((part) => part !== undefined).join(', ');
  return `${oneInWords(because)}${next ? ` Next: ${next}.` : ''}${offersCheck ? ' The next rung’s check is earned.' : ''}`;
}

function oneInWords(because: DoseBecause): string {
  switch (because.code) {
    case 'stop sign':
      return `${stopSignInWords(because.symptom) ?? 'A stop sign.'} The next dose is a step easier.`;
    case 'symptom':
      return `The same again: ${symptomInWords(because.symptom)}.`;
    case 'sets missing':
      return `The same again: ${because.done} of ${because.wanted} sets were done.`;
    case 'unconfirmed':
      return 'The same again: a set that ran out was not confirmed.';
    case 'below the top':
      return `The same again: not every set reached ${because.top}.`;
    case 'fault':
      return 'The same again: a fault stayed.';
    case 'effort':
      return `The same again: effort was ${because.effort} of 10.`;
    case 'half dose clean':
      return 'Done clean at half dose: the full number of sets.';
    case 'clean once':
      return `Clean once at the top of the dose; ${because.wanted} in a row earn more.`;
    case 'too close':
      return 'Clean twice, but less than 48 hours apart.';
    case 'clean twice':
      return 'All sets clean at the top of the dose, twice.';
    case 'clenched':
      return 'It was clenched: a step easier, and a look at the set-up.';
    case 'too much':
      return 'It felt too much.';
    case 'too easy twice':
      return 'Too easy twice.';
    case 'too easy once':
      return 'Too easy once; twice earns more.';
    case 'right':
      return 'It felt right.';
    case 'not noted':
      return 'How it felt was not noted.';
  }
}
