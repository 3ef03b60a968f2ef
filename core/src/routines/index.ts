export {
  BLOCK_WAYS,
  PREPARATION_LIMITS,
  ROUTINE_LIMITS,
  ROUTINE_PARTS,
  ROUTINE_PURPOSES,
  type BlockWay,
  type Routine,
  type RoutineBlock,
  type RoutinePart,
  type RoutinePurpose,
  type RoutineStep,
} from './routine.ts';
export { momentsOf, routineSeconds, type RoutineMoment } from './moments.ts';
export { filledFor, type Filled } from './filled.ts';
export { dosesOf, type RoutineFinding, routineFindings, USUAL_MINUTES } from './findings.ts';
export {
  begunRun,
  doneOf,
  isOver,
  limitedMoments,
  type MostOf,
  nextRun,
  type RoutineDone,
  type RoutineEvent,
  type RoutineRun,
} from './running.ts';
