/**
 * How long a dough may lie, warm and cold, by what is in it: one account from mixing on. Sources by kind: public guidance on food
 * left out (two hours, one above 32 °C), on cooked starch, eggs, milk and raw fillings in the fridge, and on what grows between 5
 * and 8 °C. The maker's own limits and the local food code win where they are stricter.
 */
import { isDairyOrEgg, type Ingredient } from '../model/index.ts'

/** What a row brings: nothing of its own, water that feeds what spoils, or food that spoils first. */
export type Spoilage = 'plain' | 'moist' | 'perishable'

/** Fresh food with water of its own; dry powders are none. Fraction of mass. */
const FRESH_WATER = 0.3
/** A drink of the maker's own with as much protein and fat as this feeds like milk. Fraction of mass. */
const FEEDS = 0.015

/**
 * Milk, egg, curd, bean curd, cooked pulses, plant drinks and squid ink spoil first; purée, juice, broth and the water of pulses
 * feed what spoils.
 * @example spoilageOf({ group: 'vegetable', water: 0.87, allergens: [], protein: 0.01, fat: 0 }) → 'moist'
 */
export function spoilageOf(
  ingredient: Pick<Ingredient, 'group' | 'water' | 'allergens' | 'protein' | 'fat' | 'spoils'>,
): Spoilage {
  const { group, water, protein, fat, spoils } = ingredient
  if (spoils) return spoils
  if (isDairyOrEgg(ingredient)) return 'perishable'
  if (water <= FRESH_WATER) return 'plain'
  if (group === 'pulse') return 'perishable'
  if (group === 'vegetable' || group === 'egg') return 'moist'
  return protein + fat >= FEEDS ? 'perishable' : 'plain'
}

/** Minutes warm, up to 27 °C; hours at 5 °C or below; whether it may be dried in room air. */
export interface Limits {
  readonly warmMin: number
  readonly coldH: number
  readonly mayDry: boolean
}

const PLAIN: Limits = { warmMin: 120, coldH: 48, mayDry: true }
/** Alkali slows what spoils a noodle: as of this much, percent of flour as sodium carbonate. */
const ALKALINE: Limits = { ...PLAIN, coldH: 72 }
export const ALKALINE_PERCENT = 0.5
const MOIST: Limits = { warmMin: 120, coldH: 24, mayDry: false }
/** Cooked starch is cooked food. */
const PERISHABLE: Limits = { warmMin: 60, coldH: 24, mayDry: false }
/** Raw potato greys and weeps in the cold: the pot within the hour, or the freezer. */
const POTATO: Limits = { warmMin: 60, coldH: 0, mayDry: false }

export interface Contents {
  readonly rows: readonly Spoilage[]
  readonly carbonatePercent: number
  readonly filled: boolean
  readonly scalded: boolean
  readonly potatoBase: boolean
}

/** The strictest of all that hold. */
export function limitsOf({ rows, carbonatePercent, filled, scalded, potatoBase }: Contents): Limits {
  const all = [
    carbonatePercent >= ALKALINE_PERCENT ? ALKALINE : PLAIN,
    ...(rows.includes('moist') ? [MOIST] : []),
    ...(rows.includes('perishable') || filled || scalded ? [PERISHABLE] : []),
    ...(potatoBase ? [POTATO] : []),
  ]
  return {
    warmMin: Math.min(...all.map(({ warmMin }) => warmMin)),
    coldH: Math.min(...all.map(({ coldH }) => coldH)),
    mayDry: all.every(({ mayDry }) => mayDry),
  }
}

/** Hot through: what is filled is done when its middle has been so hot, °C. Public guidance on stuffed food. */
export const FILLING_DONE_C = 74

/** How cold a household's two are. */
export const FRIDGE_C = 4
export const FREEZER_C = -18

const WARM_OVER_C = 8
const COLD_TO_C = 5
const STOPS_AT_C = -10
const HOT_OVER_C = 32
const VERY_WARM_OVER_C = 27

/** Share of the warm limit that is left at this heat: three quarters above 27 °C, half above 32. @example warmShare(35) → 0.5 */
export const warmShare = (celsius: number): number =>
  celsius > HOT_OVER_C ? 0.5 : celsius > VERY_WARM_OVER_C ? 0.75 : 1

/** A while at one heat. */
export interface Lying {
  readonly minutes: number
  readonly temperatureC: number
}

/** Shares of the two limits that are spent: over 1, nothing is left of either. */
export interface Spent {
  readonly warm: number
  readonly cold: number
}

/** Two limits none of which is there, as cold for raw potato, are spent by the first minute. */
const shareOf = (spent: number, limit: number): number => (spent === 0 ? 0 : limit > 0 ? spent / limit : Infinity)

/** What it has spent of these limits, as it has lain from mixing on. */
export function spentBy(lay: readonly Lying[], { warmMin, coldH }: Pick<Limits, 'warmMin' | 'coldH'>): Spent {
  let [warm, cold] = [0, 0]
  for (const { minutes, temperatureC } of lay)
    if (temperatureC > WARM_OVER_C) warm += shareOf(minutes, warmMin * warmShare(temperatureC))
    else if (temperatureC > STOPS_AT_C) cold += shareOf((minutes / 60) * (temperatureC > COLD_TO_C ? 2 : 1), coldH)
  return { warm, cold }
}

export interface Left {
  readonly roomLeftMin: number
  readonly fridgeLeftH: number
}

/** What is left, in a room of this heat, and in the fridge. */
export function leftOf(
  { warm, cold }: Spent,
  { warmMin, coldH }: Pick<Limits, 'warmMin' | 'coldH'>,
  roomC: number,
): Left {
  if (warm > 1 || cold > 1) return { roomLeftMin: 0, fridgeLeftH: 0 }
  return { roomLeftMin: (1 - warm) * warmMin * warmShare(roomC), fridgeLeftH: (1 - cold) * coldH }
}
