import { EVIDENCE_TABLE, EVIDENCE_WAYS, type EvidenceWay, REPORTERS, type Reporter } from '../measuring/index.ts';
import type { EvidenceKind, GateRule, GateSetting } from '../readiness/index.ts';

/** A row of the table of rules, as the coach reads it. */
export interface RuleWords {
  readonly title: string;
  /** What has to hold. */
  readonly needs: string;
  /** What counts as evidence, and what does not. */
  readonly counts: string;
  /** Which fact can change the verdict. */
  readonly changes: string;
}

export const RULE_WORDS: Readonly<Record<GateRule, RuleWords>> = {
  'demand-asked': {
    title: 'Something is asked',
    needs: 'The rung asks for at least one check.',
    counts: 'The ladder as the studio has it.',
    changes: 'A demand written into the rung.',
  },
  demand: {
    title: 'Every demand is met',
    needs: 'Each side lies beyond the demand by at least its error band; on the mark passes only where the ladder says so.',
    counts:
      'The newest check of that side, fresh, typed or read by an instrument, a picture with confirmed points or a trace. Figures from a simulated instrument, from suggested points, off a clip or from a session only inform. A try, then or later, that pain, worry or safety stopped takes the figure away; what was reached until then shows nothing.',
    changes: 'A new check, a correction of a trial, or the day on which the figure goes stale.',
  },
  sides: {
    title: 'Both sides are alike',
    needs: 'Left and right differ by no more than the share that is set, or by no more than two checks can differ.',
    counts: 'The newest fresh check of each side.',
    changes: 'A new check of either side.',
  },
  'stop-signs': {
    title: 'No open stop sign',
    needs:
      'Every stop sign was closed: a sharp pain or a pinch of at most 4 by the coach after 48 painless hours, all else on a licensed professional’s word.',
    counts:
      'Symptoms from 5 of 10 (wrist, hand and fingers from 3), every sharp or pinching one that did not go at once on a second try or came twice in 14 days, and numbness, weakness, giving way, catching, swelling, pain at night, dizziness or headache at any strength; under 18 a tender bone. Whoever reported it.',
    changes: 'Closing it, or another stop sign.',
  },
  settled: {
    title: 'A closed stop sign has settled',
    needs: 'No stop sign was closed within the quiet days.',
    counts: 'The moment at which it was closed.',
    changes: 'Days that pass.',
  },
  symptoms: {
    title: 'Symptoms are quiet',
    needs:
      'No symptom above 2 of 10, and none of a stopping kind at any strength, within the quiet days. Soreness of muscle is quiet up to 4, a known lasting pain up to what a professional called usual there.',
    counts: 'Every report, in a session or outside one, by coach or trainee, closed or not.',
    changes: 'A report, or days that pass.',
  },
  mornings: {
    title: 'Mornings were back to before',
    needs:
      'The morning after each session of the quiet days was reported, and no place was worse than before that session; a little soreness is not worse, and at a place of lasting pain one point more may be there for two days.',
    counts: 'Reports of a later day than the session; what was felt at the same place and side before it.',
    changes: 'A reported morning, or another session.',
  },
  'clean-sessions': {
    title: 'Enough clean sessions of the practice',
    needs:
      'Sessions in which every set was done by somebody’s word, without a fault that stayed, effort below 8, each holding the practice of the rung in hand (below the ladder: a drill of the preparation that it names) in at least two sets a side at the drill’s own usual top, under at least nine tenths of its load.',
    counts:
      'Sessions in elapsed hours apart, after the last withdrawal and the last stop sign, after the trainee was added and first screened, none in the future; the same planned session once. A set that ran out by the clock and was not confirmed counts for nothing.',
    changes: 'A logged or corrected session, a withdrawal, a stop sign, or days that pass.',
  },
  'tissue-time': {
    title: 'Tissue has had its time',
    needs:
      'On the rung in hand: 7 days and 3 sessions under a quarter of body weight an arm, 14 and 4 in strength and support, 21 and 6 in leans, on one arm, in swings and head down, 28 and 6 on the fingers, 72 hours apart. Half as many days again under 18, from 60, with lax joints, rebuilding, or soon after a birth. Below the ladder nothing.',
    counts: 'Sessions with the practice under its load, clean or not, since the oldest signature that stands, or the last withdrawal.',
    changes: 'Days that pass, and sessions.',
  },
  screening: {
    title: 'Screened, and nothing locks',
    needs:
      'The screening was answered whole within the last 180 days, and nothing locks: neither an answer, nor an earlier yes that no professional has cleared, nor an emergency.',
    counts: 'The newest answers; a licensed professional’s word opens what it is about.',
    changes: 'A screening, or a consultation.',
  },
  'rung-open': {
    title: 'No caution closes this rung',
    needs: 'The practice of the rung is not excluded by a caution in force.',
    counts: 'The cautions of the newest screening.',
    changes: 'A screening, or a consultation.',
  },
};

export const SETTING_WORDS: Readonly<Record<GateSetting, { readonly name: string; readonly unit: string }>> = {
  cleanSessions: { name: 'Clean sessions asked', unit: 'sessions' },
  hoursApart: { name: 'Hours between two of them', unit: 'hours' },
  sessionWindowDays: { name: 'Days over which they count', unit: 'days' },
  quietDays: { name: 'Quiet days', unit: 'days' },
  sideDifferencePercent: { name: 'Sides may differ by', unit: '% of the larger' },
  freshPercent: { name: 'Checks count for', unit: '% of their days' },
};

export const EVIDENCE_WORDS: Readonly<Record<EvidenceKind, string>> = {
  check: 'checks',
  session: 'sessions',
  symptom: 'symptoms',
  'stop sign': 'stop signs',
  screening: 'screening',
  consultation: 'consultations',
  ladder: 'ladder',
};

const WAY_WORDS: Readonly<Record<EvidenceWay, string>> = {
  typed: 'typed',
  instrument: 'read from an instrument',
  trace: 'read from a trace',
  picture: 'read from a picture, every point placed or confirmed',
  'set-up': 'shown by a set-up of known load that was held ten quiet seconds',
  suggested: 'read from a picture, a point unconfirmed, or off a clip',
  'in a session': 'shown in a set of a session',
  simulated: 'read from a simulated instrument',
};

const REPORTER_WORDS: Readonly<Record<Reporter, string>> = {
  coach: 'The coach',
  assistant: 'An assistant of the coach',
  trainee: 'The trainee',
};

/** A row of the table of evidence, as the coach reads it. */
export interface EvidenceRow {
  readonly from: string;
  readonly may: string;
}

/** What each kind of evidence may do, by who entered it and how; ways that may do the same stand together. */
export function evidenceRows(): readonly EvidenceRow[] {
  return REPORTERS.flatMap((by) => {
    const rows = new Map<string, string[]>();
    for (const way of EVIDENCE_WAYS) {
      const { opens, keeps, closes } = EVIDENCE_TABLE[by][way];
      const deeds = [opens && 'open a gate', keeps && 'keep a clearance alive', closes && 'close a gate and warn'].filter(
        (d) => d !== false,
      );
      const may = deeds.length > 0 ? `may ${deeds.join(', ')}` : 'only informs';
      rows.set(may, [...(rows.get(may) ?? []), WAY_WORDS[way]]);
    }
    return [...rows].map(([may, ways]) => ({ from: `${REPORTER_WORDS[by]}: ${ways.join('; ')}`, may }));
  });
}
