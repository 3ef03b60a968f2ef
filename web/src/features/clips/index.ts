export { ClipPanel } from './ClipPanelLater.ts';
export { canBeFilmed } from './canBeFilmed.ts';
