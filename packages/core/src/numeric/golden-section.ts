const GOLDEN = (Math.sqrt(5) - 1) / 2;

/** Where a function with one valley between two numbers is least, to within `tolerance` (Kiefer 1953). */
export function goldenSection(
  of: (x: number) => number,
  from: number,
  to: number,
  tolerance: number,
): number {
  let [low, high] = [from, to];
  let [left, right] = [high - GOLDEN * (high - low), low + GOLDEN * (high - low)];
  let [atLeft, atRight] = [of(left), of(right)];
  while (high - low > tolerance) {
    if (atLeft < atRight) {
      [high, right, atRight] = [right, left, atLeft];
      left = high - GOLDEN * (high - low);
      atLeft = of(left);
    } else {
      [low, left, atLeft] = [left, right, atRight];
      right = low + GOLDEN * (high - low);
      atRight = of(right);
    }
  }
  return (low + high) / 2;
}
