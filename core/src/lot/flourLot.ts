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

/** The normal-normal update: what is believed before, and each observation with its own sd, points. */
function updated(priorSd: number, batchSd: number, observations: readonly Observation[]): FlourLot {
  const weights = observations.map(({ offSd }) => 1 / (batchSd ** 2 + offSd ** 2))
  const precision = weights.reduce((sum, each) => sum + each, 1 / priorSd ** 2)
  const shift = observations.reduce((sum, { points }, n) => sum + points * weights[n]!, 0) / precision
  const predictiveSd = Math.sqrt(1 / precision + batchSd ** 2)
  return {
    shift,
    sd: Math.sqrt(1 / precision),
    predictiveSd,
    startPoints: shift - doubtPoints({ predictiveSd }),
    n: observations.length,
  }
}

/**
 * What past batches say about a flour lot's thirst: a normal-normal update around a prior of no shift.
 * @example no history → start 4.3 points below; after three batches under 2
 */
export const flourLot = ({ priorSd, batchSd, observations }: FlourLotRequest): FlourLot =>
  updated(
    priorSd,
    batchSd,
    observations.map((points) => ({ points, offSd: 0 })),
  )

/** One batch's word about its flour: points, and how far its own figures may be off beyond the feel of it, as after cups. */
export interface Observation {
  /** Accepted minus what the table asks of that dough, shape and flour, points on the 14 % basis. */
  readonly points: number
  /** sd, points; 0 where everything was weighed. */
  readonly offSd: number
  /** What the maker has said of it where it is unlike the others: it was so, or something was wrong. */
  readonly counts?: boolean
}

/** What one batch said of its flour, of which family it was, and in what air that stood. */
export interface Taught extends Observation {
  readonly batch: string
  readonly atMs: number
  readonly family: string
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
const PRIOR_SD = 2
const BATCH_SD = 0.8
/** A band holds nine of ten: so many sd to either side. */
export const SD_IN_BAND = 1.645
/** An observation so many standard deviations from what all others say is shown and left out. */
const UNLIKE_SD = 3

const weighed = (observations: readonly Observation[]): FlourLot => updated(PRIOR_SD, BATCH_SD, observations)

/** How many sd an observation lies from what the others make likely. */
function unlikeness(of: Observation, others: readonly Observation[]): number {
  const { shift, sd } = weighed(others)
  return Math.abs(of.points - shift) / Math.hypot(sd, BATCH_SD, of.offSd)
}

/** Without those wildly unlike all others, the worst first, until none is. */
function alike<O extends Observation>(observations: readonly O[]): readonly O[] {
  const others = (of: O) => observations.filter((each) => each !== of)
  const worst = observations.reduce<{ of: O | null; sd: number }>(
    (most, of) => {
      const sd = unlikeness(of, others(of))
      return sd > most.sd ? { of, sd } : most
    },
    { of: null, sd: UNLIKE_SD },
  )
  return worst.of ? alike(others(worst.of)) : observations
}

/** What is believed: those like each other, and those the maker has spoken for, which make no other unlike. */
export function believable<O extends Observation>(all: readonly O[]): readonly O[] {
  const kept = new Set(alike(all.filter(({ counts }) => counts === undefined)))
  return all.filter((each) => each.counts ?? kept.has(each))
}

/** Those that the maker is asked about, or has spoken for: unlike all others. */
export function unlike<O extends Observation>(all: readonly O[]): readonly O[] {
  const believed = believable(all)
  return all.filter((each) => each.counts !== undefined || !believed.includes(each))
}

/**
 * What past batches say of a flour, without those wildly unlike the others: of none, a shift of 0, give or take 4 points.
 */
export const lotFromHistory = (observations: readonly Observation[]): FlourLot => weighed(believable(observations))

/** Two families agree where they lie within two standard deviations of each other. */
const AGREE_SD = 2

/**
 * Of a flour's batches, those that teach a dough of this family: its own; and another's once the two agree, or two others with
 * each other. What a flour drinks as noodles says little of it as batter until it has been seen twice.
 */
export function taughtFor<T extends Taught>(all: readonly T[], family: string): readonly T[] {
  const families = [...new Set(all.map((each) => each.family))]
  const lots = new Map(families.map((each) => [each, lotFromHistory(all.filter((one) => one.family === each))]))
  const agree = (a: string, b: string): boolean => {
    const [one, two] = [lots.get(a)!, lots.get(b)!]
    return Math.abs(one.shift - two.shift) <= AGREE_SD * Math.hypot(one.sd, two.sd)
  }
  const heard = families.filter((each) => {
    if (each === family) return true
    if (families.includes(family)) return agree(each, family)
    return families.some((other) => other !== each && agree(each, other))
  })
  return all.filter((each) => heard.includes(each.family))
}

/**
 * Of a flour's thirst what a formula has not in it yet, points: from what it asks towards what is accepted of that flour, and
 * never beyond it. A formula typed as it was once felt right is poured as it is written.
 * @example unmet(50, 50, -3) → -3; unmet(47, 50, -3) → 0; unmet(62, 50, -3) → -3
 */
export function unmet(asked: number, table: number, shift: number): number {
  const towards = table + shift - asked
  return shift < 0 ? Math.min(0, Math.max(shift, towards)) : Math.max(0, Math.min(shift, towards))
}

/** The other way round: what a formula asks for that is poured to this. */
export function askedFor(poured: number, table: number, shift: number): number {
  const accepted = table + shift
  const isBeyond = shift < 0 ? poured > accepted : poured < accepted
  return isBeyond ? poured - shift : poured
}

/** How far the truth about a lot may lie from what is believed of it, to either side, points: two standard deviations. */
export const giveOrTake = ({ sd }: Pick<FlourLot, 'sd'>): number => 2 * sd

/** What was believed of a lot after each of its batches, the first before any: how the band closes in. */
export const beliefsOver = (observations: readonly Observation[]): readonly FlourLot[] =>
  Array.from({ length: observations.length + 1 }, (_, n) => lotFromHistory(observations.slice(0, n)))
