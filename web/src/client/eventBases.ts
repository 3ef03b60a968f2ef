/** Bases of this browser in which runs are kept. */
export const EVENT_BASES = { floor: 'myokinet-floor', classes: 'myokinet-classes' } as const;
