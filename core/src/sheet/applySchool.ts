/** What following a school does to a sheet, as a sheet: shown before it is taken. */
import type { Sheet, SheetRow } from '../model/index.ts'
import type { Position } from '../schools/index.ts'
import type { Worked } from './computeSheet.ts'
import type { Kitchen } from './kitchen.ts'

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

const within = (value: number, { low, high }: { low: number; high: number }) => Math.min(high, Math.max(low, value))

/** The sheet by this position: its rows changed where the position sets them, and the choice written down. */
export function applySchool(worked: Worked, topic: string, position: Position, kitchen: Kitchen): Sheet {
  const { dough, rows } = worked
  const sets = position.sets ?? {}
  const keys = (group: string) => rows.filter((row) => row.ingredient.group === group).map((row) => row.key)
  let sheet: Sheet = { ...worked.sheet, schools: { ...worked.sheet.schools, [topic]: position.id } }
  if (sets.waterC !== undefined) sheet = { ...sheet, waterC: null }
  if (sets.saltPercent !== undefined) {
    const salt = within(sets.saltPercent, dough.saltPercent)
    sheet = setGroup(sheet, keys('salt'), salt, fresh('salt', 'salt-fine', salt))
  }
  if (sets.oilPercent !== undefined) {
    const oil = within(sets.oilPercent, dough.oilPercent)
    sheet = setGroup(sheet, keys('fat'), oil, fresh('oil', 'olive-oil', oil))
  }
  if (sets.binder !== undefined) {
    const { binderPercent } = dough
    const binders = rows
      .filter((row) => row.part === 'other' && (row.ingredient.group === 'egg' || row.ingredient.group === 'starch'))
      .map((row) => row.key)
    const egg = sets.binder === 'egg'
    const amount =
      sets.binder === 'none' ? 0 : ((egg ? binderPercent?.eggYolk : binderPercent?.potatoStarch)?.best ?? 0)
    const emptied = setGroup(sheet, binders, 0, fresh('binder', 'egg-yolk', 0))
    sheet = setGroup(emptied, [], amount, fresh('binder', egg ? 'egg-yolk' : 'potato-starch', amount))
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
