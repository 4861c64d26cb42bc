/** Egg, milk and purée are made up with the water of the first pour and poured with it as one: what is in the jug, and how much of it is water. All in g. */
import { isEgg } from '../quantity/index.ts'
import type { Plan, PlannedRow } from '../model/index.ts'
import { asWeighed, waterTargets } from './bowl.ts'
import type { BenchState } from './state.ts'

/** Wetter than this it is poured, not strewn. Fraction of mass. */
const LIQUID_WATER = 0.4

type Weighed = Pick<PlannedRow, 'part' | 'water' | 'weighedG' | 'ingredient'>

const isWet = ({ part, water, weighedG }: Weighed): boolean => part === 'other' && water > LIQUID_WATER && weighedG > 0

/** Strong alkali sets raw egg in lumps: with it, egg goes onto the flour. */
export const eggApart = <R extends Weighed>(rows: readonly R[]): readonly R[] =>
  rows.some(({ part, weighedG }) => part === 'alkali' && weighedG > 0)
    ? rows.filter((row) => isWet(row) && isEgg(row.ingredient))
    : []

/** Poured with the water, and no water itself. */
export const madeUp = <R extends Weighed>(rows: readonly R[]): readonly R[] => {
  const apart = eggApart(rows)
  return rows.filter((row) => isWet(row) && !apart.includes(row))
}

/** Whether anything is poured: egg or milk may bring all the water there is. On a base they go in with it. */
export const isPoured = (rows: readonly Weighed[]): boolean =>
  rows.some((row) => row.part === 'water' && row.weighedG > 0) ||
  (madeUp(rows).length > 0 && !rows.some(({ part }) => part === 'base'))

export interface Jug {
  /** Water for the first pour. */
  readonly waterG: number
  /** What is stirred into it. */
  readonly others: readonly { readonly key: string; readonly name: string; readonly grams: number }[]
  readonly totalG: number
}

/** What stands in the jug of the first pour, as weighed or as planned. All in g. */
export function jugOf(plan: Plan, state: Pick<BenchState, 'weighedG'>): Jug {
  const waterG = waterTargets(plan, state).startG
  const others = madeUp(plan.rows).map((row) => ({
    key: row.key,
    name: row.name,
    grams: asWeighed(plan, state, row),
  }))
  return { waterG, others, totalG: others.reduce((sum, { grams }) => sum + grams, waterG) }
}

const perWater = ({ waterG, totalG }: Jug): number => (waterG > 0 ? totalG / waterG : 1)

/**
 * What the scale shows while so much water goes in on top of what is in: out of the jug with all that is in it, then plain.
 * @example onTheScaleG({ waterG: 100, others: [], totalG: 150 }, 0, 40) → 60
 */
export function onTheScaleG(jug: Jug, inG: number, waterG: number): number {
  const fromJugG = Math.max(0, Math.min(waterG, jug.waterG - inG))
  return fromJugG * perWater(jug) + (waterG - fromJugG)
}

/** The way back: how much water so much on the scale is. */
export function waterOfG(jug: Jug, inG: number, scaleG: number): number {
  const leftG = Math.max(0, jug.waterG - inG)
  const fromJugG = Math.min(scaleG, leftG * perWater(jug))
  return fromJugG / perWater(jug) + (scaleG - fromJugG)
}
