/** Looking through the shapes: words, and what one has and wants. */
import type { Dough, DoughTable, Family, Group, Sauce, Shape } from '../model/index.ts'

export interface ShapeQuery {
  readonly words: string
  readonly family: Family | null
  readonly group: Group | null
  readonly sauce: Sauce | null
  /** No harder than this, 1 to 5. */
  readonly difficulty: number | null
  /** For one hundred pieces, strands or portions in practised hands, min. */
  readonly minutesPer100: number | null
  /** What stands in the kitchen: shapes that need a machine one has not are left out. */
  readonly without: readonly Machine[]
}

export const MACHINES = ['roller', 'press', 'cutter'] as const
export type Machine = (typeof MACHINES)[number]

export const anyShape: ShapeQuery = {
  words: '',
  family: null,
  group: null,
  sauce: null,
  difficulty: null,
  minutesPer100: null,
  without: [],
}

/** What a shape cannot well be made without. */
export function machinesOf({ blank, sheeted, method }: Shape): readonly Machine[] {
  return [
    ...(blank.type === 'die' ? (['press'] as const) : []),
    ...(sheeted && thicknessOf(blank) < ROLLER_BELOW_MM ? (['roller'] as const) : []),
    ...(method === 'stamp' ? (['cutter'] as const) : []),
  ]
}

/** Thinner than this a sheet wants a roller; a pin does the rest. */
const ROLLER_BELOW_MM = 1.3
const thicknessOf = (blank: Shape['blank']): number => ('thicknessMm' in blank ? blank.thicknessMm : Infinity)

/**
 * Words as they are looked for, by a keyboard that has none of their marks.
 * @example plainWords('Spätzle') → 'spatzle'; plainWords('mantı') → 'manti'
 */
export const plainWords = (words: string): string =>
  words.normalize('NFD').replace(/\p{M}/gu, '').replace(/ı/g, 'i').replace(/ł/g, 'l').replace(/ß/g, 'ss').toLowerCase()

/** All that can be searched of a shape. */
export const textOf = (shape: Shape, doughs: DoughTable): string =>
  plainWords(
    [
      shape.name,
      ...shape.otherNames,
      shape.origin,
      ...shape.tools.flatMap(({ tool, instead }) => [tool, instead]),
      ...familiesOf(shape, doughs).map((dough) => dough.name),
    ].join(' '),
  )

export const familiesOf = ({ doughs: listed }: Shape, doughs: DoughTable): readonly Dough[] =>
  listed.flatMap(({ dough }) => doughs.get(dough) ?? [])

/** Minutes for a hundred in practised hands. */
export const minutesPer100 = ({ piecesPerMin }: Shape): number => 100 / piecesPerMin.practised

/** Every word and every filter must hold. `texts`: `textOf` by id, made once. */
export function findShapes(
  shapes: readonly Shape[],
  query: ShapeQuery,
  { texts, doughs }: { readonly texts: ReadonlyMap<string, string>; readonly doughs: DoughTable },
): readonly Shape[] {
  const words = plainWords(query.words).split(/\s+/).filter(Boolean)
  return shapes.filter(
    (shape) =>
      (query.group === null || shape.group === query.group) &&
      (query.difficulty === null || shape.difficulty <= query.difficulty) &&
      (query.minutesPer100 === null || minutesPer100(shape) <= query.minutesPer100) &&
      (query.sauce === null || shape.sauce.families.includes(query.sauce)) &&
      (query.family === null || familiesOf(shape, doughs).some((dough) => dough.family === query.family)) &&
      !machinesOf(shape).some((machine) => query.without.includes(machine)) &&
      words.every((word) => texts.get(shape.id)?.includes(word)),
  )
}
