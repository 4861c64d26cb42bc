/** Names by their words, so that the longest one that stands at a place is found at once. */
import type { Ingredient } from '../model/index.ts'
import { plainWords } from '../shape/index.ts'
import { unitTables, type Unit } from '../quantity/index.ts'
import type { ReaderMeasure, ReaderModifier, RecipeTables } from './tables.ts'

/** A word without case and accents, in the singular; both sides of every comparison go through it. */
export function plainWord(word: string): string {
  const plain = plainWords(word)
    .normalize('NFD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/\.$/, '')
    .replace(/(spoon|cup)s?fuls?$/, '$1')
  if (plain.length < 4 || /(ss|us|is)$/.test(plain)) return plain
  if (/(ch|sh|x|ss)es$/.test(plain)) return plain.slice(0, -2)
  if (plain.endsWith('ies')) return `${plain.slice(0, -3)}y`
  return plain.endsWith('oes') ? plain.slice(0, -2) : plain.replace(/s$/, '')
}

const WORDS = /[\p{L}\p{N}%°'’]+/gu
export const plainWordsOf = (text: string): readonly string[] =>
  (text.match(WORDS) ?? []).map((word) => plainWord(word.replace(/^[dl]['’]/i, '').replace(/['’]s$/, '')))

interface Entry<T> {
  readonly words: readonly string[]
  readonly is: T
}
/** Phrases by their first word, the longest first. */
export type Phrases<T> = ReadonlyMap<string, readonly Entry<T>[]>

export function phrasesOf<T>(all: readonly (readonly [name: string, is: T])[]): Phrases<T> {
  const found = new Map<string, Entry<T>[]>()
  for (const [name, is] of all) {
    const words = plainWordsOf(name)
    const [first] = words
    if (first !== undefined) found.set(first, [...(found.get(first) ?? []), { words, is }])
  }
  for (const entries of found.values()) entries.sort((a, b) => b.words.length - a.words.length)
  return found
}

export interface Phrase<T> {
  readonly is: T
  /** How many words. */
  readonly length: number
}

/** The longest phrase that begins here; the first of those that are alike. */
export function phraseAt<T>(phrases: Phrases<T>, wordAt: (ahead: number) => string | undefined): Phrase<T> | null {
  const entries = phrases.get(wordAt(0) ?? '')
  const found = entries?.find(({ words }) => words.every((word, n) => wordAt(n) === word))
  return found ? { is: found.is, length: found.words.length } : null
}

export interface NamedIngredient {
  readonly ingredient: Ingredient
  /** Others mean another thing by this name. */
  readonly unsure: boolean
}

/** A unit that weighs nothing: of time, length, heat, share. */
export interface PlainUnit {
  readonly unit: Exclude<Unit, 'g'>
  readonly is: (written: number) => number
}

export interface Lexicon {
  readonly byId: ReadonlyMap<string, Ingredient>
  readonly ingredients: Phrases<NamedIngredient>
  /** All that share a name: which is meant depends on the region, and on what is measured. */
  readonly measures: Phrases<readonly ReaderMeasure[]>
  /** Written large where small means another: T and t. */
  readonly exact: ReadonlyMap<string, readonly ReaderMeasure[]>
  readonly units: Phrases<PlainUnit>
  readonly modifiers: Phrases<readonly ReaderModifier[]>
  readonly times: Phrases<RecipeTables['reader']['times'][number]>
  readonly heats: Phrases<RecipeTables['reader']['heats'][number]>
}

/** Letters alone that are a word, an abbreviation of another unit, or a length only where feet are meant. */
const NO_UNIT = new Set(['m', 'd', 'c', 'f', 'in', "'", '′', '’', '"', '″', '”'])

function unitsOf(unit: PlainUnit['unit']): readonly (readonly [string, PlainUnit])[] {
  return unitTables[unit].flatMap(({ name, also, is }) =>
    [name, ...also]
      .filter((each) => !NO_UNIT.has(each))
      .map((each) => [each, { unit, is: typeof is === 'number' ? (written: number) => written * is : is }] as const),
  )
}

function grouped<T>(all: readonly (readonly [string, T])[]): readonly (readonly [string, readonly T[]])[] {
  const found = new Map<string, T[]>()
  for (const [name, is] of all) {
    const key = plainWordsOf(name).join(' ')
    found.set(key, [...(found.get(key) ?? []), is])
  }
  return [...found]
}

const isExact = (name: string): boolean => name.length <= 2 && (/[A-Z]/.test(name) || name.length === 1)

function lexiconOf({ ingredients, reader }: RecipeTables): Lexicon {
  const byId = new Map(ingredients.map((ingredient) => [ingredient.id, ingredient]))
  const others = new Map(reader.names.map((each) => [each.ingredient, each]))
  const named = ingredients.flatMap((ingredient) => {
    if (ingredient.group === 'dusting') return []
    const { names = [], unsure = [] } = others.get(ingredient.id) ?? {}
    const all = [...names, ingredient.name.replace(/\(.*\)/, ''), ingredient.id.replaceAll('-', ' ')]
    return all.map((name): [string, NamedIngredient] => [name, { ingredient, unsure: unsure.includes(name) }])
  })
  const measures = reader.measures.flatMap((measure) => measure.names.map((name) => [name, measure] as const))
  return {
    byId,
    ingredients: phrasesOf(named),
    measures: phrasesOf(grouped(measures.filter(([name]) => !isExact(name)))),
    exact: new Map(
      measures
        .filter(([name]) => isExact(name))
        .map(([name]) => [name, measures.filter(([other]) => other === name).map(([, measure]) => measure)]),
    ),
    units: phrasesOf([...unitsOf('min'), ...unitsOf('mm'), ...unitsOf('°C'), ...unitsOf('%')]),
    modifiers: phrasesOf(grouped(reader.modifiers.flatMap((each) => each.words.map((word) => [word, each] as const)))),
    times: phrasesOf(reader.times.flatMap((each) => each.words.map((word) => [word, each] as const))),
    heats: phrasesOf(reader.heats.flatMap((each) => each.words.map((word) => [word, each] as const))),
  }
}

const known = new WeakMap<RecipeTables, Lexicon>()
/** Made once for each set of tables. */
export function lexiconFor(tables: RecipeTables): Lexicon {
  const found = known.get(tables) ?? lexiconOf(tables)
  known.set(tables, found)
  return found
}
