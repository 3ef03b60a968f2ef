export { keptPicture } from './keptPicture.ts';
export { openPicture } from './openPicture.ts';
export { PicturePanel } from './PicturePanelLater.ts';
