/** What a flour wants, its own thirst told apart from the air it stood in when that was learned. */
import {
  DRY_SHARE_AT_14,
  PACKED_MOISTURE,
  storeMoisture,
  UNKNOWN_AGE_SHARE,
  UNKNOWN_AGE_SHARE_SD,
  type Climate,
} from '../formula/index.ts'
import type { Grain } from '../model/index.ts'

export interface AcceptedIn extends Climate {
  /** What the formula asked for, percent on the 14 % basis. */
  readonly paper14: number
  /** Effective hydration at which it was called right, percent of the flour as it stood. */
  readonly pouredPercent: number
}

export interface FlourLotAirRequest {
  readonly grain: Grain
  /** Fraction of mass the sack came with. */
  readonly startMoisture: number
  /** How far of the way to the air's moisture such sacks have gone, before anything was learned. */
  readonly share: { readonly mean: number; readonly sd: number }
  readonly priorSd: number
  readonly batchSd: number
  readonly observations: readonly AcceptedIn[]
  readonly next: Climate & { readonly paper14: number }
}

export interface FlourLotAir {
  readonly n: number
  /** Of the flour itself, points on the 14 % basis. */
  readonly shift: number
  readonly shiftSd: number
  /** Of the way its sacks go. */
  readonly share: number
  readonly shareSd: number
  /** What the next batch will want in its air, percent of the flour as it will stand, and how far that may be off. */
  readonly pouredPercent: number
  readonly pouredSd: number
}

export const usualSack = {
  startMoisture: PACKED_MOISTURE,
  share: { mean: UNKNOWN_AGE_SHARE, sd: UNKNOWN_AGE_SHARE_SD },
  priorSd: 2,
  batchSd: 0.8,
} as const

const GRID_STEPS = 50

interface Guess {
  readonly share: number
  readonly logWeight: number
  readonly mean: number
  readonly variance: number
  readonly poured: number
  readonly pouredVariance: number
}

const sumOf = <T>(all: readonly T[], of: (each: T) => number): number => all.reduce((sum, each) => sum + of(each), 0)

/** All that follows from one guess of how far the sacks go: thirst is then a plain normal belief. */
function guessed(share: number, request: FlourLotAirRequest): Guess {
  const { grain, startMoisture, priorSd, batchSd, observations, next } = request
  const moistureIn = (air: Climate) => startMoisture + share * (storeMoisture(grain, air) - startMoisture)
  const precision = 1 / priorSd ** 2 + observations.length / batchSd ** 2
  const wanted = observations.map(({ paper14, pouredPercent, ...air }) => {
    const dry = DRY_SHARE_AT_14 / (1 - moistureIn(air))
    return { points: 100 * ((1 + pouredPercent / 100) * dry - 1) - paper14, logJacobian: Math.log(dry) }
  })
  const mean = sumOf(wanted, ({ points }) => points) / batchSd ** 2 / precision
  const scatter = sumOf(wanted, ({ points }) => points ** 2) / batchSd ** 2
  const offMean = (share - request.share.mean) / request.share.sd
  const dryNext = (1 - moistureIn(next)) / DRY_SHARE_AT_14
  return {
    share,
    logWeight:
      -0.5 * offMean ** 2 - 0.5 * (scatter - mean ** 2 * precision) + sumOf(wanted, (each) => each.logJacobian),
    mean,
    variance: 1 / precision,
    poured: 100 * ((1 + (next.paper14 + mean) / 100) * dryNext - 1),
    pouredVariance: dryNext ** 2 * (1 / precision + batchSd ** 2),
  }
}

/**
 * Thirst and share together, the share on a grid from 0 to 1: at the place where a lot was learned the answer is sharp,
 * elsewhere the band says how little is known.
 * @example nothing learned: shift 0 ± 2 points, and a band of more than two points on what to pour
 */
export function flourLotAir(request: FlourLotAirRequest): FlourLotAir {
  const guesses = Array.from({ length: GRID_STEPS + 1 }, (_, step) => guessed(step / GRID_STEPS, request))
  const top = Math.max(...guesses.map(({ logWeight }) => logWeight))
  const weights = guesses.map(({ logWeight }) => Math.exp(logWeight - top))
  const whole = sumOf(weights, (weight) => weight)
  const mixed = (valueOf: (guess: Guess) => number, varianceOf: (guess: Guess) => number) => {
    const average = (of: (guess: Guess) => number) =>
      guesses.reduce((sum, guess, step) => sum + (weights[step] ?? 0) * of(guess), 0) / whole
    const mean = average(valueOf)
    return {
      mean,
      sd: Math.sqrt(
        Math.max(
          0,
          average((each) => varianceOf(each) + (valueOf(each) - mean) ** 2),
        ),
      ),
    }
  }
  const thirst = mixed(
    ({ mean }) => mean,
    ({ variance }) => variance,
  )
  const share = mixed(
    (guess) => guess.share,
    () => 0,
  )
  const poured = mixed(
    (guess) => guess.poured,
    ({ pouredVariance }) => pouredVariance,
  )
  return {
    n: request.observations.length,
    shift: thirst.mean,
    shiftSd: thirst.sd,
    share: share.mean,
    shareSd: share.sd,
    pouredPercent: poured.mean,
    pouredSd: poured.sd,
  }
}
