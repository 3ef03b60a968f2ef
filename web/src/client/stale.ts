import { isOffline } from './problem.ts';

/** What is known about one trainee, in the parts in which it changes. */
const OF_TRAINEE = [
  'Trainee',
  'Readiness',
  'Checks',
  'Screening',
  'Record',
  'Workload',
  'Plans',
  'Brief',
  'Pictures',
  'Calibration',
  'FloorRuns',
  'Link',
  'Notes',
] as const;

/** What spans the studio. `Verdicts` are the lists made of everybody's verdict: Today, caseload, re-checks. */
const OF_STUDIO = [
  'Verdicts',
  'PlanUses',
  'Measuring',
  'Library',
  'LibraryPictures',
  'Schools',
  'Bands',
  'Templates',
  'Routines',
  'Groups',
  'Classes',
  'Archived',
  'Outcomes',
  'Me',
  'Devices',
  'People',
  'Copies',
] as const;

export const TAGS = [...OF_TRAINEE, ...OF_STUDIO] as const;

type TraineeTag = (typeof OF_TRAINEE)[number];
export type Tag = (typeof TAGS)[number];
type Mark = Tag | { readonly type: TraineeTag; readonly id: string };

/** Each kind of write about a trainee, and the answers that rest on what it changes. */
const RESTS_ON = {
  profile: ['Trainee', 'Readiness', 'Screening', 'Workload', 'Brief'],
  check: ['Checks', 'Readiness'],
  picture: ['Pictures'],
  screening: ['Trainee', 'Screening', 'Readiness'],
  calibration: ['Trainee', 'Calibration', 'Readiness'],
  session: ['Record', 'Readiness', 'Workload', 'FloorRuns', 'Checks'],
  symptom: ['Record', 'Readiness'],
  correction: ['Trainee', 'Record', 'Readiness', 'Checks', 'Screening', 'Workload'],
  clearance: ['Record', 'Readiness'],
  plan: ['Plans'],
  // The forecast tells of the goal that the brief names.
  brief: ['Brief', 'Readiness'],
} as const satisfies Readonly<Record<string, readonly TraineeTag[]>>;

export type Write = keyof typeof RESTS_ON;

/** Lists that a kind of write changes as well. A picture and a brief change none. */
const LISTS = {
  profile: ['Verdicts', 'PlanUses'],
  check: ['Verdicts'],
  picture: [],
  screening: ['Verdicts'],
  calibration: ['Verdicts'],
  session: ['Verdicts'],
  symptom: ['Verdicts'],
  correction: ['Verdicts'],
  clearance: ['Verdicts'],
  plan: ['Verdicts', 'PlanUses'],
  brief: [],
} as const satisfies Readonly<Record<Write, readonly Tag[]>>;

/** What an answer about one trainee rests on. */
export const rests = (type: TraineeTag, id: string): readonly Mark[] => [{ type, id }];

/** What a write about one trainee makes stale; a server that never answered changed nothing. */
export function stales(write: Write, traineeId: string, error: unknown): readonly Mark[] {
  return isOffline(error) ? [] : [...RESTS_ON[write].map((type) => ({ type, id: traineeId })), ...LISTS[write]];
}

/** What a write to the library makes stale: every verdict, plan and list rests on it. */
export function libraryStales(error: unknown): readonly Mark[] {
  return isOffline(error) ? [] : ['Library', ...OF_TRAINEE, 'Verdicts', 'PlanUses'];
}
