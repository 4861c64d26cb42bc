/** The sheet of the next batch from one that was made: it starts from what was accepted, whatever the family. */
import type { Plan, Sheet, SheetRow } from '../model/index.ts'
import { computeSheet, type Kitchen } from '../sheet/index.ts'
import { bowlBasis14, bowlOnRule, plannedOnRule } from './bowl.ts'
import type { BenchState } from './state.ts'
import { acceptedBowl } from './summary.ts'

const rounded = (percent: number): number => Number(percent.toFixed(2))

/**
 * Water so that the next jug holds what this dough was right at: what its flour has taught meanwhile is in that already, and
 * taken off the formula. On a base, flour as it was used. A batch that was never right starts from its own sheet.
 */
export function nextSheet(plan: Plan, state: BenchState, kitchen: Kitchen): Sheet {
  const sheet: Sheet = { ...plan.sheet, useLearned: true }
  const bowl = acceptedBowl(state)
  if (!bowl) return sheet
  const accepted = { ...state, ...bowl }
  const changed = (change: (row: SheetRow) => SheetRow): Sheet => ({ ...sheet, rows: sheet.rows.map(change) })
  if (plan.control.by === 'base') {
    const more = bowlOnRule(plan, accepted) / plannedOnRule(plan)
    if (!Number.isFinite(more) || more <= 0) return sheet
    return changed((row) =>
      row.flour && row.amount.by === 'percent'
        ? { ...row, amount: { by: 'percent', percent: rounded(row.amount.percent * more) } }
        : row,
    )
  }
  const worked = computeSheet(sheet, kitchen)
  const shift = worked.ok ? worked.value.lot.shift : 0
  const percent = rounded(Math.min(300, Math.max(0, bowlBasis14(plan, accepted) - shift)))
  return changed((row) =>
    row.amount.by === 'hydration' ? { ...row, amount: { by: 'hydration', percent, basis: 'basis14' } } : row,
  )
}
