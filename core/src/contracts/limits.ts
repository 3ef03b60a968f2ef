/** Limits that several contracts share; a trainee's life, not a database's. */
export const LIMITS = {
  name: 80,
  note: 2000,
  reason: 500,
  trialsPerCheck: 400,
  picturePixels: 10_000,
  /** Base64 characters of a picture on record: about a megabyte. */
  pictureCharacters: 1_400_000,
  traceSeconds: 3600,
  drillsPerSession: 40,
  sessionsPerWeek: 14,
  weeksAtOnce: 16,
  setsPerDrill: 40,
  faultsPerSet: 24,
  symptomsPerSession: 40,
  /** Seconds between two sets. */
  rest: 600,
  eventsPerRun: 4000,
  eventsAtOnce: 400,
  stature: { min: 100, max: 230 },
  mass: { min: 20, max: 250 },
  minutes: { min: 5, max: 300 },
} as const;

/** Limits of library entries. */
export const LIBRARY_LIMITS = {
  leads: 12,
  leadDrills: 6,
  name: 80,
  text: 400,
  /** A step, or another line of how a drill is taught. */
  teaching: 200,
  dose: 600,
  sets: 10,
  rest: 600,
  aids: 12,
  neighbours: 12,
  demands: 20,
  rungs: 40,
  trains: 40,
  faultsOfDrill: 24,
  steps: 8,
  choices: 11,
  measures: 500,
  faults: 500,
  routines: 500,
  drills: 5000,
  ladders: 200,
  shareOfBodyMass: 3,
  fileBytes: 12 * 1024 * 1024,
} as const;

/** Limits of a studio's own pictures of drills and checks. */
export const PICTURED_LIMITS = {
  /** Of one drill or check. */
  ofEntry: 6,
  ofStudio: 400,
  shows: 120,
  /** Of a clip, and how many a second. */
  frames: 48,
  rate: { min: 2, max: 12 },
  /** Base64 characters of what is kept: the largest clip that this program writes. */
  characters: 4_000_000,
  /** Characters that a request may carry. */
  request: 8_000_000,
} as const;
