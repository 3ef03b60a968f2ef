export {
  demandInWords,
  demandsOn,
  measuresDemanded,
  type Demand,
  type DemandDirection,
  type Ladder,
  type Rung,
  type RungDemand,
} from './ladder.ts';
export { LADDERS, ladderOf, rungOf } from './ladders.ts';
