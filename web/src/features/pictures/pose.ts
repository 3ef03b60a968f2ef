import type { Keypoint } from '@myokinet/core/landmarks';
import { transfer, wrap } from 'comlink';
import type { Pose } from './poseWorker.ts';

let pose: ReturnType<typeof wrap<Pose>> | undefined;

/** The model is loaded with the first picture; nothing leaves the machine. */
function aside() {
  pose ??= wrap<Pose>(new Worker(new URL('./poseWorker.ts', import.meta.url), { type: 'module' }));
  return pose;
}

/** Body points that the pose model sees on a picture. */
export function suggestedKeypoints(picture: ImageBitmap): Promise<readonly Keypoint[]> {
  return aside().suggest(transfer(picture, [picture]));
}

/** Body points on the next frame of a clip, looked for where they were in the one before. */
export function followedKeypoints(picture: ImageBitmap, isFirst: boolean): Promise<readonly Keypoint[]> {
  return aside().follow(transfer(picture, [picture]), isFirst);
}
