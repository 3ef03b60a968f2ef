import { Refusal } from '../errors.ts';
import type { Drill } from '../drills/index.ts';
import { type KnownBody, type SupportOn, supportOn, type SupportPlan } from '../statics/index.ts';

/** One turn of the support dial, as a fraction of body weight (common practice, no source). */
export const TURN = 0.05;
/** Parts of a turn, tried until the set-up reaches so far. */
const PARTS = [1, 0.8, 0.6, 0.4];
/** Less than this is no turn. */
const NOTICED = 0.005;
const LEAST = 0.01;

export type Turned = { readonly support: SupportPlan; readonly on: SupportOn } | { readonly problem: string };

/**
 * The set-up of a drill with the support dial turned: what puts about so much more or less of the body weight on the hands.
 *
 * @param drill in the set-up it is in, its hand load fitted to the trainee
 * @param by change of the hands' share of body weight, as a fraction
 * @returns the new set-up as near as it can be turned, or why it cannot
 * @example turnSupport(body, packedHang, -0.05) // { support: { setUp: { position: 'supported-hang' }, wanted: 0.2 }, on: { … } }
 */
export function turnSupport(
  body: KnownBody,
  { name, support, handLoad }: Pick<Drill, 'name' | 'support' | 'handLoad'>,
  by: number,
): Turned {
  if (!support || !handLoad) return { problem: `${name} has no support to turn: change the drill instead.` };
  let why = `${name} cannot be turned further.`;
  for (const part of PARTS) {
    const turned = { setUp: support.setUp, wanted: Math.max(LEAST, Math.round((handLoad.share + by * part) * 100) / 100) };
    try {
      const on = supportOn(body, turned);
      const change = on.reading.loadShare - handLoad.share;
      if (Math.abs(change) >= NOTICED && Math.sign(change) === Math.sign(by) && !on.problem) return { support: turned, on };
      why = on.problem ?? why;
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      why = error.detail;
    }
  }
  return { problem: `${why} Change the drill instead.` };
}
