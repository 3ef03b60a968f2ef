/** What somebody is in a studio. */
export const ROLES = ['owner', 'coach', 'assistant'] as const;
export type Role = (typeof ROLES)[number];

/** What may be asked of somebody; reading a studio's records is part of every role. */
export const ACTIONS = [
  /** Takes checks, pictures, scale readings. */
  'measure',
  /** Asks before training, runs and logs sessions, reports what was felt. */
  'log',
  /** Writes profiles, plans, briefs and templates. */
  'plan',
  /** Signs clearances, closes stop signs, records a professional's or a guardian's word. */
  'sign',
  /** Changes the library, the schools and the gates' rules. */
  'edit-library',
  /** Takes records out of the studio. */
  'export',
  /** Archives and erases trainees. */
  'erase',
  /** Names the studio, invites people, gives them roles, keeps copies. */
  'run-studio',
] as const;
export type Action = (typeof ACTIONS)[number];

/** Who may do what: the one table. */
const MAY: Readonly<Record<Action, readonly Role[]>> = {
  measure: ['owner', 'coach', 'assistant'],
  log: ['owner', 'coach', 'assistant'],
  plan: ['owner', 'coach'],
  sign: ['owner', 'coach'],
  'edit-library': ['owner', 'coach'],
  export: ['owner', 'coach'],
  erase: ['owner'],
  'run-studio': ['owner'],
};

/**
 * Whether a role may do something.
 *
 * @source project default: an assistant measures, logs and runs classes, and neither signs nor changes what others rely on
 * @example roleMay('assistant', 'sign') // false
 */
export function roleMay(role: Role, action: Action): boolean {
  return MAY[action].includes(role);
}

/**
 * Everything that a role may do.
 *
 * @example actionsOf('assistant') // ['measure', 'log']
 */
export function actionsOf(role: Role): readonly Action[] {
  return ACTIONS.filter((action) => roleMay(role, action));
}
