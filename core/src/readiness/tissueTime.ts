import { type Drill, strainOf } from '../drills/index.ts';
import { addDays, type Instant } from '../quantities/index.ts';
import { type CautionInForce, growsSlowly } from '../safety/index.ts';
import type { GateFinding } from './findings.ts';
import type { GateInput, TissueTime } from './gateInput.ts';
import { practisedSessions } from './practiceRule.ts';

/** Professional judgement, from memory, no single published source. The first that fits counts. */
const CLASSES: readonly { readonly fits: (drill: Drill) => boolean; readonly asks: TissueTime }[] = [
  { fits: onFingertips, asks: { days: 28, sessions: 6, hoursApart: 72 } },
  { fits: lopsided, asks: { days: 21, sessions: 6, hoursApart: 48 } },
  { fits: (drill) => strainOf(drill).loadPerArm < 0.25, asks: { days: 7, sessions: 3, hoursApart: 48 } },
  { fits: () => true, asks: { days: 14, sessions: 4, hoursApart: 48 } },
];

/** Half as long again where growth is slow. */
const FACTOR = 1.5;

/**
 * The least time on a rung, by how its practice loads: fingers longest, then leans, one arm, swings and head down, then strength and
 * support, then what puts less than a quarter of body weight on an arm.
 *
 * @example tissueTimeOn(library.drill('practice-half-hang'), []) // { days: 14, sessions: 4, hoursApart: 48 }
 */
export function tissueTimeOn(practice: Drill, cautions: readonly CautionInForce[]): TissueTime {
  const asks = CLASSES.find(({ fits }) => fits(practice))?.asks ?? { days: 14, sessions: 4, hoursApart: 48 };
  return growsSlowly(cautions) ? { ...asks, days: Math.ceil(asks.days * FACTOR) } : asks;
}

function onFingertips({ support }: Drill): boolean {
  const setUp: Readonly<Record<string, unknown>> = { ...support?.setUp };
  return setUp.hands === 'fingertips';
}

function lopsided(drill: Drill): boolean {
  const setUp: Readonly<Record<string, unknown>> = { ...drill.support?.setUp };
  const { oneArmed, headDown } = strainOf(drill);
  return oneArmed || headDown || setUp.position === 'swing' || (typeof setUp.leanM === 'number' && setUp.leanM > 0);
}

/** Time and sessions on the rung in hand, since it was signed or something was withdrawn. */
export function tissueTime({ tissue, sessions, practice, now }: GateInput): GateFinding[] {
  if (!tissue) return [];
  const { since, asks } = tissue;
  const counted = practisedSessions(sessions, practice, [since], now, asks.hoursApart).length;
  const earliest = addDays(since, asks.days);
  return [
    {
      rule: 'tissue-time',
      met: counted >= asks.sessions && now.getTime() >= Date.parse(earliest),
      ...{ since, earliest, days: asks.days, needed: asks.sessions, hoursApart: asks.hoursApart },
      counted: Math.min(counted, asks.sessions),
    },
  ];
}

/** Since when the tissue has had the rung: the oldest signature that stands, or the last withdrawal. */
export function onRungSince(signatures: readonly Instant[], withdrawnAt: Instant | undefined): Instant | undefined {
  const [oldest] = [...signatures].sort();
  if (!oldest) return undefined;
  return withdrawnAt && withdrawnAt > oldest ? withdrawnAt : oldest;
}
