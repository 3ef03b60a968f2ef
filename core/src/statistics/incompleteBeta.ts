/** Lanczos coefficients for g = 7, n = 9 (Godfrey's set, from memory; checked against a reference library). */
const LANCZOS_G = 7;
const LANCZOS = [
  0.9999999999998099, 676.5203681218851, -1259.1392167224028, 771.3234287776531, -176.6150291621406, 12.507343278686905,
  -0.13857109526572012, 9.984369578019572e-6, 1.5056327351493116e-7,
];

function logGamma(x: number): number {
  const shifted = x - 1;
  const t = shifted + LANCZOS_G + 0.5;
  const series = LANCZOS.reduce((sum, c, i) => (i === 0 ? c : sum + c / (shifted + i)), 0);
  return 0.5 * Math.log(2 * Math.PI) + (shifted + 0.5) * Math.log(t) - t + Math.log(series);
}

const TINY = 1e-300;
const MAX_TERMS = 500;

/** Continued fraction of the incomplete beta function, evaluated by Lentz's method. */
function betaFraction(x: number, a: number, b: number): number {
  const guard = (v: number) => (Math.abs(v) < TINY ? TINY : v);
  let c = 1;
  let d = 1 / guard(1 - ((a + b) * x) / (a + 1));
  let result = d;
  for (let m = 1; m <= MAX_TERMS; m++) {
    const even = (m * (b - m) * x) / ((a + 2 * m - 1) * (a + 2 * m));
    d = 1 / guard(1 + even * d);
    c = guard(1 + even / c);
    result *= d * c;
    const odd = (-(a + m) * (a + b + m) * x) / ((a + 2 * m) * (a + 2 * m + 1));
    d = 1 / guard(1 + odd * d);
    c = guard(1 + odd / c);
    const step = d * c;
    result *= step;
    if (Math.abs(step - 1) < Number.EPSILON) break;
  }
  return result;
}

/** Regularised incomplete beta function I_x(a, b). */
export function incompleteBeta(x: number, a: number, b: number): number {
  if (x <= 0) return 0;
  if (x >= 1) return 1;
  const front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log1p(-x));
  return x < (a + 1) / (a + b + 2) ? (front * betaFraction(x, a, b)) / a : 1 - (front * betaFraction(1 - x, b, a)) / b;
}
