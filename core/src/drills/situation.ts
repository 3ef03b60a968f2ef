/** How the body is placed, as far as it decides what a coach can say and ask for: what carries, and what could carry more. */
export const SITUATIONS = [
  'free hang',
  'feet hang',
  'between the hands',
  'on the hands',
  'on the forearms',
  'upside down',
  'at a wall',
  'at a post',
  'against a band',
  'with a weight',
  'lying',
  'free',
] as const;
export type Situation = (typeof SITUATIONS)[number];
