import type { Keypoint } from '@myokinet/core/landmarks';
import { transfer, wrap } from 'comlink';
import type { Pose } from './poseWorker.ts';

let pose: ReturnType<typeof wrap<Pose>> | undefined;

/** Body points that the pose model sees on a picture. The model is loaded with the first one; nothing leaves the machine. */
export function suggestedKeypoints(picture: ImageBitmap): Promise<readonly Keypoint[]> {
  pose ??= wrap<Pose>(new Worker(new URL('./poseWorker.ts', import.meta.url), { type: 'module' }));
  return pose.suggest(transfer(picture, [picture]));
}
