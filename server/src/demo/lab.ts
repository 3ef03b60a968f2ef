import { addDays } from 'date-fns';
import type { ContactName, SetUp } from '@myokinet/core/statics';
import { handLoad, traineeBody } from '@myokinet/core/statics';
import { instant } from '@myokinet/core/quantities';
import { BUILT_IN_COACH } from '../actor.ts';
import type { Services } from '../services.ts';

interface Lab {
  readonly services: Services;
  readonly today: Date;
  readonly newId: () => string;
}

/** Bands of the demo studio: slack length and stretches in centimetres, pulls in kilograms (invented). */
const BANDS: readonly (readonly [name: string, slackCm: number, readings: readonly (readonly [number, number])[]])[] = [
  [
    'Willow',
    102,
    [
      [40, 4.1],
      [80, 7],
      [120, 9.4],
    ],
  ],
  [
    'Hazel',
    102,
    [
      [40, 8.2],
      [80, 13.6],
      [120, 18.4],
    ],
  ],
  [
    'Oak',
    104,
    [
      [40, 14.5],
      [80, 24.2],
      [120, 33],
    ],
  ],
];

/** Set-ups in which a scale stood, and how far it differed from the model (invented). */
const READINGS: readonly (readonly [daysAgo: number, setUp: SetUp, under: ContactName, offKg: number])[] = [
  [12, { position: 'push-up' }, 'feet', 1.2],
  [12, { position: 'push-up', handHeightM: 0.3 }, 'feet', 0.9],
  [5, { position: 'tabletop' }, 'hands', -1],
];

/** The studio's bands, and the scale readings of one of the crew. */
export function furnishLab({ services, today, newId }: Lab, measuredName: string): void {
  for (const [name, slackCm, readings] of BANDS)
    services.bands.save(BUILT_IN_COACH, {
      id: newId(),
      revision: newId(),
      basedOn: null,
      name,
      slackCm,
      readings: readings.map(([stretchCm, kg]) => ({ stretchCm, kg })),
      inUse: true,
    });
  const trainee = services.trainees.all().find((t) => t.name === measuredName);
  if (!trainee) return;
  const body = traineeBody(trainee);
  for (const [daysAgo, setUp, under, offKg] of READINGS) {
    const load = handLoad(body, setUp).verticalKg;
    const kg = Math.round(((under === 'hands' ? load : trainee.mass - load) + offKg) * 10) / 10;
    services.calibrations.record(BUILT_IN_COACH, trainee, {
      id: newId(),
      takenAt: instant(addDays(today, -daysAgo)),
      setUp,
      under,
      kg,
      massKg: trainee.mass,
      insisted: false,
      note: '',
    });
  }
}
