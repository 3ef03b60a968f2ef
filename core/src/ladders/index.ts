export {
  CLIMBS,
  DEMAND_DIRECTIONS,
  DEMAND_SHARES,
  demandsOn,
  LADDER_KINDS,
  measuresDemanded,
  type Carried,
  type Climbs,
  type Demand,
  type DemandDirection,
  type Ladder,
  type LadderKind,
  type Rung,
  type RungDemand,
} from './ladder.ts';
export { LOAD_PER_GRIP, MOST_OF_GRIP, ladderFindings, type LadderFinding } from './ladderFindings.ts';
