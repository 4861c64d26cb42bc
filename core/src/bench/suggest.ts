import { correctHydration } from '../formula/index.ts'
import { baseG, bowlOnRule, bowlWaterG, effectivePercent, flourG, saltG, waterTargets } from './bowl.ts'
import { corrections } from './replay.ts'
import type { BenchState } from './state.ts'
import type { BenchAction, Feel, Plan } from '../model/index.ts'

/** Steps people have in the hand, in g. */
export const TEASPOON_WATER_G = 5
export const TABLESPOON_FLOUR_G = 8
export const SPRAY_G = 0.7
export const WET_HANDS_G = 1.5

export interface Measure {
  readonly unit: 'teaspoon' | 'tablespoon' | 'spray' | 'wet-hands'
  readonly count: number
}

export interface CorrectionStep {
  readonly what: 'water' | 'flour'
  readonly grams: number
  readonly saltG: number
  readonly measure: Measure
  readonly from: number
  readonly to: number
  /** More than the jug was meant to hold, and more than this lot has ever been thought to want. */
  readonly overCeiling: boolean
}

export interface Suggestion {
  /** Set when waiting is the better answer; the step may still be taken. */
  readonly wait: { readonly why: 'drinking' | 'chasing'; readonly minutes: number } | null
  readonly step: CorrectionStep | null
}

/** How far one word of feel moves the hydration, in points. */
const POINTS: Record<Feel, number> = { crumbling: 2, dry: 1, right: 0, tacky: -0.8, sticky: -1.6 }

function waterMeasure(grams: number): Measure & { grams: number } {
  const spoons = Math.round(grams / TEASPOON_WATER_G)
  if (spoons >= 1) return { unit: 'teaspoon', count: spoons, grams: spoons * TEASPOON_WATER_G }
  if (grams >= 1) return { unit: 'wet-hands', count: 1, grams: WET_HANDS_G }
  const sprays = Math.max(1, Math.round(grams / SPRAY_G))
  return { unit: 'spray', count: sprays, grams: Number((sprays * SPRAY_G).toFixed(2)) }
}

/** Salt that belongs to flour added to this bowl, g: in the formula's proportion; none on a base, where it is counted on what stays. */
export const saltWithFlour = (plan: Plan, state: BenchState, grams: number): number => {
  if (plan.control.by === 'base') return 0
  const flour = flourG(plan, state)
  return flour > 0 ? (saltG(plan, state) * grams) / flour : 0
}

/** The event of a spoon of water or flour, flour with its salt. */
export function additionOf(plan: Plan, state: BenchState, what: 'water' | 'flour', grams: number): BenchAction {
  if (what === 'water') return { type: 'poured', grams }
  return { type: 'added-flour', grams, saltG: Number(saltWithFlour(plan, state, grams).toFixed(2)) }
}

/** On a base one corrects with flour, 3 per 100 of it for a sticky dough; a dry one gets wet hands, 1 per 100. */
function stepOnBase(plan: Plan, state: BenchState, points: number): CorrectionStep | null {
  const base = baseG(plan, state)
  if (base <= 0) return null
  const from = bowlOnRule(plan, state)
  if (points > 0) {
    const { unit, count, grams } = waterMeasure((points / 2) * 0.01 * base)
    return { what: 'water', grams, saltG: 0, measure: { unit, count }, from, to: from, overCeiling: false }
  }
  const count = Math.max(1, Math.round((-points * 0.019 * base) / TABLESPOON_FLOUR_G))
  const grams = count * TABLESPOON_FLOUR_G
  const to = from + (100 * grams) / base
  return {
    what: 'flour',
    grams,
    saltG: saltWithFlour(plan, state, grams),
    measure: { unit: 'tablespoon', count },
    from,
    to,
    overCeiling: false,
  }
}

function stepFor(plan: Plan, state: BenchState, points: number): CorrectionStep | null {
  if (plan.control.by === 'base') return stepOnBase(plan, state, points)
  const flour = flourG(plan, state)
  const water = bowlWaterG(plan, state)
  const salt = saltG(plan, state)
  const from = effectivePercent(plan, state)
  const wanted = correctHydration({
    flourG: flour,
    waterG: water,
    saltG: salt,
    targetPercent: Math.max(1, from + points),
  })
  if (flour <= 0 || !wanted.ok || wanted.value.action === 'none') return null
  if (wanted.value.action === 'add-water') {
    const { unit, count, grams } = waterMeasure(wanted.value.waterG)
    const overCeiling = state.pouredG + grams > waterTargets(plan, state).ceilingG
    const to = (100 * (water + grams)) / flour
    return { what: 'water', grams, saltG: 0, measure: { unit, count }, from, to, overCeiling }
  }
  const spoons = Math.max(1, Math.round(wanted.value.flourG / TABLESPOON_FLOUR_G))
  const grams = spoons * TABLESPOON_FLOUR_G
  return {
    what: 'flour',
    grams,
    saltG: saltWithFlour(plan, state, grams),
    measure: { unit: 'tablespoon', count: spoons },
    from,
    to: (100 * water) / (flour + grams),
    overCeiling: false,
  }
}

function waiting(plan: Plan, state: BenchState, points: number, nowMs: number): Suggestion['wait'] {
  const [before, last] = corrections(state).slice(-2)
  const lastAdded = state.additions.at(-1)
  const sinceMin = lastAdded ? (nowMs - Date.parse(lastAdded.at)) / 60_000 : Infinity
  const left = Math.ceil(plan.minutes.drink - sinceMin)
  const latest = last ?? before
  const turns = latest !== undefined && (latest.what === 'water') !== points > 0
  if ((before && last && before.what !== last.what) || (turns && corrections(state).length >= 1))
    return { why: 'chasing', minutes: Math.max(left, 5) }
  return left > 0 ? { why: 'drinking', minutes: left } : null
}

/**
 * What to do about the feel of a dough: a step in grams and in spoons, or, when water and flour chase each other or the
 * flour has not had its time to drink, to cover it and wait first.
 */
export function suggest(plan: Plan, state: BenchState, feel: Feel, nowMs: number): Suggestion {
  const points = POINTS[feel]
  // A cooked paste that has set cannot be corrected any more.
  if (points === 0 || state.done.includes('spread')) return { wait: null, step: null }
  return { wait: waiting(plan, state, points, nowMs), step: stepFor(plan, state, points) }
}
