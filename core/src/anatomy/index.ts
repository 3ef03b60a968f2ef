export { SIDES, sideLabel, sidesOf, type BodySide, type Side } from './sides.ts';
export { JOINTS, MOTIONS, type Joint, type Motion } from './motions.ts';
