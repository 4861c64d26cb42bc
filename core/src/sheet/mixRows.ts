/** From the rows of a sheet to baker's percentages: the water solved, or everything counted on a base put on flour. */
import { basis14Percent, floursOf, solveBatch, type BatchRow } from '../formula/index.ts'
import { ok, problem, type Result } from '../result.ts'
import type { Known } from './knownRows.ts'

export const VOIDS = 0.03

export interface Mix {
  /** On 100 of flour. */
  readonly rows: readonly BatchRow[]
  /** What the formula comes to, 14 % basis, before the lot's own thirst: more than it asks for where no water is left to pour. */
  readonly asked14: number
  /** Flour on 100 of base; null where the sheet counts on flour. */
  readonly flourOnBase: number | null
}

const written = ({ row }: Known): number => (row.amount.by === 'percent' ? row.amount.percent : 0)
const batchRow = (known: Known, percent: number): BatchRow => ({
  material: known.material,
  percent,
  flour: known.row.flour === true,
})

const plain = { target: { by: 'flour', grams: 100 }, lossPercent: 0, scaleStepG: 1, voids: VOIDS } as const

/**
 * The water that is left to pour, with the lot's thirst in it. Where egg, milk or purée bring more than was asked, none is left,
 * and the dough is as wet as they make it.
 */
function onFlour(
  known: readonly Known[],
  shiftOf: (asked14: number, rows: readonly BatchRow[]) => number,
): Result<Mix> {
  const index = known.findIndex(({ row }) => row.amount.by === 'hydration')
  const amount = known[index]?.row.amount
  if (amount?.by !== 'hydration') return problem('no-water-row', 'rows')
  const rows = known.map((each) => batchRow(each, written(each)))
  const asked14 = amount.basis === 'basis14' ? amount.percent : basis14Percent(floursOf(rows), amount.percent)
  const shiftPoints = shiftOf(asked14, rows)
  const solve = { index, percent: asked14 + shiftPoints, basis: 'basis14' } as const
  const asked = solveBatch({ ...plain, rows, solve })
  const wet = asked.ok || asked.problem.code !== 'solved-negative' ? asked : solveBatch({ ...plain, rows })
  if (!wet.ok) return wet
  return ok({
    asked14: wet.value.hydration.basis14 - shiftPoints,
    flourOnBase: null,
    rows: rows.map((row, i) => ({ ...row, percent: wet.value.rows[i]?.percent ?? row.percent })),
  })
}

function onBase(known: readonly Known[]): Result<Mix> {
  const sum = (of: 'base' | 'flour') => known.reduce((total, each) => total + (each.part === of ? written(each) : 0), 0)
  const flourOnBase = sum('flour')
  if (flourOnBase <= 0) return problem('no-flour', 'rows')
  if (Math.abs(sum('base') - 100) > 0.011) return problem('bases-not-100', 'rows', { sum: sum('base') })
  const rows = known.map((each) => batchRow(each, (100 * written(each)) / flourOnBase))
  const solved = solveBatch({ ...plain, rows })
  if (!solved.ok) return solved
  return ok({ rows, flourOnBase, asked14: solved.value.hydration.basis14 })
}

/**
 * `shiftOf`: what the lot's thirst adds to what a formula asks for, points on the 14 % basis; the rows are as written.
 * Problems: those of `solveBatch`, and `no-water-row`, `no-flour`, `bases-not-100`.
 */
export const mixRows = (
  known: readonly Known[],
  shiftOf: (asked14: number, rows: readonly BatchRow[]) => number,
): Result<Mix> => (known.some(({ row }) => row.base) ? onBase(known) : onFlour(known, shiftOf))
