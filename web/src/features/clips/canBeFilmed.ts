import type { Measure } from '@myokinet/core/measuring';

/** Whether a clip has a say for a check: counts, seconds and swings, no single angle. */
export function canBeFilmed({ device }: Pick<Measure, 'device'>): boolean {
  return device === 'repetitions' || device === 'time' || device === 'swing';
}
