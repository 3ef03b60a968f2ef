import { type Action, type Role, roleMay } from '@myokinet/core/accounts';
import { Refusal } from '@myokinet/core/errors';

/** Who does something in a studio: an argument of everything that writes. */
export interface Actor {
  readonly coachId: string;
  readonly role: Role;
  /** What stands under their signature; none where whoever signs types it. */
  readonly initials: string | null;
  /** Whether the password was typed lately enough for a signature. */
  readonly confirmed: boolean;
  /** It is the trainee who tells, by their private link: it may close a gate, and opens none. */
  readonly isTrainee?: boolean;
}

/** The coach whom a new studio's file knows: the demo's, and whoever worked before there were accounts. */
export const BUILT_IN_COACH: Actor = { coachId: '0190d0a0-0000-7000-8000-000000000002', role: 'owner', initials: null, confirmed: true };

/** @throws Refusal `role-short` */
export function mustMay({ role }: Actor, action: Action): void {
  if (!roleMay(role, action))
    throw new Refusal(
      'role-short',
      `${WORDS[action]} is not part of what ${role === 'coach' ? 'a coach' : `an ${role}`} of this studio does.`,
    );
}

/** @throws Refusal `confirm-first` */
export function mustConfirm({ confirmed }: Actor): void {
  if (!confirmed) throw new Refusal('confirm-first');
}

/** @throws Refusal `role-short`, `confirm-first` */
export function mustSign(actor: Actor): void {
  mustMay(actor, 'sign');
  mustConfirm(actor);
}

const WORDS: Readonly<Record<Action, string>> = {
  measure: 'Measuring',
  log: 'Logging',
  plan: 'Planning',
  sign: 'Signing',
  'edit-library': 'Changing the library',
  export: 'Taking records out',
  erase: 'Erasing records',
  'run-studio': 'Running the studio',
};
