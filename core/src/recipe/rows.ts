/** The rows of a recipe as they are worked out, and what follows from them. */
import type { Ingredient } from '../model/index.ts'
import { exactly, plus, times, type Span } from './amounts.ts'
import { isFlour, isSame, isWater, type HeardRow } from './heard.ts'
import type { Side } from './relations.ts'
import type { Why } from './weigh.ts'

export interface Row {
  /** Null where nobody knows what it is. */
  readonly id: string | null
  readonly ingredient: Ingredient | null
  readonly name: string
  readonly flour: boolean
  /** By the bare word *flour*. */
  readonly generic?: boolean
  readonly span: Span
  /** The words it came from. */
  readonly read: string
  readonly why: readonly (Why | 'relation' | 'percent' | 'parts' | 'unsure-name')[]
  /** By volume; null where it was weighed, or follows from another row. */
  readonly ml: Span | null
}

/** A row of what was heard, weighing so much. */
export const rowOf = (
  { name, read }: Pick<HeardRow, 'name' | 'read'>,
  ingredient: Ingredient | null,
  span: Span,
  why: Row['why'],
): Row => ({
  id: ingredient?.id ?? null,
  ingredient,
  name,
  flour: ingredient !== null && isFlour(ingredient),
  span,
  read,
  why,
  ml: null,
})

export const sumG = (rows: readonly Pick<Row, 'span'>[]): Span =>
  rows.reduce((all, { span }) => plus(all, span), exactly(0))
export const scaled = (span: Span, by: number): Span => times(span, exactly(by))

export const rowsOf = (rows: readonly Row[], side: Side): readonly Row[] =>
  rows.filter(({ ingredient, flour }) => {
    if (!ingredient) return false
    if (!('any' in side)) return isSame(ingredient, side.ingredient)
    return side.any === 'flour' ? flour : !flour && (isWater(ingredient) || ingredient.group === 'liquid')
  })

/** What wets the flour: all that is neither flour nor for the board. */
export const wetRows = (rows: readonly Row[]): readonly (Row & { readonly ingredient: Ingredient })[] =>
  rows.filter(
    (row): row is Row & { readonly ingredient: Ingredient } =>
      row.ingredient !== null && !row.flour && row.ingredient.basis !== 'dusting',
  )

export const waterG = (rows: readonly Row[]): Span =>
  wetRows(rows).reduce((all, { span, ingredient }) => plus(all, scaled(span, ingredient.water)), exactly(0))

/** Wetter than this a thing wets flour; sodas with crystal water do not. */
const WETS_FROM = 0.25
export const isWet = (rows: readonly Row[]): boolean =>
  wetRows(rows).some(
    ({ ingredient, span }) => ingredient.group !== 'alkali' && ingredient.water >= WETS_FROM && span.typical > 0,
  )

/** Effective, percent of the flour; null without flour, or without anything that wets it. */
export function hydrationOf(rows: readonly Row[]): Span | null {
  const [flour, water] = [sumG(rows.filter((row) => row.flour)), waterG(rows)]
  if (flour.typical <= 0 || !isWet(rows)) return null
  const typical = (100 * water.typical) / flour.typical
  return {
    low: (100 * water.low) / flour.high,
    typical,
    high: flour.low > 0 ? (100 * water.high) / flour.low : typical,
  }
}
