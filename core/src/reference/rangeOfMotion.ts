import type { Reference, Sex } from './table.ts';

const BOONE = 'Boone & Azen, J. Bone Joint Surg. 61-A, 1979 (from memory)';
const AAOS = 'American Academy of Orthopaedic Surgeons, Joint Motion, 1965 (from memory)';
const SOUCIE = 'Soucie et al., Haemophilia 17, 2011 (from memory)';

/** measure, AAOS "normal", Boone & Azen men 20–54: mean and SD, all in degrees. */
const ADULT_ROWS: readonly (readonly [string, number, number, number])[] = [
  ['shoulder-flexion', 180, 165.0, 5.0],
  ['shoulder-extension', 60, 57.3, 8.1],
  ['shoulder-abduction', 180, 182.7, 9.0],
  ['shoulder-internal-rotation', 70, 67.1, 4.1],
  ['shoulder-external-rotation', 90, 99.6, 7.6],
  ['pronation', 80, 75.0, 5.3],
  ['supination', 80, 81.1, 4.0],
  ['wrist-flexion', 80, 74.8, 6.6],
  ['wrist-extension', 70, 74.0, 6.6],
  ['radial-deviation', 20, 21.1, 4.0],
  ['ulnar-deviation', 30, 35.3, 3.8],
];

/** Means without spread: measure, sex, ages, degrees; an over-extended elbow counts positive. */
const SOUCIE_ROWS: readonly (readonly [string, Sex, readonly [number, number], number])[] = [
  ['shoulder-flexion', 'female', [20, 44], 172.0],
  ['shoulder-flexion', 'female', [45, 69], 168.1],
  ['shoulder-flexion', 'male', [20, 44], 168.8],
  ['shoulder-flexion', 'male', [45, 69], 164.0],
  ['elbow-extension', 'female', [20, 44], 4.7],
  ['elbow-extension', 'male', [20, 44], 0.8],
  ['pronation', 'female', [20, 44], 82.0],
  ['pronation', 'male', [20, 44], 76.9],
  ['supination', 'female', [20, 44], 90.6],
  ['supination', 'male', [20, 44], 85.0],
];

export const RANGE_OF_MOTION: readonly Reference[] = [
  ...ADULT_ROWS.map(([measureId, , mean, sd]): Reference => ({
    name: 'Boone & Azen 1979',
    citation: BOONE,
    measureId,
    unit: 'deg',
    sex: 'male',
    ages: [20, 54],
    side: 'any',
    mean,
    sd,
  })),
  ...SOUCIE_ROWS.map(([measureId, sex, ages, mean]): Reference => ({
    name: 'Soucie et al. 2011',
    citation: SOUCIE,
    measureId,
    unit: 'deg',
    sex,
    ages,
    side: 'any',
    mean,
  })),
  ...ADULT_ROWS.map(([measureId, mean]): Reference => ({
    name: 'AAOS 1965',
    citation: AAOS,
    measureId,
    unit: 'deg',
    sex: 'any',
    side: 'any',
    mean,
  })),
];
