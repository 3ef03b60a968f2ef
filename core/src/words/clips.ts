import type { Side } from '../anatomy/index.ts';
import type { ClipCurve, ClipTrace } from '../landmarks/index.ts';

/** What is followed over a clip. */
export const CLIP_CURVE_WORDS: Readonly<Record<ClipCurve, string>> = {
  elbow: 'angle at the elbow',
  shoulder: 'angle of the arm to the trunk',
  hip: 'angle at the hip',
  knee: 'angle at the knee',
  swing: 'swing under the hands',
  'hip line': 'hips below the line from shoulders to ankles',
  'shoulder height': 'height of the shoulder',
  'hip height': 'height of the hip',
};

/** @example clipCurveInWords('elbow', 'right') // 'angle at the elbow, right': as its instrument on record */
export function clipCurveInWords(curve: ClipCurve, side: Side): string {
  return `${CLIP_CURVE_WORDS[curve]}, ${side}`;
}

const percent = (share: number) => `${Math.round(share * 100)}%`;

/** How far a trace off a clip can be trusted, a sentence for each thing to know. */
export function clipTrustInWords({ side, seen, confidence, gaps, body, findings }: ClipTrace): readonly string[] {
  const [first] = gaps;
  return [
    `The ${side} side, seen in ${percent(seen)} of the frames; the model is ${percent(confidence)} sure of its points.`,
    ...(first
      ? [
          `${gaps.length === 1 ? 'One gap' : `${gaps.length} gaps`} over a quarter of a second, the first at ${first.from.toFixed(1)} s: what falls there is not counted.`,
        ]
      : []),
    ...(findings.includes('unsure')
      ? ['The model is not sure enough of these points for what is promised: the height of the shoulder or the hip is seen more surely.']
      : []),
    ...(findings.includes('body small') ? [`The body fills ${percent(body)} of the picture; below half of it nothing is promised.`] : []),
    ...(findings.includes('somebody else') ? ['The body jumps from place to place: somebody else may be in the picture.'] : []),
  ];
}
