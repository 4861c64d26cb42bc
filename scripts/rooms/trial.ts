/** How often the forecast of a tray holds in worlds that differ from what it was told, weighed as people weigh. */
import { random } from './random.ts'
import { courseOf, departures, drawTold, drawWorld, type Departure, type Told } from './truth.ts'

/** What the product is asked, as through its port. */
export interface Asked extends Told {
  readonly startG: number
  readonly scaleSdG: number
  readonly weighIns: readonly { readonly h: number; readonly grams: number }[]
  readonly maxH: number
}
export interface Answer {
  readonly hoursToTarget: number | null
  readonly low: number | null
  /** Null where it may be never. */
  readonly high: number | null
}
export type Forecaster = (asked: Asked) => Answer

const START_G = 800
const SCALE_SD_G = 1
const LONGEST_H = 336
const TARGET = 0.125
/** Shares of the time at which it is weighed; people are not on the dot. */
const WEIGHED: readonly (readonly number[])[] = [[], [0.08, 0.2], [0.08, 0.2, 0.35, 0.5], [0.08, 0.2, 0.35, 0.5, 0.7]]

export interface Score {
  readonly weighings: number
  readonly held: number
  readonly early: number
  readonly late: number
  readonly of: number
  /** Medians, shares of the true time. */
  readonly halfWidth: number
  readonly error: number
}

const median = (all: readonly number[]): number => [...all].sort((a, b) => a - b)[Math.floor(all.length / 2)] ?? NaN

/** A row for each number of weighings, over so many worlds that depart in these ways. */
export function trial(
  forecast: Forecaster,
  worlds: number,
  seed: number,
  ways: readonly Departure[] = departures,
  dampestRh = 55,
): readonly Score[] {
  const trays = Array.from({ length: worlds }, (_, n) => {
    const told = drawTold(random(seed + 2 * n), dampestRh)
    const world = drawWorld(told, seed + 2 * n + 1, ways)
    return { told, world, course: courseOf(world, TARGET, LONGEST_H), seed: seed + n }
  })
  return WEIGHED.map((shares): Score => {
    let [held, early, late] = [0, 0, 0]
    const widths: number[] = []
    const errors: number[] = []
    for (const { told, world, course, seed: own } of trays) {
      const { hours } = course
      const r = random(own ^ 0x5eed)
      const way = hours ?? LONGEST_H / 3
      const atH = shares.map((share) => Math.max(0.25, Math.round(4 * share * way * (0.85 + 0.3 * r.even())) / 4))
      const startG = START_G
      const dryG = (startG + SCALE_SD_G * r.bell()) * (1 - world.startMoisture)
      const weighIns = atH.map((h) => ({ h, grams: Math.round(dryG * (1 + course.at(h)) + SCALE_SD_G * r.bell()) }))
      const { hoursToTarget, low, high } = forecast({
        ...told,
        startG,
        scaleSdG: SCALE_SD_G,
        weighIns,
        maxH: LONGEST_H,
      })
      const isLate = hours === null ? high !== null : high !== null && hours > high
      const isEarly = hours !== null && (low === null || hours < low)
      if (isLate) late += 1
      else if (isEarly) early += 1
      else held += 1
      if (hours === null) continue
      widths.push(high === null || low === null ? Infinity : (high - low) / 2 / hours)
      errors.push(hoursToTarget === null ? Infinity : Math.abs(hoursToTarget / hours - 1))
    }
    return {
      weighings: shares.length,
      held,
      early,
      late,
      of: worlds,
      halfWidth: median(widths),
      error: median(errors),
    }
  })
}
