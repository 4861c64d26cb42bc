import {
  hydrationOf,
  massAt14,
  roundHalfUp,
  solveBatch,
  type BatchResult,
  type BatchRow,
  type BatchTarget,
} from '../formula/index.ts'
import { compositionOf, densityGPerCm3 } from '../ingredients/index.ts'
import { type Ingredient, type Sheet, ownFlours, type Dough, type Shape, type Window } from '../model/index.ts'
import type { Part } from './knownRows.ts'
import { lotFromHistory, type FlourLot } from '../lot/index.ts'
import { matchShape, type ShapeMatch } from '../match/index.ts'
import { ok, problem, type Result } from '../result.ts'
import { blankG, piecesOf, type Pieces } from '../shape/index.ts'
import { balanceOf, type Balance } from './balance.ts'
import { lotKey, type Kitchen } from './kitchen.ts'
import { floursAsTheyStand, flourShift, knownRows, type Known } from './knownRows.ts'
import { mixRows, VOIDS, type Mix } from './mixRows.ts'
import { practiceOf, type Practice } from './practice.ts'
import { sheetNotes, type SheetNote } from './sheetNotes.ts'

export interface WorkedRow {
  readonly key: string
  readonly ingredient: Ingredient
  readonly lot: string | undefined
  readonly part: Part
  /** Fraction of mass; for a flour, as it stands in store today. */
  readonly water: number
  /** Per 100 of what the sheet counts on: flour, or its base. */
  readonly percent: number
  /** Per 100 of all flour. */
  readonly onFlour: number
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

/** What steers the dough and stands on its rule. */
export type Control =
  { readonly by: 'hydration' } | { readonly by: 'base'; readonly base: string; readonly flourOnBase: number }

export interface Worked {
  readonly sheet: Sheet
  readonly dough: Dough
  readonly shape: Shape
  readonly rows: readonly WorkedRow[]
  readonly batch: BatchResult
  readonly control: Control
  /** What the formula asks for, 14 % basis; then with the lot's own thirst. Percent. */
  readonly paper14: number
  readonly expected14: number
  readonly lot: FlourLot
  readonly water: WaterPlan
  readonly poured: PouredScale
  /** All flours together, fraction of mass, as they stand. */
  readonly flourMoisture: number
  /** Points more water than the dough's own flour would want. */
  readonly flourShift: number
  readonly match: ShapeMatch
  /** The dough less what is lost on the way, g. */
  readonly usableG: number
  readonly cut: Pieces
  readonly balance: Balance
  readonly practice: Practice
  readonly portionG: number | null
  readonly notes: readonly SheetNote[]
}

export const toPoured = ({ slope, offset }: PouredScale, basis14: number): number => slope * basis14 + offset
export const fromPoured = ({ slope, offset }: PouredScale, poured: number): number => (poured - offset) / slope

/** A window written on the 14 % basis, moved to where it lies for flour as it stands, and for a lot's own thirst. */
export const pouredWindow = (scale: PouredScale, { low, best, high }: Window, shiftPoints: number): Window => ({
  low: toPoured(scale, low + shiftPoints),
  best: toPoured(scale, best + shiftPoints),
  high: toPoured(scale, high + shiftPoints),
})

/** A window of the tables where it lies on this sheet's rule. */
export const windowOnRule = (
  { control, poured, lot, flourShift: shift }: Pick<Worked, 'control' | 'poured' | 'lot' | 'flourShift'>,
  window: Window,
): Window => (control.by === 'base' ? window : pouredWindow(poured, window, lot.shift + shift))

/** Where the sheet stands on its own rule: water on flour, or flour on the base. Percent. */
export const onRule = ({ control, batch }: Pick<Worked, 'control' | 'batch'>): number =>
  control.by === 'base' ? control.flourOnBase : batch.hydration.effective

/** Where a dough stands against windows of the tables, which are written for the table's own flour. */
export const tableReading = ({
  control,
  paper14,
  flourShift: shift,
}: Pick<Worked, 'control' | 'paper14' | 'flourShift'>) =>
  control.by === 'base' ? control.flourOnBase : paper14 - shift

function resolvedTarget(sheet: Sheet, mix: Mix, pieceG: number): Result<BatchTarget> {
  const { target } = sheet
  switch (target.by) {
    case 'pieces':
      return ok({ by: 'pieces', count: target.count, gramsEach: pieceG })
    case 'base':
      return mix.flourOnBase === null
        ? problem('no-base-row', 'target')
        : ok({ by: 'flour', grams: (target.grams * mix.flourOnBase) / 100 })
    case 'row': {
      const percent = mix.rows[sheet.rows.findIndex((row) => row.key === target.key)]?.percent ?? 0
      return percent === 0
        ? problem('locked-row-empty', 'target')
        : ok({ by: 'flour', grams: (100 * target.grams) / percent })
    }
    default:
      return ok(target as BatchTarget)
  }
}

/** How far the jug is held back: two standard deviations of what the next batch of this flour may want. */
function waterPlan(rows: readonly WorkedRow[], lot: FlourLot, stepG: number, holdsBack: boolean): WaterPlan {
  const flours = rows.filter((row) => row.part === 'flour').map((row) => ({ grams: row.grams, moisture: row.water }))
  const waters = rows.filter((row) => row.part === 'water' && row.grams > 0)
  const totalG = waters.reduce((sum, row) => sum + row.weighedG, 0)
  if (totalG === 0) return { totalG: 0, startG: 0, holdBackG: 0, ceilingG: 0 }
  const wetShare =
    waters.reduce((sum, row) => sum + row.grams * row.water, 0) / waters.reduce((sum, row) => sum + row.grams, 0)
  const bandG = (2 * lot.predictiveSd * massAt14(flours)) / 100 / wetShare
  const startG = holdsBack ? Math.max(0, roundHalfUp(totalG - bandG, stepG)) : totalG
  return {
    totalG,
    startG,
    holdBackG: Number((totalG - startG).toFixed(6)),
    ceilingG: roundHalfUp(totalG + bandG, stepG),
  }
}

function workedRows(known: readonly Known[], batch: BatchResult, flourOnBase: number | null): WorkedRow[] {
  return known.map(({ row, ingredient, material, part }, index): WorkedRow => {
    const { percent = 0, grams = 0, weighed = 0 } = batch.rows[index] ?? {}
    return {
      key: row.key,
      ingredient,
      lot: row.lot,
      part,
      water: material.water,
      percent: flourOnBase === null ? percent : (percent * flourOnBase) / 100,
      onFlour: percent,
      grams,
      weighedG: weighed,
    }
  })
}

function pieceMass(rows: readonly BatchRow[], shape: Shape): number {
  const composition = compositionOf(rows.map((row) => ({ material: row.material, grams: row.percent })))
  return blankG(densityGPerCm3(composition, VOIDS), shape.blank)
}

/** What the flour that the dough's windows are written for drinks against plain wheat flour, points. */
const ownShift = (dough: Dough, { ingredients }: Kitchen): number =>
  ownFlours(dough).reduce(
    (sum, { flour, percent }) => sum + ((ingredients.get(flour)?.absorptionShift ?? 0) * percent) / 100,
    0,
  )

function learnedLot(sheet: Sheet, kitchen: Kitchen): FlourLot {
  const key = sheet.useLearned ? lotKey(sheet.rows) : ''
  return lotFromHistory(key ? (kitchen.thirst.get(key) ?? []) : [])
}

/**
 * All the figures of a work sheet: grams, water and hold-back, the rule's scale, pieces, how the shape suits, margin notes.
 * Problems: those of `solveBatch` and `mixRows`, and `unknown-ingredient`, `unknown-dough`, `unknown-shape`,
 * `locked-row-empty`, `no-base-row`.
 */
export function computeSheet(sheet: Sheet, kitchen: Kitchen): Result<Worked> {
  const dough = kitchen.doughs.get(sheet.dough)
  if (!dough) return problem('unknown-dough', 'dough', { id: sheet.dough })
  const shape = kitchen.shapes.get(sheet.shape)
  if (!shape) return problem('unknown-shape', 'shape', { id: sheet.shape })
  const known = knownRows(sheet, kitchen)
  if (!known.ok) return known

  const lot = learnedLot(sheet, kitchen)
  const mixed = mixRows(known.value, lot.shift)
  if (!mixed.ok) return mixed
  const { rows, paper14, flourOnBase } = mixed.value
  const target = resolvedTarget(sheet, mixed.value, pieceMass(rows, shape))
  if (!target.ok) return target
  const { scaleStepG, boardMm } = kitchen.gear
  const solved = solveBatch({ rows, target: target.value, lossPercent: sheet.lossPercent, scaleStepG, voids: VOIDS })
  if (!solved.ok) return solved

  const batch = solved.value
  const worked = workedRows(known.value, batch, flourOnBase)
  const { slope, moisture } = floursAsTheyStand(rows)
  const base = dough.control.by === 'base' ? dough.control.base : 'base'
  const control: Control = flourOnBase === null ? { by: 'hydration' } : { by: 'base', base, flourOnBase }
  const shift = flourShift(known.value, rows, ownShift(dough, kitchen))
  const practice = practiceOf(sheet, dough, kitchen)
  const usableG = batch.doughG * (1 - sheet.lossPercent / 100)
  const core = {
    sheet,
    dough,
    shape,
    rows: worked,
    batch,
    control,
    paper14,
    expected14: hydrationOf(rows).basis14,
    lot,
    water: waterPlan(worked, lot, scaleStepG, practice.sets.holdBack ?? true),
    poured: { slope, offset: (slope - 1) * 100 },
    flourMoisture: moisture,
    flourShift: shift,
    match: matchShape(shape, dough, tableReading({ control, paper14, flourShift: shift })),
    usableG,
    cut: piecesOf(shape.blank, usableG, batch.densityGPerCm3, boardMm),
    balance: balanceOf(worked, batch, kitchen.lots),
    practice,
    portionG: sheet.target.by === 'portions' ? sheet.target.gramsEach : null,
  }
  return ok({ ...core, notes: sheetNotes(core, kitchen) })
}
