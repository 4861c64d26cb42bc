/** What following a school does to a sheet, as a sheet: shown before it is taken. */
import type { Sheet, SheetRow, Window } from '../model/index.ts'
import { flourForMoisture } from './potato.ts'
import type { Position } from './school.ts'
import { binderOf } from './binder.ts'
import type { Worked } from './computeSheet.ts'
import type { Kitchen } from './kitchen.ts'
import { metBy, refusalOf } from './refusal.ts'
import { saltWindow } from './sanity.ts'
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

const liesIn = (value: number, { low, high }: Window): boolean => value >= low - 1e-9 && value <= high + 1e-9

/** A drier base takes four to eight points less flour, a wetter one as many more. Usual practice. */
const LEAST_POINTS = 4
const MOST_POINTS = 8
/** Bases this near each other in moisture want the same flour. */
const ALIKE = 0.01

/**
 * Flour on 100 of a base that comes in place of this one, as it brings the same moisture to the dough, within the shape's window.
 * @example 25 on boiled potato of 0.775 → 19 on baked of 0.735
 */
function flourOnOther(worked: Worked, moisture: number): number | null {
  const base = worked.rows.find(({ part }) => part === 'base')
  if (!base || worked.control.by !== 'base' || Math.abs(moisture - base.water) < ALIKE) return null
  const flour = worked.control.flourOnBase
  const other = { ...worked, rows: worked.rows.map((row) => (row === base ? { ...row, water: moisture } : row)) }
  const wanted = flourForMoisture(other, worked.batch.doughMoisture)
  if (!wanted.ok) return null
  const points = Math.round(wanted.value - flour)
  const by = Math.sign(points) * Math.min(MOST_POINTS, Math.max(LEAST_POINTS, Math.abs(points)))
  const { low, high } = worked.match.window
  return Math.min(high, Math.max(low, flour + by))
}

/** All flours, shared out as before. */
function withFlour(sheet: Sheet, from: number, to: number): Sheet {
  return {
    ...sheet,
    rows: sheet.rows.map((row) =>
      row.flour && row.amount.by === 'percent'
        ? { ...row, amount: { by: 'percent' as const, percent: Number(((row.amount.percent * to) / from).toFixed(2)) } }
        : row,
    ),
  }
}

const percentOf = (rows: readonly WorkedRow[], group: string): number =>
  rows.reduce((sum, row) => (row.ingredient.group === group ? sum + row.percent : sum), 0)

/** What binds a wheat dough without egg, and how much of it, percent of the flour. By the packs. */
const WHEAT_BINDERS: Readonly<Record<string, number>> = { 'egg-replacer-powder': 2, 'flax-meal': 3 }

function boundWith(sheet: Sheet, { rows }: Worked, ingredient: string): Sheet {
  const others = rows.filter((row) => row.ingredient.id in WHEAT_BINDERS && row.ingredient.id !== ingredient)
  const without = setGroup(
    sheet,
    others.map(({ key }) => key),
    0,
    fresh('binder', ingredient, 0),
  )
  const percent = WHEAT_BINDERS[ingredient]
  const isIn = rows.some((row) => row.ingredient.id === ingredient)
  return percent === undefined || isIn
    ? without
    : { ...without, rows: [...without.rows, fresh('binder', ingredient, percent)] }
}

/**
 * The sheet by this position: its rows changed where the position sets them and as far as the dough's table goes, and the choice
 * written down. What lies in the position's range already stays, and so does egg by a school that binds with egg.
 */
export function applySchool(worked: Worked, topic: string, position: Position, kitchen: Kitchen): Sheet {
  const { dough, rows } = worked
  const { sets } = position
  const keys = (group: string) => rows.filter((row) => row.ingredient.group === group).map((row) => row.key)
  let sheet: Sheet = { ...worked.sheet, schools: { ...worked.sheet.schools, [topic]: position.id } }
  // What is not for this dough is written down all the same: another dough or shape of it may bear it.
  if (refusalOf(sets, { dough: worked.made, shape: worked.shape }) !== null) return sheet
  if (sets.waterC) sheet = { ...sheet, waterC: null }
  const setTo = (group: 'salt' | 'fat', range: Window, table: Pick<Window, 'low' | 'high'>, added: SheetRow) => {
    const percent = metBy(range, table)
    if (percent === null || liesIn(percentOf(rows, group), range)) return
    sheet = setGroup(sheet, keys(group), percent, { ...added, amount: { by: 'percent', percent } })
  }
  if (sets.saltPercent) setTo('salt', sets.saltPercent, saltWindow(worked), fresh('salt', 'salt-fine', 0))
  if (sets.oilPercent) setTo('fat', sets.oilPercent, dough.oilPercent, fresh('oil', 'olive-oil', 0))
  if (sets.wheatBinder !== undefined) sheet = boundWith(sheet, worked, sets.wheatBinder)
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
  if (sets.base !== undefined) {
    const other = kitchen.ingredients.get(sets.base)
    const flour = other ? flourOnOther(worked, other.water) : null
    if (flour !== null && worked.control.by === 'base') sheet = withFlour(sheet, worked.control.flourOnBase, flour)
    replace('base', sets.base)
  }
  if (sets.liquid !== undefined) replace('water', sets.liquid)
  return sheet
}
