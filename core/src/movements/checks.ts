import { type Mark, middle, type Movement } from '../motion/index.ts';
import { ARMS_AND_WRISTS as A } from './armsAndWrists.ts';
import { BLADES_AND_TRUNK as B } from './bladesAndTrunk.ts';
import {
  FEET_HANG,
  HANGING,
  LONG_SITTING,
  move,
  type Own,
  PIKE,
  PLANK,
  SEATED,
  sided,
  STANDING,
  stance,
  STEP_HANG,
  SUPINE,
  TABLETOP,
} from './build.ts';
import { HANDS_AND_FOREARMS as H } from './handsAndForearms.ts';
import { HANGS as G } from './hangs.ts';
import { PUSHES as P } from './pushes.ts';
import { SHOULDER_MOBILITY as M } from './shoulderMobility.ts';

const angle = (
  at: 'shoulder' | 'elbow' | 'wrist' | 'hip',
  from: Extract<Mark, { kind: 'angle' }>['from'],
  to: Extract<Mark, { kind: 'angle' }>['to'],
): Mark => ({
  ...{ kind: 'angle', side: 'right', at, from, to },
});
const marked = (movement: Movement | undefined, ...marks: readonly Mark[]): Movement => ({ ...(movement ?? move(STANDING, {})), marks });
const arm = (own: Own) => sided(STANDING, own);

const AT_TABLE = stance(SEATED, {
  start: { right: { raise: 28, plane: 80, elbow: 66, pronate: 88, curl: 0 } },
  props: [{ kind: 'table', z: 0.68, from: 0.2, to: 0.95 }],
});
const HAND_OVER_EDGE = stance(SEATED, {
  start: { right: { raise: 30, plane: 88, elbow: 60, pronate: 88, curl: 10 } },
  props: [{ kind: 'table', z: 0.68, from: 0.05, to: 0.46 }],
});
const PEN = stance(SEATED, { start: { right: { raise: 6, elbow: 90, curl: 85 } }, props: [{ kind: 'stick', in: 'right hand' }] });
const ARM_OUT_SUPINE = stance(SUPINE, { start: { right: { plane: 0, raise: 88, rotate: 0, elbow: 90 } } });
const SCALE = { kind: 'weight', on: 'right foot' } as const;

/** The figure of every built-in check: its end position, with what is measured marked on it. */
export const CHECK_FIGURES: Readonly<Record<string, Movement>> = {
  'shoulder-flexion': arm({
    keys: [{ right: { plane: 90, raise: 168, elbow: 0, curl: 0 } }],
    props: [{ kind: 'wall', x: -0.14 }],
    view: 'side',
    marks: [angle('shoulder', 'trunk down', 'upper arm')],
  }),
  'shoulder-flexion-passive': sided(SUPINE, {
    keys: [{ right: { plane: 90, raise: 166, elbow: 0 } }],
    marks: [angle('shoulder', 'trunk down', 'upper arm')],
  }),
  'rotator-ratio': sided(SUPINE, {
    start: { right: { raise: 6, elbow: 90 } },
    keys: [{ right: { rotate: 14 } }],
    view: 'three-quarter',
    second: 'above',
  }),
  'blade-dyskinesis': marked(B['scaption-raises']),
  'neck-rotation': sided(SEATED, { keys: [{ look: -72 }], view: 'three-quarter', second: 'above' }),
  'shoulder-extension': arm({
    keys: [{ right: { plane: -90, raise: 50, elbow: 0 } }],
    view: 'side',
    marks: [angle('shoulder', 'trunk down', 'upper arm')],
  }),
  'shoulder-abduction': arm({
    keys: [{ right: { plane: 0, raise: 164, elbow: 0, pronate: -60, curl: 0 } }],
    view: 'front',
    marks: [angle('shoulder', 'trunk down', 'upper arm')],
  }),
  scaption: arm({
    keys: [{ right: { plane: 35, raise: 160, elbow: 0, pronate: -30, curl: 0 } }],
    view: 'three-quarter',
    second: 'above',
    marks: [angle('shoulder', 'trunk down', 'upper arm')],
  }),
  'horizontal-adduction': arm({
    start: { right: { plane: 0, raise: 88, elbow: 0, curl: 0 } },
    keys: [{ right: { plane: 130 } }],
    view: 'above',
    second: 'front',
    marks: [angle('shoulder', 'outward', 'upper arm')],
  }),
  'blade-elevation': arm({ keys: [{ right: { lift: 30 } }], view: 'back', closeUp: 'blades' }),
  'blade-depression': sided(SEATED, { keys: [{ right: { lift: -14, elbow: 0 } }], view: 'back', closeUp: 'blades' }),
  'blade-protraction': arm({
    start: { right: { plane: 90, raise: 88, elbow: 0, curl: 0 } },
    keys: [{ right: { reach: 32 } }],
    props: [{ kind: 'wall', x: -0.14 }],
    view: 'side',
    closeUp: 'blades',
  }),
  'blade-retraction': arm({
    start: { right: { plane: 90, raise: 88, elbow: 0, curl: 0 } },
    keys: [{ right: { reach: -28 } }],
    view: 'side',
    second: 'back',
    closeUp: 'blades',
  }),
  'rotation-at-side': sided(SUPINE, {
    start: { right: { plane: 0, raise: 6, elbow: 90 } },
    keys: [{ right: { rotate: 58 } }],
    view: 'three-quarter',
    second: 'above',
    marks: [angle('elbow', 'up', 'forearm')],
  }),
  'rotation-overhead': sided(SUPINE, {
    start: { right: { plane: 60, raise: 160, elbow: 90 } },
    keys: [{ right: { rotate: 62 } }],
    view: 'three-quarter',
    second: 'above',
    marks: [angle('elbow', 'up', 'forearm')],
  }),
  'horizontal-abduction': arm({
    start: { right: { plane: 0, raise: 88, elbow: 0, curl: 0, pronate: -60 } },
    keys: [{ right: { plane: -34, reach: -16 } }],
    view: 'above',
    second: 'front',
    marks: [angle('shoulder', 'outward', 'upper arm')],
  }),
  'forearm-stretch-gap': marked(A['kneeling-palm-stretch'], { kind: 'gap', from: 'pelvis', to: 'right foot' }),
  straddle: move(LONG_SITTING, {
    start: { both: { hip: 90, abduct: 20, raise: 20, plane: 60, elbow: 30 } },
    contacts: [middle('seat')],
    keys: [{ both: { abduct: 56 } }],
    props: [{ kind: 'wall', x: -0.13 }],
    view: 'above',
    second: 'front',
    marks: [{ kind: 'gap', from: 'right foot', to: 'left foot' }],
  }),
  'side-reach': { ...marked(M['overhead-behind-reach'], { kind: 'gap', from: 'right fingertips', to: 'left fingertips' }), view: 'back' },
  'blade-winging': marked(B['wall-push-hold']),
  'blade-shrug': { ...marked(M['side-reaches']), view: 'back' },
  'blade-rotation': marked(B['lower-tip-raises']),
  'wall-slide-height': marked(B['wall-slides'], angle('shoulder', 'outward', 'upper arm')),
  'wall-slide-contact': marked(B['wall-slides']),
  'strap-pass-through': marked(M['strap-pass-throughs'], { kind: 'gap', from: 'right hand', to: 'left hand' }),
  'shoulder-internal-rotation': sided(ARM_OUT_SUPINE, {
    keys: [{ right: { rotate: -60 } }],
    view: 'side',
    marks: [angle('elbow', 'up', 'forearm')],
  }),
  'shoulder-external-rotation': sided(ARM_OUT_SUPINE, {
    keys: [{ right: { rotate: 84 } }],
    view: 'side',
    marks: [angle('elbow', 'up', 'forearm')],
  }),
  grip: arm({
    start: { right: { raise: 4, elbow: 90, curl: 40 } },
    keys: [{ right: { curl: 88, knuckle: 12 } }],
    view: 'side',
    closeUp: 'right hand',
  }),
  'grip-pain-free': arm({
    start: { right: { raise: 4, elbow: 0, pronate: 85, curl: 40 } },
    keys: [{ right: { curl: 88, knuckle: 12 } }],
    view: 'side',
    closeUp: 'right hand',
  }),
  'full-fist': sided(SEATED, {
    start: { right: { raise: 10, elbow: 100, curl: 0 } },
    keys: [{ right: { knuckle: 70, curl: 60 } }],
    view: 'front',
    closeUp: 'right hand',
    closeFrom: 'side',
  }),
  'wrist-extension': sided(HAND_OVER_EDGE, {
    keys: [{ right: { wrist: 68 } }],
    view: 'side',
    closeUp: 'right hand',
    marks: [angle('wrist', 'forearm on', 'hand')],
  }),
  'wrist-flexion': sided(HAND_OVER_EDGE, {
    keys: [{ right: { wrist: -72 } }],
    view: 'side',
    closeUp: 'right hand',
    marks: [angle('wrist', 'forearm on', 'hand')],
  }),
  'radial-deviation': sided(AT_TABLE, {
    keys: [{ right: { deviate: 22 } }],
    closeUp: 'right hand',
    closeFrom: 'above',
    marks: [angle('wrist', 'forearm on', 'hand')],
  }),
  'ulnar-deviation': sided(AT_TABLE, {
    keys: [{ right: { deviate: -34 } }],
    closeUp: 'right hand',
    closeFrom: 'above',
    marks: [angle('wrist', 'forearm on', 'hand')],
  }),
  pronation: sided(PEN, {
    keys: [{ right: { pronate: 80 } }],
    view: 'front',
    closeUp: 'right hand',
    marks: [angle('wrist', 'up', 'thumb')],
  }),
  supination: sided(PEN, {
    keys: [{ right: { pronate: -82 } }],
    view: 'front',
    closeUp: 'right hand',
    marks: [angle('wrist', 'up', 'thumb')],
  }),
  'elbow-extension': sided(SEATED, {
    start: { right: { plane: 90, raise: 84, elbow: 60, pronate: -80, curl: 0 } },
    keys: [{ right: { elbow: 0 } }],
    view: 'side',
    marks: [angle('elbow', 'upper arm on', 'forearm')],
  }),
  'elbow-crease': marked(H['elbow-alignment-tabletop']),
  'peel-depth': marked(H['peel-drill']),
  'peel-test': marked(H['peel-drill']),
  'back-of-hand': marked(H['back-of-hand-rocks']),
  'wrist-extension-loaded': sided(TABLETOP, {
    keys: [{ by: [0.08, 0, 0], both: { wrist: 98 } }],
    closeUp: 'right hand',
    marks: [angle('wrist', 'forearm on', 'hand')],
  }),
  'heel-of-hand-lifts': marked(H['heel-of-hand-lifts']),
  'heel-lifts-thumb': marked(H['heel-lifts-to-thumb']),
  'heel-lifts-little-finger': marked(H['heel-lifts-to-little-finger']),
  confidence: move(STANDING, {}),
  'scapular-push-ups': marked(B['tabletop-scapular-push-up']),
  'hand-load-push': marked(P['practice-support-tabletop'], { kind: 'weight', on: 'right hand' }),
  'forearm-load': marked(B['forearm-plank'], SCALE),
  'push-ups-clean': marked(P['practice-floor-push-up']),
  'closed-chain-touches': sided(PLANK, {
    start: { both: { plane: 60, raise: 78, abduct: 10 } },
    keys: [{ off: ['right palm'], by: [0, 0.04, 0], right: { plane: 120, raise: 70, elbow: 20, wrist: 20 } }],
    view: 'three-quarter',
    second: 'front',
  }),
  'wall-slides-clean': marked(B['wall-slides']),
  'seated-press': marked(P['practice-press-legs-long']),
  'seated-press-hold': marked(P['seated-press-floor']),
  'lean-hold': marked(P['practice-lean-5'], { kind: 'gap', from: 'right hand', to: 'right shoulder' }),
  'arm-lean': marked(P['practice-lean-15'], angle('wrist', 'up', 'forearm back')),
  'pike-hip-angle': marked(move(PIKE, {}), angle('hip', 'trunk up', 'thigh')),
  'fingertip-hold': marked(P['practice-tips-knees']),
  'forearm-plank-hold': marked(B['forearm-plank']),
  'side-plank-hold': marked(B['forearm-side-plank-dips']),
  'plank-hold': marked(B['plank']),
  'raised-arm-hold': marked(B['raised-arm-plank']),
  'hand-load-hang': move(FEET_HANG, { start: { both: { lift: -8 } }, marks: [SCALE] }),
  'one-hand-load-hang': sided(FEET_HANG, { keys: [{ by: [0, 0.1, 0] }], view: 'front', marks: [SCALE] }),
  'one-hand-hold': marked(G['practice-one-hand-45']),
  'bar-landing': marked(G['bar-landing-practice']),
  'rows-clean': marked(G['low-bar-rows']),
  'packed-hang': marked(G['supported-packed-hang']),
  'one-shoulder-packs': marked(G['supported-one-shoulder-pack']),
  'free-hang': marked(G['practice-free-hang']),
  'dead-hang': move(HANGING, { start: { both: { lift: 14 } } }),
  'ball-toss': marked(G['ball-toss-feet']),
  'release-swing': sided(STEP_HANG, {
    keys: [{ off: ['right grip'], yaw: 18, by: [0, 0.06, 0], right: { plane: 20, raise: 16, curl: 20 } }],
    view: 'front',
  }),
};
