export { keptPicture } from './keptPicture.ts';
export { openPicture } from './openPicture.ts';
export { followedKeypoints } from './pose.ts';
export { PicturePanel } from './PicturePanelLater.ts';
