import type { HandLoadReading, SetUp } from '@myokinet/core/statics';

/** What a scale has to show where the load is not in the geometry, and under what it stands. */
export function scaleToShow(
  { position }: Pick<SetUp, 'position'>,
  { scales: { feet, seat } }: Pick<HandLoadReading, 'scales'>,
): { readonly under: 'feet' | 'seat'; readonly kg: number } | undefined {
  if (position === 'seated-press') return seat === undefined ? undefined : { under: 'seat', kg: seat };
  const onFeet = position === 'supported-hang' || position === 'post-brace';
  return onFeet && feet !== undefined ? { under: 'feet', kg: feet } : undefined;
}
