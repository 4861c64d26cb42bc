/** A recipe's words to rows in grams, with what makes each unsure, and what in it cannot be. */
import type { EggSize, Ingredient } from '../model/index.ts'
import { exactly, plus, times, type Amount, type Span } from './amounts.ts'
import { contradictionsOf, type Contradiction } from './contradictions.ts'
import { hear, isFlour, isInList, isSame, isWater, type Heard, type HeardRow } from './heard.ts'
import { lexiconFor } from './lexicon.ts'
import { methodIn, totalsIn, type DecodedMethod } from './method.ts'
import { plainRecipe, type PlainRecipe } from './plainText.ts'
import { relationsIn, type Relation } from './relations.ts'
import { hydrationOf, rowsOf, scaled, sumG, type Row } from './rows.ts'
import type { RecipeTables, Region } from './tables.ts'
import { weighed, type Setting } from './weigh.ts'

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

export interface Decoded {
  readonly title: string | null
  readonly region: Region
  readonly rows: readonly DecodedRow[]
  /** Effective; null without flour, or without anything that wets it. */
  readonly hydration: Span | null
  readonly contradictions: readonly Contradiction[]
  /** What was not understood, as it is written. */
  readonly unread: readonly string[]
  readonly people: number | null
  readonly method: DecodedMethod
}

/** What a maker has said of a name before: an ingredient, or nothing of the dough. */
export type Told = Readonly<Record<string, string | null>>

export interface DecodeOptions {
  readonly region?: Region | undefined
  /** Where the text does not say: the maker's own. */
  readonly usual?: Region | undefined
  readonly egg?: EggSize | undefined
  readonly told?: Told | undefined
}

/** What a text says of its cups without saying so. */
const EVIDENT: readonly (readonly [Region, RegExp])[] = [
  ['jp', /\bjapan\w*\b|\b(kyorikiko|churikiko|hakurikiko|oosaji|kosaji|kappu|hitotsumami|katakuriko)\b/i],
  ['au', /\baustralia\w*\b/i],
  ['uk', /\bimperial\b|\b(uk|british) (pint|cup|spoon|recipe|measure)|\bhalf a pint\b.*\bplain flour\b/i],
  ['metric', /\bmetric (cup|spoon|measure)/i],
  ['us', /\b(us|american) (cup|pint|spoon|measure)|\ball[- ]purpose\b|\bkosher\b/i],
]
const evidentRegion = (text: string): Region | undefined => EVIDENT.find(([, pattern]) => pattern.test(text))?.[0]

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

interface Weighing {
  readonly heard: Heard
  readonly setting: Setting
  readonly tables: RecipeTables
}

/** Rows that have a weight of their own, in order. */
function weighedRows({ heard, setting, tables }: Weighing): readonly Row[] {
  const rows: Row[] = []
  const byId = new Map(tables.ingredients.map((each) => [each.id, each]))
  for (const row of heard.rows) {
    const { ingredient, amount, read, name, unsure } = row
    if (!ingredient) {
      const first = amount.kind === 'measured' ? unknownG(amount) : null
      if (first && row.name !== '')
        rows.push({ id: null, ingredient: null, name, flour: false, read, why: [], ml: null, span: first })
      continue
    }
    const plain = weighed(amount, ingredient, setting, tables)
    if (!plain) continue
    const each = row.perPerson ? scaled(plain.grams, heard.people ?? 1) : plain.grams
    if (isRepeat(heard, row, each, rows)) continue
    const dust = row.dusting ? byId.get(DUST[ingredient.id] ?? '') : undefined
    const is = dust ?? ingredient
    const why = [...plain.why, ...(unsure ? (['unsure-name'] as const) : [])]
    const { generic } = row
    rows.push({
      id: is.id,
      ingredient: is,
      name,
      flour: !dust && isFlour(is),
      generic,
      read,
      why,
      ml: plain.ml,
      span: each,
    })
  }
  return rows
}

/** Of what nobody knows, weights stand; volumes as of water. */
function unknownG({ terms }: Extract<Amount, { kind: 'measured' }>): Span | null {
  const all = terms.flatMap(({ figure, measures }) => {
    const measure = measures.find(({ of }) => of === undefined)
    return measure ? [scaled(figure, measure.g ?? measure.ml ?? 0)] : []
  })
  return all.length > 0 ? all.reduce(plus) : null
}

const shareOf = ({ amount }: HeardRow): number | null => (amount.kind === 'percent' ? amount.figure.typical : null)

/** “Flour 100, water 45, salt 1”, and a weight of flour elsewhere: percent without its sign. */
function bareAsPercent(heard: Heard): Heard {
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

/** Percent of the flour, as bakers write: where flours are told so, and add up to a hundred. */
function percentRows({ heard }: Weighing, weighedAlready: readonly Row[]): readonly Row[] | null {
  const told = heard.rows.filter((row) => row.ingredient && shareOf(row) !== null)
  const flours = told.filter(({ ingredient }) => isFlour(ingredient!))
  const all = flours.reduce((whole, row) => whole + shareOf(row)!, 0)
  if (flours.length === 0) return null
  if (!close(all, 100, 0.05)) return ofBase(told, weighedAlready)
  const flourG = weighedAlready.filter(({ flour }) => flour)
  const others = weighedAlready.filter(({ flour, id }) => !flour && id !== null)
  const wholePercent = told.reduce((whole, row) => whole + shareOf(row)!, 0)
  const total = totalsIn(heard)[0]
  const totalG = total ? unknownG(total.amount)?.typical : undefined
  const loose = heard.loose.find(
    ({ amount, sentence }) => amount.kind === 'measured' && /\bflour\b/.test(heard.sentences[sentence]!.tag),
  )
  const looseG = loose?.amount.kind === 'measured' ? unknownG(loose.amount)?.typical : undefined
  const base =
    flourG.length > 0
      ? sumG(flourG).typical
      : (looseG ?? (totalG === undefined ? BASE_G : (100 * totalG) / wholePercent))
  return [
    ...told.map((row): Row => {
      const ingredient = row.ingredient!
      const grams = (base * shareOf(row)!) / 100
      return {
        id: ingredient.id,
        ingredient,
        name: row.name,
        flour: isFlour(ingredient),
        read: row.read,
        why: ['percent'],
        ml: null,
        span: spanOfShare(row, base, grams),
      }
    }),
    ...others.filter(({ ingredient }) => !told.some((row) => isSame(row.ingredient!, ingredient!))),
  ]
}
/** On cooked potato, squash or curd the base is the hundred. */
function ofBase(told: readonly HeardRow[], weighedAlready: readonly Row[]): readonly Row[] | null {
  const base = weighedAlready.filter(({ ingredient }) => ['vegetable', 'dairy'].includes(ingredient?.group ?? ''))
  if (base.length === 0 || weighedAlready.some(({ flour }) => flour)) return null
  const baseG = sumG(base).typical
  return [
    ...weighedAlready,
    ...told.map(({ ingredient, amount, name, read }): Row => {
      const span = amount.kind === 'percent' ? scaled(amount.figure, baseG / 100) : exactly(0)
      return {
        id: ingredient!.id,
        ingredient,
        name,
        flour: isFlour(ingredient!),
        read,
        why: ['percent'],
        ml: null,
        span,
      }
    }),
  ]
}

/** Flour of a recipe in percent that says no weight, g. */
const BASE_G = 1000

const spanOfShare = ({ amount }: HeardRow, base: number, grams: number): Span =>
  amount.kind === 'percent' ? scaled(amount.figure, base / 100) : exactly(grams)

/**
 * “Three parts flour, one part water”: by the flour or the dough that is told, else a kilogram of flour. The rows with those told
 * by weight; flour that is only told for the parts is none of its own.
 */
function withParts({ heard }: Weighing, weighedAlready: readonly Row[]): readonly Row[] {
  const told = heard.rows.filter(({ ingredient, amount }) => ingredient && amount.kind === 'parts')
  if (told.length < 2) return weighedAlready
  const partOf = ({ amount }: HeardRow) => (amount.kind === 'parts' ? amount.figure.typical : 0)
  const flours = told.filter(({ ingredient }) => isFlour(ingredient!))
  const parts = (rows: readonly HeardRow[]) => rows.reduce((all, row) => all + partOf(row), 0)
  const isBase = (row: Row) =>
    row.flour && (row.generic === true || (flours.length === 1 && isSame(flours[0]!.ingredient!, row.ingredient!)))
  const kept = weighedAlready.filter((row) => !isBase(row))
  const baseG = sumG(weighedAlready.filter(isBase)).typical
  const total = totalsIn(heard)[0]
  const totalG = total ? unknownG(total.amount)?.typical : undefined
  const one =
    baseG > 0 && flours.length > 0
      ? baseG / parts(flours)
      : totalG !== undefined
        ? totalG / parts(told)
        : BASE_G / (flours.length > 0 ? parts(flours) : parts(told))
  const made = told.flatMap((row): Row[] => {
    const ingredient = row.ingredient!
    if (kept.some((each) => each.ingredient && isSame(each.ingredient, ingredient))) return []
    const { name, read } = row
    const span = exactly(one * partOf(row))
    return [{ id: ingredient.id, ingredient, name, flour: isFlour(ingredient), read, why: ['parts'], ml: null, span }]
  })
  return [...made, ...kept]
}

/** “Flour: 500, water: 240”: bare figures in a list are grams. */
function bareRows({ heard }: Weighing, weighedAlready: readonly Row[]): readonly Row[] {
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
  return fits.map((row): Row => {
    const ingredient = row.ingredient!
    return {
      id: ingredient.id,
      ingredient,
      name: row.name,
      flour: isFlour(ingredient),
      read: row.read,
      why: ['vague'],
      ml: null,
      span: row.amount.kind === 'bare' ? row.amount.figure : exactly(0),
    }
  })
}

/** What follows from another row: half as much water as flour, salt 2 % of the flour. */
function relatedRows(
  { heard, tables }: Weighing,
  relations: readonly Relation[],
  rows: readonly Row[],
): readonly Row[] {
  const made: Row[] = []
  const water = tables.ingredients.find(({ id }) => id === 'water-room')
  const flour = tables.ingredients.find(({ id }) => id === 'plain-wheat')
  const add = (ingredient: Ingredient | undefined, span: Span, ml: Span | null, read: string) => {
    if (ingredient)
      made.push({
        id: ingredient.id,
        ingredient,
        name: ingredient.name,
        flour: isFlour(ingredient),
        read,
        why: ['relation'],
        ml,
        span,
      })
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
    const share = shareOf(row)
    if (share === null || !row.ingredient || flourSpan.typical <= 0 || isFlour(row.ingredient)) continue
    if ([...rows, ...made].some((each) => each.ingredient && isSame(each.ingredient, row.ingredient!))) continue
    if (OTHER_PERCENT.test(heard.sentences[row.sentence]!.tag)) continue
    add(row.ingredient, scaled(flourSpan, share / 100), null, row.read)
  }
  return made
}
/** Percent of something else. */
const OTHER_PERCENT = /\b(protein|humidity|moisture|fat|extraction|solution|ash)\b/

/**
 * A recipe read: total, whatever it is given, and linear in its length.
 * Grams are the typical of low and high; a region's cups are those of the United States unless said or evident.
 */
export function decode(
  text: string,
  tables: RecipeTables,
  { region: wanted, usual = 'us', egg = 'any', told = {} }: DecodeOptions = {},
): Decoded {
  const recipe: PlainRecipe = plainRecipe(text)
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
  const totals = totalsIn(heard).flatMap((total) => {
    const grams = unknownG(total.amount)
    return grams
      ? [
          {
            grams: total.amount.modifiers.length > 0 ? times(grams, { low: 0.9, typical: 1, high: 1.1 }) : grams,
            text: total.text,
          },
        ]
      : []
  })
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

/** Names a maker has settled: what they are, or that they are none of the dough's. */
function withTold(heard: Heard, told: Told, { ingredients }: RecipeTables): Heard {
  if (Object.keys(told).length === 0) return heard
  const byId = new Map(ingredients.map((each) => [each.id, each]))
  return {
    ...heard,
    rows: heard.rows.flatMap((row): HeardRow[] => {
      const key = row.name.toLowerCase()
      if (!Object.hasOwn(told, key)) return [row]
      const id = told[key]
      if (id === null) return []
      const ingredient = byId.get(id ?? '')
      return [ingredient ? { ...row, ingredient, unsure: false } : row]
    }),
  }
}

/** Amounts of weight or share that came to nothing, and names nobody knows. */
function unreadOf(
  heard: Heard,
  rows: readonly Row[],
  totals: readonly string[],
  inPercent: boolean,
): readonly string[] {
  const loose = heard.loose.flatMap(({ text, sentence, amount }) => {
    const { text: whole, tag } = heard.sentences[sentence]!
    const isSaid = totals.includes(whole) || amount.kind === 'percent' || (inPercent && /\bflour\b/.test(tag))
    return isSaid || (amount.kind === 'measured' && amount.article) ? [] : [text]
  })
  return [...new Set([...rows.filter(({ id }) => id === null).map(({ read }) => read), ...loose])]
}
