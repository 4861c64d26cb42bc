export interface EvennessRequest {
  /** Pieces in the order they were weighed. */
  readonly grams: readonly number[]
  readonly targetG: number
  readonly tolerancePercent: number
  /** How far pieces of this hand stray, where it is known; else from one piece to the next. */
  readonly sigmaG?: number | undefined
}

export interface Evenness {
  readonly mean: number
  /** n − 1; null for one piece. */
  readonly sd: number | null
  readonly cvPercent: number | null
  /** Pieces beyond the tolerance. */
  readonly outside: number
  /** Exponentially weighted mean after each piece, from the target. */
  readonly ewma: readonly number[]
  /** First piece at which the weighted mean left its limits; null while it has not. */
  readonly driftFrom: number | null
  readonly drift: 'none' | 'up' | 'down'
}

/** Weight of the newest piece. */
const LAMBDA = 0.2
/** Limits in σ of the weighted mean: one false call in 500 even pieces, with this λ. */
const LIMIT = 2.962
/** Mean range of two, in σ. */
const RANGE_OF_TWO = 1.128

const meanOf = (values: readonly number[]): number => values.reduce((sum, value) => sum + value, 0) / values.length

/** σ from one piece to the next, so that a slow drift does not widen it. */
function movingSigma(grams: readonly number[]): number {
  if (grams.length < 2) return 0
  return meanOf(grams.slice(1).map((value, index) => Math.abs(value - (grams[index] ?? value)))) / RANGE_OF_TWO
}

function weightedMeans(grams: readonly number[], targetG: number): readonly number[] {
  let weighted = targetG
  return grams.map((value) => (weighted = LAMBDA * value + (1 - LAMBDA) * weighted))
}

/** Limit of the weighted mean after `n` pieces, in σ: narrow at first, while little has been seen. */
const limitAfter = (n: number): number => LIMIT * Math.sqrt((LAMBDA / (2 - LAMBDA)) * (1 - (1 - LAMBDA) ** (2 * n)))

/**
 * How even pieces are, and whether the hand drifts: an EWMA chart (λ 0.2, limits 2.962 σ).
 * With σ unknown or 0 nothing is called drift. Source: the usual control chart for slow shifts.
 * @example 9.9 g wanted, σ 0.5 g, pieces growing lighter from the eighth on → drift down from index 7
 */
export function evenness({ grams, targetG, tolerancePercent, sigmaG }: EvennessRequest): Evenness {
  const mean = meanOf(grams)
  const squares = grams.reduce((sum, value) => sum + (value - mean) ** 2, 0)
  const sd = grams.length > 1 ? Math.sqrt(squares / (grams.length - 1)) : null
  const sigma = sigmaG ?? movingSigma(grams)
  const ewma = weightedMeans(grams, targetG)
  const from = sigma > 0 ? ewma.findIndex((at, index) => Math.abs(at - targetG) > sigma * limitAfter(index + 1)) : -1
  return {
    mean,
    sd,
    cvPercent: sd === null ? null : (100 * sd) / mean,
    outside: grams.filter((value) => Math.abs(value - targetG) > (tolerancePercent / 100) * targetG).length,
    ewma,
    driftFrom: from < 0 ? null : from,
    drift: from < 0 ? 'none' : (ewma[from] ?? 0) > targetG ? 'up' : 'down',
  }
}
