/** A scale against a known weight. */

export interface ScaleCheckReport {
  readonly offG: number
  readonly offPercent: number
  /** Within what the display can show and a kitchen needs. */
  readonly fine: boolean
  /** What the same share does to the water of a 500 g dough at 48: points of hydration if flour alone were so far off. */
  readonly points: number
}

/** Kitchen scales are sold as good to about a part in five hundred, and no display is better than its step. */
const GOOD_SHARE = 0.002

/**
 * @example 500 g shown as 503 on a 1 g scale: 3 g, 0.6 %, not fine; flour weighed with it and water by a true jug: 0.3 points
 */
export function checkScale({
  knownG,
  shownG,
  stepG,
}: {
  readonly knownG: number
  readonly shownG: number
  readonly stepG: number
}): ScaleCheckReport {
  const offG = shownG - knownG
  const share = offG / knownG
  return {
    offG,
    offPercent: 100 * share,
    fine: Math.abs(offG) <= Math.max(stepG, GOOD_SHARE * knownG) + 1e-9,
    points: 48 * Math.abs(share),
  }
}
