/** Rows that have a weight of their own: what is told again or is for the board is none of the dough. */
import type { Ingredient } from '../model/index.ts'
import { plus, type Amount, type Span } from './amounts.ts'
import { isFlour, isInList, isSame, type Heard, type HeardRow } from './heard.ts'
import { rowOf, scaled, sumG, type Row } from './rows.ts'
import type { RecipeTables } from './tables.ts'
import { weighed, type Setting } from './weigh.ts'

/** Flour for the board, by what it is of. */
const DUST: Readonly<Record<string, string>> = {
  'durum-semolina-coarse': 'dust-semolina',
  'durum-semolina-remilled': 'dust-semolina',
  'plain-wheat': 'dust-plain',
  'soft-00': 'dust-plain',
  'rice-flour': 'dust-rice',
  'maize-starch': 'dust-maize-starch',
  'potato-starch': 'dust-potato-starch',
  'tapioca-starch': 'dust-tapioca-starch',
  'buckwheat-light': 'dust-buckwheat',
  'buckwheat-whole': 'dust-buckwheat',
  'maize-meal-coarse': 'dust-maize-meal',
}

const close = (a: number, b: number, by: number): boolean => Math.abs(a - b) <= by * Math.max(a, b)
/** Semolina by its bare name may be any that was named before. */
const bothDurum = (a: Ingredient, b: Ingredient): boolean => a.grain === 'durum' && b.id === 'durum-semolina-coarse'

/** Whether a row was said before: in the list above its method, by the same amount, or as what is left of it. */
function isRepeat(heard: Heard, row: HeardRow, span: Span, before: readonly Row[]): boolean {
  const { ingredient } = row
  if (!ingredient) return false
  const same = before.filter(
    (each) =>
      each.ingredient &&
      (isSame(each.ingredient, ingredient) ||
        (row.generic && each.flour && isFlour(ingredient)) ||
        (row.again && bothDurum(each.ingredient, ingredient))),
  )
  if (same.length === 0) return false
  if (row.again) return true
  if (row.more) return false
  if (heard.isListed && !isInList(heard.sentences[row.sentence]!.line)) return true
  const whole = sumG(same).typical
  return same.some((each) => close(each.span.typical, span.typical, 0.01)) || close(whole, span.typical, 0.01)
}

export interface Weighing {
  readonly heard: Heard
  readonly setting: Setting
  readonly tables: RecipeTables
}

/** Rows that have a weight of their own, in order. */
export function weighedRows({ heard, setting, tables }: Weighing): readonly Row[] {
  const rows: Row[] = []
  const byId = new Map(tables.ingredients.map((each) => [each.id, each]))
  for (const row of heard.rows) {
    const { ingredient, amount, unsure } = row
    if (!ingredient) {
      const first = amount.kind === 'measured' ? unknownG(amount) : null
      if (first) rows.push(rowOf(row, null, first, []))
      continue
    }
    const plain = weighed(amount, ingredient, setting, tables)
    if (!plain) continue
    const each = row.perPerson ? scaled(plain.grams, heard.people ?? 1) : plain.grams
    if (isRepeat(heard, row, each, rows)) continue
    const dust = row.dusting ? byId.get(DUST[ingredient.id] ?? '') : undefined
    const is = dust ?? ingredient
    const why = [...plain.why, ...(unsure ? (['unsure-name'] as const) : [])]
    rows.push({ ...rowOf(row, is, each, why), generic: row.generic, ml: plain.ml })
  }
  return rows
}

/** Of what nobody knows, weights stand; volumes as of water. */
export function unknownG({ terms }: Extract<Amount, { kind: 'measured' }>): Span | null {
  const all = terms.flatMap(({ figure, measures }) => {
    const measure = measures.find(({ of }) => of === undefined)
    return measure ? [scaled(figure, measure.g ?? measure.ml ?? 0)] : []
  })
  return all.length > 0 ? all.reduce(plus) : null
}
