interface ShareBarProps {
  readonly share: number;
  readonly from: number;
  readonly to: number;
  readonly words: string;
  /** What it ought to be; nothing where nothing is asked. */
  readonly aim?: number;
}

const WIDTH = 200;
const HEIGHT = 14;

/** A share from 0 to 100% with what it may truly be. */
export function ShareBar({ share, from, to, words, aim }: ShareBarProps) {
  const x = (of: number) => of * WIDTH;
  return (
    <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} className="mt-1 block h-3.5 w-full" preserveAspectRatio="none" role="img" aria-label={words}>
      <title>{words}</title>
      <rect x={0} y={5} width={WIDTH} height={4} fill="currentColor" opacity={0.12} />
      <rect x={x(from)} y={3} width={Math.max(1, x(to) - x(from))} height={8} className="text-primary" fill="currentColor" opacity={0.35} />
      <rect x={Math.max(0, x(share) - 1.5)} y={0} width={3} height={HEIGHT} fill="currentColor" />
      {aim !== undefined && <rect x={x(aim) - 0.75} y={0} width={1.5} height={HEIGHT} className="text-error" fill="currentColor" />}
    </svg>
  );
}
