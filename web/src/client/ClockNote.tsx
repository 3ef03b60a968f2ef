import { type ClockDoubt, useClockDoubt } from './clock.ts';

const HOUR = 3_600_000;

/** That this device's clock is not to be trusted, and what is done about it. */
export function ClockNote() {
  const doubt = useClockDoubt();
  if (!doubt) return null;
  return (
    <p role="status" className="no-print w-full border-b border-base-300 bg-warning/15 px-4 py-1.5 sm:px-6">
      {sentenceOf(doubt)}
    </p>
  );
}

function sentenceOf({ kind, ms }: ClockDoubt): string {
  const by = span(Math.abs(ms));
  if (kind === 'jumped')
    return `This device’s clock went ahead by ${by} while no server answered. If it did not just sleep, set it right: what is entered now gets its time.`;
  return `This device’s clock is ${by} ${ms > 0 ? 'ahead' : 'behind'}. What is entered gets the right time all the same; days shown on this page may be wrong until the clock is set.`;
}

function span(ms: number): string {
  const hours = ms / HOUR;
  if (hours >= 48) return `${Math.round(hours / 24)} days`;
  return hours >= 1.5 ? `${Math.round(hours)} hours` : `${Math.round(ms / 60_000)} minutes`;
}
