import type { IngredientTable, Gear, Lot, Sheet, DoughTable, ShapeTable } from '../model/index.ts'
import type { Taught } from '../lot/index.ts'
import type { School } from './school.ts'
import type { Pressed, Proven } from './tried.ts'

/** Everything outside a work sheet that its figures depend on. */
export interface Kitchen {
  readonly ingredients: IngredientTable
  readonly doughs: DoughTable
  readonly shapes: ShapeTable
  readonly schools: readonly School[]
  readonly gear: Gear
  readonly lots: readonly Lot[]
  /** The day it is, ms since the epoch: how long a sack has stood. */
  readonly todayMs: number
  /** What past batches said of a flour, by `lotKey`; oldest first. */
  readonly thirst: ReadonlyMap<string, readonly Taught[]>
  /** What went through presses and came out well. */
  readonly pressed: readonly Pressed[]
  /** Batches of one's own that came out well. */
  readonly proven: readonly Proven[]
}

/**
 * Batches teach about the flour they were made of: a blend is a flour of its own. A flour from no named sack teaches by what
 * it is, and one at 0 % is out.
 */
export const lotKey = (
  rows: readonly {
    readonly flour?: true | undefined
    readonly lot?: string | undefined
    readonly ingredient: string
    readonly amount: { readonly percent: number }
  }[],
): string =>
  rows
    .filter((row) => row.flour && row.amount.percent > 0)
    .map(({ lot, ingredient }) => lot ?? `any ${ingredient}`)
    .sort()
    .join('+')

const benchPlace = ({ gear }: Pick<Kitchen, 'gear'>) =>
  gear.places.find((place) => place.id === gear.benchPlace) ?? gear.places[0]

/** Heat of the air at the bench, °C. */
export const benchC = (kitchen: Pick<Kitchen, 'gear'>): number => benchPlace(kitchen)?.temperatureC ?? 21
/** Humidity of the air at the bench, percent. */
export const benchRh = (kitchen: Pick<Kitchen, 'gear'>): number => benchPlace(kitchen)?.rhPercent ?? 60

/** The place a sheet's flour stands in, if it stands in one. */
export const placeOf = ({ flourState }: Sheet, gear: Gear) =>
  flourState.by === 'place' ? gear.places.find((place) => place.id === flourState.place) : undefined
