import type { PicturePoint } from '@myokinet/core/landmarks';

/** The frame of the picture that is seen, in its own pixels. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
}

/** Where a finger is, and which landmark it moves. */
export interface Finger extends PicturePoint {
  readonly id: string;
}

/** Which part of the picture is seen: 1 shows all of it; more a part around the middle. */
export interface View {
  readonly zoom: number;
  readonly middle: PicturePoint;
}
