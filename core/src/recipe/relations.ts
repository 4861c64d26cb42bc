/** What is said of one thing by another: half as much water as flour, divide by 2.5, 45 % hydration. */
import type { Ingredient } from '../model/index.ts'
import type { Element } from './elements.ts'
import { isFlour, isWater, type Heard, type Sentence } from './heard.ts'

/** A thing a relation speaks of: an ingredient, or any flour, any liquid. */
export type Side = { readonly any: 'flour' | 'liquid' } | { readonly ingredient: Ingredient }

export interface Relation {
  /** So many times `under`. */
  readonly over: Side
  readonly under: Side
  readonly ratio: number
  /** “By weight” is said. */
  readonly byWeight: boolean
  /** A share of the flour in percent, as bakers tell it, or the hydration. */
  readonly how: 'ratio' | 'percent' | 'hydration'
  readonly text: string
  readonly sentence: number
}

const FACTORS: Readonly<Record<string, number>> = {
  twice: 2,
  double: 2,
  triple: 3,
}

const sideOf = (ingredient: Ingredient, generic: boolean): Side =>
  generic && isFlour(ingredient) ? { any: 'flour' } : isWater(ingredient) ? { any: 'liquid' } : { ingredient }

function ingredientAt(elements: readonly Element[], tag: string | undefined): Side | null {
  const element = elements[Number(/\d+/.exec(tag ?? '')?.[0] ?? -1)]
  if (element?.is !== 'ingredient') return null
  return sideOf(element.ingredient, isFlour(element.ingredient))
}

function figureAt(
  elements: readonly Element[],
  tag: string | undefined,
  plain: boolean,
): { readonly value: number; readonly percent: boolean } | null {
  if (tag === undefined) return null
  const known = FACTORS[tag]
  if (known !== undefined) return { value: known, percent: false }
  const element = elements[Number(/\d+/.exec(tag)?.[0] ?? -1)]
  if (element?.is !== 'amount') return null
  const { amount } = element
  if (amount.kind === 'percent') return { value: amount.figure.typical / 100, percent: true }
  if (amount.kind !== 'bare' && amount.kind !== 'parts') return null
  // “One hundred and forty of water” is no share of anything.
  const isShare = amount.kind === 'bare' && amount.fraction
  return isShare || plain ? { value: amount.figure.typical, percent: false } : null
}

const I = '(‹i\\d+›)'
const A = '(‹a\\d+›|twice|double|triple)'
const THE = '(?:the |its |their |that |of |this )*'
const WEIGHT = '(?:weight|mass|own weight)'
const FLOUR: Side = { any: 'flour' }
const WATER: Side = { any: 'liquid' }

type Build = (
  at: (group: number) => string | undefined,
) => readonly [over: string | undefined | Side, figure: string | undefined | number, under: string | undefined | Side]

/** Patterns of a tagged sentence; each says which of its groups is what. */
const PATTERNS: readonly (readonly [RegExp, Build])[] = [
  // half as much water as flour
  [
    new RegExp(
      `${A} (?:time )?(?:as much|as many|the (?:amount|quantity|weight|mass) of) ${THE}${I} (?:as|of|than) ${THE}(?:\\w+ )?${I}`,
    ),
    (g) => [g(2), g(1), g(3)],
  ],
  // half as much water (of the flour before it)
  [
    new RegExp(`${A} (?:as much|that much|that|the amount|its weight) (?:of |in )?(?:\\w+ )?${I}(?! as)`),
    (g) => [g(2), g(1), FLOUR],
  ],
  // water, half as much
  [
    new RegExp(
      `${I} (?:[:,(=-] |is |at |and |about )*${A} (?:as much|that much|that|the amount|the quantity)\\b(?! of ‹)(?! as)`,
    ),
    (g) => [g(1), g(2), FLOUR],
  ],
  // water: half the weight of the flour; water is always 45 % of the flour
  [
    new RegExp(`${I} (?:[:,(=-] |\\w+ ){0,4}?${A} (?:of |the )(?:the |its |total |whole )*(?:${WEIGHT} )?${THE}${I}`),
    (g) => [g(1), g(2), g(3)],
  ],
  // half the flour's weight in water; 45 % of the flour in water
  [new RegExp(`${A} ${THE}(?:${WEIGHT} )?${THE}${I} ?(?:${WEIGHT} )?(?:in|of|as) ${I}`), (g) => [g(3), g(1), g(2)]],
  // half its weight of water
  [new RegExp(`${A} (?:its|the|their) (?:own )?${WEIGHT} (?:in|of) ${THE}${I}`), (g) => [g(2), g(1), FLOUR]],
  // the same weight of water as flour; equal weights of potato and flour
  [
    new RegExp(`(?:same|equal) (?:weight|amount|mass|quantity|measure) of ${THE}${I} (?:as|and) ${THE}${I}`),
    (g) => [g(1), 1, g(2)],
  ],
  // the water weighs half as much as the flour
  [new RegExp(`${I} (?:\\w+ ){0,4}?${A} (?:time )?as (?:much|heavy) as ${THE}${I}`), (g) => [g(1), g(2), g(3)]],
  // water = 0.48 × semolina
  [new RegExp(`${I} (?:[:=] )${A} (?:×|x|\\*|time) ${THE}${I}`), (g) => [g(1), g(2), g(3)]],
  // divide the flour by 2.5
  [new RegExp(`divide ${THE}(?:weight of )?${THE}${I}(?: \\w+)? by (‹a\\d+›)`), (g) => [WATER, g(2), g(1)]],
  // take the flour, multiply by 0.46
  [
    new RegExp(`${I} (?:[\\w,]+ ){0,3}?(?:multiply|multiplied|times) (?:it )?(?:by )?(‹a\\d+›)`),
    (g) => [WATER, g(2), g(1)],
  ],
  [new RegExp(`${I}(?: \\w+)? divided by (‹a\\d+›)`), (g) => [WATER, g(2), g(1)]],
  // 48 % hydration; a hydration of 48 %
  [/(‹a\d+›) (?:\w+ )?(?:hydration|hydrated)/, (g) => [WATER, g(1), FLOUR]],
  [/(?:hydration|hydrated) (?:\w+ |[:=(] ?){0,3}(‹a\d+›)/, (g) => [WATER, g(1), FLOUR]],
]

/** Where any figure is one: divided by, times. */
const PLAIN = /divide|multiply|time[ )]/

const isSide = (value: unknown): value is Side => typeof value === 'object' && value !== null

/** Flour to water as two to one; water to flour as one to two: read off the text, for a colon is no word. */
const RATIO = /\bratio\b|‹i\d+› (?:to|:|\/) ‹i\d+›/

function ratioIn({ tag, elements, text }: Sentence): readonly [over: Side, ratio: number, under: Side] | null {
  if (!RATIO.test(tag)) return null
  const names = [...tag.matchAll(/‹i(\d+)›/g)]
    .map(([name]) => ingredientAt(elements, name))
    .filter((each) => each !== null)
  const figures = /(‹a\d+›) (?::|to) (‹a\d+›)/.exec(tag)
  const plain = /(\d+(?:[.,]\d+)?) ?(?::|to) ?(\d+(?:[.,]\d+)?)/.exec(text)
  const [one, two] = figures
    ? [figureAt(elements, figures[1], true)?.value, figureAt(elements, figures[2], true)?.value]
    : plain
      ? [Number(plain[1]!.replace(',', '.')), Number(plain[2]!.replace(',', '.'))]
      : []
  const [first, second] = names
  if (!one || !two || !first || !second) return null
  return [second, two / one, first]
}

export function relationsIn({ sentences }: Heard): readonly Relation[] {
  return sentences.flatMap((sentence, index): Relation[] => {
    if (sentence.aside) return []
    const { tag, elements, text } = sentence
    const byWeight = /\b(weight|by weight|weighed|mass|gram|scale)\b/.test(tag)
    const ratio = ratioIn(sentence)
    if (ratio) {
      const [over, value, under] = ratio
      return [{ over, under, ratio: value, byWeight, how: 'ratio', text, sentence: index }]
    }
    for (const [pattern, build] of PATTERNS) {
      const found = pattern.exec(tag)
      if (!found) continue
      const [a, b, c] = build((group) => found[group])
      const over = isSide(a) ? a : ingredientAt(elements, a)
      const under = isSide(c) ? c : ingredientAt(elements, c)
      const figure =
        typeof b === 'number' ? { value: b, percent: false } : figureAt(elements, b, PLAIN.test(pattern.source))
      if (!over || !under || !figure || figure.value <= 0) continue
      const divides = /divide/.test(pattern.source)
      const value = divides ? 1 / figure.value : figure.value
      const how = /hydrat/.test(pattern.source) ? 'hydration' : figure.percent ? 'percent' : 'ratio'
      return [{ over, under, ratio: value, byWeight, how, text, sentence: index }]
    }
    return []
  })
}
