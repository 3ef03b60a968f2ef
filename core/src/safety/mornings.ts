/** How a morning after practice is, best first. */
export const MORNINGS = ['fresh', 'as usual', 'tired', 'sore or stiff'] as const;
export type Morning = (typeof MORNINGS)[number];
