import { projectDefault } from '../../reference/index.ts';
import type { Measure } from '../measure.ts';
import { cleanCount, FRESH_DAYS, meanOfTrials, scatter, wristRange } from './defaults.ts';

export const WRIST_AND_GRIP_MEASURES: readonly Measure[] = [
  {
    ...meanOfTrials,
    id: 'grip',
    name: 'Grip',
    phrase: 'grip',
    unit: 'kg',
    joint: 'grip',
    motion: 'grasp',
    sided: true,
    error: scatter(1.5),
    freshDays: FRESH_DAYS.grip,
    limits: { min: 0, max: 120, step: 0.5 },
    position: 'standing',
    instrument: 'hand dynamometer',
    protocol: [
      'Elbow at the side, bent to a right angle, wrist straight.',
      'Squeeze for three seconds, then rest a minute.',
      'Read the peak of each squeeze.',
    ],
    origin: projectDefault('standard error of 1.5 kg until the coach has repeated trials'),
  },
  wristRange({
    id: 'wrist-extension',
    name: 'Wrist extension',
    phrase: 'wrist extension',
    joint: 'wrist',
    motion: 'extension',
    sided: true,
    position: 'seated',
    protocol: [
      'Forearm on a table, palm down, hand over the edge.',
      'Lift the hand with relaxed fingers, no sideways bend.',
      'Read the hand against the forearm.',
    ],
  }),
  wristRange({
    id: 'wrist-flexion',
    name: 'Wrist flexion',
    phrase: 'wrist flexion',
    joint: 'wrist',
    motion: 'flexion',
    sided: true,
    position: 'seated',
    protocol: [
      'Forearm on a table, palm down, hand over the edge.',
      'Let the hand bend down, then pull it further by itself.',
      'Read the hand against the forearm.',
    ],
  }),
  wristRange({
    id: 'wrist-extension-loaded',
    name: 'Wrist extension, loaded',
    phrase: 'loaded wrist extension',
    joint: 'wrist',
    motion: 'extension',
    sided: true,
    position: 'hands and knees',
    instrument: 'inclinometer on the forearm',
    protocol: [
      'Hands flat under the shoulders, elbows straight.',
      'Lean forward until the heel of the hand wants to lift or it hurts.',
      'Read the forearm; 90° is a forearm straight up.',
    ],
  }),
  cleanCount({
    id: 'heel-of-hand-lifts',
    name: 'Heel-of-hand lifts, clean',
    phrase: 'heel-of-hand lifts',
    joint: 'wrist',
    motion: 'flexion',
    sided: false,
    position: 'hands and knees',
    protocol: [
      'Hands flat under the shoulders, elbows straight.',
      'Peel both heels of the hands up and set them down slowly.',
      'Count until the elbows bend, the shoulders shrug or the lift shrinks.',
    ],
  }),
];
