/**
 * Units the product measures in. `min` and `max` are the widest figures that make sense for any
 * body; a single check narrows them. `decimals` is what a coach is shown.
 */
export const UNITS = {
  deg: { symbol: '°', name: 'degrees', singular: 'degree', spaced: false, decimals: 0, max: 360 },
  s: { symbol: 's', name: 'seconds', singular: 'second', spaced: true, decimals: 0, max: 3600 },
  reps: { symbol: 'reps', name: 'repetitions', singular: 'repetition', spaced: true, decimals: 0, max: 500 },
  breaths: { symbol: 'breaths', name: 'breaths', singular: 'breath', spaced: true, decimals: 0, max: 100 },
  ratio: { symbol: '×', name: 'shoulder widths', singular: 'shoulder width', spaced: false, decimals: 2, max: 10 },
  percentBodyWeight: {
    symbol: '%',
    name: 'percent of body weight',
    singular: 'percent of body weight',
    spaced: false,
    decimals: 0,
    max: 300,
  },
  percent: { symbol: '%', name: 'percent', singular: 'percent', spaced: false, decimals: 0, max: 300 },
  level: { symbol: '', name: 'level', singular: 'level', spaced: false, decimals: 0, max: 10 },
  grade: { symbol: '', name: 'grade', singular: 'grade', spaced: false, decimals: 0, max: 10 },
  contact: { symbol: '', name: 'contact', singular: 'contact', spaced: false, decimals: 0, max: 10 },
  points: { symbol: 'of 10', name: 'points', singular: 'point', spaced: true, decimals: 0, max: 10 },
  kg: { symbol: 'kg', name: 'kilograms', singular: 'kilogram', spaced: true, decimals: 0, max: 500 },
  cm: { symbol: 'cm', name: 'centimetres', singular: 'centimetre', spaced: true, decimals: 0, max: 300 },
  min: { symbol: 'min', name: 'minutes', singular: 'minute', spaced: true, decimals: 0, max: 1440 },
} as const satisfies Record<string, { symbol: string; name: string; singular: string; spaced: boolean; decimals: number; max: number }>;

export type Unit = keyof typeof UNITS;
