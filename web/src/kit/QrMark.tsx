import { useMemo } from 'react';
import { encode } from 'uqr';

interface QrMarkProps {
  readonly text: string;
  readonly label: string;
  readonly className?: string;
}

/** Modules of white round the code, as readers need them (ISO/IEC 18004, from memory). */
const QUIET = 4;

/** A text as a QR code, dark on white whatever the theme: cameras want it so. */
export function QrMark({ text, label, className }: QrMarkProps) {
  const { size, path } = useMemo(() => {
    const { data, size: edge } = encode(text, { border: QUIET, ecc: 'M' });
    return { size: edge, path: data.flatMap((row, y) => row.map((dark, x) => (dark ? `M${x} ${y}h1v1h-1z` : ''))).join('') };
  }, [text]);
  return (
    <svg viewBox={`0 0 ${size} ${size}`} className={className} role="img" aria-label={label} shapeRendering="crispEdges">
      <path d={`M0 0h${size}v${size}H0z`} fill="white" />
      <path d={path} fill="black" />
    </svg>
  );
}
