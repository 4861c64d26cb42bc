/** What is said of one thing by another: half as much water as flour, divide by 2.5, 45 % hydration. */
import type { Ingredient } from '../model/index.ts'
import type { Element } from './elements.ts'
import { english } from './english.ts'
import type { Party } from './grammar.ts'
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
  const known = english.factors[tag]
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

const FIGURES = /(‹a\d+›) (?::|to) (‹a\d+›)/

/** Flour to water as two to one; water to flour as one to two: read off the text, for a colon is no word. */
function ratioIn({ tag, elements, text }: Sentence): readonly [over: Side, ratio: number, under: Side] | null {
  if (!english.ratio.test(tag)) return null
  const names = [...tag.matchAll(/‹i(\d+)›/g)]
    .map(([name]) => ingredientAt(elements, name))
    .filter((each) => each !== null)
  const figures = FIGURES.exec(tag)
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
    const byWeight = english.byWeight.test(tag)
    const told = ratioIn(sentence)
    if (told) {
      const [over, ratio, under] = told
      return [{ over, under, ratio, byWeight, how: 'ratio', text, sentence: index }]
    }
    for (const pattern of english.relations) {
      const found = pattern.says.exec(tag)
      if (!found) continue
      const partyOf = (party: Party) =>
        typeof party === 'number' ? ingredientAt(elements, found[party]) : ({ any: party } as const)
      const [over, under] = [partyOf(pattern.over), partyOf(pattern.under)]
      const figure =
        pattern.figure === 'same'
          ? { value: 1, percent: false }
          : figureAt(elements, found[pattern.figure], pattern.plain === true)
      if (!over || !under || !figure || figure.value <= 0) continue
      const ratio = pattern.divides ? 1 / figure.value : figure.value
      const how = pattern.hydration ? 'hydration' : figure.percent ? 'percent' : 'ratio'
      return [{ over, under, ratio, byWeight, how, text, sentence: index }]
    }
    return []
  })
}
