/** What weighings tell of a tray: how fast this shape dries in this place, and how sure one may be of its hour. */
import { dry, dryHours } from './drying.ts'
import type { Tray } from './tray.ts'

export interface WeighIn {
  readonly h: number
  /** Without the tray. */
  readonly grams: number
}

export interface FitRequest {
  readonly tray: Tray
  readonly startG: number
  readonly weighIns: readonly WeighIn[]
  /** Standard deviation of one reading. */
  readonly scaleSdG: number
  readonly maxH: number
}

export interface Fit {
  readonly scaleD: number
  readonly scaleK: number
  /** Covariance of the logarithms of the two: [D·D, D·K, K·K]. */
  readonly covariance: readonly [number, number, number]
  readonly hoursToTarget: number | null
  readonly never: boolean
  /** Between these it lies nine times out of ten; `high` is null when it may be never. */
  readonly low: number | null
  readonly high: number | null
  readonly targetG: number
  /** At the last weighing, by its grams alone. */
  readonly moistureNow: number
  /** Root mean square of what is left between model and scale. */
  readonly residualG: number
}

/** Standard deviation of the natural logarithm of either scale, before anything was weighed. */
export const PRIOR_SD = 0.7
/** From the middle to either end of a 90 % interval of a normal distribution. */
export const NINETY = 1.6449
/** The ends of an interval may lie so much farther than is looked for the hour itself. */
const FARTHER = 4
const ROUNDS = 30
const STEP = 0.02
const SETTLED = 1e-4

type Pair = readonly [number, number]

const scaled = (tray: Tray, [d, k]: Pair): Tray => ({
  ...tray,
  model: { ...tray.model, scaleD: tray.model.scaleD * Math.exp(d), scaleK: tray.model.scaleK * Math.exp(k) },
})

/** Weight of the dry matter of what went on the tray, g; drying takes none of it. */
export const solidsG = (startG: number, startMoisture: number): number => startG * (1 - startMoisture)
/** What the scale shows of the same dry matter at another moisture, g. */
export const atMoistureG = (dryG: number, moisture: number): number => dryG / (1 - moisture)

/** Inverse of a symmetric 2 × 2, as [a, b, c] of [[a, b], [b, c]]. */
function inverse([a, b, c]: readonly [number, number, number]): readonly [number, number, number] {
  const determinant = a * c - b * b
  return [c / determinant, -b / determinant, a / determinant]
}

/**
 * The two scales of the model that the weighings make likeliest, with normal priors on their logarithms (Gauss-Newton with
 * damping), and the hours to the target with a 90 % interval by a Laplace approximation on their logarithm.
 * `scaleK` soaks up what is not known of the air; it is no finding.
 */
export function fitDrying({ tray, startG, weighIns, scaleSdG, maxH }: FitRequest): Fit {
  const dryG = solidsG(startG, tray.startMoisture)
  const atH = weighIns.map(({ h }) => h)
  const weights = (theta: Pair): readonly number[] =>
    dry(scaled(tray, theta), { sampleH: atH, maxH: 0, onlyTarget: true }).samples.map(({ moisture }) =>
      atMoistureG(dryG, moisture),
    )
  const misfit = (theta: Pair, shown: readonly number[]) =>
    shown.reduce((sum, grams, n) => sum + ((grams - weighIns[n]!.grams) / scaleSdG) ** 2, 0) +
    (theta[0] ** 2 + theta[1] ** 2) / PRIOR_SD ** 2

  let theta: Pair = [0, 0]
  let shown = weights(theta)
  let size = misfit(theta, shown)
  let damping = 1e-3
  let information: readonly [number, number, number] = [1, 0, 1]
  for (let round = 0; round < ROUNDS; round += 1) {
    const byD = weights([theta[0] + STEP, theta[1]])
    const byK = weights([theta[0], theta[1] + STEP])
    let [dd, dk, kk] = [1 / PRIOR_SD ** 2, 0, 1 / PRIOR_SD ** 2]
    let [gd, gk] = [theta[0] / PRIOR_SD ** 2, theta[1] / PRIOR_SD ** 2]
    shown.forEach((grams, n) => {
      const over = (grams - weighIns[n]!.grams) / scaleSdG
      const d = (byD[n]! - grams) / STEP / scaleSdG
      const k = (byK[n]! - grams) / STEP / scaleSdG
      dd += d * d
      dk += d * k
      kk += k * k
      gd += d * over
      gk += k * over
    })
    information = [dd, dk, kk]
    let moved = 0
    for (let tries = 0; tries < 8; tries += 1) {
      const [a, b, c] = inverse([dd * (1 + damping), dk, kk * (1 + damping)])
      const tried: Pair = [theta[0] - (a * gd + b * gk), theta[1] - (b * gd + c * gk)]
      const seen = weights(tried)
      const left = misfit(tried, seen)
      if (left <= size) {
        moved = Math.hypot(tried[0] - theta[0], tried[1] - theta[1])
        theta = tried
        shown = seen
        size = left
        damping /= 10
        break
      }
      damping *= 10
    }
    if (moved < SETTLED) break
  }

  const covariance = inverse(information)
  const best = dry(scaled(tray, theta), { maxH, onlyTarget: true })
  const residualG = Math.sqrt(
    shown.reduce((sum, grams, n) => sum + (grams - weighIns[n]!.grams) ** 2, 0) / weighIns.length,
  )
  const last = weighIns.reduce((latest, each) => (each.h >= latest.h ? each : latest))
  return {
    scaleD: tray.model.scaleD * Math.exp(theta[0]),
    scaleK: tray.model.scaleK * Math.exp(theta[1]),
    covariance,
    hoursToTarget: best.hoursToTarget,
    never: best.never,
    ...interval(tray, theta, covariance, best.hoursToTarget, maxH),
    targetG: atMoistureG(dryG, tray.targetMoisture),
    moistureNow: Math.min(1, Math.max(0, 1 - dryG / last.grams)),
    residualG,
  }
}

/** How the logarithm of the hours goes with those of the two scales; null where it is never, near enough. */
function slopesOfHours(tray: Tray, theta: Pair, maxH: number): Pair | null {
  const log = (d: number, k: number) => {
    const h = dryHours(scaled(tray, [theta[0] + d, theta[1] + k]), maxH)
    return h === null || h <= 0 ? null : Math.log(h)
  }
  const [moreD, lessD, moreK, lessK] = [log(STEP, 0), log(-STEP, 0), log(0, STEP), log(0, -STEP)]
  if (moreD === null || lessD === null || moreK === null || lessK === null) return null
  return [(moreD - lessD) / (2 * STEP), (moreK - lessK) / (2 * STEP)]
}

const spread = ([d, k]: Pair, [dd, dk, kk]: readonly [number, number, number]): number =>
  Math.sqrt(Math.max(0, d * d * dd + 2 * d * k * dk + k * k * kk))

/** Low and high hours: the spread of the logarithm of the hours that the spread of the two scales makes. */
function interval(
  tray: Tray,
  theta: Pair,
  covariance: readonly [number, number, number],
  hours: number | null,
  maxH: number,
): { readonly low: number | null; readonly high: number | null } {
  if (hours === null) return { low: null, high: null }
  if (hours === 0) return { low: 0, high: 0 }
  const slopes = slopesOfHours(tray, theta, FARTHER * maxH)
  if (!slopes) return { low: null, high: null }
  const factor = Math.exp(NINETY * spread(slopes, covariance))
  return { low: hours / factor, high: hours * factor }
}

export interface NarrowingRequest {
  /** As it was fitted. */
  readonly tray: Tray
  readonly dryG: number
  readonly covariance: readonly [number, number, number]
  readonly scaleSdG: number
  /** In order. */
  readonly atH: readonly number[]
  readonly maxH: number
}

/**
 * How far the logarithm of the hours would still stray, as one standard deviation, after one more weighing at each of these
 * times: what a weighing is worth before it is made. Null where the hours are not known.
 */
export function narrowing({ tray, dryG, covariance, scaleSdG, atH, maxH }: NarrowingRequest): readonly number[] | null {
  const slopes = slopesOfHours(tray, [0, 0], FARTHER * maxH)
  if (!slopes) return null
  const weights = (theta: Pair) =>
    dry(scaled(tray, theta), { sampleH: atH, maxH: 0, onlyTarget: true }).samples.map(({ moisture }) =>
      atMoistureG(dryG, moisture),
    )
  const [usual, byD, byK] = [weights([0, 0]), weights([STEP, 0]), weights([0, STEP])]
  const [dd, dk, kk] = inverse(covariance)
  return usual.map((grams, n) => {
    const d = (byD[n]! - grams) / STEP / scaleSdG
    const k = (byK[n]! - grams) / STEP / scaleSdG
    return spread(slopes, inverse([dd + d * d, dk + d * k, kk + k * k]))
  })
}
