/** What following a school does to a sheet, as a sheet: shown before it is taken. */
import type { Sheet, SheetRow, Window } from '../model/index.ts'
import type { Position } from './school.ts'
import { binderOf } from './binder.ts'
import type { Worked } from './computeSheet.ts'
import type { Kitchen } from './kitchen.ts'
import { saltWindow } from './sanity.ts'
import { schoolWaterC } from './waterHeat.ts'
import type { WorkedRow } from './workedRow.ts'

/** Sets the rows of a group to so many percent together: the first takes it, none is added for nothing. */
function setGroup(sheet: Sheet, keys: readonly string[], percent: number, fresh: SheetRow): Sheet {
  const [first] = keys
  if (first === undefined) return percent > 0 ? { ...sheet, rows: [...sheet.rows, fresh] } : sheet
  return {
    ...sheet,
    rows: sheet.rows
      .filter((row) => row.key === first || !keys.includes(row.key))
      .flatMap((row) => {
        if (row.key !== first) return [row]
        return percent > 0 ? [{ ...row, amount: { by: 'percent' as const, percent } }] : []
      }),
  }
}

const fresh = (key: string, ingredient: string, percent: number): SheetRow => ({
  key,
  ingredient,
  amount: { by: 'percent', percent },
})

const goesTo = (value: number, { low, high }: Pick<Window, 'low' | 'high'>): boolean => value >= low && value <= high

/**
 * The sheet by this position: its rows changed where the position sets them and the dough's table goes so far, and the choice
 * written down. Egg that is in the dough stays as it is by a school that binds with egg.
 */
export function applySchool(worked: Worked, topic: string, position: Position, kitchen: Kitchen): Sheet {
  const { dough, rows } = worked
  const sets = position.sets ?? {}
  const keys = (group: string) => rows.filter((row) => row.ingredient.group === group).map((row) => row.key)
  let sheet: Sheet = { ...worked.sheet, schools: { ...worked.sheet.schools, [topic]: position.id } }
  if (schoolWaterC(dough, sets) !== null) sheet = { ...sheet, waterC: null }
  if (sets.saltPercent !== undefined && goesTo(sets.saltPercent, saltWindow(worked))) {
    const salt = sets.saltPercent
    sheet = setGroup(sheet, keys('salt'), salt, fresh('salt', 'salt-fine', salt))
  }
  if (sets.oilPercent !== undefined && goesTo(sets.oilPercent, dough.oilPercent)) {
    const oil = sets.oilPercent
    sheet = setGroup(sheet, keys('fat'), oil, fresh('oil', 'olive-oil', oil))
  }
  const binder = binderOf(sets.binder, dough)
  if (binder) {
    const kept = (row: WorkedRow) => binder.percent > 0 && row.ingredient.group === binder.group
    const others = rows.filter(
      (row) => row.part === 'other' && (row.ingredient.group === 'egg' || row.ingredient.group === 'starch'),
    )
    const { ingredient, percent } = binder
    const out = others.filter((row) => !kept(row)).map(({ key }) => key)
    sheet = setGroup(sheet, out, 0, fresh('binder', ingredient, 0))
    if (!others.some(kept)) sheet = setGroup(sheet, [], percent, fresh('binder', ingredient, percent))
  }
  const replace = (part: 'base' | 'water', id: string) => {
    if (!kitchen.ingredients.has(id)) return
    const first = rows.find((row) => row.part === part)?.key
    sheet = {
      ...sheet,
      rows: sheet.rows.map((row) => {
        if (row.key !== first || row.ingredient === id) return row
        const { lot: _sack, water: _measured, ...rest } = row
        return { ...rest, ingredient: id }
      }),
    }
  }
  if (sets.base !== undefined && dough.control.by === 'base' && dough.control.bases.includes(sets.base))
    replace('base', sets.base)
  if (sets.liquid !== undefined) replace('water', sets.liquid)
  return sheet
}
