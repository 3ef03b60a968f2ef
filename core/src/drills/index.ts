export {
  EQUIPMENT,
  isLoaded,
  LOADING_PHASES,
  PHASES,
  POSITIONS,
  type DoseRange,
  type DoseUnit,
  type Drill,
  type Equipment,
  type HandLoad,
  type Phase,
  type Position,
  type Quality,
} from './drill.ts';
export { DRILLS, drillOf, isDrill } from './drills.ts';
export { doseInWords, drillSeconds, handLoadDose, tensionSeconds, type Dose } from './dose.ts';
export { FAULT_IDS, FAULTS, type Fault, type FaultId } from './faults.ts';
