export { type Contact, type ContactName, type MiddlePart, type SidePart, type Support, both, middle, nameOf, one } from './contact.ts';
export { type Frame, frameOf, type Shown, WRITTEN_FOR } from './frame.ts';
export { type Beyond, beyondLimits, contactsAt, figuresAt, frameAt, mirrored, prepare, type Prepared, type Travel } from './frames.ts';
export { type Beat, type Moment, momentAt, SHOWN_BEAT, stripOf, tellingTravel, travelIn } from './pace.ts';
export {
  type CloseUp,
  type End,
  type KeyPose,
  type Mark,
  type Movement,
  type Pose,
  type Prop,
  type View,
  VIEWS,
  type Way,
} from './movement.ts';
export { MIDDLE, MIDDLE_JOINTS, PAIRED, PAIRED_JOINTS } from './joints.ts';
export { type Limbs, type Skeleton, skeletonOf } from './skeleton.ts';
export { type Turn, type Vec, apart, midway } from './space.ts';
export { type AskedRange, CHECK_OF_RANGE, RANGES, type RangeName, rangesOf } from './ranges.ts';
export { type Elevation, elevationOf, fromIsb, type IsbShoulder, isbOf, type ShoulderPose } from './shoulder.ts';
export { type HeldRange, heldRanges, type HeldState, type RangeFit } from './heldRanges.ts';
