export { linkage, scaledSegments, type Build, type Landmark, type Point, type Pose, type Surface } from './linkage.ts';
export { POSES, type PoseName } from './poses.ts';
