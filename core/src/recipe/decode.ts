/** A recipe's words to rows in grams, with what makes each unsure, and what in it cannot be. */
import type { EggSize, Ingredient } from '../model/index.ts'
import { times, type Span } from './amounts.ts'
import { contradictionsOf, type Contradiction } from './contradictions.ts'
import { english } from './english.ts'
import { hear, isFlour, isOfIngredients, isSame, type Heard, type HeardRow } from './heard.ts'
import { lexiconFor } from './lexicon.ts'
import { methodIn, totalsIn, type DecodedMethod } from './method.ts'
import { plainRecipe } from './plainText.ts'
import { relatedRows } from './relatedRows.ts'
import { relationsIn } from './relations.ts'
import { hydrationOf, type Row } from './rows.ts'
import { bareAsPercent, bareRows, percentRows, withParts } from './sharedRows.ts'
import type { RecipeTables, Region } from './tables.ts'
import { unknownG, weighedRows, type Weighing } from './weighedRows.ts'

export interface DecodedRow {
  /** Null where nobody knows what it is. */
  readonly id: string | null
  readonly name: string
  readonly grams: number
  readonly low: number
  readonly high: number
  readonly flour: boolean
  /** The words it came from. */
  readonly read: string
  readonly why: Row['why']
  /** By volume; null where it was weighed, or follows from another row. */
  readonly ml: Span | null
}

/** Why something came to nothing: nobody knows it, it has no amount or none that weighs, or it is one row too many. */
export type UnreadWhy = 'unknown' | 'no-amount' | 'not-weighed' | 'of-nothing' | 'beyond'

export interface Unread {
  /** As it is written. */
  readonly text: string
  readonly why: UnreadWhy
  /** By which a maker may say what it is. */
  readonly name: string | null
}

export interface Decoded {
  readonly title: string | null
  readonly region: Region
  readonly rows: readonly DecodedRow[]
  /** Effective; null without flour, or without anything that wets it. */
  readonly hydration: Span | null
  readonly contradictions: readonly Contradiction[]
  /** What was not understood. */
  readonly unread: readonly Unread[]
  readonly people: number | null
  readonly method: DecodedMethod
}

/** What a maker has said of a name before: an ingredient, or nothing of the dough. */
export type Told = Readonly<Record<string, string | null>>
/** Names are told as they are written, without case. */
export const toldKey = (name: string): string => name.toLowerCase()

export interface DecodeOptions {
  readonly region?: Region | undefined
  /** Where the text does not say: the maker's own. */
  readonly usual?: Region | undefined
  readonly egg?: EggSize | undefined
  readonly told?: Told | undefined
}

/** What a text says of its cups without saying so. */
const evidentRegion = (text: string): Region | undefined =>
  english.regions.find(([, pattern]) => pattern.test(text))?.[0]

/**
 * A recipe read: total, whatever it is given, and linear in its length.
 * Grams are the typical of low and high; a region's cups are those of the United States unless said or evident.
 */
export function decode(
  text: string,
  tables: RecipeTables,
  { region: wanted, usual = 'us', egg = 'any', told = {} }: DecodeOptions = {},
): Decoded {
  const recipe = plainRecipe(text)
  const region = wanted ?? evidentRegion(text) ?? usual
  const lexicon = lexiconFor(tables)
  const heard = bareAsPercent(withTold(hear(recipe, lexicon), told, tables))
  const weighing: Weighing = { heard, setting: { region, egg }, tables }
  const direct = weighedRows(weighing)
  const inPercent = percentRows(weighing, direct)
  const stated = inPercent ?? [...direct, ...bareRows(weighing, direct)]
  const ownRows = withParts(weighing, stated)
  const relations = relationsIn(heard)
  const rows = [...ownRows, ...relatedRows(weighing, relations, ownRows)]
  const hydration = hydrationOf(rows)
  const totals = statedTotals(heard)
  const method = methodIn(heard)
  const contradictions = contradictionsOf({
    rows,
    hydration,
    relations,
    totals: inPercent ? [] : totals,
    method,
    text,
    doughs: tables.doughs,
  })
  return {
    title: recipe.title,
    region,
    rows: rows.map(({ ingredient: _, generic: __, span, ...row }) => ({
      ...row,
      grams: span.typical,
      low: Math.min(span.low, span.typical),
      high: Math.max(span.high, span.typical),
    })),
    hydration,
    contradictions,
    unread: unreadOf(
      heard,
      rows,
      totals.map((each) => each.text),
      inPercent !== null,
    ),
    people: heard.people,
    method,
  }
}

/** Weights of the whole dough that are stated; about is a tenth either way. */
const statedTotals = (heard: Heard) =>
  totalsIn(heard).flatMap(({ amount, text }) => {
    const grams = unknownG(amount)
    const about = amount.modifiers.length > 0
    return grams ? [{ text, grams: about ? times(grams, { low: 0.9, typical: 1, high: 1.1 }) : grams }] : []
  })

/** Names a maker has settled: what they are, or that they are none of the dough's. */
function withTold(heard: Heard, told: Told, { ingredients }: RecipeTables): Heard {
  if (Object.keys(told).length === 0) return heard
  const byId = new Map(ingredients.map((each) => [each.id, each]))
  const settled = (name: string): string | null | undefined => {
    const key = toldKey(name)
    return Object.hasOwn(told, key) ? told[key] : undefined
  }
  return {
    ...heard,
    rows: heard.rows.flatMap((row): HeardRow[] => {
      const id = settled(row.name)
      if (id === null) return []
      const ingredient = byId.get(id ?? '')
      return [ingredient ? { ...row, ingredient, unsure: false } : row]
    }),
    named: heard.named.filter(({ name }) => settled(name) !== null),
    strange: heard.strange.filter((name) => settled(name) !== null),
  }
}

/** Whether a thing has its row: any flour is meant by flour, any water by water. */
const hasRow = (rows: readonly Row[], ingredient: Ingredient, generic: boolean): boolean =>
  rows.some((row) => row.ingredient && (isSame(row.ingredient, ingredient) || (generic && row.flour)))

/** What follows a thing in its own line, letters. */
const SHORT_REST = 12

/** All that came to nothing: it is told, never dropped. */
function unreadOf(
  heard: Heard,
  rows: readonly Row[],
  totals: readonly string[],
  inPercent: boolean,
): readonly Unread[] {
  // Counts stand in a title and a method too, of what is no thing.
  const isCounted = ({ read, sentence }: HeardRow) => {
    const { line, text } = heard.sentences[sentence]!
    const isBesideRow = rows.some((row) => line.text.includes(row.read))
    const isShort = line.zone === null && text.startsWith(read) && text.length - read.length < SHORT_REST
    return isOfIngredients(line) || isBesideRow || (isShort && line !== heard.sentences[0]!.line)
  }
  const told = heard.rows.flatMap((row): Unread[] => {
    const { ingredient, generic, amount, name, read } = row
    if (ingredient) return hasRow(rows, ingredient, generic) ? [] : [{ text: read, why: 'not-weighed', name }]
    return amount.kind === 'measured' || isCounted(row) ? [{ text: read, why: 'unknown', name }] : []
  })
  const loose = heard.loose.flatMap(({ text, sentence, amount }): Unread[] => {
    const { text: whole, tag } = heard.sentences[sentence]!
    const isSaid = totals.includes(whole) || amount.kind === 'percent' || (inPercent && english.flour.test(tag))
    return isSaid || (amount.kind === 'measured' && amount.article) ? [] : [{ text, why: 'of-nothing', name: null }]
  })
  const named = heard.named.flatMap(({ ingredient, name, text }): Unread[] =>
    hasRow(rows, ingredient, isFlour(ingredient)) ? [] : [{ text, why: 'no-amount', name }],
  )
  const strange = heard.strange.map((text): Unread => ({ text, why: 'unknown', name: text }))
  const beyond: readonly Unread[] = heard.beyond === null ? [] : [{ text: heard.beyond, why: 'beyond', name: null }]
  const all = [...told, ...loose, ...named, ...strange, ...beyond]
  const first = new Map<string, Unread>()
  for (const each of all) if (!first.has(each.text)) first.set(each.text, each)
  return [...first.values()]
}
