import { ok, problem, type Result } from '../result.ts'
import { MOLAR } from './salts.ts'

/** Share of the mass that is left of pure bicarbonate once all of it is carbonate: 105.988/168.012. */
const LEFT_WHEN_BAKED = MOLAR.sodiumCarbonate / (2 * MOLAR.bicarbonate)
/** More loss than this, against what full conversion allows, is a slip of the scale. */
const MOST_LOSS = 1.02

/** What a tray of pure soda weighs once all of it is baked, g. */
export const fullyBakedG = (sodaG: number): number => sodaG * LEFT_WHEN_BAKED

/** Less baked than this is not done: the last few per cent are worth half a pH. */
const BAKED_ENOUGH = 0.98

export interface Baked {
  /** 0 to 1. */
  readonly conversion: number
  /** Baked as far as it need be. */
  readonly done: boolean
  /** What the tray now holds, dry. */
  readonly bicarbonateG: number
  readonly carbonateG: number
}

/**
 * How far baking soda has gone, by weight: 2 NaHCO₃ → Na₂CO₃ + H₂O + CO₂. The scale, not the clock, says when it is done.
 * `freeMoisture` is the share of the soda's mass that was water. Problems: `bake-gained`, `bake-lost-too-much`.
 * @example bakeSoda(80, 53, 0.02) → { conversion: 0.878, done: false }
 */
export function bakeSoda(beforeG: number, afterG: number, freeMoisture: number): Result<Baked> {
  if (afterG > beforeG) return problem('bake-gained', 'afterG')
  const sodaG = beforeG * (1 - freeMoisture)
  const fullLossG = beforeG - fullyBakedG(sodaG)
  if (beforeG - afterG > MOST_LOSS * fullLossG)
    return problem('bake-lost-too-much', 'afterG', { leastG: fullyBakedG(sodaG) })
  const conversion = Math.min(1, Math.max(0, (1 - afterG / sodaG) / (1 - LEFT_WHEN_BAKED)))
  return ok({
    conversion,
    done: conversion >= BAKED_ENOUGH,
    bicarbonateG: sodaG * (1 - conversion),
    carbonateG: fullyBakedG(sodaG * conversion),
  })
}
