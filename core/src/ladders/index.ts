export {
  demandInWords,
  demandsOn,
  LADDER_KINDS,
  measuresDemanded,
  rungDemandInWords,
  type Demand,
  type DemandDirection,
  type Ladder,
  type LadderKind,
  type Rung,
  type RungDemand,
} from './ladder.ts';
