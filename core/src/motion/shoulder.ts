/** A shoulder as it is written here: plane 0 is abduction and 90 flexion, rotation outward without the swing's own twist, degrees. */
export interface ShoulderPose {
  readonly plane: number;
  readonly raise: number;
  readonly rotate: number;
}

/**
 * The same shoulder in the sequence of the International Society of Biomechanics: about the trunk's long axis, about the axis that
 * points forward in that plane, about the arm's own (Y–X–Y; Wu et al. 2005, from memory). Outward rotation is negative there.
 */
export interface IsbShoulder {
  readonly planeOfElevation: number;
  readonly elevation: number;
  readonly axialRotation: number;
}

/**
 * @example isbOf({ plane: 90, raise: 40, rotate: 0 }) // { planeOfElevation: 90, elevation: 40, axialRotation: -90 }
 */
export function isbOf({ plane, raise, rotate }: ShoulderPose): IsbShoulder {
  return { planeOfElevation: plane, elevation: raise, axialRotation: -plane - rotate };
}

/** The way back. */
export function fromIsb({ planeOfElevation, elevation, axialRotation }: IsbShoulder): ShoulderPose {
  return { plane: planeOfElevation, raise: elevation, rotate: -axialRotation - planeOfElevation };
}

/** How an arm's elevation is named: by the check that measures it in that plane. */
export type Elevation = 'flexion' | 'scaption' | 'abduction' | 'extension' | 'across';

/** Between which planes an elevation bears which name, degrees (project defaults). */
const PLANES: readonly (readonly [from: number, name: Elevation])[] = [
  [118, 'across'],
  [62, 'flexion'],
  [18, 'scaption'],
  [-45, 'abduction'],
  [-Infinity, 'extension'],
];

/**
 * The name of an elevation.
 *
 * @example elevationOf(90) // 'flexion'
 */
export function elevationOf(plane: number): Elevation {
  return PLANES.find(([from]) => plane >= from)?.[1] ?? 'extension';
}
