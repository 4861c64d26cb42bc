/** What is poured, by its own name: water is only what is water. */
import {
  formatNumber,
  isEgg,
  isStillWater,
  roundHalfUp,
  EGGS,
  type EggSize,
  type Plan,
  type PlannedRow,
  type Worked,
} from '@harina/core'
import { counted, listed } from './units.ts'

/** @example Milk, whole → whole milk; Egg yolk (option) → egg yolk */
export function saidName(name: string): string {
  const [first = '', second] = name.replace(/\s*\([^)]*\)/g, '').split(', ')
  return (second === undefined || second === 'shelled' ? first : `${second} ${first}`).toLowerCase()
}

/** @example water; whole milk; water and whole milk */
export function liquidName({
  rows,
}: {
  readonly rows: readonly Pick<PlannedRow, 'part' | 'weighedG' | 'ingredient' | 'name'>[]
}): string {
  const poured = rows.filter(({ part, weighedG }) => part === 'water' && weighedG > 0)
  const names = poured.map(({ ingredient, name }) => (isStillWater(ingredient) ? 'water' : saidName(name)))
  return names.length > 0 ? listed([...new Set(names)]) : 'water'
}

/** The same of a sheet on paper. */
export const liquidOf = ({ rows }: Pick<Worked, 'rows'>): string =>
  liquidName({
    rows: rows.map(({ ingredient: { id, name }, part, weighedG }) => ({ ingredient: id, name, part, weighedG })),
  })

/** What goes in to correct, as one says it. */
export const whatWords = (what: 'water' | 'flour', plan: Pick<Plan, 'rows'>): string =>
  what === 'water' ? liquidName(plan) : what

const EGG_WORDS = {
  'egg-whole': ['egg', 'wholeG'],
  'egg-yolk': ['yolk', 'yolkG'],
  'egg-white': ['white', 'whiteG'],
} as const
/** Nearer to a whole or a half one than this, it is told by number. */
const NEAR = 0.12

/** How many eggs, yolks or whites so much is; empty where it is none, or no round number. @example 200 g of whole egg → 4 eggs */
export function eggsWords(ingredient: string, grams: number, size: EggSize): string {
  if (!isEgg(ingredient)) return ''
  const [word, of] = EGG_WORDS[ingredient]
  const each = EGGS[size][of]
  const halves = roundHalfUp(grams / each, 0.5)
  if (halves < 1 || halves > 60 || Math.abs(grams / each - halves) > NEAR) return ''
  return halves % 1 === 0 ? counted(halves, word) : `${formatNumber(halves, 1)} ${word}s`
}
