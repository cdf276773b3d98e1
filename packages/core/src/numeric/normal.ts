type Coefficients = readonly number[];

/** c0·x^n + c1·x^(n−1) + … + cn. */
const polynomial = (x: number, coefficients: Coefficients): number => {
  let sum = 0;
  // By index: an iterator costs more than the arithmetic, and fits ask for this a hundred thousand times.
  for (let i = 0; i < coefficients.length; i++) sum = sum * x + (coefficients[i] as number);
  return sum;
};

const SQRT_PI = Math.sqrt(Math.PI);

const SMALL = 0.46875;
const SMALL_TOP = [
  0.18577770618460315, 3.1611237438705655, 113.86415415105016, 377.485237685302, 3209.3775891384694,
];
const SMALL_BOTTOM = [
  1, 23.601290952344122, 244.02463793444417, 1282.6165260773723, 2844.236833439171,
];
const MIDDLE_TOP = [
  2.1531153547440383e-8, 0.5641884969886701, 8.883149794388377, 66.11919063714163,
  298.6351381974001, 881.952221241769, 1712.0476126340707, 2051.0783778260716, 1230.3393547979972,
];
const MIDDLE_BOTTOM = [
  1, 15.744926110709835, 117.6939508913125, 537.1811018620099, 1621.3895745666903,
  3290.7992357334597, 4362.619090143247, 3439.3676741437216, 1230.3393548037495,
];
const LARGE_TOP = [
  0.016315387137302097, 0.30532663496123236, 0.36034489994980445, 0.12578172611122926,
  0.016083785148742275, 0.0006587491615298378,
];
const LARGE_BOTTOM = [
  1, 2.568520192289822, 1.8729528499234604, 0.5279051029514285, 0.06051834131244132,
  0.0023352049762686918,
];

/**
 * e^(x²)·erfc(x) for x ≥ 0.46875, by rational approximations that hold to the last digits of a
 * double (Cody 1969, Math. Comp. 23).
 */
function scaledTail(x: number): number {
  if (x <= 4) return polynomial(x, MIDDLE_TOP) / polynomial(x, MIDDLE_BOTTOM);
  const square = 1 / (x * x);
  const correction = (square * polynomial(square, LARGE_TOP)) / polynomial(square, LARGE_BOTTOM);
  return (1 / SQRT_PI - correction) / x;
}

/** Complementary error function, relative error below 1e-14 in both tails (Cody 1969). */
export function erfc(x: number): number {
  if (x < 0) return 2 - erfc(-x);
  if (x >= SMALL) return Math.exp(-x * x) * scaledTail(x);
  const square = x * x;
  return 1 - (x * polynomial(square, SMALL_TOP)) / polynomial(square, SMALL_BOTTOM);
}

/** e^(x²)·erfc(x): the tail's shape where erfc itself would be too small to be a number. */
export function scaledErfc(x: number): number {
  if (x >= SMALL) return scaledTail(x);
  const grown = Math.exp(x * x);
  return x <= -SMALL ? 2 * grown - scaledTail(-x) : grown * erfc(x);
}

/** ln of that. */
export const logScaledErfc = (x: number): number =>
  x >= SMALL ? Math.log(scaledTail(x)) : x * x + Math.log(erfc(x));

/** P(Z ≤ z) of a standard normal Z. */
export const normalCdf = (z: number): number => erfc(-z / Math.SQRT2) / 2;

const CENTRE_TOP = [
  2509.0809287301227, 33430.57558358813, 67265.7709270087, 45921.95393154987, 13731.69376550946,
  1971.5909503065513, 133.14166789178438, 3.3871328727963665,
];
const CENTRE_BOTTOM = [
  5226.495278852546, 28729.085735721943, 39307.89580009271, 21213.794301586597, 5394.196021424751,
  687.1870074920579, 42.31333070160091, 1,
];
const SHOULDER_TOP = [
  0.0007745450142783414, 0.022723844989269184, 0.2417807251774506, 1.2704582524523684,
  3.6478483247632045, 5.769497221460691, 4.630337846156546, 1.4234371107496835,
];
const SHOULDER_BOTTOM = [
  1.0507500716444169e-9, 0.0005475938084995345, 0.015198666563616457, 0.14810397642748008,
  0.6897673349851, 1.6763848301838038, 2.053191626637759, 1,
];
const TAIL_TOP = [
  2.0103343992922881e-7, 0.000027115555687434876, 0.0012426609473880784, 0.026532189526576124,
  0.29656057182850487, 1.7848265399172913, 5.463784911164114, 6.657904643501103,
];
const TAIL_BOTTOM = [
  2.0442631033899397e-15, 1.421511758316446e-7, 0.000018463183175100548, 0.0007868691311456133,
  0.014875361290850615, 0.1369298809227358, 0.599832206555888, 1,
];

/** The z with P(Z ≤ z) = p, 0 < p < 1 (Wichura 1988, Appl. Stat. 37, algorithm AS 241). */
export function normalQuantile(p: number): number {
  const q = p - 0.5;
  if (Math.abs(q) <= 0.425) {
    const r = 0.180625 - q * q;
    return (q * polynomial(r, CENTRE_TOP)) / polynomial(r, CENTRE_BOTTOM);
  }
  const r = Math.sqrt(-Math.log(q < 0 ? p : 1 - p));
  const z =
    r <= 5
      ? polynomial(r - 1.6, SHOULDER_TOP) / polynomial(r - 1.6, SHOULDER_BOTTOM)
      : polynomial(r - 5, TAIL_TOP) / polynomial(r - 5, TAIL_BOTTOM);
  return q < 0 ? -z : z;
}
