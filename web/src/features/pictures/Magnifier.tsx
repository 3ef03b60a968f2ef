import type { Box, Finger } from './frame.ts';

export interface MagnifierProps {
  readonly url: string;
  readonly width: number;
  readonly height: number;
  readonly box: Box;
  readonly at: Finger;
}

/** Of the smaller side of what is seen. */
const SHARE = 0.4;
const TIMES = 3;

/** What lies under the finger, three times as large, in the corner away from it. */
export function Magnifier({ url, width, height, box, at }: MagnifierProps) {
  const side = SHARE * Math.min(box.w, box.h);
  const x = at.x > box.x + box.w / 2 ? box.x : box.x + box.w - side;
  const part = side / TIMES;
  const hair = part / 80;
  return (
    <g aria-hidden pointerEvents="none">
      <svg x={x} y={box.y} width={side} height={side} viewBox={`${at.x - part / 2} ${at.y - part / 2} ${part} ${part}`}>
        <rect x={at.x - part} y={at.y - part} width={2 * part} height={2 * part} fill="#1f1d17" />
        <image href={url} width={width} height={height} />
        <path
          d={`M${at.x - part / 2} ${at.y}H${at.x + part / 2}M${at.x} ${at.y - part / 2}V${at.y + part / 2}`}
          stroke="#1f1d17"
          strokeWidth={2.4 * hair}
        />
        <path
          d={`M${at.x - part / 2} ${at.y}H${at.x + part / 2}M${at.x} ${at.y - part / 2}V${at.y + part / 2}`}
          stroke="#fdfaf2"
          strokeWidth={hair}
        />
      </svg>
      <rect x={x} y={box.y} width={side} height={side} fill="none" stroke="#fdfaf2" strokeWidth={side / 60} />
    </g>
  );
}
