import { describe, expect, it } from 'vitest';
import { BUILT_IN_LIBRARY } from '../catalogue/index.ts';
import { DEFAULT_GATE_SETTINGS, GATE_LIMITS, GATE_RULES, type GateFinding, type GateSetting, RULES_VERSION } from '../readiness/index.ts';
import { EVIDENCE_WORDS, evidenceRows, RULE_WORDS, say, SETTING_WORDS } from './index.ts';

/** The table of rules as a page of the documentation. */
function rulesPage(): string {
  const rows = GATE_RULES.map(({ rule, safety, evidence, settings }) => {
    const { title, needs, counts, changes } = RULE_WORDS[rule];
    const set = settings.map((s) => SETTING_WORDS[s].name.toLowerCase()).join(', ');
    return `| \`${rule}\` | ${title}. ${needs} | ${counts} | ${evidence.map((e) => EVIDENCE_WORDS[e]).join(', ')} | ${changes} | ${set || '–'} | ${safety ? 'yes' : 'no'} |`;
  });
  const settings = (Object.keys(GATE_LIMITS) as GateSetting[]).map(
    (name) => `| ${SETTING_WORDS[name].name} | ${DEFAULT_GATE_SETTINGS[name]} | ${GATE_LIMITS[name].min}–${GATE_LIMITS[name].max} |`,
  );
  return [
    '# What opens a gate',
    '',
    `Version ${RULES_VERSION} of the rules. Written from \`core/src/readiness/rules.ts\` by its test; do not edit by hand.`,
    'Common practice and project defaults, no single published source.',
    '',
    '| rule | needs | counts as evidence | rests on | changes by | settings | guards safety |',
    '| --- | --- | --- | --- | --- | --- | --- |',
    ...rows,
    '',
    'A gate is open when every finding is met. Nobody signs against a rule that guards safety; against the others the coach signs with a',
    'written reason, which stays with the clearance.',
    '',
    '| setting | as shipped | limits |',
    '| --- | --- | --- |',
    ...settings,
    '',
    '| evidence | what it may do |',
    '| --- | --- |',
    ...evidenceRows().map(({ from, may }) => `| ${from} | ${may} |`),
    '',
  ].join('\n');
}

describe('the table of rules', () => {
  it('is the page docs/rules.md', async () => {
    // `npx vitest run core/src/words -u` writes it anew after a change of the rules.
    await expect(rulesPage()).toMatchFileSnapshot('../../../docs/rules.md');
  });

  it('has each rule once, and words for every one', () => {
    expect(new Set(GATE_RULES.map((r) => r.rule)).size).toBe(GATE_RULES.length);
    expect(Object.keys(RULE_WORDS).sort()).toEqual(GATE_RULES.map((r) => r.rule).sort());
  });
});

const at = '2026-11-20T08:00:00.000Z' as never;
const ache = { intensity: 2, kind: 'ache', place: 'wrist', side: 'left', moment: 'next morning', at } as const;

it.each<[GateFinding, string]>([
  [{ rule: 'demand-asked', met: false }, 'This rung asks for no check yet: write at least one demand into its ladder.'],
  [{ rule: 'stop-signs', met: true, open: [] }, 'No open stop sign.'],
  [{ rule: 'settled', met: false, closedAt: at, days: 7 }, 'A stop sign was closed on Fri 20 Nov: 7 quiet days after that are needed.'],
  [{ rule: 'settled', met: true, closedAt: at, days: 7 }, 'No stop sign was closed in the last 7 days.'],
  [{ rule: 'mornings', met: true, sessions: 0, days: 7 }, 'No session in the last 7 days, so no morning to ask about.'],
  [
    { rule: 'mornings', met: false, sessions: 1, days: 7, problem: { kind: 'worse', performedAt: at, symptom: ache, before: 1 } },
    'The morning after Fri 20 Nov: ache 2/10, left wrist, next morning, above the 1/10 there before the session.',
  ],
  [
    { rule: 'mornings', met: false, sessions: 1, days: 7, problem: { kind: 'still to come', performedAt: at } },
    'Today’s session counts once its next morning is recorded.',
  ],
  [
    { rule: 'clean-sessions', met: false, counted: 1, needed: 2, practice: ['Plank'], preparation: false, hoursApart: 48, windowDays: 28 },
    '1 of 2 clean sessions with “Plank” at the drill’s own top, under the rung’s load, 48 hours apart, in the last 28 days.',
  ],
  [
    {
      rule: 'clean-sessions',
      met: false,
      counted: 0,
      needed: 2,
      practice: ['A', 'B', 'C', 'D'],
      preparation: true,
      hoursApart: 48,
      windowDays: 28,
    },
    '0 of 2 clean sessions with a drill that prepares for this rung (“A”, “B”, “C” or 1 more) at the drill’s own top, under the rung’s load, 48 hours apart, in the last 28 days.',
  ],
  [{ rule: 'screening', met: true, locks: [] }, 'Screened, and nothing locks.'],
  [
    { rule: 'demand', met: false, measureId: 'grip', limiter: false, sides: [{ side: 'left', verdict: 'never checked' }] },
    'Grip has never been checked.',
  ],
])('%j is said', (finding, sentence) =>
  expect(say(finding, { headrooms: [], measureOf: BUILT_IN_LIBRARY.measure, now: new Date('2026-11-24T12:00:00Z') })).toBe(sentence),
);
