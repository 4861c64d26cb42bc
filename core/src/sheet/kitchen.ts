import type { IngredientTable, Gear, Lot, Sheet, DoughTable, ShapeTable } from '../model/index.ts'
import type { School } from '../schools/index.ts'

/** Everything outside a work sheet that its figures depend on. */
export interface Kitchen {
  readonly ingredients: IngredientTable
  readonly doughs: DoughTable
  readonly shapes: ShapeTable
  readonly schools: readonly School[]
  readonly gear: Gear
  readonly lots: readonly Lot[]
  /** Accepted minus paper, points on the 14 % basis, by `lotKey`; oldest first. */
  readonly thirst: ReadonlyMap<string, readonly number[]>
}

/** Batches teach about the flour they were made of: a blend of lots is a flour of its own. Empty when a lot is not known. */
export function lotKey(
  rows: readonly { readonly flour?: true | undefined; readonly lot?: string | undefined }[],
): string {
  const flours = rows.filter((row) => row.flour)
  if (flours.length === 0 || flours.some((row) => row.lot === undefined)) return ''
  return flours
    .map((row) => row.lot)
    .sort()
    .join('+')
}

/** The place a sheet's flour stands in, if it stands in one. */
export const placeOf = ({ flourState }: Sheet, gear: Gear) =>
  flourState.by === 'place' ? gear.places.find((place) => place.id === flourState.place) : undefined
