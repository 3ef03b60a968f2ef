/** The part of the reference filter library that tests and benchmarks use. */
declare module 'fili' {
  interface Section {
    readonly b: readonly number[];
    readonly a: readonly number[];
  }
  export class CalcCascades {
    lowpass(options: { order: number; characteristic: 'butterworth'; Fs: number; Fc: number; preGain: boolean }): readonly Section[];
  }
  export class IirFilter {
    constructor(sections: readonly Section[]);
    filtfilt(input: readonly number[]): readonly number[];
    multiStep(input: readonly number[]): readonly number[];
  }
}
