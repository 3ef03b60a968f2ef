import type { Climbs, LadderFinding } from '../ladders/index.ts';

/** By what a rung climbs, as an end to "It climbs". */
export const CLIMBS_WORDS: Readonly<Record<Climbs, string>> = {
  'one hand': 'from two hands to one',
  movement: 'from stillness to movement',
  depth: 'in depth',
  lean: 'by the lean',
  balance: 'in balance',
  'head down': 'with the head down',
  'way out': 'not at all by load: it is the way out, practised before the next rung',
};

/**
 * What the model of the body holds against a rung, in a sentence.
 *
 * @example ladderFindingInWords({ code: 'grip', needed: 33, asked: 21, … }) // 'Asks 21 kg of grip; one hand must hold what takes 33 kg.'
 */
export function ladderFindingInWords(finding: LadderFinding): string {
  const { needed, asked } = finding;
  switch (finding.code) {
    case 'tolerance':
      return `Asks ${asked}% of body weight tolerated on an arm; its set-up puts more than ten points above that on one: ask ${needed}% at least.`;
    case 'wrist':
      return asked === 0
        ? `Asks for no loaded wrist extension; its set-up bends the wrist so that ${needed}° is the least, a wedge taken off.`
        : `Asks ${asked}° of loaded wrist extension; its set-up needs ${needed}° at least, a wedge taken off.`;
    case 'grip':
      return `Asks ${asked} kg of grip; what one hand must hold takes ${needed} kg.`;
    case 'climbs':
      return `Puts ${asked}% of body weight on an arm, the rung below ${needed}%: move it, or say by what else it climbs.`;
  }
}
