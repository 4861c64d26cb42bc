/**
 * The least number between two at which a rising function is no longer below nothing, by halving until no number lies between;
 * the higher end where it never is, and no number where an end is none. A step counts as well as a slope.
 * @example rootBetween(0, 2, (x) => x * x - 2) → 1.4142135623730951
 */
export function rootBetween(low: number, high: number, rising: (x: number) => number): number {
  let [below, there] = [low, high]
  for (;;) {
    const middle = (below + there) / 2
    if (Number.isNaN(middle)) return middle
    if (middle <= below || middle >= there) return there
    if (rising(middle) < 0) below = middle
    else there = middle
  }
}
