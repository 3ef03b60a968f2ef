export const JOINTS = ['scapula', 'shoulder', 'elbow', 'forearm', 'wrist', 'grip', 'trunk', 'neck'] as const;
export type Joint = (typeof JOINTS)[number];

/** Directions in anatomical terms. Scapular directions belong to the joint `scapula`. */
export const MOTIONS = [
  'flexion',
  'extension',
  'abduction',
  'horizontal adduction',
  'horizontal abduction',
  'internal rotation',
  'external rotation',
  'radial deviation',
  'ulnar deviation',
  'pronation',
  'supination',
  'elevation',
  'depression',
  'protraction',
  'retraction',
  'upward rotation',
  'rotation',
  'grasp',
  'bracing',
] as const;
export type Motion = (typeof MOTIONS)[number];
