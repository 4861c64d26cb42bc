/** Rows that follow from others. */
import type { Ingredient } from '../model/index.ts'
import { exactly, plus, type Span } from './amounts.ts'
import { english } from './english.ts'
import { isFlour, isSame, isWater } from './heard.ts'
import type { Relation } from './relations.ts'
import { rowOf, rowsOf, scaled, sumG, type Row } from './rows.ts'
import { shareOf } from './sharedRows.ts'
import type { Weighing } from './weighedRows.ts'

/** What follows from another row: half as much water as flour, salt 2 % of the flour. */
export function relatedRows(
  { heard, tables }: Weighing,
  relations: readonly Relation[],
  rows: readonly Row[],
): readonly Row[] {
  const made: Row[] = []
  const water = tables.ingredients.find(({ id }) => id === 'water-room')
  const flour = tables.ingredients.find(({ id }) => id === 'plain-wheat')
  const add = (ingredient: Ingredient | undefined, span: Span, ml: Span | null, read: string) => {
    if (ingredient) made.push({ ...rowOf({ name: ingredient.name, read }, ingredient, span, ['relation']), ml })
  }
  for (const { over, under, ratio, byWeight, text, sentence } of relations) {
    const all = [...rows, ...made]
    const [has, of] = [rowsOf(all, over), rowsOf(all, under)]
    const mentioned = heard.sentences[sentence]!.elements.flatMap((each) =>
      each.is === 'ingredient' ? [each.ingredient] : [],
    )
    if (has.length === 0 && of.length > 0) {
      const ingredient =
        'any' in over
          ? over.any === 'flour'
            ? (mentioned.find(isFlour) ?? flour)
            : (mentioned.find((each) => isWater(each) || each.group === 'liquid') ?? water)
          : over.ingredient
      const ofMl = of.every(({ ml }) => ml !== null) ? of.reduce((whole, { ml }) => plus(whole, ml!), exactly(0)) : null
      const byVolume = !byWeight && ofMl !== null && ingredient !== undefined && ratio < 5
      add(
        ingredient,
        byVolume ? scaled(ofMl, ratio * ingredient.densityGPerMl) : scaled(sumG(of), ratio),
        byVolume ? scaled(ofMl, ratio) : null,
        text,
      )
    } else if (of.length === 0 && has.length > 0) {
      const ingredient =
        'any' in under ? (under.any === 'flour' ? (mentioned.find(isFlour) ?? flour) : water) : under.ingredient
      add(ingredient, scaled(sumG(has), 1 / ratio), null, text)
    }
  }
  // Shares of the flour that no sentence spells out: salt 2 %.
  const flourSpan = sumG([...rows, ...made].filter((row) => row.flour))
  for (const row of heard.rows) {
    const { ingredient } = row
    const share = shareOf(row)
    if (share === null || flourSpan.typical <= 0 || english.otherPercent.test(heard.sentences[row.sentence]!.tag))
      continue
    const stands = (each: Row) =>
      ingredient ? each.ingredient !== null && isSame(each.ingredient, ingredient) : each.read === row.read
    if ((ingredient && isFlour(ingredient)) || [...rows, ...made].some(stands)) continue
    made.push(rowOf(row, ingredient, scaled(flourSpan, share / 100), ['relation']))
  }
  return made
}
