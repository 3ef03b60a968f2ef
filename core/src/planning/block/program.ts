import { doseRules } from './doseRules.ts';
import { loadRules } from './loadRules.ts';
import { type BlockProgram, type Model, modelOf } from './model.ts';
import { needRules } from './needRules.ts';
import type { BlockTask } from './task.ts';
import { sessionRules } from './sessionRules.ts';
import { weekRules } from './weekRules.ts';

/**
 * The mixed-integer programme of a block of weeks; docs/planner.md derives it. Each option has one choice for each dose it can have;
 * what is worth something is work on the needs, with lesser returns as it adds up.
 *
 * @example solveByHighs(highs, blockProgram(blockTask(input)).program, { seconds: 5, gap: 0.01 })
 */
export function blockProgram(task: BlockTask): BlockProgram {
  const model: Model = modelOf(task);
  sessionRules(model);
  weekRules(model);
  loadRules(model);
  doseRules(model);
  needRules(model);
  return { program: model.builder.build(), levels: model.levels, loaded: model.loaded };
}
