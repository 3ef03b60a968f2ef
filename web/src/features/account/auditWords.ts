/** What each request that changes something is called where it is told who did it. */
const DONE: Readonly<Record<string, string>> = {
  'POST /api/trainees': 'added or changed a profile',
  'PUT /api/trainees/:id': 'changed the profile',
  'POST /api/trainees/:id/archived': 'put into the archive, or brought back from it',
  'POST /api/trainees/:id/erasure': 'erased somebody',
  'POST /api/trainees/:id/checks': 'recorded a check',
  'PUT /api/trainees/:id/battery': 'took trials of a battery',
  'DELETE /api/trainees/:id/battery/:batteryId': 'gave a battery up',
  'POST /api/trainees/:id/clearances': 'signed a clearance',
  'POST /api/trainees/:id/outcomes': 'told what became of a clearance',
  'POST /api/trainees/:id/withdrawals': 'withdrew a clearance',
  'POST /api/trainees/:id/trial-corrections': 'corrected a trial',
  'POST /api/trainees/:id/session-corrections': 'corrected a session',
  'POST /api/trainees/:id/symptom-corrections': 'corrected a symptom',
  'POST /api/trainees/:id/taken-back': 'took something on record back',
  'POST /api/trainees/:id/emergencies': 'pressed the emergency button',
  'POST /api/trainees/:id/emergencies/seen': 'described an emergency',
  'POST /api/trainees/:id/emergencies/mistake': 'marked an emergency as pressed by mistake',
  'PUT /api/emergency-care': 'set whom to call in an emergency',
  'PUT /api/floor/:runId': 'sent what was done on the floor',
  'POST /api/floor/:runId/photos': 'kept a picture of a session',
  'DELETE /api/floor/:runId/photos/:photoId': 'took a picture of a session off the record',
  'PUT /api/gate-settings': 'changed what opens a gate',
  'POST /api/trainees/:id/scale-readings': 'recorded a scale reading',
  'POST /api/trainees/:id/scale-readings/set-aside': 'set a scale reading aside',
  'PUT /api/bands/:id': 'saved a band',
  'POST /api/library/imports': 'looked at or took in a library file',
  'PUT /api/schools': 'changed the schools',
  'POST /api/repeatability-tests': 'recorded a repeatability test',
  'POST /api/trainees/:id/pictures': 'kept a picture',
  'DELETE /api/trainees/:id/pictures/:pictureId/image': 'took a picture off the record',
  'PUT /api/trainees/:id/plans': 'saved weeks of the plan',
  'PUT /api/trainees/:id/plans/:weekStart': 'saved a week of the plan',
  'PUT /api/trainees/:id/brief': 'changed what the plan must fit',
  'POST /api/plan-templates': 'kept a template',
  'PUT /api/routines/:id': 'saved a routine',
  'DELETE /api/routines/:id': 'took a routine off the list',
  'PUT /api/groups/:id': 'saved a group',
  'DELETE /api/groups/:id': 'took a group off the list',
  'PUT /api/classes/:id': 'ran a class',
  'POST /api/class-sheets': 'looked at what a class may do',
  'DELETE /api/plan-templates/:id': 'set a template aside',
  'POST /api/trainees/:id/screenings': 'asked the screening',
  'POST /api/trainees/:id/lasting-pains': 'recorded a lasting pain',
  'POST /api/trainees/:id/before-session': 'asked before a session',
  'POST /api/trainees/:id/blood-pressures': 'recorded a blood pressure',
  'POST /api/trainees/:id/consents': 'recorded a guardian’s word',
  'POST /api/trainees/:id/consultations': 'recorded a professional’s word',
  'POST /api/trainees/:id/sessions': 'logged a session',
  'POST /api/trainees/:id/symptoms': 'reported what was felt',
  'POST /api/trainees/:id/stop-sign-closures': 'closed a stop sign',
};

/** What happens to accounts: of a role or a copy, and about somebody. */
const ACCOUNTS: Readonly<Record<string, (of: string, about: string) => string>> = {
  'made-studio': () => 'made the studio',
  'signed-in': () => 'signed in',
  'signed-out': () => 'signed out',
  'wrong-password': () => 'typed a wrong password',
  'changed-password': () => 'changed the password',
  'password-by-code': () => 'set a new password by code',
  'gave-code': (_of, about) => `gave ${about} a code for a new password`,
  invited: (role) => `invited ${withArticle(role)}`,
  joined: (_of, about) => `came in on an invitation of ${about}`,
  'made-member': (role, about) => `made ${about} ${withArticle(role)}`,
  'took-out': (_of, about) => `took ${about} out of the studio`,
  restored: (copy) => `brought back the copy ${copy}`,
};

const withArticle = (role: string) => (role === 'coach' ? 'a coach' : `an ${role}`);

const LIBRARY = /^(?:PUT|POST) \/api\/library\/(\w+?)s\/:id(\/reset)?$/;

/** What somebody did, to whom, to stand behind their name. */
export function auditWords(what: string, about: string | null): string {
  const entry = LIBRARY.exec(what);
  if (entry)
    return `${entry[2] ? 'reset or retired' : 'changed'} a ${entry[1] === 'measure' ? 'check' : (entry[1] ?? 'entry')} of the library`;
  const [code = '', of = ''] = what.split(/:(.*)/);
  const account = ACCOUNTS[code];
  if (account) return account(of, about ?? 'somebody');
  const words = DONE[what] ?? what;
  return about === null ? words : `${words}: ${about}`;
}
