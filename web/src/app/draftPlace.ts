/** Where a draft belongs: what it is, whose, and the address of its form. */
export interface DraftPlace {
  readonly what: string;
  readonly traineeId?: string;
  readonly to: string;
}

/**
 * Reads the name of a draft as the forms give it.
 *
 * @example draftPlace('plan:ID') // { what: 'Weeks of a plan', traineeId: 'ID', to: '/trainees/ID/plan' }
 */
export function draftPlace(key: string): DraftPlace | undefined {
  const [kind, traineeId = '', rest = '', week = ''] = key.split(':');
  const at = `/trainees/${traineeId}`;
  switch (kind) {
    case 'trainee':
      return traineeId === 'new' ? { what: 'A new trainee', to: '/trainees/new' } : { what: 'Profile', traineeId, to: `${at}/profile` };
    case 'check':
      return { what: 'Check', traineeId, to: `${at}/checks/new` };
    case 'plan':
      return { what: 'Weeks of a plan', traineeId, to: `${at}/plan` };
    case 'brief':
      return { what: 'Planning brief', traineeId, to: `${at}/plan/brief` };
    case 'session':
      return { what: 'Session', traineeId, to: rest === 'free' ? `${at}/session?free=1` : `${at}/session?planned=${rest}&week=${week}` };
    case 'screening':
      return { what: 'Screening', traineeId, to: `${at}/screening` };
    case 'repeatability':
      return { what: 'A repeatability test', to: '/measuring' };
    case 'drill':
      return { what: 'A drill of the library', to: `/library/drills/${traineeId}/edit` };
    case 'fault':
      return { what: 'A fault of the library', to: '/library/faults' };
    case 'ladder':
      return { what: 'A ladder of the library', to: `/library/ladders/${traineeId}/edit` };
    case 'routine':
      return { what: 'A routine', to: `/library/routines/${traineeId}` };
    case 'group':
      return { what: 'A group', to: `/groups/${traineeId}` };
    default:
      return undefined;
  }
}
