import {
  DRY_SHARE_AT_14,
  massAt14,
  PACKED_MOISTURE,
  sackMoisture,
  shareOfTheWay,
  type BatchRow,
} from '../formula/index.ts'
import { isPlainWater, materialOf, type Ingredient, type Material, type Sheet, type SheetRow } from '../model/index.ts'
import { isEgg } from '../quantity/index.ts'
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
  readonly moistureBy: 'typed' | 'place' | 'table'
  /** As reckoned, before it is held between what real flour can be. Fraction of mass. */
  readonly reckoned: number
  /** Of the way from its start to the air's own moisture; 0 where the air has no say. */
  readonly airShare: number
}

function partOf(row: SheetRow, { group, water }: Ingredient): Part {
  if (row.flour) return 'flour'
  if (row.base) return 'base'
  if (row.amount.by === 'hydration' || isPlainWater({ water })) return 'water'
  return group === 'salt' || group === 'alkali' ? group : 'other'
}

/** Real flour is no drier and no damper than this, whatever the air; damper than the upper one it may mould. Fraction of mass. */
const DRIEST = 0.105
export const DAMPEST = 0.15

const DAY_MS = 86_400_000

/** How damp this flour is where it stands, and how far of the way to the air's own moisture its sack has gone. */
interface Stood {
  readonly water: number
  /** Not held between what real flour can be. */
  readonly reckoned: number
  readonly airShare: number
}

/** Null where the flour stands in no place, or is no wheat: nothing is known of it then. */
function stood(row: SheetRow, { grain }: Ingredient, sheet: Sheet, kitchen: Kitchen): Stood | null {
  const place = placeOf(sheet, kitchen.gear)
  if (!place || !grain) return null
  const lot = kitchen.lots.find(({ id }) => id === row.lot)
  const packing = lot?.packing ?? 'paper-sack'
  const days = lot?.since === undefined ? undefined : Math.max(0, (kitchen.todayMs - Date.parse(lot.since)) / DAY_MS)
  const startMoisture = lot?.startMoisture ?? PACKED_MOISTURE
  const { temperatureC, rhPercent } = place
  const { moisture } = sackMoisture({ grain, packing, startMoisture, stays: [{ temperatureC, rhPercent, days }] })
  return {
    water: Math.min(DAMPEST, Math.max(DRIEST, moisture)),
    reckoned: moisture,
    airShare: shareOfTheWay(packing, days),
  }
}

/** What is known of a row's water. `by`: measured or typed by the maker, reckoned from where it stands, or the table's. */
function waterOf(
  row: SheetRow,
  ingredient: Ingredient,
  sheet: Sheet,
  kitchen: Kitchen,
): Pick<Known, 'moistureBy'> & Stood {
  const said = (water: number, moistureBy: Known['moistureBy']) => ({ water, reckoned: water, airShare: 0, moistureBy })
  if (row.water !== undefined) return said(row.water, 'typed')
  if (!row.flour) return said(ingredient.water, 'table')
  if (sheet.flourState.by === 'typed') return said(sheet.flourState.moisture, 'typed')
  const found = stood(row, ingredient, sheet, kitchen)
  return found ? { ...found, moistureBy: 'place' } : said(ingredient.water, 'table')
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
    const { water, ...how } = waterOf(row, ingredient, sheet, kitchen)
    const table = materialOf(ingredient)
    // A flour's fat is told for the flour as traded; a store only moves its water, and the tables say no more.
    const material = row.flour || row.water === undefined ? { ...table, water } : withWater(table, water)
    known.push({ row, ingredient, material, part: partOf(row, ingredient), ...how })
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

/** Of the fat and protein of egg, so much softens a dough as water does. */
const EGG_SOFTENS = 0.5

/**
 * Points less water that a kneaded dough wants for the egg in it, at equal feel: never more than 0. Set against what makers of
 * egg doughs agree on: one egg of 50 g to 100 g of flour, and some 35 yolks to the kilo, are right, and by their water alone
 * would be stiff. @example 50 % whole egg → −5.6; 55 % yolk → −12.4
 */
export const eggShift = (known: readonly Known[], rows: readonly BatchRow[]): number =>
  known.reduce((sum, { ingredient: { id, fat, protein } }, index) => {
    const percent = rows[index]?.percent ?? 0
    return isEgg(id) ? sum - percent * EGG_SOFTENS * (fat + protein) : sum
  }, 0)
