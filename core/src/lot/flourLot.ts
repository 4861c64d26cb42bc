/**
 * The jug is held back by so many standard deviations of what the next batch may want: all but one dough in forty then want no
 * less than was poured at first, and water can be added, not taken out.
 */
const HOLD_BACK_SD = 2
/** Stiffer than this a dough is crumbs, and late water never gets into a crumb: little is held back. Percent, and points. */
const CRUMB_PERCENT = 36
const CRUMB_HOLD_BACK = 2

/** How much less or more a flour may want than is believed of it, points. */
export const doubtPoints = ({ predictiveSd }: Pick<FlourLot, 'predictiveSd'>): number => HOLD_BACK_SD * predictiveSd

/** What one keeps back of a flour that may want less, points; `hydrationPercent` is what the dough is made at. */
export const holdBackPoints = (lot: Pick<FlourLot, 'predictiveSd'>, hydrationPercent: number): number =>
  hydrationPercent < CRUMB_PERCENT ? Math.min(CRUMB_HOLD_BACK, doubtPoints(lot)) : doubtPoints(lot)

export interface FlourLotRequest {
  /** sd of the belief about a lot nobody has used yet, points on the 14 % basis. */
  readonly priorSd: number
  /** How far one batch's judgement strays, points. */
  readonly batchSd: number
  /** Accepted minus formula, points on the 14 % basis, one a batch. */
  readonly observations: readonly number[]
}

export interface FlourLot {
  /** How much thirstier (or less) than the formula this lot is. */
  readonly shift: number
  readonly sd: number
  /** sd of the next batch's answer: the belief's own and a batch's. */
  readonly predictiveSd: number
  /** Where to start pouring, against the formula: shift − 2 predictive sd. */
  readonly startPoints: number
  readonly n: number
}

/**
 * What past batches say about a flour lot's thirst: a normal-normal update around a prior of no shift.
 * @example no history → start 4.3 points below; after three batches under 2
 */
export function flourLot({ priorSd, batchSd, observations }: FlourLotRequest): FlourLot {
  const precision = 1 / priorSd ** 2 + observations.length / batchSd ** 2
  const sum = observations.reduce((total, points) => total + points, 0)
  const shift = sum / batchSd ** 2 / precision
  const predictiveSd = Math.sqrt(1 / precision + batchSd ** 2)
  return {
    shift,
    sd: Math.sqrt(1 / precision),
    predictiveSd,
    startPoints: shift - doubtPoints({ predictiveSd }),
    n: observations.length,
  }
}

/** What one batch said of its flour, and in what air that stood. */
export interface Taught {
  /** Accepted minus formula, points on the 14 % basis. */
  readonly points: number
  /** Null where its moisture was typed, or nothing was known of its store. */
  readonly store: { readonly name: string; readonly temperatureC: number; readonly rhPercent: number } | null
}

/** The same belief, less sure by so many points (one standard deviation). */
export function lessSure(lot: FlourLot, doubtSd: number): FlourLot {
  const predictiveSd = Math.hypot(lot.predictiveSd, doubtSd)
  return {
    ...lot,
    sd: Math.hypot(lot.sd, doubtSd),
    predictiveSd,
    startPoints: lot.shift - doubtPoints({ predictiveSd }),
  }
}

/** The priors of docs/domain.md, used wherever a maker has not set others. */
export const lotFromHistory = (observations: readonly number[]): FlourLot =>
  flourLot({ priorSd: 2, batchSd: 0.8, observations })

/** How far the truth about a lot may lie from what is believed of it, to either side, points: two standard deviations. */
export const giveOrTake = ({ sd }: Pick<FlourLot, 'sd'>): number => 2 * sd

/** What was believed of a lot after each of its batches, the first before any: how the band closes in. */
export const beliefsOver = (observations: readonly number[]): readonly FlourLot[] =>
  Array.from({ length: observations.length + 1 }, (_, n) => lotFromHistory(observations.slice(0, n)))
