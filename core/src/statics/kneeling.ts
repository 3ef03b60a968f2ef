import { along, type Point } from './plane.ts';
import { type Build, remainder, type Stance, type Support } from './stance.ts';

/** Height of the knee joint over what the knee rests on, in metres (project default). */
export const KNEE_HEIGHT_M = 0.05;

/** Leg below the knee: along the floor, or lifted. */
export function shankFrom(b: Build, knee: Point, direction: number): Pick<Stance['joints'], 'ankle' | 'heel' | 'ball' | 'toe'> {
  const ankle = along(knee, direction, b.shank);
  // The foot points on in the shank's line, as it lies on its back.
  const sole = along(ankle, direction + 90, -b.ankle);
  return {
    ankle,
    heel: along(sole, direction, -b.heelToAnkle),
    ball: along(sole, direction, b.ballToAnkle),
    toe: along(sole, direction, b.foot - b.heelToAnkle),
  };
}

/** What holds a kneeling body behind the hands; shanks and feet that rest are held where they lie. */
export function kneesAndShanks(masses: Stance['masses'], resting: boolean, under: Point, hands: Support): Stance['others'] {
  if (!resting) return [remainder(under, 'knees', 'level', masses, [hands])];
  const lower = masses.slice(6);
  const share = lower.reduce((sum, m) => sum + m.share, 0);
  const x = lower.reduce((sum, m) => sum + m.share * m.x, 0) / share;
  const shanks = { x, y: 0, name: 'shanks', fx: 0, fy: share, surface: 'level' } as const;
  return [remainder(under, 'knees', 'level', masses, [hands, shanks]), shanks];
}
