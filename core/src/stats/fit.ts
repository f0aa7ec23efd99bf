/** A growth curve fitted to measurements: its parameters with standard errors, and how far points lie off it. */
export interface Fit {
  curve: CurveName;
  parameters: { name: string; value: number; se: number }[];
  /** residual standard error, in the unit of y, with n − 3 degrees of freedom */
  sigma: number;
  at: (x: number) => number;
}

export type CurveName = keyof typeof CURVES;

interface Curve {
  names: readonly [string, string, string];
  value: (x: number, p: readonly number[]) => number;
  /** partial derivatives by each parameter */
  slopes: (x: number, p: readonly number[]) => [number, number, number];
  /** where the search begins */
  start: (xs: readonly number[], ys: readonly number[]) => [number, number, number];
}

const most = (ys: readonly number[]) => Math.max(...ys);
const least = (ys: readonly number[]) => Math.min(...ys);

/** Curves of three parameters, named as R names them (`SSlogis`, `SSasymp`). */
const CURVES = {
  /** Asym ÷ (1 + exp((xmid − x) ÷ scal)) */
  logistic: {
    names: ['Asym', 'xmid', 'scal'],
    value: (x, [asym, mid, scale]) => asym / (1 + Math.exp((mid - x) / scale)),
    slopes: (x, [asym, mid, scale]) => {
      const e = Math.exp((mid - x) / scale);
      const d = (1 + e) ** 2;
      return [1 / (1 + e), (-asym * e) / (scale * d), (asym * e * (mid - x)) / (scale ** 2 * d)];
    },
    start: (xs, ys) => {
      const asym = most(ys) * 1.1;
      // the half-way point and the slope by a straight line through the logits
      const logits = ys.map((y) => Math.log(Math.max(1e-6, y) / Math.max(1e-6, asym - y)));
      const { slope, at0 } = line(xs, logits);
      return [asym, -at0 / slope, 1 / slope];
    },
  },
  /** Asym + (R0 − Asym)·exp(−exp(lrc)·x) */
  asymptotic: {
    names: ['Asym', 'R0', 'lrc'],
    value: (x, [asym, r0, lrc]) => asym + (r0 - asym) * Math.exp(-Math.exp(lrc) * x),
    slopes: (x, [asym, r0, lrc]) => {
      const rate = Math.exp(lrc);
      const e = Math.exp(-rate * x);
      return [1 - e, e, -(r0 - asym) * e * rate * x];
    },
    start: (xs, ys) => {
      const asym = most(ys) + 0.25 * (most(ys) - least(ys));
      const { slope, at0 } = line(
        xs,
        ys.map((y) => Math.log(asym - y)),
      );
      return [asym, asym - Math.exp(at0), Math.log(Math.max(1e-6, -slope))];
    },
  },
} satisfies Record<string, Curve>;

function line(xs: readonly number[], ys: readonly number[]): { slope: number; at0: number } {
  const mean = (v: readonly number[]) => v.reduce((a, b) => a + b, 0) / v.length;
  const mx = mean(xs);
  const my = mean(ys);
  const slope =
    xs.reduce((s, x, i) => s + (x - mx) * (ys[i] - my), 0) / xs.reduce((s, x) => s + (x - mx) ** 2, 0);
  return { slope, at0: my - slope * mx };
}

/** Inverse of a symmetric 3 × 3 matrix, by cofactors; null where it has none. */
function inverse3(m: readonly number[][]): number[][] | null {
  const minor = (r: number, c: number) => {
    const rows = [0, 1, 2].filter((i) => i !== r);
    const cols = [0, 1, 2].filter((i) => i !== c);
    return m[rows[0]][cols[0]] * m[rows[1]][cols[1]] - m[rows[0]][cols[1]] * m[rows[1]][cols[0]];
  };
  const det = m[0][0] * minor(0, 0) - m[0][1] * minor(0, 1) + m[0][2] * minor(0, 2);
  if (!Number.isFinite(det) || Math.abs(det) < 1e-300) return null;
  return [0, 1, 2].map((r) => [0, 1, 2].map((c) => (((r + c) % 2 === 0 ? 1 : -1) * minor(c, r)) / det));
}

const ROUNDS = 200;
const LEAST_DATES = 5;

/**
 * Least squares fit of a growth curve by Levenberg–Marquardt, with the standard errors of the linear approximation
 * at the answer (σ²·(JᵀJ)⁻¹, as R's `nls` gives them). `xs`, `ys`: same length, any unit. Null with fewer than five
 * points, or where the points do not bear such a curve.
 *
 * @example fitCurve('logistic', ages, girths)?.parameters[0] // { name: 'Asym', value: 192.7, se: 20.2 }
 */
export function fitCurve(name: CurveName, xs: readonly number[], ys: readonly number[]): Fit | null {
  if (xs.length < LEAST_DATES || new Set(xs).size < 4) return null;
  const curve: Curve = CURVES[name];
  const sumOf = (p: readonly number[]) => xs.reduce((s, x, i) => s + (ys[i] - curve.value(x, p)) ** 2, 0);
  let p: number[] = curve.start(xs, ys);
  let sum = sumOf(p);
  if (!Number.isFinite(sum)) return null;
  let damping = 1e-3;
  for (let round = 0; round < ROUNDS; round++) {
    const { normal, right } = system(curve, xs, ys, p);
    const inverse = inverse3(normal.map((row, r) => row.map((v, c) => (r === c ? v * (1 + damping) : v))));
    const next = inverse && p.map((v, r) => v + inverse[r].reduce((s, w, c) => s + w * right[c], 0));
    const tried = next ? sumOf(next) : NaN;
    if (next && tried <= sum) {
      const gain = (sum - tried) / Math.max(sum, 1e-12);
      [p, sum, damping] = [next, tried, damping / 10];
      if (gain < 1e-12) break;
    } else if ((damping *= 10) > 1e12) break;
  }
  return described(name, curve, xs, ys, p, sum);
}

function system(curve: Curve, xs: readonly number[], ys: readonly number[], p: readonly number[]) {
  const normal = [
    [0, 0, 0],
    [0, 0, 0],
    [0, 0, 0],
  ];
  const right = [0, 0, 0];
  for (const [i, x] of xs.entries()) {
    const slopes = curve.slopes(x, p);
    const off = ys[i] - curve.value(x, p);
    for (let r = 0; r < 3; r++) {
      right[r] += slopes[r] * off;
      for (let c = 0; c < 3; c++) normal[r][c] += slopes[r] * slopes[c];
    }
  }
  return { normal, right };
}

function described(
  name: CurveName,
  curve: Curve,
  xs: readonly number[],
  ys: readonly number[],
  p: readonly number[],
  sum: number,
): Fit | null {
  const covariance = inverse3(system(curve, xs, ys, p).normal);
  const sigma = Math.sqrt(sum / (xs.length - 3));
  const errors = covariance?.map((row, r) => sigma * Math.sqrt(row[r]));
  if (!errors?.every(Number.isFinite) || !p.every(Number.isFinite)) return null;
  return {
    curve: name,
    parameters: curve.names.map((n, i) => ({ name: n, value: p[i], se: errors[i] })),
    sigma,
    at: (x) => curve.value(x, p),
  };
}
