export {
  DEMAND_DIRECTIONS,
  DEMAND_SHARES,
  demandsOn,
  LADDER_KINDS,
  measuresDemanded,
  type Demand,
  type DemandDirection,
  type Ladder,
  type LadderKind,
  type Rung,
  type RungDemand,
} from './ladder.ts';
