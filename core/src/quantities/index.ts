export { UNITS, type Unit } from './units.ts';
export {
  amount,
  formatAmount,
  formatApart,
  formatBand,
  formatError,
  type Amount,
  type Centimetres,
  type Degrees,
  type Kilograms,
  type Minutes,
  type PercentOfBodyWeight,
  type Seconds,
} from './amount.ts';
export { ageOn, type Age, type Born } from './age.ts';
export { addDays, calendarDay, dayInWords, daysBetween, instant, longDay, shortDay, type CalendarDay, type Instant } from './instant.ts';
