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

/** “Egg sized” is no egg, “free of gluten” no gluten. */
const isThere = (words: Sentence['words'], at: number, length: number): boolean =>
  !english.notMeant.has(words[at + length]?.plain ?? '') &&
  !english.without.test(`${words[at - 2]?.plain ?? ''} ${words[at - 1]?.plain ?? ''}`)

export function elementsOf(sentence: Sentence, lexicon: Lexicon): readonly Element[] {
  const { words } = sentence
  const elements: Element[] = []
  for (let at = 0; at < words.length;) {
    const plainAhead = (ahead: number) => words[at + ahead]?.plain
    const named = phraseAt(lexicon.ingredients, plainAhead)
    const isMeant = named && isThere(words, at, named.length)
    const amount = isMeant ? null : amountAt(sentence, at, lexicon)
    if (isMeant) elements.push({ is: 'ingredient', ...named.is, from: at, to: at + named.length })
    else if (amount) elements.push({ is: 'amount', amount, from: at, to: amount.to })
    else {
      const word = words[at]!
      elements.push({
        is: word.token === null || word.token.type === 'sign' ? 'mark' : 'word',
        plain: word.plain,
        from: at,
        to: at + 1,
      })
    }
    at = elements.at(-1)!.to
  }
  return withoutGluten(elements, lexicon)
}

const GLUTEN_FREE = 'gluten-free-blend'

/** The words beside an element, up to the next thing or amount on either side. */
function wordsBeside(elements: readonly Element[], at: number): string {
  const isThing = ({ is }: Element) => is === 'ingredient' || is === 'amount'
  const upTo = (side: readonly Element[]) => {
    const next = side.findIndex(isThing)
    return next < 0 ? side : side.slice(0, next)
  }
  const before = [...upTo(elements.slice(0, at).reverse())].reverse()
  return [...before, ...upTo(elements.slice(at + 1))]
    .flatMap((each) => (each.is === 'word' ? [each.plain] : []))
    .join(' ')
}

/** “Gluten-free plain flour” is never wheat, however its name is read elsewhere: what is in the blend stays a doubt. */
function withoutGluten(elements: readonly Element[], lexicon: Lexicon): readonly Element[] {
  const blend = lexicon.byId.get(GLUTEN_FREE)
  if (!blend) return elements
  return elements.map((each, at) => {
    const { ingredient } = each.is === 'ingredient' ? each : { ingredient: null }
    return ingredient?.basis === 'flour' &&
      ingredient.gluten !== 'none' &&
      english.withoutGluten.test(wordsBeside(elements, at))
      ? { ...each, ingredient: blend, unsure: true }
      : each
  })
}

/** The sentence with ‹iN› for its ingredients and ‹aN› for its amounts, to look for what is said of them. */
export const tagged = (elements: readonly Element[]): string =>
  elements
    .map((element, n) =>
      element.is === 'ingredient' ? `‹i${n}›` : element.is === 'amount' ? `‹a${n}›` : element.plain,
    )
    .join(' ')

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
  return (
    between.length > 0 &&
    between.length <= 3 &&
    between.every((each) => each.is === 'mark' || (each.is === 'word' && english.orAbout.has(each.plain))) &&
    between.some(
      (each) =>
        (each.is === 'mark' && /^[(/[|=]$/.test(each.plain)) || (each.is === 'word' && each.plain === english.or),
    )
  )
}

/** How exactly an amount is told: the sharper of two that say the same is taken. */
function sharpness({ amount }: AmountElement): number {
  if (amount.kind !== 'measured') return 0
  const { measures } = amount.terms[0]!
  const weighs = measures[0]?.g !== undefined && measures[0].low === undefined
  const isMetric = /^(g|kg|mg)$/.test(measures[0]?.id ?? '')
  return (weighs ? 4 : 0) + (isMetric ? 2 : 0) + (measures[0]?.regions === undefined ? 1 : 0)
}

/** Another thing, or how much of it; a heat or a length only describes. */
const isOther = (each: Element): boolean =>
  each.is === 'ingredient' || (each.is === 'amount' && isQuantity(each.amount))

interface Gap {
  readonly words: number
  readonly tight: boolean
  readonly broken: boolean
}

function gapBetween(elements: readonly Element[], first: number, second: number): Gap {
  const between = elements.slice(first + 1, second)
  const words = between.filter((each): each is Other => each.is === 'word')
  const marks = between.filter((each): each is Other => each.is === 'mark')
  const plainWords = words.filter(({ plain }) => !english.of.has(plain))
  return {
    words: plainWords.length,
    tight: plainWords.length === 0 && marks.every(({ plain }) => JOINS.has(plain)),
    broken: between.some(isOther) || words.some(({ plain }) => english.breaks.has(plain)),
  }
}

/** An amount before what it is of: nothing but words that describe it between. */
function isForward(elements: readonly Element[], amount: number, mention: number): boolean {
  const gap = gapBetween(elements, amount, mention)
  const marks = elements.slice(amount + 1, mention).filter((each): each is Other => each.is === 'mark')
  return !gap.broken && gap.words <= FARTHEST && marks.every(({ plain }) => /^[)\]*"']$/.test(plain))
}

const hasComma = (elements: readonly Element[], from: number, to: number): boolean =>
  elements.slice(from + 1, to).some((each) => each.is === 'mark' && each.plain === ',')

/** “…as flour, 20 g malt extract”: after a comma a thing nobody knows is a thing all the same. */
function namesAnother(elements: readonly Element[], amount: number): boolean {
  const next = elements[amount + 1]
  return (
    next?.is === 'word' &&
    !english.breaks.has(next.plain) &&
    !english.noThing.has(next.plain) &&
    !english.describes.test(next.plain)
  )
}

/** “Flour: 500 g”, “farina 00 230 g”, “potatoes, boiled and riced, 800 g”. */
function isBackward(elements: readonly Element[], mention: number, amount: number): boolean {
  const gap = gapBetween(elements, mention, amount)
  if (hasComma(elements, mention, amount) && namesAnother(elements, amount)) return false
  if (gap.tight) return true
  const words = elements.slice(mention + 1, amount).filter((each): each is Other => each.is === 'word')
  // “Salt and 2 cups”: after *and* comes another.
  if (english.plus.has(words.at(-1)?.plain ?? '')) return false
  const breaks = words.some(({ plain }) => english.breaks.has(plain) && !english.bridges.has(plain))
  return !breaks && gap.words <= FARTHEST + 1 && !elements.slice(mention + 1, amount).some(isOther)
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
    const isSecond = sharpness(two) > sharpness(one)
    // With what joins them: nothing stands between the other and what it is of.
    for (let n = isSecond ? at : at + 1; n < (isSecond ? next : next + 1); n += 1) spare.add(n)
  }
  return elements.map((each, n) => (spare.has(n) ? SPARE : each))
}

/** “Flour 500 g water 250 g”: what stands before an amount is its own where what comes after has another. */
const hasItsOwn = (elements: readonly Element[], mention: number): boolean => {
  const next = elements[mention + 1]
  return next?.is === 'amount' && isQuantity(next.amount)
}

/** “5 g each of salt and oil”. */
const isEach = (elements: readonly Element[], amount: number, mention: number): boolean =>
  elements.slice(amount + 1, mention).some((each) => each.is === 'word' && each.plain === english.each)

function alsoNamed(elements: readonly Element[], mention: number): readonly number[] {
  const also: number[] = []
  for (let at = mention + 1; at < elements.length; at += 1) {
    const each = elements[at]!
    if (each.is === 'ingredient') also.push(at)
    else if (!(
      (each.is === 'word' && each.plain === english.and) ||
      (each.is === 'mark' && /^[,&+]$/.test(each.plain))
    ))
      break
  }
  // The last of a list is followed by nothing of its own.
  const next = elements[(also.at(-1) ?? mention) + 1]
  return next?.is === 'amount' && also.length > 0 && isQuantity(next.amount) ? also.slice(0, -1) : also
}

/** Of each amount, what it is of: what follows it, or else what stands before it. */
export function pairsOf(all: readonly Element[]): readonly Pair[] {
  const elements = withoutAlternatives(all)
  const mentions = elements.flatMap((each, n) => (each.is === 'ingredient' ? [n] : []))
  const amounts = elements.flatMap((each, n) => (each.is === 'amount' && isQuantity(each.amount) ? [n] : []))
  const taken = new Set<number>()
  return amounts.flatMap((amount): Pair[] => {
    const next = mentions.find((at) => at > amount)
    const before = mentions.filter((at) => at < amount).at(-1)
    const ahead = next !== undefined && !taken.has(next) && isForward(elements, amount, next) ? next : null
    const behind = before !== undefined && isBackward(elements, before, amount) ? before : null
    // In brackets after what has its amount: told once more in other units.
    const isToldAgain = before !== undefined && taken.has(before) && isBracketed(elements, before, amount)
    if (isToldAgain && ahead === null) return []
    const free = behind !== null && !taken.has(behind) ? behind : null
    const mention = ahead !== null && free !== null && hasItsOwn(elements, ahead) ? free : (ahead ?? free)
    if (mention !== null) taken.add(mention)
    const also = mention !== null && isEach(elements, amount, mention) ? alsoNamed(elements, mention) : []
    for (const each of also) taken.add(each)
    return [{ mention, amount }, ...also.map((each) => ({ mention: each, amount }))]
  })
}

const isBracketed = (elements: readonly Element[], from: number, to: number): boolean =>
  elements.slice(from + 1, to).some((each) => each.is === 'mark' && /^[(/[]$/.test(each.plain))
