interface TickProps {
  readonly x?: number | string | undefined;
  readonly y?: number | string | undefined;
  readonly textAnchor?: string | undefined;
  readonly payload?: { readonly value: number } | undefined;
}

/** A tick of a chart as plain text: the chart library's own is measured word by word, which holds up the page. */
export function plainTick(words: (value: number) => string, drop: number) {
  return function tick({ x = 0, y = 0, textAnchor = 'middle', payload }: TickProps) {
    return (
      <text x={x} y={Number(y) + drop} textAnchor={textAnchor as 'middle' | 'end'} fontSize={12} fill="currentColor">
        {payload ? words(payload.value) : ''}
      </text>
    );
  };
}

interface PlotArea {
  readonly offset: { readonly top: number; readonly height: number };
}

/** Where the lines of a grid lie, in pixels; left to itself the library measures the ticks' words to find out. */
export function gridLines(low: number, high: number, steps: readonly number[]) {
  return ({ offset }: PlotArea) => steps.map((v) => offset.top + offset.height * (1 - (v - low) / (high - low)));
}

/** No lines that way: without it the library measures words for lines it does not draw. */
export const noLines = (): number[] => [];

/** Round steps for an axis from `low` to `high`, about `wanted` of them. */
export function roundSteps(low: number, high: number, wanted: number): readonly number[] {
  const rough = Math.max(high - low, 1e-9) / wanted;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = ([1, 2, 5, 10].find((m) => m * power >= rough) ?? 10) * power;
  const first = Math.ceil(low / step);
  return Array.from({ length: Math.floor(high / step) - first + 1 }, (_, i) => (first + i) * step);
}
