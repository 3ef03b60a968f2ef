/**
 * The one catalogue of refusals: code, status of the reply it becomes at the border (422, bad input, unless it says more), and
 * what it says where nothing more exact is known. Codes are never reused.
 */
export const ERROR_CATALOGUE = {
  'quantity-not-finite': [422, 'A figure must be a finite number.'],
  'quantity-out-of-range': [422, 'A figure lies outside the limits of its unit.'],
  'instant-invalid': [422, 'A date must be an ISO 8601 instant.'],
  'trials-missing': [422, 'A capacity needs at least one trial.'],
  'trials-mixed-sides': [422, 'A capacity is worked out for one side at a time.'],
  'trial-out-of-limits': [422, 'A trial lies outside what the check can read.'],
  'measure-unknown': [422, 'There is no check of this name.'],
  'measure-mismatch': [422, 'The capacity and the demand are about different checks.'],
  'ladder-unknown': [422, 'There is no ladder or rung of this name.'],
  'drill-unknown': [422, 'There is no drill of this name.'],
  'reference-without-spread': [422, 'This reference gives no spread, so no percentile can be told.'],
  'probability-out-of-range': [422, 'A probability lies strictly between 0 and 1.'],
  'degrees-of-freedom-out-of-range': [422, 'Degrees of freedom must be at least 1.'],
  'count-out-of-range': [422, 'So many hits of so many tries cannot be.'],
  'history-missing': [422, 'A forecast needs at least one figure.'],
  'trace-unreadable': [422, 'This trace cannot be read.'],
  'trace-too-slow': [422, 'This trace has too few samples a second.'],
  'clip-nobody': [422, 'Nobody is to be seen on this clip.'],
  'trace-choice': [422, 'It is not said what is what in this trace.'],
  'reading-missing': [422, 'The instrument has not given a reading yet.'],
  'cutoff-out-of-range': [422, 'A filter’s cut-off lies between 0 and half the sampling rate.'],
  'landmarks-coincide': [422, 'Two landmarks lie on the same spot.'],
  'landmark-missing': [422, 'A landmark is missing.'],
  'facing-unknown': [422, 'Which way the trainee faces is not said.'],
  'repeatability-too-small': [422, 'Too few repeated readings to tell how repeatable they are.'],
  'body-implausible': [422, 'These body measures fit no trainee.'],
  'set-up-impossible': [422, 'This set-up cannot be built.'],
  'movement-impossible': [422, 'This movement cannot be done.'],
  'load-out-of-reach': [422, 'No set-up of this position gives that load.'],
  'band-nonsense': [422, 'These readings describe no band.'],
  'scale-reading-unusable': [422, 'This reading cannot teach the model.'],
  'scale-reading-missing': [404, 'This scale reading is not in the trainee’s record.'],
  'contract-broken': [422, 'Some fields need another look.'],
  'trainee-missing': [404, 'This trainee is not in the studio’s records.'],
  'plan-missing': [404, 'There is no plan for this week yet.'],
  'routine-missing': [404, 'This routine is not among the studio’s.'],
  'group-missing': [404, 'This group is not among the studio’s.'],
  'class-missing': [404, 'This class is not among the studio’s.'],
  'class-too-long': [422, 'This is too long for one class.'],
  'template-missing': [404, 'This template is not among the studio’s.'],
  'session-missing': [404, 'This session is not in the trainee’s record.'],
  'symptom-missing': [404, 'This symptom is not in the trainee’s record.'],
  'trial-missing': [404, 'This trial is not in the trainee’s record.'],
  'battery-finished': [409, 'This battery was already saved as a check.'],
  'document-unreadable': [409, 'This entry on record cannot be read.'],
  'floor-run-missing': [404, 'There is no such run of a session.'],
  'picture-missing': [404, 'This picture is not in the trainee’s record.'],
  'pictures-full': [409, 'There is no room for another picture here. Take one off first.'],
  'lock-not-overruled': [409, 'A lock cannot be overruled.'],
  'source-used-before': [409, 'This picture or trace was read in an earlier check.'],
  'substitute-refused': [422, 'A held set-up does not show this figure.'],
  'picture-unreadable': [422, 'This is no JPEG picture.'],
  'clearance-missing': [404, 'This clearance is not in the trainee’s record.'],
  'screening-missing': [409, 'This screen is not the trainee’s newest.'],
  'entry-missing': [404, 'This entry is not in the library.'],
  'entry-asked-for': [409, 'Other entries of the library still ask for this one.'],
  'id-reused': [409, 'This id already stands for something else.'],
  'edited-elsewhere': [409, 'Somebody else saved a newer version first.'],
  'fact-missing': [404, 'There is no such fact on this trainee’s record.'],
  'fact-not-in-force': [409, 'This was corrected or taken back before.'],
  'emergency-stands': [409, 'Only a doctor’s word lifts this emergency.'],
  'gate-closed': [409, 'The gate is closed, so there is nothing to sign.'],
  'clearance-not-standing': [409, 'This clearance no longer stands.'],
  'outcome-too-early': [409, 'It is too early to tell what became of this clearance.'],
  'stop-sign-not-open': [409, 'There is no open stop sign here.'],
  'stop-sign-not-yours': [409, 'A licensed professional has to be heard before this stop sign is closed.'],
  'not-signed-in': [401, 'Nobody is signed in here.'],
  'sign-in-wrong': [401, 'This name and password do not go together.'],
  'password-wrong': [403, 'The password is not right.'],
  'confirm-first': [403, 'The password has to be typed once more for this.'],
  'try-later': [429, 'Too many attempts; wait a little.'],
  'code-wrong': [403, 'This code is not known, was used, or has lapsed.'],
  'name-taken': [409, 'This sign-in name is taken.'],
  'already-here': [409, 'This account is in the studio already.'],
  'last-owner': [409, 'A studio needs at least one owner.'],
  'name-differs': [422, 'The name that was typed is another one.'],
  'works-elsewhere': [409, 'This person works in another studio too.'],
  'account-missing': [404, 'There is no such person in this studio.'],
  'not-first-run': [409, 'This studio has been set up already.'],
  'from-elsewhere': [403, 'This request came from another page than the program’s own.'],
  'no-space': [507, 'There is no space left on the server’s disk. Nothing of this was saved.'],
  'studio-damaged': [503, 'The studio’s file is damaged.'],
  'copy-missing': [404, 'There is no such copy.'],
  'copy-unusable': [409, 'This copy cannot be brought back.'],
  'link-unknown': [403, 'This link opens nothing. Ask your coach for a new one.'],
  'link-lapsed': [403, 'This link has lapsed. Ask your coach for a new one.'],
  'link-no-consent': [403, 'Your page opens again when those responsible for you have agreed; your coach notes it.'],
  'link-consent-first': [
    409,
    'A page of their own needs the word of those responsible for a child first: note their consent on the page “Screening”.',
  ],
  'link-pin-needed': [403, 'This link asks for the PIN that your coach gave you.'],
  'link-pin-wrong': [403, 'This is not the PIN of this link.'],
  'link-missing': [404, 'There is no link to take back.'],
  'practice-not-planned': [409, 'This practice is not in your plan any more. Your coach has changed it.'],
  busy: [503, 'The studio’s file is busy; try again in a moment.'],
  'role-short': [403, 'Your role in this studio does not include this.'],
  'body-too-large': [413, 'The request is larger than the server takes.'],
  'body-unreadable': [400, 'The request is not readable JSON.'],
  'route-missing': [404, 'There is nothing at this address.'],
  unexpected: [500, 'Something went wrong that the program did not foresee.'],
} as const satisfies Readonly<Record<string, readonly [status: number, text: string]>>;

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
    super(detail ?? ERROR_CATALOGUE[code][1]);
    this.code = code;
    this.detail = detail ?? ERROR_CATALOGUE[code][1];
    this.fields = fields;
  }
}
