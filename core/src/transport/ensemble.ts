/**
 * When a tray will be dry, and how sure that is: worlds drawn from what is not known of it, each bent until it agrees with what
 * was weighed. Method: randomized maximum likelihood, an ensemble of regularised least-squares fits, each to its own draw of the
 * unknown and of the scale's error (Oliver, Reynolds and Liu, "Inverse Theory for Petroleum Reservoir Characterization and
 * History Matching", 2008).
 */
import type { Tray } from './tray.ts'
import { courseIn, filledIn, gramsAt, rateOf, UNKNOWN, USUAL_WORLD, type Course, type World } from './world.ts'

export interface WeighIn {
  readonly h: number
  /** Without the tray. */
  readonly grams: number
}

export interface Weighed {
  readonly tray: Tray
  readonly startG: number
  readonly weighIns: readonly WeighIn[]
  /** Standard deviation of one reading. */
  readonly scaleSdG: number
  readonly maxH: number
}

export interface Ensemble {
  /** Half of the worlds are there by then; null when half of them are not within the time looked at. */
  readonly hoursToTarget: number | null
  /** Nine of ten lie between; `high` is null when it may be never, `low` when it hardly can be. */
  readonly low: number | null
  readonly high: number | null
  /** How the tray goes in each world that agrees, by when it is dry there. */
  readonly courses: readonly Course[]
  /** The world in the middle of those. */
  readonly middle: World
  /** Of the logarithm of how fast water goes through this dough, against what was told. */
  readonly rate: { readonly mean: number; readonly sd: number }
  /** Root mean square of what is left between the world that agrees best and the scale. */
  readonly residualG: number
}

/** Weight of the dry matter of what went on the tray, g; drying takes none of it. */
export const solidsG = (startG: number, startMoisture: number): number => startG * (1 - startMoisture)
/** What the scale shows of the same dry matter at another moisture, g. */
export const atMoistureG = (dryG: number, moisture: number): number => dryG / (1 - moisture)

const WORLDS = 96
/** Share of what has left that any model is off by: nests settle, a draught comes and goes. */
const MODEL = 0.006
/** A target no air of a kitchen reaches, so that a run goes on to the last reading. */
const NEVER_AS_DRY = 0.001
const ROUNDS = 8
/** So many spreads from everything else a reading is a slip, and believed no further than that. */
const SLIP = 4
const BENT = 3
const DIFFERENCE = 0.1
const SETTLED = 0.02
/** Nine in ten with a little more on either side, for what no world here is like. */
const [LOW, HIGH] = [0.035, 0.965]

/** Draws that are the same each time, so that a band moves by what was weighed alone; each has its mirror image. */
function draws(count: number, width: number, seed: number): readonly (readonly number[])[] {
  let state = seed
  const even = () => {
    state = (Math.imul(state, 1_664_525) + 1_013_904_223) >>> 0
    return (state + 0.5) / 4_294_967_296
  }
  const bell = () => Math.sqrt(-2 * Math.log(even())) * Math.cos(2 * Math.PI * even())
  const half = Array.from({ length: count / 2 }, () => Array.from({ length: width }, bell))
  return half.flatMap((draw) => [draw, draw.map((each) => -each)])
}
const PRIOR = draws(WORLDS, UNKNOWN.length, 11)
const READINGS = 16
const ERRORS = draws(WORLDS, READINGS, 23)

/** Solves a small symmetric system in place, by elimination. */
function solve(matrix: readonly number[][], right: readonly number[]): number[] {
  const rows = matrix.map((row, n) => [...row, right[n]!])
  const size = rows.length
  for (let n = 0; n < size; n += 1)
    for (let below = n + 1; below < size; below += 1) {
      const share = rows[below]![n]! / rows[n]![n]!
      for (let k = n; k <= size; k += 1) rows[below]![k] = rows[below]![k]! - share * rows[n]![k]!
    }
  const found = right.map(() => 0)
  for (let n = size - 1; n >= 0; n -= 1) {
    let sum = rows[n]![size]!
    for (let k = n + 1; k < size; k += 1) sum -= rows[n]![k]! * found[k]!
    found[n] = sum / rows[n]![n]!
  }
  return found
}

/** Of many weighings those that say most: the last, and others spread over the hours before. */
function telling(weighIns: readonly WeighIn[]): readonly WeighIn[] {
  const inOrder = [...weighIns].sort((a, b) => a.h - b.h)
  if (inOrder.length <= READINGS) return inOrder
  return Array.from({ length: READINGS }, (_, n) => inOrder[Math.round((n * (inOrder.length - 1)) / (READINGS - 1))]!)
}

type Point = readonly number[]

/** A tray with what was weighed of it, as something to be agreed with; `strays` are how far each reading may be off beyond the scale, g. */
function agreement({ tray, startG, weighIns, scaleSdG }: Weighed, strays: Point = []) {
  const readings = telling(weighIns)
  const lastH = readings.at(-1)?.h ?? 0
  const spread = readings.map(({ grams }, n) => Math.hypot(scaleSdG, MODEL * (startG - grams), strays[n] ?? 0))
  const short = { ...tray, targetMoisture: NEVER_AS_DRY }
  const shown = (world: World): Point => {
    const course = courseIn(short, world, lastH, lastH)
    const laidG = startG * filledIn(world, scaleSdG / startG)
    return readings.map(({ h }) => gramsAt(course, h, laidG))
  }
  /** By how much each reading moves with each unknown, in its own spread. */
  const slopes = (z: Point, from: Point): readonly Point[] => {
    const columns = z.map((_, n) => shown(z.map((each, k) => (k === n ? each + DIFFERENCE : each))))
    return readings.map((_, row) => columns.map((column) => (column[row]! - from[row]!) / DIFFERENCE / spread[row]!))
  }
  const over = (seen: Point, errors: Point): Point =>
    seen.map((grams, n) => (readings[n]!.grams - grams) / spread[n]! + errors[n]!)
  return { readings, shown, slopes, over }
}

/** Where a fit goes from `z`: towards the readings, and back towards `from`, from where it was drawn. */
function towards(z: Point, from: Point, slopes: readonly Point[], over: Point): Point {
  const back = z.map((each, n) => each - from[n]!)
  const matrix = slopes.map((one, row) =>
    slopes.map((two, column) => one.reduce((sum, each, n) => sum + each * two[n]!, row === column ? 1 : 0)),
  )
  const right = slopes.map((row, n) => over[n]! + row.reduce((sum, each, k) => sum + each * back[k]!, 0))
  const pulls = solve(matrix, right)
  return from.map((each, k) => each + slopes.reduce((sum, row, n) => sum + row[k]! * pulls[n]!, 0))
}

const squares = (all: Point): number => all.reduce((sum, each) => sum + each * each, 0)
const between = (from: Point, to: Point, share: number): Point => from.map((each, n) => each + share * (to[n]! - each))
const away = (one: Point, two: Point): Point => one.map((each, n) => each - two[n]!)

/** A fit of one draw: steps are shortened until they better it. With its own slopes, or with those given. */
function bend(
  like: ReturnType<typeof agreement>,
  from: Point,
  errors: Point,
  rounds: number,
  given?: { readonly z: Point; readonly slopes: readonly Point[] },
) {
  let z = given ? towards(given.z, from, given.slopes, like.over(like.shown(given.z), errors)) : from
  let seen = like.shown(z)
  let over = like.over(seen, errors)
  let cost = squares(over) + squares(away(z, from))
  let slopes = given?.slopes ?? like.slopes(z, seen)
  for (let round = 0; round < rounds; round += 1) {
    const aim = towards(z, from, slopes, over)
    let share = 1
    let better = false
    for (; share > 0.1 && !better; share /= 2) {
      const tried = between(z, aim, share)
      const triedSeen = like.shown(tried)
      const triedOver = like.over(triedSeen, errors)
      const triedCost = squares(triedOver) + squares(away(tried, from))
      if (triedCost >= cost) continue
      better = true
      const gained = cost - triedCost
      z = tried
      seen = triedSeen
      over = triedOver
      cost = triedCost
      if (gained < SETTLED) return { z, seen, over, cost, slopes }
    }
    if (!better) break
    if (!given) slopes = like.slopes(z, seen)
  }
  return { z, seen, over, cost, slopes }
}

/** Of sorted numbers, at this share of the way through them. */
export const quantile = (sorted: readonly number[], share: number): number => {
  const place = share * (sorted.length - 1)
  const [low, high] = [sorted[Math.floor(place)]!, sorted[Math.ceil(place)]!]
  return low === high ? low : low + (place % 1) * (high - low)
}
const finite = (hours: number): number | null => (Number.isFinite(hours) ? hours : null)

/** Every world that agrees with what is known of a tray: unweighed, all that could be; the more was weighed, the closer they lie. */
function worldsOf(asked: Weighed): { readonly worlds: readonly World[]; readonly residualG: number } {
  let like = agreement(asked)
  const { readings } = like
  if (readings.length === 0) return { worlds: PRIOR, residualG: 0 }
  const none = readings.map(() => 0)
  let best = bend(like, USUAL_WORLD, none, ROUNDS)
  const strays = best.over.map((each, n) => (Math.abs(each) > SLIP ? best.seen[n]! - readings[n]!.grams : 0))
  if (strays.some(Boolean)) {
    like = agreement(asked, strays)
    best = bend(like, USUAL_WORLD, none, ROUNDS)
  }
  const bent = PRIOR.map((from, n) => bend(like, from, ERRORS[n]!, BENT, best))
  // A draw that could not be brought to agree is no world that is.
  const tolerated = readings.length + 4 * Math.sqrt(2 * readings.length)
  const agreed = bent.filter(({ over }) => squares(over) <= tolerated)
  const weighed = readings.map(({ grams }) => grams)
  return {
    worlds: (agreed.length >= WORLDS / 8 ? agreed : bent).map(({ z }) => z),
    residualG: Math.sqrt(squares(away(best.seen, weighed)) / readings.length),
  }
}

/** Sorted, as share of the way through: infinite hours are never. */
const hoursIn = ({ hoursToTarget }: Course): number => hoursToTarget ?? Infinity

export function ensembleOf(asked: Weighed): Ensemble {
  const { tray, maxH } = asked
  const { worlds, residualG } = worldsOf(asked)
  const courses = worlds
    .map((world) => courseIn(tray, world, 0, maxH))
    .sort((a, b) => (hoursIn(a) === hoursIn(b) ? 0 : hoursIn(a) - hoursIn(b)))
  const hours = courses.map(hoursIn)
  const logs = worlds.map(rateOf)
  const mean = logs.reduce((sum, each) => sum + each, 0) / logs.length
  return {
    hoursToTarget: finite(quantile(hours, 0.5)),
    low: finite(quantile(hours, LOW)),
    high: finite(quantile(hours, HIGH)),
    courses,
    middle: USUAL_WORLD.map((_, n) => worlds.reduce((sum, world) => sum + world[n]!, 0) / worlds.length),
    rate: { mean, sd: Math.sqrt(logs.reduce((sum, each) => sum + (each - mean) ** 2, 0) / logs.length) },
    residualG,
  }
}
