import { asKilograms, type HandLoadReading, modelOf, type SetUp, type Span } from '@myokinet/core/statics';

export const percent = (share: number): string => `${Math.round(share * 100)}%`;
export const kilograms = (kg: number): string => `${kg < 10 ? kg.toFixed(1) : Math.round(kg)} kg`;

/** `63–74%`; nothing where there is no doubt. */
export function spanInWords({ low, high }: Span, words: (value: number) => string): string | undefined {
  const [from, to] = [words(low), words(high)];
  return from === to ? undefined : `${from.replace(/[%°]$| \D+$/, '')}–${to}`;
}

const round = (value: number) => (Math.abs(value) < 9.95 ? value.toFixed(1) : String(Math.round(value)));
const newtonMetres = (value: number) => `${round(value)} N·m`;
const degrees = (value: number) => `${Math.round(value)}°`;

export interface ReadingRow {
  readonly name: string;
  readonly value: string;
  readonly band: string | undefined;
  readonly note?: string;
}

/** Moments smaller than this, in newton metres, are not worth a row. */
const NO_MOMENT = 0.1;

/** The readings of a set-up as rows: figure, band, and what it means where the figure alone does not say. */
export function rowsOf(reading: HandLoadReading, { position }: Pick<SetUp, 'position'>, massKg: number): readonly ReadingRow[] {
  const { bands, stance } = reading;
  const { carriedBy, loadIs, assumes } = modelOf(position);
  const arms = stance.supports.reduce((sum, s) => sum + s.arms, 0);
  const steered = assumes.includes('heldShare');
  const kg = (share: number) => kilograms(share * massKg);
  const where = carriedBy === 'forearms' ? 'forearms' : 'hands';
  return [
    {
      name: loadIs ? `Force on the ${where}` : `Load on the ${where}`,
      value: `${percent(reading.loadShare)} of body weight`,
      band: spanInWords(bands.loadShare, percent),
      note: `${kg(reading.loadShare)}${loadIs ? `, ${percent(reading.verticalShare)} of it upward` : ''}`,
    },
    ...(Math.abs(reading.totalShare - reading.loadShare) > 0.005
      ? [{ name: 'With the sideways part', value: percent(reading.totalShare), band: spanInWords(bands.totalShare, percent) }]
      : []),
    {
      name: arms === 1 ? 'On the one arm' : `On each ${where === 'hands' ? 'hand' : 'forearm'}`,
      value: kilograms(asKilograms(reading.perHandN)),
      band: spanInWords(bands.perHandN, (n) => kilograms(asKilograms(n))),
      note: `${Math.round(reading.perHandN)} N`,
    },
    ...(reading.gripPerHandN > 0
      ? [
          {
            name: 'Fingers of one hand hold',
            value: kilograms(asKilograms(reading.gripPerHandN)),
            band: spanInWords(bands.gripPerHandN, (n) => kilograms(asKilograms(n))),
          },
        ]
      : []),
    ...(carriedBy === 'hands' && reading.wristExtensionDeg !== 0
      ? [
          { name: 'Wrist bent back', value: degrees(reading.wristExtensionDeg), band: spanInWords(bands.wristExtensionDeg, degrees) },
          { name: 'Moment at the wrist', value: newtonMetres(reading.wristMomentNm), band: spanInWords(bands.wristMomentNm, newtonMetres) },
        ]
      : []),
    ...(reading.elbowMomentNm > NO_MOMENT
      ? [{ name: 'Moment at the elbow', value: newtonMetres(reading.elbowMomentNm), band: spanInWords(bands.elbowMomentNm, newtonMetres) }]
      : []),
    ...(reading.shoulderMomentMostNm > NO_MOMENT
      ? [
          {
            name: 'Moment at the shoulder',
            value: newtonMetres(reading.shoulderMomentNm),
            band: spanInWords(bands.shoulderMomentNm, newtonMetres),
            ...(reading.shoulderMomentMostNm > reading.shoulderMomentNm + 1
              ? { note: `up to ${newtonMetres(reading.shoulderMomentMostNm)} if the hands push straight down` }
              : {}),
          },
        ]
      : []),
    { name: 'Arm to trunk', value: degrees(reading.shoulderAngleDeg), band: spanInWords(bands.shoulderAngleDeg, degrees) },
    ...Object.entries(reading.scales)
      .filter(([name]) => name !== 'hands' && name !== 'forearms')
      .map(([name, value]) => {
        // What the hands carry more, the scale shows less; where the scale sets the load, its figure is the coach's.
        const half = steered ? 0 : ((bands.loadShare.high - bands.loadShare.low) / 2) * massKg;
        const band = spanInWords({ low: Math.max(0, value - half), high: value + half }, kilograms);
        return { name: `Scale under the ${name}`, value: kilograms(Math.max(0, value)), band: steered ? 'as set' : band };
      }),
  ];
}
