import {
  type Build,
  type KnownBody,
  type Landmark,
  linkage,
  plannedStance,
  type Point,
  POSES,
  type PoseName,
  type Scenery,
  type Stance,
  type StaticPosition,
  type SupportPlan,
  type Surface,
} from '@myokinet/core/statics';

/** What is drawn of a body: its joints, and the lines of what it rests on or hangs from, y down as on the screen. */
export interface Figure {
  readonly joints: Joints;
  readonly scenery: readonly string[];
}

type Joints = Readonly<Record<Landmark, Point>>;
interface Frame {
  readonly left: number;
  readonly right: number;
}

const horizontal = (x1: number, x2: number, y: number) => `M${x1} ${-y}H${x2}`;

const SURFACES: Readonly<Record<Surface, (joints: Joints, frame: Frame) => string>> = {
  floor: (j, { left, right }) => horizontal(left + 0.06, right - 0.06, Math.min(...Object.values(j).map((p) => p.y)) - 0.07),
  wall: (j) => `M${j.knuckles.x + 0.07} ${-(j.wrist.y + 0.5)}V${-(j.ankle.y - 0.1)}`,
  'wall behind': (j, { left }) =>
    `M${left + 0.04} ${-(Math.max(...Object.values(j).map((p) => p.y)) + 0.1)}V${-(Math.min(...Object.values(j).map((p) => p.y)) - 0.07)}`,
  'bench behind': (j) =>
    `${horizontal(j.wrist.x - 0.34, j.wrist.x + 0.12, j.wrist.y - 0.06)} M${j.wrist.x - 0.26} ${-(j.wrist.y - 0.06)}V${-(j.ankle.y - 0.07)}`,
  seat: (j) => `${horizontal(j.hip.x - 0.2, j.hip.x + 0.22, j.hip.y - 0.1)} M${j.hip.x - 0.12} ${-(j.hip.y - 0.1)}V${-(j.ankle.y - 0.07)}`,
  post: (j, { left, right }) =>
    `M${Math.max(j.knuckles.x, j.otherWrist.x) + 0.03} ${-(j.crown.y + 0.3)}V${-(j.ankle.y - 0.07)} ${horizontal(left + 0.06, right - 0.06, j.ankle.y - 0.07)}`,
  'band to the feet': (j) => `M${j.knuckles.x} ${-j.knuckles.y}L${j.ankle.x} ${-(j.ankle.y - 0.05)}`,
  bench: (j) =>
    `${horizontal(j.wrist.x - 0.16, j.wrist.x + 0.34, j.wrist.y - 0.06)} M${j.wrist.x + 0.26} ${-(j.wrist.y - 0.06)}V${-(j.toe.y - 0.07)}`,
  bar: (j) => `M${j.knuckles.x - 0.02} ${-j.knuckles.y}m-.05 0a.05 .05 0 1 0 .1 0a.05 .05 0 1 0 -.1 0`,
  step: (j) =>
    `${horizontal(j.ankle.x - 0.14, j.ankle.x + 0.36, j.ankle.y - 0.07)} M${j.ankle.x - 0.14} ${-(j.ankle.y - 0.07)}v.16h.5v-.16`,
  'weight in the hand': (j) => `M${j.knuckles.x - 0.08} ${-(j.knuckles.y + 0.02)}h.16v.12h-.16z`,
  'weight on the back': (j) => `M${j.shoulder.x - 0.22} ${-(j.shoulder.y + 0.08)}l.18 -.06`,
};

const MARGIN = 0.16;

/** A working position as it is sketched. */
function posed(name: PoseName, build: Build): Figure {
  const pose = POSES[name];
  const joints = linkage(pose, build);
  const xs = Object.values(joints).map((p) => p.x);
  const frame = { left: Math.min(...xs) - MARGIN, right: Math.max(...xs) + MARGIN };
  return { joints, scenery: pose.surfaces.map((surface) => SURFACES[surface](joints, frame)) };
}

/** A set-up as the model has worked it out. */
export function stood(stance: Stance): Figure {
  const { ball, ankle, knee, hip, shoulder, crown, elbow, wrist, knuckles, otherElbow, otherWrist } = stance.joints;
  return {
    joints: {
      toe: ball,
      ankle,
      knee,
      hip,
      shoulder,
      crown,
      elbow,
      wrist,
      knuckles,
      otherElbow: otherElbow ?? elbow,
      otherWrist: otherWrist ?? wrist,
      otherKnee: knee,
      otherAnkle: ankle,
    },
    scenery: stance.scenery().map(sceneryLine),
  };
}

function sceneryLine(scenery: Scenery): string {
  switch (scenery.kind) {
    case 'floor':
      return horizontal(scenery.from.x, scenery.to.x, scenery.from.y);
    case 'surface': {
      const { from, to, legs = from.y } = scenery;
      return `${horizontal(from.x, to.x, from.y)} M${to.x - 0.04} ${-from.y}V${-legs}`;
    }
    case 'wall':
    case 'post':
    case 'band':
      return `M${scenery.from.x} ${-scenery.from.y}L${scenery.to.x} ${-scenery.to.y}`;
    case 'bar':
      return `M${scenery.at.x} ${-scenery.at.y}m-.05 0a.05 .05 0 1 0 .1 0a.05 .05 0 1 0 -.1 0`;
    case 'weight':
      return `M${scenery.at.x - 0.08} ${-(scenery.at.y + 0.06)}h.16v.12h-.16z`;
    case 'scale':
      return `M${scenery.at.x - 0.2} ${-(scenery.at.y - 0.03)}h.4v.06h-.4z`;
  }
}

/** Positions whose worked-out figure tells more than the sketch of the drill. */
const TELLING: ReadonlySet<StaticPosition> = new Set([
  'wall-push',
  'push-up',
  'kneeling-push-up',
  'tabletop',
  'plank',
  'pike-hold',
  'handstand',
  'forearm-plank',
  'forearm-balance',
  'seated-press',
  'bench-dip',
  'crouched-lean',
  'arm-balance',
  'lean-back-hang',
]);

/** A rung's figure on a trainee: worked out where the model knows its set-up, else its sketch. */
export function figureOn(
  { pose, support }: { readonly pose: PoseName; readonly support?: SupportPlan },
  build: Build,
  body: KnownBody,
): Figure {
  const stance = support && TELLING.has(support.setUp.position) ? plannedStance(body, support) : undefined;
  return stance ? stood(stance) : posed(pose, build);
}
