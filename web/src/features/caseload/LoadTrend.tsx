const HEIGHT = 22;
const BAR = 9;
const GAP = 3;

/** Session load (effort × minutes) of four weeks as bars, with the figures in words. */
export function LoadTrend({ weekLoads }: { readonly weekLoads: readonly number[] }) {
  const most = Math.max(1, ...weekLoads);
  const words = `${weekLoads.join(', ')} (effort × minutes, oldest week first)`;
  return (
    <span className="flex items-center gap-2" title={words}>
      <svg width={weekLoads.length * (BAR + GAP)} height={HEIGHT} role="img" aria-label={`Load of the last four weeks: ${words}`}>
        {weekLoads.map((load, i) => {
          const height = Math.max(1, (load / most) * HEIGHT);
          return (
            <rect
              key={i}
              x={i * (BAR + GAP)}
              y={HEIGHT - height}
              width={BAR}
              height={height}
              fill="currentColor"
              opacity={i === weekLoads.length - 1 ? 0.9 : 0.4}
            />
          );
        })}
      </svg>
      <span className="text-sm" aria-hidden>
        {weekLoads.at(-1)}
      </span>
    </span>
  );
}
