/** The part of the reference filter that the tests use. */
declare module 'kalman-filter' {
  interface State {
    readonly mean: number[][];
    readonly covariance: number[][];
  }
  export class KalmanFilter {
    constructor(options: { readonly observation: object; readonly dynamic: object });
    predict(options: { readonly previousCorrected?: State }): State;
    correct(options: { readonly predicted: State; readonly observation: number[] }): State;
  }
}
