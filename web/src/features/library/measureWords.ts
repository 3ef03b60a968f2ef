import { PICTURE_TEMPLATES } from '@myokinet/core/landmarks';
import type { Library } from '@myokinet/core/library';
import { type DeviceReading, type Lead, type LeadSign, type Measure, formatReading } from '@myokinet/core/measuring';
import { formatError } from '@myokinet/core/quantities';
import { capital } from './words.ts';

export const DEVICE_WORDS: Readonly<Record<DeviceReading, string>> = {
  'angle held': 'Angle sensor: the angle that is held',
  swing: 'Angle sensor: the swing from end to end',
  repetitions: 'Angle sensor: repetitions counted',
  squeeze: 'Dynamometer: the peak of a squeeze',
  'weight on a scale': 'Scale: the weight that is held',
  time: 'Stopwatch',
};

/** A way to read a picture, called by the check it was made for and the side it is taken from. */
export function pictureInWords(id: string, library: Library): string {
  const template = PICTURE_TEMPLATES.find((t) => t.id === id);
  return `As ${library.hasMeasure(id) ? library.measure(id).phrase : id}${template ? `, ${template.view}` : ''}`;
}

/** What figures are the good ones. */
export function goodInWords({ better, inside, choices, unit }: Measure): string {
  if (better === 'inside' && inside) return `From ${formatReading({ unit }, inside.from)} to ${formatReading({ unit }, inside.to)}`;
  if (choices) return better === 'more' ? `Later in the row: ${choices.at(-1) ?? ''}` : `Earlier in the row: ${choices[0] ?? ''}`;
  return better === 'more' ? 'The more the better' : 'The less the better';
}

/** The default error of a check. */
export function errorInWords({ error, unit }: Measure): string {
  switch (error.kind) {
    case 'amount':
      return `${formatError(error.within, unit)} from trial to trial, ${formatError(error.between, unit)} from one occasion to the next (standard deviations)`;
    case 'share':
      return `${percent(error.within)} of the figure from trial to trial, ${percent(error.between)} from one occasion to the next`;
    case 'none':
      return 'Nothing: a level is what it is';
  }
}

function percent(share: number): string {
  return `${Math.round(share * 100)}%`;
}

/** When a check leads on, by name. */
export const SIGN_NAMES: Readonly<Record<LeadSign, string>> = {
  level: 'a level',
  above: 'more than a mark',
  below: 'less than a mark',
  sides: 'sides that differ',
  pain: 'pain stops it',
};

/** When a lead applies, as the head of its line. */
export function leadSignInWords({ sign, levels = [], mark = 0 }: Lead, measure: Measure): string {
  if (sign === 'level') return capital(levels.map((l) => measure.choices?.[l] ?? `level ${l}`).join(' or '));
  if (sign === 'above') return `More than ${formatReading(measure, mark)}`;
  if (sign === 'below') return `Less than ${formatReading(measure, mark)}`;
  return capital(SIGN_NAMES[sign]);
}
