/**
 * The one catalogue of refusals. Codes are strings, never reused; the server maps each code to a
 * status and the pages turn it into a sentence.
 */
export const ERROR_CATALOGUE = {
  'quantity-not-finite': 'A figure must be a finite number.',
  'quantity-out-of-range': 'A figure lies outside the limits of its unit.',
  'instant-invalid': 'A date must be an ISO 8601 instant.',
  'trials-missing': 'A capacity needs at least one trial.',
  'trials-mixed-sides': 'A capacity is worked out for one side at a time.',
  'trial-out-of-limits': 'A trial lies outside what the check can read.',
  'measure-unknown': 'There is no check of this name.',
  'measure-mismatch': 'The capacity and the demand are about different checks.',
  'ladder-unknown': 'There is no ladder or rung of this name.',
  'drill-unknown': 'There is no drill of this name.',
  'reference-without-spread': 'This reference gives no spread, so no percentile can be told.',
  'probability-out-of-range': 'A probability lies strictly between 0 and 1.',
  'degrees-of-freedom-out-of-range': 'Degrees of freedom must be at least 1.',
  'trace-unreadable': 'This trace cannot be read.',
  'trace-too-slow': 'This trace has too few samples a second.',
  'reading-missing': 'The instrument has not given a reading yet.',
  'cutoff-out-of-range': 'A filter’s cut-off lies between 0 and half the sampling rate.',
  'landmarks-coincide': 'Two landmarks lie on the same spot.',
  'landmark-missing': 'A landmark is missing.',
  'repeatability-too-small': 'Too few repeated readings to tell how repeatable they are.',
  'body-implausible': 'These body measures fit no trainee.',
  'set-up-impossible': 'This set-up cannot be built.',
  'load-out-of-reach': 'No set-up of this position gives that load.',
  'band-nonsense': 'These readings describe no band.',
  'scale-reading-unusable': 'This reading cannot teach the model.',
  'scale-reading-missing': 'This scale reading is not in the trainee’s record.',
  'contract-broken': 'Some fields need another look.',
  'trainee-missing': 'This trainee is not in the studio’s records.',
  'plan-missing': 'There is no plan for this week yet.',
  'template-missing': 'This template is not among the studio’s.',
  'session-missing': 'This session is not in the trainee’s record.',
  'symptom-missing': 'This symptom is not in the trainee’s record.',
  'trial-missing': 'This trial is not in the trainee’s record.',
  'battery-finished': 'This battery was already saved as a check.',
  'floor-run-missing': 'There is no such run of a session.',
  'picture-missing': 'This picture is not in the trainee’s record.',
  'picture-unreadable': 'This is no JPEG picture.',
  'clearance-missing': 'This clearance is not in the trainee’s record.',
  'screening-missing': 'This screen is not the trainee’s newest.',
  'entry-missing': 'This entry is not in the library.',
  'id-reused': 'This id already stands for something else.',
  'edited-elsewhere': 'Somebody else saved a newer version first.',
  'gate-closed': 'The gate is closed, so there is nothing to sign.',
  'clearance-not-standing': 'This clearance no longer stands.',
  'stop-sign-not-open': 'There is no open stop sign here.',
  'body-too-large': 'The request is larger than the server takes.',
  'body-unreadable': 'The request is not readable JSON.',
  'route-missing': 'There is nothing at this address.',
  unexpected: 'Something went wrong that the program did not foresee.',
} as const;

export type ErrorCode = keyof typeof ERROR_CATALOGUE;

/** One field that breaks its contract, with the limit it broke. */
export interface FieldProblem {
  /** JSON pointer into the request body, for example `/trials/2/value`. */
  readonly field: string;
  /** The rule in a word, for example `max`. */
  readonly limit: string;
  /** A sentence naming field and limit. */
  readonly message: string;
}

/** A refusal with a code of the catalogue; `detail` says which figure broke which limit. */
export class Refusal extends Error {
  override readonly name = 'Refusal';
  readonly code: ErrorCode;
  readonly detail: string;
  readonly fields: readonly FieldProblem[];

  constructor(code: ErrorCode, detail?: string, fields: readonly FieldProblem[] = []) {
    super(detail ?? ERROR_CATALOGUE[code]);
    this.code = code;
    this.detail = detail ?? ERROR_CATALOGUE[code];
    this.fields = fields;
  }
}
