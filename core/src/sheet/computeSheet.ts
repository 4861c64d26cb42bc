import {
  DRY_SHARE_AT_14,
  hydrationOf,
  massAt14,
  roundHalfUp,
  solveBatch,
  storeMoisture,
  type BatchResult,
  type BatchRow,
  type BatchTarget,
} from '../formula/index.ts'
import {
  compositionOf,
  densityGPerCm3,
  isPlainWater,
  materialOf,
  type Ingredient,
  type Material,
} from '../ingredients/index.ts'
import { lotFromHistory, type FlourLot } from '../lot/index.ts'
import { matchShape, type ShapeMatch } from '../match/index.ts'
import type { Amount, Sheet, SheetRow } from '../records/sheet.ts'
import { ok, problem, type Result } from '../result.ts'
import { cylinderG, rope, type Dough, type Rope, type Shape, type Window } from '../shape/index.ts'
import { lotKey, placeOf, type Kitchen } from './kitchen.ts'
import { sheetNotes, type SheetNote } from './sheetNotes.ts'

export type Part = 'flour' | 'water' | 'salt' | 'other'

export interface WorkedRow {
  readonly key: string
  readonly ingredient: Ingredient
  readonly lot: string | undefined
  readonly part: Part
  /** Fraction of mass; for a flour, as it stands in store today. */
  readonly water: number
  readonly percent: number
  readonly grams: number
  readonly weighedG: number
}

/** Water to pour, g. The jug holds `totalG`; `startG` goes in first, the hold-back only if the dough asks for it. */
export interface WaterPlan {
  readonly totalG: number
  readonly startG: number
  readonly holdBackG: number
  readonly ceilingG: number
}

/** Poured = slope × (14 % basis) + offset: how the windows lie on the rule for this flour today. Percent. */
export interface PouredScale {
  readonly slope: number
  readonly offset: number
}

export interface Worked {
  readonly sheet: Sheet
  readonly dough: Dough
  readonly shape: Shape
  readonly rows: readonly WorkedRow[]
  readonly batch: BatchResult
  /** What the formula asks for, 14 % basis; then with the lot's own thirst. Percent. */
  readonly paper14: number
  readonly expected14: number
  readonly lot: FlourLot
  readonly water: WaterPlan
  readonly poured: PouredScale
  /** All flours together, fraction of mass, as they stand. */
  readonly flourMoisture: number
  readonly match: ShapeMatch
  readonly rope: Rope
  readonly portionG: number | null
  readonly notes: readonly SheetNote[]
}

export const VOIDS = 0.03

export const toPoured = ({ slope, offset }: PouredScale, basis14: number): number => slope * basis14 + offset
export const fromPoured = ({ slope, offset }: PouredScale, poured: number): number => (poured - offset) / slope

/** A window written on the 14 % basis, moved to where it lies for flour as it stands, and for a lot's own thirst. */
export const pouredWindow = (scale: PouredScale, { low, best, high }: Window, shiftPoints: number): Window => ({
  low: toPoured(scale, low + shiftPoints),
  best: toPoured(scale, best + shiftPoints),
  high: toPoured(scale, high + shiftPoints),
})

function flourMoisture(ingredient: Ingredient, sheet: Sheet, kitchen: Kitchen): number {
  if (sheet.flourState.by === 'typed') return sheet.flourState.moisture
  const place = placeOf(sheet, kitchen.gear)
  return place && ingredient.grain ? storeMoisture(ingredient.grain, place) : ingredient.water
}

function partOf(row: SheetRow, { group, water }: Ingredient): Part {
  if (row.flour) return 'flour'
  if (isPlainWater({ water })) return 'water'
  return group === 'salt' ? 'salt' : 'other'
}

interface Known {
  readonly row: SheetRow
  readonly ingredient: Ingredient
  readonly material: Material
}

function knownRows(sheet: Sheet, kitchen: Kitchen): Result<readonly Known[]> {
  const known: Known[] = []
  for (const [index, row] of sheet.rows.entries()) {
    const ingredient = kitchen.ingredients.get(row.ingredient)
    if (!ingredient) return problem('unknown-ingredient', `rows.${index}`, { id: row.ingredient })
    const material = materialOf(ingredient)
    known.push({
      row,
      ingredient,
      material: row.flour ? { ...material, water: flourMoisture(ingredient, sheet, kitchen) } : material,
    })
  }
  return ok(known)
}

const percentOf = (amount: Amount): number => (amount.by === 'percent' ? amount.percent : 0)

const batchRows = (known: readonly Known[]): BatchRow[] =>
  known.map(({ row, material }) => ({ material, percent: percentOf(row.amount), flour: row.flour === true }))

/** Rows with the water solved: first as the paper says, then with the lot's thirst on top. */
function wetRows(known: readonly Known[], shiftPoints: number) {
  const index = known.findIndex(({ row }) => row.amount.by === 'hydration')
  const amount = known[index]?.row.amount
  if (amount?.by !== 'hydration') return problem('no-water-row', 'rows')
  const rows = batchRows(known)
  const flour = { by: 'flour', grams: 100 } as const
  const common = { rows, target: flour, lossPercent: 0, scaleStepG: 1, voids: VOIDS }
  const paper = solveBatch({ ...common, solve: { index, percent: amount.percent, basis: amount.basis } })
  if (!paper.ok) return paper
  const paper14 = paper.value.hydration.basis14
  const wet = solveBatch({ ...common, solve: { index, percent: paper14 + shiftPoints, basis: 'basis14' } })
  if (!wet.ok) return wet
  return ok({ paper14, rows: rows.map((row, i) => ({ ...row, percent: wet.value.rows[i]?.percent ?? row.percent })) })
}

function resolvedTarget(sheet: Sheet, rows: readonly BatchRow[], pieceG: number): Result<BatchTarget> {
  const { target } = sheet
  if (target.by === 'pieces') return ok({ by: 'pieces', count: target.count, gramsEach: pieceG })
  if (target.by !== 'row') return ok(target)
  const percent = rows[sheet.rows.findIndex((row) => row.key === target.key)]?.percent ?? 0
  if (percent === 0) return problem('locked-row-empty', 'target')
  return ok({ by: 'flour', grams: (100 * target.grams) / percent })
}

function waterPlan(rows: readonly WorkedRow[], lot: FlourLot, stepG: number): WaterPlan {
  const flours = rows.filter((row) => row.part === 'flour').map((row) => ({ grams: row.grams, moisture: row.water }))
  const totalG = rows.reduce((sum, row) => sum + (row.part === 'water' ? row.weighedG : 0), 0)
  const bandG = (2 * lot.predictiveSd * massAt14(flours)) / 100
  const startG = Math.max(0, roundHalfUp(totalG - bandG, stepG))
  return {
    totalG,
    startG,
    holdBackG: Number((totalG - startG).toFixed(6)),
    ceilingG: roundHalfUp(totalG + bandG, stepG),
  }
}

/**
 * All the figures of a work sheet: grams, water and hold-back, the rule's scale, pieces, how the shape suits, margin notes.
 * Problems: those of `solveBatch`, and `unknown-ingredient`, `unknown-dough`, `unknown-shape`, `no-water-row`, `locked-row-empty`.
 */
export function computeSheet(sheet: Sheet, kitchen: Kitchen): Result<Worked> {
  const dough = kitchen.doughs.get(sheet.dough)
  if (!dough) return problem('unknown-dough', 'dough', { id: sheet.dough })
  const shape = kitchen.shapes.get(sheet.shape)
  if (!shape) return problem('unknown-shape', 'shape', { id: sheet.shape })
  const known = knownRows(sheet, kitchen)
  if (!known.ok) return known

  const key = lotKey(sheet.rows)
  const lot = lotFromHistory(sheet.useLearned && key ? (kitchen.thirst.get(key) ?? []) : [])
  const wet = wetRows(known.value, lot.shift)
  if (!wet.ok) return wet
  const { paper14, rows } = wet.value

  const { diameterMm, cutMm } = shape.blank
  const composition = compositionOf(rows.map((row) => ({ material: row.material, grams: row.percent })))
  const pieceG = cylinderG(densityGPerCm3(composition, VOIDS), diameterMm, cutMm)
  const target = resolvedTarget(sheet, rows, pieceG)
  if (!target.ok) return target
  const { scaleStepG, boardMm } = kitchen.gear
  const solved = solveBatch({ rows, target: target.value, lossPercent: sheet.lossPercent, scaleStepG, voids: VOIDS })
  if (!solved.ok) return solved

  const batch = solved.value
  const workedRows = known.value.map(({ row, ingredient, material }, index): WorkedRow => {
    const { percent = 0, grams = 0, weighed = 0 } = batch.rows[index] ?? {}
    const part = partOf(row, ingredient)
    return { key: row.key, ingredient, lot: row.lot, part, water: material.water, percent, grams, weighedG: weighed }
  })
  const flours = workedRows.filter((row) => row.part === 'flour')
  const slope = massAt14(flours.map((row) => ({ grams: row.percent, moisture: row.water }))) / 100
  const usableG = batch.doughG * (1 - sheet.lossPercent / 100)
  const core = {
    sheet,
    dough,
    shape,
    rows: workedRows,
    batch,
    paper14,
    expected14: hydrationOf(rows).basis14,
    lot,
    water: waterPlan(workedRows, lot, scaleStepG),
    poured: { slope, offset: (slope - 1) * 100 },
    flourMoisture: 1 - DRY_SHARE_AT_14 * slope,
    match: matchShape(shape, dough, paper14),
    rope: rope({ doughG: usableG, densityGPerCm3: batch.densityGPerCm3, diameterMm, cutMm, boardMm }),
    portionG: sheet.target.by === 'portions' ? sheet.target.gramsEach : null,
  }
  return ok({ ...core, notes: sheetNotes(core, kitchen) })
}
