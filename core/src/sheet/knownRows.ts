import { DRY_SHARE_AT_14, massAt14, storeMoisture, type BatchRow } from '../formula/index.ts'
import { isPlainWater, materialOf, type Ingredient, type Material, type Sheet, type SheetRow } from '../model/index.ts'
import { ok, problem, type Result } from '../result.ts'
import { placeOf, type Kitchen } from './kitchen.ts'

/** What a row is to the work. The *water* is what the sheet solves for, and any plain water beside it. */
export type Part = 'flour' | 'base' | 'water' | 'salt' | 'alkali' | 'other'

/** A row of the sheet with what is known of its ingredient today. */
export interface Known {
  readonly row: SheetRow
  readonly ingredient: Ingredient
  readonly material: Material
  readonly part: Part
}

function partOf(row: SheetRow, { group, water }: Ingredient): Part {
  if (row.flour) return 'flour'
  if (row.base) return 'base'
  if (row.amount.by === 'hydration' || isPlainWater({ water })) return 'water'
  return group === 'salt' || group === 'alkali' ? group : 'other'
}

function moistureOf(row: SheetRow, ingredient: Ingredient, sheet: Sheet, kitchen: Kitchen): number {
  if (row.water !== undefined) return row.water
  if (!row.flour) return ingredient.water
  if (sheet.flourState.by === 'typed') return sheet.flourState.moisture
  const place = placeOf(sheet, kitchen.gear)
  return place && ingredient.grain ? storeMoisture(ingredient.grain, place) : ingredient.water
}

/** A wetter potato is less of everything else. */
function withWater(material: Material, water: number): Material {
  const thin = material.water < 1 ? (1 - water) / (1 - material.water) : 1
  return { ...material, water, fat: material.fat * thin, salt: material.salt * thin }
}

/**
 * The rows of a sheet with what is known of each: ingredient, moisture as it stands (fraction of mass) and its part in the dough.
 * Problems: `unknown-ingredient`, with the row's place and the id.
 */
export function knownRows(sheet: Sheet, kitchen: Kitchen): Result<readonly Known[]> {
  const known: Known[] = []
  for (const [index, row] of sheet.rows.entries()) {
    const ingredient = kitchen.ingredients.get(row.ingredient)
    if (!ingredient) return problem('unknown-ingredient', `rows.${index}`, { id: row.ingredient })
    const water = moistureOf(row, ingredient, sheet, kitchen)
    const table = materialOf(ingredient)
    // A flour's fat is told for the flour as traded; a store only moves its water, and the tables say no more.
    const material = row.flour || row.water === undefined ? { ...table, water } : withWater(table, water)
    known.push({ row, ingredient, material, part: partOf(row, ingredient) })
  }
  return ok(known)
}

/** All flours together: F14/F, and their moisture as they stand. */
export function floursAsTheyStand(rows: readonly BatchRow[]) {
  const flours = rows.filter((row) => row.flour).map((row) => ({ grams: row.percent, moisture: row.material.water }))
  const slope = massAt14(flours) / 100
  return { slope, moisture: 1 - DRY_SHARE_AT_14 * slope }
}

/**
 * How many points more water this mixture wants than the dough's table says, at equal feel: the share-weighted shift of
 * its flours against `own`, the shift of the flour the table is written for, and what dry additions drink. Percent on flour.
 */
export function flourShift(known: readonly Known[], rows: readonly BatchRow[], own: number): number {
  return known.reduce((sum, { ingredient, part }, index) => {
    const share = (rows[index]?.percent ?? 0) / 100
    if (part === 'flour') return sum + share * ((ingredient.absorptionShift ?? 0) - own)
    return part === 'other' ? sum + share * (ingredient.absorptionShift ?? 0) : sum
  }, 0)
}
