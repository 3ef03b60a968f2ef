/** The part of the reference statistics library that the tests use. */
declare module 'jstat' {
  export const jStat: {
    mean(values: number[]): number;
    stdev(values: number[], ofSample: boolean): number;
    readonly studentt: { inv(p: number, dof: number): number };
    readonly centralF: { inv(p: number, numerator: number, denominator: number): number };
    readonly normal: { inv(p: number, mean: number, sd: number): number; cdf(x: number, mean: number, sd: number): number };
  };
}
