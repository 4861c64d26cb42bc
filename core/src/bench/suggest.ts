import { correctHydration } from '../formula/index.ts'
import {
  baseG,
  bowlOnRule,
  firstPour,
  bowlWaterG,
  effectivePercent,
  flourG,
  heldFlourG,
  plannedOnRule,
  saltG,
  waterTargets,
} from './bowl.ts'
import { corrections } from './replay.ts'
import type { BenchState } from './state.ts'
import type { BenchAction, Body, Feel, Plan } from '../model/index.ts'

/** Steps people have in the hand, g, the largest first. */
const WATER_MEASURES = [
  ['tablespoon', 15],
  ['teaspoon', 5],
  ['half-teaspoon', 2.5],
  ['wet-hands', 1.5],
  ['spray', 0.7],
] as const
const FLOUR_MEASURES = [
  ['tablespoon', 8],
  ['teaspoon', 2.6],
  ['half-teaspoon', 1.3],
] as const
/** A jug of water is told in spoons up to so many; above, and for flour, it is weighed and goes in by goes. */
const MOST_SPOONS = 8
const MOST_AT_A_GO_G = 60

export interface Measure {
  /** `go`: weighed, the first of so many. */
  readonly unit: 'tablespoon' | 'teaspoon' | 'half-teaspoon' | 'wet-hands' | 'spray' | 'go'
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

/** The same word again after it was answered: each answer is larger than the last, up to what a thirsty flour takes. */
export interface Run {
  /** Answers so far, all one way, and what they came to, g. */
  readonly times: number
  readonly grams: number
  /** What they may come to before it is something else than thirst, g. */
  readonly mostG: number
}

export interface Suggestion {
  /** Null for the first answer one way. */
  readonly run: Run | null
  /** Set when waiting is the better answer; the step may still be taken. */
  readonly wait: { readonly why: 'drinking' | 'chasing'; readonly minutes: number } | null
  readonly step: CorrectionStep | null
}

/** A thirsty flour takes so much more than the formula says, in 100 of flour; a soft potato so much flour, in 100 of it. Usual practice. */
const THIRST_POINTS = 4
const SOFT_BASE_POINTS = 12
/** Each further answer is by half of the first one larger, up to twice it. */
const GROWS = 0.5
const GROWS_TO = 2

/** All water that a thirsty flour may take, g: more than this lot was ever thought to want, or than any flour does. */
const mostWaterG = (plan: Plan, state: BenchState): number => {
  const { ceilingG, totalG } = waterTargets(plan, state)
  return Math.max(ceilingG, totalG + (THIRST_POINTS / 100) * flourG(plan, state))
}

/** What may be given one way before it is no thirst and no softness any more, g; `given` is of it already. */
function mostOf(plan: Plan, state: BenchState, what: 'water' | 'flour', givenG: number): number {
  if (plan.control.by === 'base') return heldFlourG(plan, state) + (SOFT_BASE_POINTS / 100) * baseG(plan, state)
  return what === 'water'
    ? mostWaterG(plan, state) - (state.pouredG - givenG)
    : Math.max((THIRST_POINTS / 100) * flourG(plan, state), missingG(plan, state, 'flour') + givenG)
}

/** The run of corrections one way that the last one belongs to. */
function runOf(plan: Plan, state: BenchState, what: 'water' | 'flour'): Run | null {
  const latest = [...corrections(state)].reverse()
  const turned = latest.findIndex((each) => each.what !== what)
  const same = turned < 0 ? latest : latest.slice(0, turned)
  if (same.length === 0) return null
  const grams = same.reduce((sum, each) => sum + each.grams, 0)
  return { times: same.length, grams, mostG: mostOf(plan, state, what, grams) }
}

interface Corrected {
  /** How far one word of feel moves the hydration, in points. */
  readonly points: Readonly<Record<Feel, number>>
  readonly water: readonly (readonly [Measure['unit'], number])[]
}
const handled: Corrected = {
  points: { crumbling: 2, dry: 1, right: 0, tacky: -0.8, sticky: -1.6 },
  water: WATER_MEASURES,
}
/** A batter moves in larger steps before the spoon tells a difference; it is stirred, and there is nothing to wet hands for. */
const stirred: Corrected = {
  points: { crumbling: 6, dry: 3, right: 0, tacky: -3, sticky: -6 },
  water: WATER_MEASURES.slice(0, 3),
}
const corrected: Readonly<Record<Body, Corrected>> = {
  gluten: handled,
  starch: handled,
  base: handled,
  batter: stirred,
}

/**
 * What comes nearest to what is needed and is not more: so many of one measure, the larger of two alike. What would be
 * many spoons is weighed, and goes in by goes.
 * @example 100 g of flour → the first of 2 goes of 50 g; 9 g → one tablespoon; less than the smallest → so much of it
 */
function inTheHand(
  neededG: number,
  measures: readonly (readonly [Measure['unit'], number])[],
): Measure & { readonly grams: number } {
  const [, largestG] = measures[0] ?? ['go', 1]
  if (neededG > MOST_AT_A_GO_G || neededG >= MOST_SPOONS * largestG) {
    const goes = Math.ceil(neededG / MOST_AT_A_GO_G)
    return { unit: 'go', count: goes, grams: Math.max(1, Math.floor(neededG / goes)) }
  }
  const [smallest, leastG] = measures.at(-1) ?? ['go', neededG]
  return (
    measures
      .map(([unit, eachG]) => ({ unit, eachG, count: Math.floor(neededG / eachG + 1e-9) }))
      // Hands are wetted once, and nobody counts nine spoons.
      .filter(({ unit, count }) => count >= 1 && count <= (unit === 'wet-hands' ? 1 : MOST_SPOONS))
      .map(({ unit, eachG, count }) => ({ unit, count, grams: Number((count * eachG).toFixed(2)) }))
      .reduce((best, each) => (each.grams > best.grams + 0.05 ? each : best), {
        unit: smallest,
        count: 1,
        grams: Math.min(leastG, neededG),
      })
  )
}

const waterInHand = ({ body }: Plan, neededG: number) => inTheHand(neededG, corrected[body].water)

/**
 * How far to move, in points of water on flour: as far as the word says, or farther where the bowl is farther off: up to the
 * first pour, which is below what any flour wants, and down to the formula. A sticky dough with a jug too much in it wants all
 * of it bound, and not a spoon.
 */
function pointsFor(plan: Plan, state: BenchState, feel: Feel): number {
  const word = corrected[plan.body].points[feel]
  const before = runOf(plan, state, word > 0 ? 'water' : 'flour')
  const byWord = word * Math.min(GROWS_TO, 1 + GROWS * (before?.times ?? 0))
  if (plan.control.by === 'base' || byWord === 0) return byWord
  const at = bowlOnRule(plan, state)
  if (byWord < 0) return Math.min(byWord, plannedOnRule(plan) - at)
  return Math.max(byWord, firstPour(plan, state) - at)
}

/**
 * Salt that belongs to flour added to this bowl, g: in the formula's proportion; none on a base, where it is counted on what
 * stays, and none with flour that was held back, whose salt is in already.
 */
export const saltWithFlour = (plan: Plan, state: BenchState, grams: number): number => {
  if (plan.control.by === 'base') return 0
  const heldG = Math.max(0, heldFlourG(plan, state) - state.addedFlourG)
  const flour = flourG(plan, state) + heldG
  return flour > 0 ? (saltG(plan, state) * Math.max(0, grams - heldG)) / flour : 0
}

/** The event of a spoon of water or flour, flour with its salt. */
export function additionOf(plan: Plan, state: BenchState, what: 'water' | 'flour', grams: number): BenchAction {
  if (what === 'water') return { type: 'poured', grams }
  return { type: 'added-flour', grams, saltG: Number(saltWithFlour(plan, state, grams).toFixed(2)) }
}

/** Flour for a base that is too soft, per 100 of it and point of the word: 3 for a sticky one. */
const ON_BASE_PER_POINT = 1.9

/** On a base one corrects with flour: by the word, or up to what goes in first. A dry one gets wet hands, 1 per 100. */
function stepOnBase(plan: Plan, state: BenchState, points: number): CorrectionStep | null {
  const base = baseG(plan, state)
  if (base <= 0) return null
  const from = bowlOnRule(plan, state)
  if (points > 0) {
    const { grams, ...measure } = waterInHand(plan, (points / 2) * 0.01 * base)
    return { what: 'water', grams, saltG: 0, measure, from, to: from, overCeiling: false }
  }
  const missing = firstPour(plan, state) - from
  const neededG = (Math.max(-points * ON_BASE_PER_POINT, missing) * base) / 100
  const { grams, ...measure } = inTheHand(neededG, FLOUR_MEASURES)
  const saltG = saltWithFlour(plan, state, grams)
  return { what: 'flour', grams, saltG, measure, from, to: from + (100 * grams) / base, overCeiling: false }
}

function stepFor(plan: Plan, state: BenchState, points: number): CorrectionStep | null {
  if (plan.control.by === 'base') return stepOnBase(plan, state, points)
  const flour = flourG(plan, state)
  const water = bowlWaterG(plan, state)
  const from = effectivePercent(plan, state)
  const targetPercent = Math.max(1, from + points)
  const wanted = correctHydration({ flourG: flour, waterG: water, saltG: saltG(plan, state), targetPercent })
  if (flour <= 0 || !wanted.ok || wanted.value.action === 'none') return null
  if (wanted.value.action === 'add-water') {
    const { grams, ...measure } = waterInHand(plan, wanted.value.waterG)
    const overCeiling = state.pouredG + grams > mostWaterG(plan, state)
    return { what: 'water', grams, saltG: 0, measure, from, to: (100 * (water + grams)) / flour, overCeiling }
  }
  const { grams, ...measure } = inTheHand(wanted.value.flourG, FLOUR_MEASURES)
  return {
    what: 'flour',
    grams,
    saltG: saltWithFlour(plan, state, grams),
    measure,
    from,
    to: (100 * water) / (flour + grams),
    overCeiling: false,
  }
}

/** Curd, squash and cooked semolina drink late, as flour does: so long after it was folded in, min. */
const DRINKS_LATE_MIN = 10

/** When flour and water last came together, ms since the epoch; null where nobody knows. */
function lastWetMs(plan: Plan, state: BenchState): number | null {
  const added = state.additions.at(-1)?.at
  const folded = plan.control.by === 'base' && plan.minutes.drink >= DRINKS_LATE_MIN ? state.flourInAt : null
  const at = added ?? folded
  return at ? Date.parse(at) : null
}

function waiting(plan: Plan, state: BenchState, points: number, nowMs: number): Suggestion['wait'] {
  const [before, last] = corrections(state).slice(-2)
  const wetMs = lastWetMs(plan, state)
  const sinceMin = wetMs === null ? Infinity : (nowMs - wetMs) / 60_000
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
  const points = pointsFor(plan, state, feel)
  // A cooked paste that has set cannot be corrected any more.
  if (points === 0 || state.done.includes('spread')) return { wait: null, step: null, run: null }
  return {
    wait: waiting(plan, state, points, nowMs),
    step: stepFor(plan, state, points),
    run: runOf(plan, state, points > 0 ? 'water' : 'flour'),
  }
}

/** What is missing whatever it feels like, g: water up to the first pour; flour for what was poured, on a base up to what goes in first. */
export function missingG(plan: Plan, state: BenchState, what: 'water' | 'flour'): number {
  const at = bowlOnRule(plan, state)
  const first = firstPour(plan, state)
  if (plan.control.by === 'base') return what === 'flour' ? Math.max(0, ((first - at) * baseG(plan, state)) / 100) : 0
  const flour = flourG(plan, state)
  return what === 'water'
    ? Math.max(0, ((first - at) * flour) / 100)
    : Math.max(0, flour * (at / plannedOnRule(plan) - 1))
}
