import type { GroupDay } from '@myokinet/core/groups';

export const WEEKDAY_NAMES = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'] as const;

export const dayInWords = ({ weekday, time }: GroupDay): string => `${WEEKDAY_NAMES[weekday - 1] ?? ''} ${time}`;
