import type { Blend } from '../blend/index.ts'
import type { Sheet, SheetRow } from '../model/index.ts'
import type { Worked } from './computeSheet.ts'
import { moveWater } from './editRows.ts'

/** The sheet with this blend for its flour; the water moves with what the new flours drink, so that the feel stays. */
export function withBlend({ sheet, rows, control }: Worked, blend: Blend): Sheet {
  const whole = control.by === 'base' ? control.flourOnBase : 100
  const flours = blend.shares.map(({ lot, ingredient, percent }, index): SheetRow => ({
    key: `blend-${index + 1}`,
    ingredient: ingredient.id,
    amount: { by: 'percent', percent: (percent * whole) / 100 },
    flour: true,
    lot: lot.id,
  }))
  const drinks = (share: number, shift: number | null) => (share / 100) * (shift ?? 0)
  const before = rows.reduce(
    (sum, row) => sum + (row.part === 'flour' ? drinks(row.onFlour, row.ingredient.absorptionShift) : 0),
    0,
  )
  const after = blend.shares.reduce((sum, share) => sum + drinks(share.percent, share.ingredient.absorptionShift), 0)
  const first = sheet.rows.findIndex((row) => row.flour)
  const others = sheet.rows.filter((row) => !row.flour)
  const target = sheet.target.by === 'row' ? ({ by: 'dough', grams: 1000 } as const) : sheet.target
  const next = { ...sheet, target, rows: [...others.slice(0, first), ...flours, ...others.slice(first)] }
  return control.by === 'base' ? next : moveWater(next, after - before)
}
