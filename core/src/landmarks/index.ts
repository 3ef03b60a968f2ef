export {
  jointAngle,
  PICTURE_DEFAULTS,
  rollOf,
  wrapped,
  type AngleOptions,
  type AnglePoints,
  type PictureAngle,
  type PicturePoint,
  type ReferenceLine,
  type SegmentPoints,
} from './jointAngle.ts';
export {
  PICTURE_TEMPLATES,
  readPicture,
  templateFor,
  type BodyPoint,
  type PictureTemplate,
  type PlacedPoint,
  type TemplateLandmark,
} from './templates.ts';
export { LEAST_SCORE, facingOf, isSuggested, suggestPoints, type SuggestedPoint, type Keypoint } from './suggestPoints.ts';
export { CLIP_CURVES, CLIP_PROMISE, clipTrace, type ClipCurve, type ClipFrame, type ClipTrace } from './clipTrace.ts';
export { alignPictures, type PictureAlignment } from './alignPictures.ts';
