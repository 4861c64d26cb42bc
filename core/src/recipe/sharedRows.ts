/** Rows told by their share: in percent of the flour or the base, in parts, or as bare figures. */
import { exactly, type Span } from './amounts.ts'
import { english } from './english.ts'
import { isFlour, isSame, type Heard, type HeardRow } from './heard.ts'
import { totalsIn } from './method.ts'
import { rowOf, scaled, sumG, type Row } from './rows.ts'
import { unknownG, type Weighing } from './weighedRows.ts'

export const shareOf = ({ amount }: HeardRow): number | null =>
  amount.kind === 'percent' ? amount.figure.typical : null

/** “Flour 100, water 45, salt 1”, and a weight of flour elsewhere: percent without its sign. */
export function bareAsPercent(heard: Heard): Heard {
  const bare = heard.rows.filter(({ ingredient, amount }) => ingredient && amount.kind === 'bare' && !amount.fraction)
  const flours = bare.filter(({ ingredient }) => isFlour(ingredient!))
  const all = flours.reduce((whole, { amount }) => whole + (amount.kind === 'bare' ? amount.figure.typical : 0), 0)
  const base = heard.rows.some(
    ({ ingredient, amount }) => ingredient && isFlour(ingredient) && amount.kind === 'measured',
  )
  if (flours.length === 0 || bare.length < 2 || all !== 100 || !base) return heard
  return {
    ...heard,
    rows: heard.rows.map((row) =>
      bare.includes(row) && row.amount.kind === 'bare' ? { ...row, amount: { ...row.amount, kind: 'percent' } } : row,
    ),
  }
}

/** What the dough or the flours are said to come to; of several, the first. */
function toldTotalG(heard: Heard): number | undefined {
  const total = totalsIn(heard)[0]
  return total && unknownG(total.amount)?.typical
}

/** Shares that are rounded may add to so much more or less than a hundred. */
const WHOLE_OFF = 5

/** Percent of the flour, as bakers write: where flours are told so, and add up to a hundred. */
export function percentRows({ heard }: Weighing, weighedAlready: readonly Row[]): readonly Row[] | null {
  const told = heard.rows.filter((row) => shareOf(row) !== null)
  const flours = told.filter(({ ingredient }) => ingredient && isFlour(ingredient))
  const all = flours.reduce((whole, row) => whole + shareOf(row)!, 0)
  if (flours.length === 0) return null
  if (Math.abs(all - 100) > WHOLE_OFF) return ofBase(told, weighedAlready)
  const flourG = weighedAlready.filter(({ flour }) => flour)
  const others = weighedAlready.filter(({ flour }) => !flour)
  const wholePercent = told.reduce((whole, row) => whole + shareOf(row)!, 0)
  const totalG = toldTotalG(heard)
  const loose = heard.loose.find(
    ({ amount, sentence }) => amount.kind === 'measured' && english.flour.test(heard.sentences[sentence]!.tag),
  )
  const looseG = loose?.amount.kind === 'measured' ? unknownG(loose.amount)?.typical : undefined
  const base =
    flourG.length > 0
      ? sumG(flourG).typical
      : (looseG ?? (totalG === undefined ? BASE_G : (100 * totalG) / wholePercent))
  return [
    ...told.map((row) => rowOf(row, row.ingredient, percentOf(row, base), ['percent'])),
    ...others.filter(
      ({ ingredient }) => !told.some((row) => row.ingredient && ingredient && isSame(row.ingredient, ingredient)),
    ),
  ]
}

/** On cooked potato, squash or curd the base is the hundred. */
function ofBase(told: readonly HeardRow[], weighedAlready: readonly Row[]): readonly Row[] | null {
  const base = weighedAlready.filter(({ ingredient }) => ['vegetable', 'dairy'].includes(ingredient?.group ?? ''))
  if (base.length === 0 || weighedAlready.some(({ flour }) => flour)) return null
  const baseG = sumG(base).typical
  return [...weighedAlready, ...told.map((row) => rowOf(row, row.ingredient, percentOf(row, baseG), ['percent']))]
}

/** Flour of a recipe in percent that says no weight, g. */
const BASE_G = 1000

const percentOf = ({ amount }: HeardRow, of: number): Span =>
  amount.kind === 'percent' ? scaled(amount.figure, of / 100) : exactly(0)

/**
 * “Three parts flour, one part water”: by the flour or the dough that is told, else a kilogram of flour. The rows with those told
 * by weight; flour that is only told for the parts is none of its own.
 */
export function withParts({ heard }: Weighing, weighedAlready: readonly Row[]): readonly Row[] {
  const told = heard.rows.filter(({ ingredient, amount }) => ingredient && amount.kind === 'parts')
  if (told.length < 2) return weighedAlready
  const partOf = ({ amount }: HeardRow) => (amount.kind === 'parts' ? amount.figure.typical : 0)
  const flours = told.filter(({ ingredient }) => isFlour(ingredient!))
  const parts = (rows: readonly HeardRow[]) => rows.reduce((all, row) => all + partOf(row), 0)
  const isBase = (row: Row) =>
    row.flour && (row.generic === true || (flours.length === 1 && isSame(flours[0]!.ingredient!, row.ingredient!)))
  const kept = weighedAlready.filter((row) => !isBase(row))
  const baseG = sumG(weighedAlready.filter(isBase)).typical
  const totalG = toldTotalG(heard)
  const one =
    baseG > 0 && flours.length > 0
      ? baseG / parts(flours)
      : totalG !== undefined
        ? totalG / parts(told)
        : BASE_G / (flours.length > 0 ? parts(flours) : parts(told))
  const made = told.flatMap((row): Row[] => {
    const ingredient = row.ingredient!
    if (kept.some((each) => each.ingredient && isSame(each.ingredient, ingredient))) return []
    return [rowOf(row, ingredient, exactly(one * partOf(row)), ['parts'])]
  })
  return [...made, ...kept]
}

/** “Flour: 500, water: 240”: bare figures in a list are grams. */
export function bareRows({ heard }: Weighing, weighedAlready: readonly Row[]): readonly Row[] {
  const bare = heard.rows.filter(
    ({ ingredient, amount }) => ingredient && amount.kind === 'bare' && !amount.fraction && amount.figure.typical >= 1,
  )
  const fits = bare.filter(
    ({ ingredient }) =>
      !weighedAlready.some((each) => each.ingredient && isSame(each.ingredient, ingredient!)) &&
      !['egg', 'vegetable'].includes(ingredient!.group),
  )
  const enough =
    fits.length >= 2 ||
    (fits.length === 1 &&
      weighedAlready.length > 0 &&
      fits[0]!.amount.kind === 'bare' &&
      fits[0]!.amount.figure.typical >= 20)
  if (!enough) return []
  return fits.map((row) =>
    rowOf(row, row.ingredient, row.amount.kind === 'bare' ? row.amount.figure : exactly(0), ['vague']),
  )
}
