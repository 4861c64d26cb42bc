/**
 * The same unknowns by another method: thousands of worlds drawn as they may be, none bent, each counted by how well it agrees with the
 * scale (importance sampling). Too slow for a maker. What it cannot tell from these weighings, nobody can: it says how sharp a band may be.
 */
import { courseIn, DRYING_MODEL, filledIn, gramsAt, UNKNOWN } from '@harina/core/transport'
import { random } from './random.ts'
import type { Forecaster } from './trial.ts'

const DRAWN = 10_000
/** Share of what has left that any model is off by, as the product takes it. */
const MODEL = 0.006
/** Readings are believed so many times less, or a few worlds of thousands would decide; the band is a little wide by it. */
const LESS_SURE = 1.7

export const byWeights: Forecaster = ({ temperatureC, rhPercent, air, startG, scaleSdG, weighIns, maxH, ...told }) => {
  const climate = [{ fromH: 0, temperatureC, rhPercent, air }]
  const tray = { ...told, climate, targetMoisture: 0.125, exposure: 1, model: DRYING_MODEL }
  const r = random(weighIns.length + Math.round(1000 * told.halfThicknessMm))
  const lastH = weighIns.at(-1)?.h ?? 0
  const drawn = Array.from({ length: DRAWN }, () => {
    const world = UNKNOWN.map(() => r.bell())
    const course = courseIn(tray, world, lastH, maxH)
    const laidG = startG * filledIn(world, scaleSdG / startG)
    const off = weighIns.reduce((sum, { h, grams }) => {
      const spread = LESS_SURE * Math.hypot(scaleSdG, MODEL * (startG - grams))
      return sum + ((gramsAt(course, h, laidG) - grams) / spread) ** 2
    }, 0)
    return { off, hours: course.hoursToTarget ?? Infinity }
  }).sort((a, b) => a.hours - b.hours)
  const least = Math.min(...drawn.map(({ off }) => off))
  const weights = drawn.map(({ off }) => Math.exp((least - off) / 2))
  const whole = weights.reduce((sum, weight) => sum + weight, 0)
  const at = (share: number): number | null => {
    let sum = 0
    const n = weights.findIndex((weight) => (sum += weight) >= share * whole)
    const hours = drawn[Math.max(0, n)]!.hours
    return Number.isFinite(hours) ? hours : null
  }
  return { hoursToTarget: at(0.5), low: at(0.05), high: at(0.95) }
}
