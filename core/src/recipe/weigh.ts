/** What an amount of an ingredient weighs, and why it may weigh another. */
import type { EggSize, Ingredient } from '../model/index.ts'
import { EGGS } from '../quantity/index.ts'
import { exactly, plus, times, type Amount, type Span } from './amounts.ts'
import type { ReaderMeasure, ReaderModifier, RecipeTables, Region } from './tables.ts'

/** What makes a weight unsure. */
export const WHYS = [
  'range',
  'about',
  'cup-filling',
  'spoon',
  'egg-size',
  'piece-size',
  'vague',
  'region',
  'ounce',
] as const
export type Why = (typeof WHYS)[number]

export interface Weighed {
  readonly grams: Span
  readonly why: readonly Why[]
  /** Measured by its volume: what a cup of it weighs was taken from the table. */
  readonly ml: Span | null
}

/** Where a measure is not known in a region, whose it may be. */
const NEAR: Readonly<Record<Region, readonly Region[]>> = {
  us: ['us', 'metric'],
  metric: ['metric', 'uk', 'us'],
  jp: ['jp', 'metric', 'us'],
  uk: ['uk', 'metric'],
  au: ['au', 'metric', 'uk'],
}

const isOf = ({ of }: ReaderMeasure, { id, group }: Ingredient): boolean =>
  of === undefined || of === id || of === group

function measureFor(measures: readonly ReaderMeasure[], ingredient: Ingredient, region: Region): ReaderMeasure | null {
  const fit = measures.filter((measure) => isOf(measure, ingredient))
  const own = fit.find(({ of }) => of === ingredient.id) ?? fit.find(({ of }) => of === ingredient.group)
  const regional = NEAR[region].flatMap(
    (each) => fit.find(({ regions, of }) => of === undefined && regions?.includes(each)) ?? [],
  )
  return own ?? regional[0] ?? fit.find(({ regions }) => regions === undefined) ?? fit[0] ?? null
}

const spanOfMeasure = ({ g, ml, low, high }: ReaderMeasure): Span => {
  const typical = g ?? ml ?? 0
  return { low: low ?? typical, typical, high: high ?? typical }
}

/** Cups and the like by the cup's filling; spoons by the spoon's. */
const isSpoon = ({ id }: ReaderMeasure): boolean =>
  /^(tbsp|tsp|dessertspoon|cucchia|cuillere|essloeffel|teeloeffel|spoon|chinese)/.test(id)
const isCup = ({ id }: ReaderMeasure): boolean =>
  /^(cup|go-|tazz|bicchiere|verre|tasse|su-|tea-glass|stakan|katori|mug|pint|quart|gill|gallon)/.test(id)

function modified(grams: Span, modifiers: readonly ReaderModifier[], on: 'spoon' | 'cup' | 'count' | null): Span {
  const used = modifiers.filter((each) => each.on === 'any' || each.on === on)
  // “Heaped” is of a spoon and of a cup: each by its own.
  return used.reduce((made, { factor, low, high }) => times(made, { low, typical: factor, high }), grams)
}

/** Ounces of what is poured are mostly fluid ones, by the middle of both. */
const FLUID_OUNCE: Readonly<Partial<Record<Region, number>>> = { us: 29.5735, uk: 28.4131 }

/** Dry things fill a cup loosely or shaken down. */
const filledBy = ({ cupFactor }: Ingredient): Span => ({
  low: cupFactor?.low ?? 1,
  typical: 1,
  high: cupFactor?.high ?? 1,
})

function termG(
  measure: ReaderMeasure,
  figure: Span,
  ingredient: Ingredient,
  region: Region,
  modifiers: readonly ReaderModifier[],
): Weighed {
  const each = spanOfMeasure(measure)
  const on = isSpoon(measure) ? 'spoon' : isCup(measure) ? 'cup' : null
  const why: Why[] = [
    ...(figure.low < figure.high ? (['range'] as const) : []),
    ...(modifiers.some(({ words }) => words.includes('about')) ? (['about'] as const) : []),
    ...(measure.low !== undefined ? (['vague'] as const) : []),
  ]
  if (measure.ml === undefined) {
    const fluid = FLUID_OUNCE[region]
    if (measure.id === 'oz' && ingredient.group === 'liquid' && fluid !== undefined) {
      const poured = fluid * ingredient.densityGPerMl
      const either = {
        low: Math.min(each.low, poured),
        typical: (each.typical + poured) / 2,
        high: Math.max(each.high, poured),
      }
      return { grams: modified(times(figure, either), modifiers, on), why: [...why, 'ounce'], ml: null }
    }
    return { grams: modified(times(figure, each), modifiers, on), why, ml: null }
  }
  const ml = times(figure, each)
  const filled = times(exactly(ingredient.densityGPerMl), on === null ? exactly(1) : filledBy(ingredient))
  const grams = modified(times(ml, filled), modifiers, on)
  const loose = ingredient.cupFactor !== undefined && ingredient.cupFactor.low < ingredient.cupFactor.high
  if (loose && on === 'cup') why.push('cup-filling')
  else if (loose && on === 'spoon') why.push('spoon')
  if (measure.regions) why.push('region')
  return { grams, why, ml: modified(ml, modifiers, on) }
}

const EGG_SPREAD = 0.07
const UNSIZED: Span = { low: 39.8 / 50.4, typical: 1, high: 60.2 / 50.4 }
const EGG_SIZES: Readonly<Record<Region, Readonly<Record<'small' | 'large' | 'xl', EggSize>>>> = {
  us: { small: 'us-m', large: 'us-l', xl: 'us-xl' },
  metric: { small: 'eu-s', large: 'eu-l', xl: 'eu-xl' },
  uk: { small: 'eu-s', large: 'eu-l', xl: 'eu-xl' },
  jp: { small: 'jp-ms', large: 'jp-l', xl: 'jp-l' },
  au: { small: 'au-m', large: 'au-l', xl: 'au-xl' },
}
const EGG_PART = { 'egg-whole': 'wholeG', 'egg-yolk': 'yolkG', 'egg-white': 'whiteG' } as const

/** So many eggs, potatoes; null where nobody counts it. */
function countedG(
  { figure, size, modifiers }: Extract<Amount, { kind: 'bare' }>,
  { id }: Ingredient,
  region: Region,
  egg: EggSize,
  reader: RecipeTables['reader'],
): Weighed | null {
  const range: readonly Why[] = figure.low < figure.high ? ['range'] : []
  if (id in EGG_PART) {
    const part = EGG_PART[id as keyof typeof EGG_PART]
    const one = EGGS[size === null ? egg : EGG_SIZES[region][size]][part]
    const spread = size === null && egg === 'any' ? UNSIZED : { low: 1 - EGG_SPREAD, typical: 1, high: 1 + EGG_SPREAD }
    return { grams: times(times(figure, exactly(one)), spread), why: [...range, 'egg-size'], ml: null }
  }
  const sizes = reader.counted.filter(({ ingredient }) => ingredient === id)
  const piece =
    sizes.find((each) => (each.size ?? null) === size) ?? sizes.find((each) => each.size === undefined) ?? sizes[0]
  if (!piece) return null
  const one = { low: piece.low, typical: piece.g, high: piece.high }
  return { grams: modified(times(figure, one), modifiers, 'count'), why: [...range, 'piece-size'], ml: null }
}

export interface Setting {
  readonly region: Region
  /** What an egg is where nobody says. */
  readonly egg: EggSize
}

/** Null where the amount is none that weighs: a share, a time, a count of what is not counted. */
export function weighed(
  amount: Amount,
  ingredient: Ingredient,
  { region, egg }: Setting,
  { reader }: RecipeTables,
): Weighed | null {
  if (amount.kind === 'bare') return countedG(amount, ingredient, region, egg, reader)
  if (amount.kind !== 'measured') return null
  const terms = amount.terms.flatMap(({ figure, measures }) => {
    const measure = measureFor(measures, ingredient, region)
    return measure ? [termG(measure, figure, ingredient, region, amount.modifiers)] : []
  })
  const [first, ...rest] = terms
  if (!first) return null
  const all = rest.reduce<Weighed>(
    (sum, each) => ({
      grams: plus(sum.grams, each.grams),
      why: [...sum.why, ...each.why],
      ml: sum.ml && each.ml ? plus(sum.ml, each.ml) : null,
    }),
    first,
  )
  return { ...all, why: [...new Set(all.why)] }
}
