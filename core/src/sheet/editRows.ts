/** Rows in, rows out, one ingredient for another: each keeps the feel of the dough where it can. */
import { gramForGram } from '../alkali/index.ts'
import type { Ingredient, Sheet, SheetRow } from '../model/index.ts'
import { ok, problem, type Result } from '../result.ts'
import type { Worked } from './computeSheet.ts'
import type { Kitchen } from './kitchen.ts'

const MAX_ROWS = 60

/** The default of a thing never draws its own caution. */
const SHARE_OF_MOST = 0.6

/** What an ingredient is usually dosed at when it first comes in, percent of what the sheet counts on. */
export function usualPercent({ group, basis, usualMaxSharePercent = Infinity }: Ingredient): number {
  if (basis === 'flour') return 5
  const usual: Partial<Record<Ingredient['group'], number>> = {
    salt: 1,
    alkali: 1,
    fat: 1,
    egg: 5,
    liquid: 10,
    dairy: 10,
    vegetable: 10,
    pulse: 10,
    colour: 2,
    seasoning: 0.5,
  }
  return Math.min(usual[group] ?? 1, SHARE_OF_MOST * usualMaxSharePercent)
}

/** A row's alkali from another jar, in as much carbonate; the lot was the old jar's. Bringing none, a row stays. */
export function swapAlkali(sheet: Sheet, key: string, from: Ingredient, to: Ingredient): Sheet {
  const share = gramForGram(from, to)
  if (share === 0) return sheet
  return {
    ...sheet,
    rows: sheet.rows.map((row): SheetRow => {
      if (row.key !== key || row.amount.by !== 'percent') return row
      const { lot: _jar, ...rest } = row
      return { ...rest, ingredient: to.id, amount: { by: 'percent', percent: row.amount.percent * share } }
    }),
  }
}

/** A key no row has yet. */
function freshKey({ rows }: Sheet, ingredient: string): string {
  const taken = new Set(rows.map((row) => row.key))
  const stem = ingredient.slice(0, 50)
  for (let n = 1; ; n += 1) {
    const key = n === 1 ? stem : `${stem}-${n}`
    if (!taken.has(key)) return key
  }
}

/** The formula's own water moved by so many points; a sheet on a base has none and stays. */
export function moveWater(sheet: Sheet, points: number): Sheet {
  if (points === 0) return sheet
  return {
    ...sheet,
    rows: sheet.rows.map((row): SheetRow => {
      if (row.amount.by !== 'hydration') return row
      const percent = Math.min(300, Math.max(0, row.amount.percent + points))
      return { ...row, amount: { ...row.amount, percent } }
    }),
  }
}

/** Points of water that a share of an ingredient wants beyond plain flour or beyond nothing. */
const thirst = (ingredient: Ingredient | undefined, percent: number): number =>
  ((ingredient?.absorptionShift ?? 0) * percent) / 100

const isFlour = ({ basis }: Ingredient): boolean => basis === 'flour'

/**
 * A new row. A flour comes in at 0 and takes its share from there, so that the flours still add to 100; anything else comes
 * in at `percent`, and where it drinks, the water follows. Problems: `too-many-rows`, `unknown-ingredient`.
 */
export function addRow(worked: Worked, id: string, percent: number, kitchen: Kitchen): Result<Sheet> {
  const { sheet, control } = worked
  const ingredient = kitchen.ingredients.get(id)
  if (!ingredient) return problem('unknown-ingredient', undefined, { id })
  if (sheet.rows.length >= MAX_ROWS) return problem('too-many-rows', undefined, { max: MAX_ROWS })
  const flour = isFlour(ingredient)
  const row: SheetRow = {
    key: freshKey(sheet, id),
    ingredient: id,
    amount: { by: 'percent', percent: flour && control.by === 'hydration' ? 0 : percent },
    ...(flour ? { flour: true as const } : {}),
  }
  // Flours stand first, then what they are counted on or wetted with, then the rest as it comes.
  const lastFlour = sheet.rows.reduce((last, each, index) => (each.flour ? index : last), -1)
  const at = flour ? lastFlour + 1 : sheet.rows.length
  const next = { ...sheet, rows: [...sheet.rows.slice(0, at), row, ...sheet.rows.slice(at)] }
  return ok(flour || control.by === 'base' ? next : moveWater(next, thirst(ingredient, percent)))
}

/**
 * A row out; a flour's share goes to the others. Problems: `only-flour`, `only-base`, `solved-row`.
 */
export function removeRow({ sheet, control }: Worked, key: string, kitchen: Kitchen): Result<Sheet> {
  const row = sheet.rows.find((each) => each.key === key)
  if (!row) return problem('no-such-row')
  if (row.amount.by === 'hydration') return problem('solved-row')
  const whole = row.base ? 'base' : row.flour ? 'flour' : null
  const left = sheet.rows.filter((each) => each.key !== key)
  const target =
    sheet.target.by === 'row' && sheet.target.key === key ? { by: 'dough' as const, grams: 1000 } : sheet.target
  if (whole === null) {
    const drank = control.by === 'base' ? 0 : thirst(kitchen.ingredients.get(row.ingredient), row.amount.percent)
    return ok(moveWater({ ...sheet, rows: left, target }, -drank))
  }
  const others = left.filter((each) => each[whole])
  if (others.length === 0) return problem(whole === 'flour' ? 'only-flour' : 'only-base')
  // Flour on a base stays as much flour; the 100 of a blend or a base stays 100.
  const share = (each: SheetRow) => (each.amount.by === 'percent' ? each.amount.percent : 0)
  const rest = others.reduce((sum, each) => sum + share(each), 0)
  const grown = (each: SheetRow) => (rest > 0 ? share(each) * (1 + share(row) / rest) : share(row) / others.length)
  return ok({
    ...sheet,
    target,
    rows: left.map((each) => (each[whole] ? { ...each, amount: { by: 'percent', percent: grown(each) } } : each)),
  })
}

export interface Swap {
  readonly sheet: Sheet
  /** Water that follows, points on flour: how much more the new one drinks. */
  readonly points: number
  readonly from: Ingredient
  readonly to: Ingredient
}

/**
 * Another ingredient in a row's place. For a flour the water moves by the difference in absorption times its share, so that
 * the dough feels the same. Problems: `unknown-ingredient`, `no-such-row`.
 */
export function swapIngredient(worked: Worked, key: string, id: string, kitchen: Kitchen): Result<Swap> {
  const row = worked.rows.find((each) => each.key === key)
  const to = kitchen.ingredients.get(id)
  if (!row) return problem('no-such-row')
  if (!to) return problem('unknown-ingredient', undefined, { id })
  const from = row.ingredient
  const onWater = row.part === 'flour' && worked.control.by === 'hydration'
  const points = onWater ? thirst(to, row.onFlour) - thirst(from, row.onFlour) : 0
  const rows = worked.sheet.rows.map((each): SheetRow => {
    if (each.key !== key) return each
    const { lot: _sack, water: _measured, ...rest } = each
    return { ...rest, ingredient: id }
  })
  return ok({ sheet: moveWater({ ...worked.sheet, rows }, points), points, from, to })
}
