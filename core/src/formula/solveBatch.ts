import { compositionOf, densityGPerCm3, type Portion } from './composition.ts'
import { isPlainWater } from '../model/index.ts'
import { ok, problem, type Result } from '../result.ts'
import { basis14Percent, waterForBasis14, type FlourPart } from './basis14.ts'
import type { BatchRow } from './batchRow.ts'
import { roundToScale, type Rounding } from './roundToScale.ts'

export type HydrationBasis = 'nominal' | 'effective' | 'basis14'

export type BatchTarget =
  | { readonly by: 'flour' | 'dough' | 'water'; readonly grams: number }
  | { readonly by: 'portions' | 'pieces'; readonly count: number; readonly gramsEach: number }

export interface BatchRequest {
  readonly rows: readonly BatchRow[]
  /** Sets the row at `index` so that the hydration comes out. */
  readonly solve?: { readonly index: number; readonly percent: number; readonly basis: HydrationBasis }
  readonly target: BatchTarget
  /** Share of the dough lost to bench, trim or die; counts for portions and pieces. */
  readonly lossPercent: number
  readonly scaleStepG: number
  readonly voids: number
}

export interface Hydration {
  readonly nominal: number
  readonly effective: number
  readonly basis14: number
}

export interface BatchResult {
  readonly rows: readonly {
    readonly id: string
    readonly percent: number
    readonly grams: number
    readonly weighed: number
  }[]
  readonly flourG: number
  readonly doughG: number
  readonly hydration: Hydration
  /** Fraction of the dough's mass, the flour's own water included. */
  readonly doughMoisture: number
  readonly saltPercent: number
  readonly fatPercent: number
  readonly carbonatePercent: number
  readonly densityGPerCm3: number
  readonly rounding: Rounding
}

/** Flours written to two decimals (33.33 three times) still add to 100. */
const FLOUR_SUM_TOLERANCE = 0.011

const portions = (rows: readonly BatchRow[], gramsPerPercent: number): Portion[] =>
  rows.map((row) => ({ material: row.material, grams: row.percent * gramsPerPercent }))

/** With the percentages for grams. */
export const floursOf = (rows: readonly BatchRow[]): FlourPart[] =>
  rows.filter((row) => row.flour).map((row) => ({ grams: row.percent, moisture: row.material.water }))

const sumPercent = (rows: readonly BatchRow[]): number => rows.reduce((sum, row) => sum + row.percent, 0)

const waterPercent = (rows: readonly BatchRow[], counts: (row: BatchRow) => boolean): number =>
  rows.reduce((sum, row) => sum + (!row.flour && counts(row) ? row.percent * row.material.water : 0), 0)

/** Water on 100 of flour in the three bases; the definitions stand in `docs/domain.md`. */
export function hydrationOf(rows: readonly BatchRow[]): Hydration {
  const effective = waterPercent(rows, () => true)
  return {
    nominal: sumPercent(rows.filter((row) => !row.flour && isPlainWater(row.material))),
    effective,
    basis14: basis14Percent(floursOf(rows), effective),
  }
}

function solvedPercent(rows: readonly BatchRow[], solve: NonNullable<BatchRequest['solve']>): Result<number> {
  const row = rows[solve.index]
  if (!row || row.flour || row.material.water === 0) return problem('solve-no-water', 'solve.row')
  const others = rows.filter((_, index) => index !== solve.index)
  if (solve.basis === 'nominal') {
    if (!isPlainWater(row.material)) return problem('solve-not-plain-water', 'solve.row')
    return ok(solve.percent - hydrationOf(others).nominal)
  }
  const wanted = solve.basis === 'effective' ? solve.percent : waterForBasis14(solve.percent, floursOf(rows))
  return ok((wanted - waterPercent(others, () => true)) / row.material.water)
}

function solvedRows({ rows, solve }: BatchRequest): Result<readonly BatchRow[]> {
  if (!solve) return ok(rows)
  const percent = solvedPercent(rows, solve)
  if (!percent.ok) return percent
  // A hair below nought is arithmetic, not a dough with negative water.
  if (percent.value < -1e-9) return problem('solved-negative', 'solve.percent', { percent: percent.value })
  return ok(rows.map((row, index) => (index === solve.index ? { ...row, percent: Math.max(0, percent.value) } : row)))
}

function flourMass(rows: readonly BatchRow[], target: BatchTarget, lossPercent: number): Result<number> {
  const doughOnFlour = sumPercent(rows) / 100
  switch (target.by) {
    case 'flour':
      return ok(target.grams)
    case 'dough':
      return ok(target.grams / doughOnFlour)
    case 'water': {
      const nominal = hydrationOf(rows).nominal
      return nominal > 0 ? ok((100 * target.grams) / nominal) : problem('no-plain-water', 'target')
    }
    default:
      return ok((target.count * target.gramsEach) / (1 - lossPercent / 100) / doughOnFlour)
  }
}

/**
 * Grams for a formula in baker's percentages: solves the water if asked, scales to the target, rounds to the scale.
 *
 * dough = flour × Σ percent / 100; wanted = dough × (1 − loss/100) for portions and pieces.
 * Problems: `no-flour`, `flours-not-100`, `solve-no-water`, `solve-not-plain-water`, `solved-negative`, `no-plain-water`.
 * @example 6 portions of 110 g, 2 % loss, 48 % water and 1 % salt → 452.0 g flour, 217.0 g water, 4.5 g salt
 */
export function solveBatch(request: BatchRequest): Result<BatchResult> {
  const flours = request.rows.filter((row) => row.flour)
  if (flours.length === 0) return problem('no-flour', 'rows')
  const flourSum = sumPercent(flours)
  if (Math.abs(flourSum - 100) > FLOUR_SUM_TOLERANCE) return problem('flours-not-100', 'rows', { sum: flourSum })
  if (flours.every((row) => row.material.water >= 1 || row.percent === 0)) return problem('flour-all-water', 'rows')
  const solved = solvedRows(request)
  if (!solved.ok) return solved
  const rows = solved.value
  const flour = flourMass(rows, request.target, request.lossPercent)
  if (!flour.ok) return flour
  const flourG = flour.value
  const dough = compositionOf(portions(rows, flourG / 100))
  const { weighedG, rounding } = roundToScale(rows, flourG, request.scaleStepG)
  return ok({
    rows: rows.map((row, index) => ({
      id: row.material.id,
      percent: row.percent,
      grams: (row.percent * flourG) / 100,
      weighed: weighedG[index] ?? 0,
    })),
    flourG,
    doughG: dough.totalG,
    hydration: hydrationOf(rows),
    doughMoisture: dough.waterG / dough.totalG,
    saltPercent: (100 * dough.saltG) / flourG,
    fatPercent: (100 * dough.fatG) / flourG,
    carbonatePercent: (100 * dough.carbonateG) / flourG,
    densityGPerCm3: densityGPerCm3(dough, request.voids),
    rounding,
  })
}
