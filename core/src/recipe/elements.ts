/** A sentence as ingredients, amounts and the words between; and which amount is of which ingredient. */
import type { Ingredient } from '../model/index.ts'
import { amountAt, type Amount, type Sentence } from './amounts.ts'
import { english } from './english.ts'
import { phraseAt, type Lexicon } from './lexicon.ts'

export interface Mention {
  readonly is: 'ingredient'
  readonly ingredient: Ingredient
  readonly unsure: boolean
  readonly from: number
  readonly to: number
}
export interface AmountElement {
  readonly is: 'amount'
  readonly amount: Amount
  readonly from: number
  readonly to: number
}
export interface Other {
  readonly is: 'word' | 'mark'
  readonly plain: string
  readonly from: number
  readonly to: number
}
export type Element = Mention | AmountElement | Other

/** Egg-sized, water bath: named, but not meant. */
const NOT_MEANT = new Set(['sized', 'size', 'shaped', 'bath', 'ricer', 'level', 'temperature', 'bag', 'mill'])

export function elementsOf(sentence: Sentence, lexicon: Lexicon): readonly Element[] {
  const { words } = sentence
  const elements: Element[] = []
  for (let at = 0; at < words.length;) {
    const plainAhead = (ahead: number) => words[at + ahead]?.plain
    const named = phraseAt(lexicon.ingredients, plainAhead)
    const isMeant = named && !NOT_MEANT.has(words[at + named.length]?.plain ?? '')
    const amount = isMeant ? null : amountAt(sentence, at, lexicon)
    if (isMeant) elements.push({ is: 'ingredient', ...named.is, from: at, to: at + named.length })
    else if (amount) elements.push({ is: 'amount', amount, from: at, to: amount.to })
    else {
      const word = words[at]!
      elements.push({ is: word.token === null || word.token.type === 'sign' ? 'mark' : 'word', plain: word.plain, from: at, to: at + 1 })
    }
    at = elements.at(-1)!.to
  }
  return elements
}

/** The sentence with ‹iN› for its ingredients and ‹aN› for its amounts, to look for what is said of them. */
export const tagged = (elements: readonly Element[]): string =>
  elements.map((element, n) => (element.is === 'ingredient' ? `‹i${n}›` : element.is === 'amount' ? `‹a${n}›` : element.plain)).join(' ')

export interface Pair {
  /** Of the elements; null where the amount is of nothing known. */
  readonly mention: number | null
  readonly amount: number
}

/** Farther away than this it is another thing that is spoken of, words. */
const FARTHEST = 4
const JOINS = new Set([':', '=', '(', '|', '-', '–', '—', '…', ','])

/** Amounts that say how much of something there is. */
export const isQuantity = ({ kind }: Amount): boolean =>
  kind === 'measured' || kind === 'bare' || kind === 'percent' || kind === 'parts'

/** “¾ cup (170 g)”, “500 g / 17 oz”: the same once more, in brackets or behind a stroke. */
function isAlternative(elements: readonly Element[], first: number, second: number): boolean {
  const between = elements.slice(first + 1, second)
  return between.length > 0 && between.length <= 3 && between.every((each) => each.is === 'mark' || (each.is === 'word' && /^(about|or|circa|ca)$/.test(each.plain))) && between.some((each) => each.is !== 'ingredient' && each.is !== 'amount' && /^[(/[|=]$|^or$/.test(each.plain))
}

/** How exactly an amount is told: the sharper of two that say the same is taken. */
function sharpness({ amount }: AmountElement): number {
  if (amount.kind !== 'measured') return 0
  const { measures } = amount.terms[0]!
  const weighs = measures[0]?.g !== undefined && measures[0].low === undefined
  const isMetric = /^(g|kg|mg)$/.test(measures[0]?.id ?? '')
  return (weighs ? 2 : 1) + (isMetric ? 1 : 0)
}

interface Gap {
  readonly words: number
  readonly tight: boolean
  readonly broken: boolean
}

function gapBetween(elements: readonly Element[], first: number, second: number): Gap {
  const between = elements.slice(first + 1, second)
  const words = between.filter((each): each is Other => each.is === 'word')
  const marks = between.filter((each): each is Other => each.is === 'mark')
  const plainWords = words.filter(({ plain }) => !english.of.includes(plain as never))
  return {
    words: plainWords.length,
    tight: plainWords.length === 0 && marks.every(({ plain }) => JOINS.has(plain)),
    broken: between.some((each) => each.is === 'ingredient' || each.is === 'amount') || words.some(({ plain }) => english.breaks.has(plain as never)),
  }
}

/** An amount before what it is of: nothing but words that describe it between. */
function isForward(elements: readonly Element[], amount: number, mention: number): boolean {
  const gap = gapBetween(elements, amount, mention)
  const marks = elements.slice(amount + 1, mention).filter((each): each is Other => each.is === 'mark')
  return !gap.broken && gap.words <= FARTHEST && marks.every(({ plain }) => /^[)\]*"']$/.test(plain))
}

/** “Flour: 500 g”, “farina 00 230 g”, “potatoes, boiled and riced, 800 g”. */
function isBackward(elements: readonly Element[], mention: number, amount: number): boolean {
  const gap = gapBetween(elements, mention, amount)
  if (gap.tight) return true
  const words = elements.slice(mention + 1, amount).filter((each): each is Other => each.is === 'word')
  const breaks = words.filter(({ plain }) => english.breaks.has(plain as never) && !/^(and|is|at|for|e|y|in|are)$/.test(plain))
  return breaks.length === 0 && gap.words <= FARTHEST + 1 && !elements.slice(mention + 1, amount).some((each) => each.is === 'ingredient' || each.is === 'amount')
}

const SPARE: Element = { is: 'mark', plain: ')', from: 0, to: 0 }

/** Of two amounts that say the same, one is let go of. */
function withoutAlternatives(elements: readonly Element[]): readonly Element[] {
  const quantities = elements.flatMap((each, n) => (each.is === 'amount' && each.amount.kind === 'measured' ? [n] : []))
  const spare = new Set<number>()
  for (const [n, at] of quantities.entries()) {
    const next = quantities[n + 1]
    if (next === undefined || !isAlternative(elements, at, next)) continue
    const [one, two] = [elements[at] as AmountElement, elements[next] as AmountElement]
    spare.add(sharpness(two) > sharpness(one) ? at : next)
  }
  return elements.map((each, n) => (spare.has(n) ? SPARE : each))
}

/** Of each amount, what it is of. In a sentence that begins by a name and its amount, names come first. */
export function pairsOf(all: readonly Element[]): readonly Pair[] {
  const elements = withoutAlternatives(all)
  const mentions = elements.flatMap((each, n) => (each.is === 'ingredient' ? [n] : []))
  const amounts = elements.flatMap((each, n) => (each.is === 'amount' && isQuantity(each.amount) ? [n] : []))
  const [firstMention, firstAmount] = [mentions[0], amounts[0]]
  const namesFirst =
    firstMention !== undefined &&
    firstAmount !== undefined &&
    firstMention < firstAmount &&
    gapBetween(elements, firstMention, firstAmount).tight
  const taken = new Set<number>()
  return amounts.flatMap((amount): Pair[] => {
    const next = mentions.find((at) => at > amount)
    const before = mentions.filter((at) => at < amount).at(-1)
    const ahead = next !== undefined && !taken.has(next) && isForward(elements, amount, next) ? next : null
    const behind = before !== undefined && isBackward(elements, before, amount) ? before : null
    // In brackets after what has its amount: told once more in other units.
    if (behind !== null && taken.has(behind) && ahead === null && isBracketed(elements, behind, amount)) return []
    const free = behind !== null && !taken.has(behind) ? behind : null
    const mention = namesFirst ? (free ?? ahead) : (ahead ?? free)
    if (mention !== null) taken.add(mention)
    return [{ mention, amount }]
  })
}

const isBracketed = (elements: readonly Element[], from: number, to: number): boolean =>
  elements.slice(from + 1, to).some((each) => each.is === 'mark' && /^[(/[]$/.test(each.plain))
