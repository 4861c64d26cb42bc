/** What a dough brings: free water, energy, salt, allergens, cost, and where its mass comes from. */
import type { BatchResult } from '../formula/index.ts'
import type { Lot } from '../model/index.ts'
import type { WorkedRow } from './workedRow.ts'

export interface Balance {
  /** Water free to wet flour soon, percent on flour. */
  readonly availablePercent: number
  readonly allergens: readonly string[]
  /** What the pack of a row may name besides: never left out of a label for being uncertain. */
  readonly mayContain: readonly string[]
  /** Of the whole dough, in the maker's money; null while nothing has a price. */
  readonly cost: { readonly total: number; readonly unpriced: readonly string[] } | null
  /** Protein of the flours, fraction of their mass. */
  readonly flourProtein: number
  readonly kJPer100G: number
  /** As a label has it: sodium × 2.5, that of alkali and soda with it. */
  readonly saltGPer100G: number
  readonly potassiumMgPer100G: number
}

/** Labels count all sodium as salt. */
const SALT_PER_SODIUM = 2.5
/** kJ per g. Fibre is counted as starch, so the figure runs a little high. */
const KJ_PER_G = { protein: 17, fat: 37, starch: 17 }

function energyKJ({ ingredient, water, grams }: WorkedRow): number {
  const { protein, fat, salt, group } = ingredient
  if (group === 'salt' || group === 'alkali') return 0
  const starch = Math.max(0, 1 - water - protein - fat - salt)
  return grams * (protein * KJ_PER_G.protein + fat * KJ_PER_G.fat + starch * KJ_PER_G.starch)
}

const sumOf = (rows: readonly WorkedRow[], of: (row: WorkedRow) => number): number =>
  rows.reduce((sum, row) => sum + of(row), 0)

/** What is poured into a dough, g: water, or the liquid that stands in for it. */
export const pouredG = ({ rows }: { readonly rows: readonly WorkedRow[] }): number =>
  sumOf(rows, (row) => (row.part === 'water' ? row.grams : 0))

function costOf(rows: readonly WorkedRow[], lots: readonly Lot[]): Balance['cost'] {
  const priceOf = (row: WorkedRow) =>
    lots.find((lot) => lot.id === row.lot)?.pricePerKg ?? row.ingredient.pricePerKg ?? (row.water >= 1 ? 0 : undefined)
  const bought = rows.filter((row) => row.grams > 0 && row.water < 1)
  if (bought.every((row) => priceOf(row) === undefined)) return null
  return {
    total: sumOf(rows, (row) => ((priceOf(row) ?? 0) * row.grams) / 1000),
    unpriced: bought.filter((row) => priceOf(row) === undefined).map((row) => row.ingredient.name),
  }
}

/** What the rows of a dough bring into it; a lot's own protein and price come before the table's. */
export function balanceOf(rows: readonly WorkedRow[], batch: BatchResult, lots: readonly Lot[]): Balance {
  const flours = rows.filter((row) => row.part === 'flour')
  const protein = (row: WorkedRow) => lots.find((lot) => lot.id === row.lot)?.protein ?? row.ingredient.protein
  const named = (of: (ingredient: WorkedRow['ingredient']) => readonly string[]) =>
    [...new Set(rows.filter((row) => row.grams > 0).flatMap((row) => of(row.ingredient)))].sort()
  const allergens = named((ingredient) => ingredient.allergens)
  const free = (row: WorkedRow) => (row.part === 'flour' ? 0 : row.grams * row.water * row.ingredient.availableWater)
  return {
    availablePercent: (100 * sumOf(rows, free)) / batch.flourG,
    allergens,
    mayContain: named(({ mayContain = [] }) => mayContain).filter((each) => !allergens.includes(each)),
    cost: costOf(rows, lots),
    flourProtein: sumOf(flours, (row) => row.grams * protein(row)) / batch.flourG,
    kJPer100G: (100 * sumOf(rows, energyKJ)) / batch.doughG,
    saltGPer100G:
      (batch.saltPercent * batch.flourG +
        100 * SALT_PER_SODIUM * sumOf(rows, ({ grams, ingredient }) => grams * (ingredient.sodium ?? 0))) /
      batch.doughG,
    potassiumMgPer100G:
      (1e5 * sumOf(rows, ({ grams, ingredient }) => grams * (ingredient.potassium ?? 0))) / batch.doughG,
  }
}

export type ColumnCode =
  | 'dry-flour'
  | 'flour-water'
  | 'base-dry'
  | 'base-water'
  | 'poured'
  | 'salt'
  | 'alkali'
  | 'egg'
  | 'puree'
  | 'fat'
  | 'other'

/** What a row beside flour, water, salt and alkali is, by name where it has one. */
function kindOf({ ingredient: { group, water } }: WorkedRow): 'egg' | 'puree' | 'fat' | 'other' {
  if (group === 'fat' || group === 'egg') return group
  return group === 'vegetable' && water > 0.3 ? 'puree' : 'other'
}

/** The dough as a column, top to bottom: where the mass on the scale comes from. Empty parts are left out. */
export function columnOf(rows: readonly WorkedRow[]): readonly { readonly code: ColumnCode; readonly grams: number }[] {
  const of = (part: WorkedRow['part'], share: (row: WorkedRow) => number = () => 1) =>
    sumOf(rows, (row) => (row.part === part ? row.weighedG * share(row) : 0))
  const wet = (row: WorkedRow) => row.water
  const dry = (row: WorkedRow) => 1 - row.water
  const parts: { code: ColumnCode; grams: number }[] = [
    { code: 'dry-flour', grams: of('flour', dry) },
    { code: 'flour-water', grams: of('flour', wet) },
    { code: 'base-dry', grams: of('base', dry) },
    { code: 'base-water', grams: of('base', wet) },
    { code: 'poured', grams: of('water') },
    ...(['egg', 'puree', 'fat', 'other'] as const).map((code) => ({
      code,
      grams: of('other', (row) => (kindOf(row) === code ? 1 : 0)),
    })),
    { code: 'salt', grams: of('salt') },
    { code: 'alkali', grams: of('alkali') },
  ]
  return parts.filter((part) => part.grams > 0)
}
