import { type Build, type Landmark, linkage, type Point, POSES, type PoseName, type Surface } from '@myokinet/core/statics';

/** Joined in this order; the far arm is drawn first and lighter. */
const BODY: readonly Landmark[] = ['toe', 'ankle', 'knee', 'hip', 'shoulder', 'crown'];
const NEAR_ARM: readonly Landmark[] = ['shoulder', 'elbow', 'wrist', 'knuckles'];
const FAR_ARM: readonly Landmark[] = ['shoulder', 'otherElbow', 'otherWrist'];
const FAR_LEG: readonly Landmark[] = ['hip', 'otherKnee', 'otherAnkle'];

const MARGIN = 0.16;
const HEAD_RADIUS = 0.115;

export interface SetUpFigureProps {
  readonly pose: PoseName;
  readonly build: Build;
  readonly size: number;
  /** Given where the figure is not only decoration. */
  readonly label?: string;
}

/** A set-up in side view, drawn to the trainee's proportions, with what it rests on or hangs from. */
export function SetUpFigure({ pose: name, build, size, label }: SetUpFigureProps) {
  const pose = POSES[name];
  const joints = linkage(pose, build);
  const points = Object.values(joints);
  const [left, right] = [Math.min(...points.map((p) => p.x)) - MARGIN, Math.max(...points.map((p) => p.x)) + MARGIN];
  const [low, high] = [Math.min(...points.map((p) => p.y)) - MARGIN, Math.max(...points.map((p) => p.y)) + MARGIN];
  const extent = Math.max(right - left, high - low);
  const view = `${(left + right - extent) / 2} ${-(low + high + extent) / 2} ${extent} ${extent}`;
  const path = (landmarks: readonly Landmark[]) =>
    landmarks.map((l, i) => `${i === 0 ? 'M' : 'L'}${joints[l].x} ${-joints[l].y}`).join(' ');
  const stroke = extent / 19;
  const head = middle(joints.shoulder, joints.crown, 0.68);
  return (
    <svg
      viewBox={view}
      width={size}
      height={size}
      fill="none"
      stroke="currentColor"
      strokeWidth={stroke}
      strokeLinecap="round"
      strokeLinejoin="round"
      {...(label ? { role: 'img', 'aria-label': label } : { 'aria-hidden': true })}
    >
      {pose.surfaces.map((surface) => (
        <path
          key={surface}
          d={SURFACES[surface](joints, { left, right })}
          className="text-secondary"
          stroke="currentColor"
          strokeWidth={stroke * 0.8}
        />
      ))}
      {[FAR_LEG, FAR_ARM].map((limb) => (
        <path key={limb[1]} d={path(limb)} opacity={0.45} strokeWidth={stroke * 0.8} />
      ))}
      <path d={path(BODY.slice(0, 5))} />
      <path d={path(NEAR_ARM)} strokeWidth={stroke * 0.9} />
      <circle cx={head.x} cy={-head.y} r={HEAD_RADIUS} fill="currentColor" stroke="none" />
    </svg>
  );
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

function middle(a: Point, b: Point, share: number): Point {
  return { x: a.x + (b.x - a.x) * share, y: a.y + (b.y - a.y) * share };
}
