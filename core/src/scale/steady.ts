/** Whether a scale's display has come to rest, and where the pour stands against what is wanted. */
import type { ScaleReading } from './kitchenScale.ts'

export interface TimedReading {
  readonly atMs: number
  readonly reading: ScaleReading
}

/** So long a display must not move before it is taken at its word. */
export const HOLD_MS = 1200

/** The mass of a display that has stood within a step for `HOLD_MS`; null while it moves, or shows no mass. */
export function steadyG(readings: readonly TimedReading[], nowMs: number): number | null {
  const last = readings.at(-1)?.reading
  if (last?.shows !== 'mass' || !last.stable) return null
  const first = readings[0]
  if (!first || first.atMs > nowMs - HOLD_MS) return null
  const recent = readings.filter(({ atMs }) => atMs > nowMs - HOLD_MS)
  const stood = recent.every(
    ({ reading }) =>
      reading.shows === 'mass' && reading.stable && Math.abs(reading.grams - last.grams) <= reading.stepG + 1e-9,
  )
  return stood && recent.length > 2 ? last.grams : null
}

export interface Pouring {
  /** Still to come; negative once it is over. */
  readonly leftG: number
  readonly stands: 'under' | 'there' | 'over'
}

/** There, within a step of the scale or half a percent, whichever is more. */
export function pouring(grams: number, targetG: number, stepG: number): Pouring {
  const leftG = targetG - grams
  const close = Math.max(stepG, targetG * 0.005) + 1e-9
  return { leftG, stands: Math.abs(leftG) <= close ? 'there' : leftG > 0 ? 'under' : 'over' }
}
