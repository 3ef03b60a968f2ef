import type { Reference } from './table.ts';

const MATHIOWETZ = 'Mathiowetz et al., Arch. Phys. Med. Rehabil. 66, 1985 (from memory)';

/** International avoirdupois pound, exact. */
const KILOGRAMS_PER_POUND = 0.45359237;

/** First year of the five-year band; then men right, men left, women right, women left: mean and SD in pounds. */
const POUNDS: readonly (readonly [number, ...(readonly [number, number])[]])[] = [
  [20, [121.0, 20.6], [104.5, 21.8], [70.4, 14.5], [61.0, 13.1]],
  [25, [120.8, 23.0], [110.5, 16.2], [74.5, 13.9], [63.5, 12.2]],
  [30, [121.8, 22.4], [110.4, 21.7], [78.7, 19.2], [68.0, 17.7]],
  [35, [119.7, 24.0], [112.9, 21.7], [74.1, 10.8], [66.3, 11.7]],
  [40, [116.8, 20.7], [112.8, 18.7], [70.4, 13.5], [62.3, 13.8]],
  [45, [109.9, 23.0], [100.8, 22.8], [62.2, 15.1], [56.0, 12.7]],
  [50, [113.6, 18.1], [101.9, 17.0], [65.8, 11.6], [57.3, 10.7]],
  [55, [101.1, 26.7], [83.2, 23.4], [57.3, 12.5], [47.3, 11.9]],
  [60, [89.7, 20.4], [76.8, 20.3], [55.1, 10.1], [45.7, 10.1]],
  [65, [91.1, 20.6], [76.8, 19.8], [49.6, 9.7], [41.0, 8.2]],
];

const COLUMNS = [
  { sex: 'male', side: 'right' },
  { sex: 'male', side: 'left' },
  { sex: 'female', side: 'right' },
  { sex: 'female', side: 'left' },
] as const;

const BAND_YEARS = 5;

export const GRIP_STRENGTH: readonly Reference[] = POUNDS.flatMap(([from, ...columns]) =>
  columns.flatMap(([mean, sd], i): Reference[] => {
    const column = COLUMNS[i];
    if (!column) return [];
    return [
      {
        name: 'Mathiowetz et al. 1985',
        citation: MATHIOWETZ,
        measureId: 'grip',
        unit: 'kg',
        ...column,
        ages: [from, from + BAND_YEARS - 1],
        mean: mean * KILOGRAMS_PER_POUND,
        sd: sd * KILOGRAMS_PER_POUND,
      },
    ];
  }),
);
