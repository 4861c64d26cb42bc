/** What a recipe says, sentence by sentence: amounts with what they are of, and what is not the dough's left aside. */
import type { Ingredient } from '../model/index.ts'
import { sentenceOf, type Amount } from './amounts.ts'
import { elementsOf, isQuantity, pairsOf, tagged, type AmountElement, type Element, type Mention } from './elements.ts'
import { english } from './english.ts'
import type { Lexicon } from './lexicon.ts'
import { plainWords } from '../shape/index.ts'
import type { Line, PlainRecipe } from './plainText.ts'
import { sentencesOf } from './words.ts'

export interface Sentence {
  readonly text: string
  readonly elements: readonly Element[]
  /** With ‹iN› and ‹aN›. */
  readonly tag: string
  readonly line: Line
  /** Under a heading of something else: a sauce, the pot. */
  readonly aside: boolean
}

export interface HeardRow {
  /** Null where nobody knows what it is. */
  readonly ingredient: Ingredient | null
  readonly unsure: boolean
  /** By the bare word *flour*: any flour may be meant. */
  readonly generic: boolean
  readonly name: string
  readonly amount: Amount
  readonly read: string
  readonly sentence: number
  /** Of one person. */
  readonly perPerson: boolean
  /** For the board: not of the dough. */
  readonly dusting: boolean
  /** Said before, and told again. */
  readonly again: boolean
  readonly more: boolean
}

export interface Heard {
  readonly sentences: readonly Sentence[]
  readonly rows: readonly HeardRow[]
  /** Amounts of nothing known, as they are written. */
  readonly loose: readonly {
    readonly text: string
    readonly amount: Amount
    readonly sentence: number
    readonly element: number
  }[]
  /** Known things that no amount is told of. */
  readonly named: readonly {
    readonly ingredient: Ingredient
    readonly name: string
    readonly text: string
    readonly sentence: number
  }[]
  /** Lines of the list in which nothing is known. */
  readonly strange: readonly string[]
  /** The first line that was not looked at, where there are too many. */
  readonly beyond: string | null
  readonly people: number | null
  /** There is a list of ingredients: what its method tells again is not counted again. */
  readonly isListed: boolean
}

export const isWater = ({ id }: Pick<Ingredient, 'id'>): boolean => id.startsWith('water-') || id === 'ice'
export const isFlour = ({ basis, group }: Pick<Ingredient, 'basis' | 'group'>): boolean =>
  basis === 'flour' || group === 'starch'

/** One and the same thing told in another way: any water is water. */
export const isSame = (a: Ingredient, b: Ingredient): boolean => a.id === b.id || (isWater(a) && isWater(b))

/** The words from one element up to another, as they are written. */
function written(
  sentence: Pick<Sentence, 'text' | 'elements'>,
  words: readonly { from: number; to: number }[],
  first: number,
  last: number,
): string {
  const [from, to] = [sentence.elements[first]!, sentence.elements[last]!]
  return sentence.text
    .slice(words[from.from]!.from, words[to.to - 1]!.to)
    .trim()
    .replace(/\.$/, '')
}

const wordsBefore = (elements: readonly Element[], at: number, count: number): string =>
  elements
    .slice(Math.max(0, at - count), at)
    .map((each) => (each.is === 'word' || each.is === 'mark' ? each.plain : '‹›'))
    .join(' ')
const wordsAfter = (elements: readonly Element[], at: number, count: number): string =>
  elements
    .slice(at + 1, at + 1 + count)
    .map((each) => (each.is === 'word' || each.is === 'mark' ? each.plain : '‹›'))
    .join(' ')
const wordsBetween = (elements: readonly Element[], a: number, b: number): string =>
  wordsBefore(elements, Math.max(a, b), Math.abs(a - b) - 1)

/** Where in a sentence what follows is no longer the dough's. */
function leavesTheDoughAt(elements: readonly Element[]): number {
  const at = elements.findIndex((each, n) => {
    const found = each.is === 'word' ? english.notFromHere.exec(`${each.plain} ${wordsAfter(elements, n, 2)}`) : null
    return found?.index === 0
  })
  return at < 0 ? elements.length : at
}

const POT_THINGS = new Set(['liquid', 'salt', 'fat', 'alkali'])

/** So much is no dough's. */
const POTFUL_ML = 1900
const isPotful = (amount: Amount): boolean =>
  amount.kind === 'measured' &&
  amount.terms.some(({ figure, measures }) => figure.typical * (measures[0]?.ml ?? measures[0]?.g ?? 0) >= POTFUL_ML)

/** In the pot: after a word of cooking, or in a sentence that speaks of the pot. */
function isOfThePot(elements: readonly Element[], mention: number, ingredient: Ingredient, amount: Amount): boolean {
  if (!POT_THINGS.has(ingredient.group)) return false
  // What is cooked in milk is the dough itself.
  if (elements.some((each) => each.is === 'ingredient' && each.ingredient.id.startsWith('milk-'))) return false
  const isBoiled = elements.some((each) => each.is === 'word' && english.pot.test(each.plain))
  const alone = !elements.some((each) => each.is === 'ingredient' && isFlour(each.ingredient))
  if (isBoiled && alone && isPotful(amount)) return true
  if (isBoiled && alone && elements.slice(0, mention).some((each) => each.is === 'amount' && isPotful(each.amount)))
    return true
  if (isPotSentence(elements)) return true
  const cooks = elements.reduce(
    (last, each, n) => (n < mention && each.is === 'word' && english.pot.test(each.plain) ? n : last),
    -1,
  )
  if (cooks < 0) return false
  const between = elements.slice(cooks + 1, mention)
  const intoDough = between.some((each) => each.is === 'ingredient' && !POT_THINGS.has(each.ingredient.group))
  return !intoDough && between.some((each) => each.is === 'word' && english.into.has(each.plain))
}

const UNKNOWN_WORDS = 4
/** What an amount of nothing known is called: the words after it, up to a break. */
function unknownNameAfter(elements: readonly Element[], amount: number): Unknown | null {
  const words: string[] = []
  let last = amount
  for (let at = amount + 1; at < elements.length && words.length < UNKNOWN_WORDS; at += 1) {
    const each = elements[at]!
    if (each.is !== 'word' || english.breaks.has(each.plain)) break
    if (words.length > 0 || !english.of.has(each.plain)) words.push(each.plain)
    last = at
  }
  const isThing = (name: readonly string[]) =>
    !name.every((word) => english.states.has(word)) &&
    !name.some((word) => english.noThing.has(word) && !english.of.has(word))
  // “Three sheets of gelatine”, at the head of a line: what the pieces are of.
  const cut = words.findIndex((word) => english.of.has(word))
  const name = amount === 0 && cut > 0 && english.noThing.has(words[cut - 1]!) ? words.slice(cut + 1) : words
  return isThing(name) ? { name: name.join(' '), first: amount, last } : null
}

interface Unknown {
  readonly name: string
  /** Of the elements. */
  readonly first: number
  readonly last: number
}

/** “Malt extract: 20 g”: the words before it, from the last comma or the beginning on. */
function unknownNameBefore(elements: readonly Element[], amount: number): Unknown | null {
  const words: string[] = []
  let first = amount
  for (let at = amount - 1; at >= 0; at -= 1) {
    const each = elements[at]!
    if (each.is === 'mark' && /^[,;|•]$/.test(each.plain) && words.length > 0) break
    if (each.is === 'mark' && words.length === 0 && /^[:=|(,–-]$/.test(each.plain)) continue
    if (each.is !== 'word') return null
    words.unshift(each.plain)
    first = at
  }
  const isNone = words.some((word) => english.noThing.has(word) || english.breaks.has(word) || english.noName.has(word))
  if (isNone || words.length === 0 || words.length > UNKNOWN_WORDS) return null
  return { name: words.join(' '), first, last: amount }
}
function peopleIn({ tag, elements }: Sentence): number | null {
  const found = english.people.exec(tag)?.[1]
  if (found === undefined) return null
  const at = /‹a(\d+)›/.exec(found)?.[1]
  const element = elements[Number(at)]
  const amount = element?.is === 'amount' ? element.amount : null
  return amount?.kind === 'bare' && amount.figure.typical >= 1 && amount.figure.typical <= 200
    ? amount.figure.typical
    : null
}

const LONGEST_LABEL = 50
/** What a sentence or a line is labelled: “For the broth: …”, “Sauce: …”. */
const labelOf = (plain: string): string | null => /^[^:.,;\d]{2,40}(?=:)/.exec(plain)?.[0] ?? null

const isNotTheDough = (plain: string): boolean =>
  english.notTheDough.test(plain) && !english.theDough.test(plain.replace(english.notTheDough, ''))

/** Every sentence with its elements. */
function listen({ lines }: PlainRecipe, lexicon: Lexicon) {
  let under = false
  const all: { sentence: Sentence; words: ReturnType<typeof sentencesOf>[number] }[] = []
  for (const line of lines) {
    if (line.isHeading || /^[^.]{0,40}:$/.test(line.text)) under = isNotTheDough(plainWords(line.text))
    let here = under
    for (const words of sentencesOf(line.text)) {
      const elements = elementsOf(sentenceOf(words), lexicon)
      const label = labelOf(plainWords(line.text.slice(words[0]!.from, words[0]!.from + LONGEST_LABEL)))
      if (label !== null) here = isNotTheDough(label) || (under && !english.theDough.test(label))
      all.push({ words, sentence: { text: line.text, elements, tag: tagged(elements), line, aside: here } })
    }
  }
  return all
}

/** Said of it beside its name, it is another: ricotta, drained; potatoes, baked. */
function refined(ingredient: Ingredient, near: string, lexicon: Lexicon): Ingredient {
  const found = english.refined.find(({ from, said }) => from === ingredient.id && said.test(near))
  return (found && lexicon.byId.get(found.to)) ?? ingredient
}

const FOR_DUSTING = new RegExp(`^(?:[(,] ?)?(?:\\w+ )?(?:for |to )?(?:the )?${english.dusting.source}`)

/** No recipe has more, with what comes to no row; what comes after is another. */
const MOST_ROWS = 400
/** A line of so many words is a thing, not a sentence. */
const THING_WORDS = 5

/** Between two commas, or the only thing of its line. */
const standsAlone = (elements: readonly Element[], at: number): boolean =>
  [elements[at - 1], elements[at + 1]].every(
    (each) =>
      each === undefined ||
      (each.is === 'mark' && /^[,;&+]$/.test(each.plain)) ||
      (each.is === 'word' && each.plain === english.and),
  )

const isForDusting = (elements: readonly Element[], first: number, last: number): boolean =>
  FOR_DUSTING.test(wordsAfter(elements, last, 4)) || english.dust.test(wordsBefore(elements, first, 4))

type Listened = ReturnType<typeof listen>[number]

/** What an amount of nothing known may be of; null where it is of no thing, or of none of the dough. */
function unknownAt({ sentence: { elements, line } }: Listened, at: number, amount: Amount): Unknown | null {
  const isOfPiece = english.perOther.test(`${wordsBefore(elements, at, 4)} ${wordsAfter(elements, at, 3)}`)
  // Half-moons are whole.
  if (amount.kind === 'bare' && amount.fraction && !isOfIngredients(line)) return null
  if (!isQuantity(amount) || at >= leavesTheDoughAt(elements) || isOfPiece || isPotSentence(elements)) return null
  return unknownNameAfter(elements, at) ?? unknownNameBefore(elements, at)
}

/** An amount of something known; null where it is not for the dough. */
function rowAt({ sentence, words }: Listened, index: number, mention: number, at: number, lexicon: Lexicon) {
  const { elements, tag } = sentence
  const { ingredient: named, unsure, from, to } = elements[mention] as Mention
  const { amount } = elements[at] as AmountElement
  const near4 = `${wordsBefore(elements, mention, 2)} ${wordsAfter(elements, mention, 4)}`
  const ingredient = refined(named, near4, lexicon)
  const [first, last] = [Math.min(at, mention), Math.max(at, mention)]
  if (first > leavesTheDoughAt(elements) || isOfThePot(elements, mention, ingredient, amount)) return null
  const near = `${wordsBefore(elements, first, 3)} ${wordsBetween(elements, first, last)}`
  const name = words.slice(from, to).map(({ plain }) => plain)
  return {
    ingredient,
    unsure,
    generic: english.anyFlour.test(name.join(' ')),
    name: written(sentence, words, mention, mention),
    amount,
    read: written(sentence, words, first, last),
    sentence: index,
    perPerson: english.per.test(tag),
    dusting: isForDusting(elements, first, last),
    again: english.again.test(`${near} ${wordsAfter(elements, last, 1)}`),
    more: english.more.test(near),
  }
}

/** Things that are named without an amount, where a list or a comma says that they belong to it. */
function namedIn({ sentence, words }: Listened, index: number, paired: ReadonlySet<number>): Heard['named'] {
  const { elements, line } = sentence
  if (line.isHeading || isPotSentence(elements)) return []
  const leaves = leavesTheDoughAt(elements)
  const isAlone = isOfIngredients(line) && paired.size === 0
  return elements.flatMap((each, at) => {
    if (each.is !== 'ingredient' || paired.has(at) || at > leaves || isForDusting(elements, at, at)) return []
    if (!(isAlone || (paired.size > 0 && standsAlone(elements, at)))) return []
    const name = written(sentence, words, at, at)
    return [{ ingredient: each.ingredient, name, text: isAlone ? line.text : name, sentence: index }]
  })
}

/** Sentence by sentence, amounts and what they are of. */
export function hear(recipe: PlainRecipe, lexicon: Lexicon): Heard {
  const all = listen(recipe, lexicon)
  const sentences = all.map(({ sentence }) => sentence)
  const rows: HeardRow[] = []
  const loose: Heard['loose'][number][] = []
  const named: Heard['named'][number][] = []
  const strange: string[] = []
  let beyond: string | null = null
  for (const [index, one] of all.entries()) {
    const { sentence, words } = one
    const { elements, line, aside, text } = sentence
    if (aside) continue
    if (rows.length + loose.length + named.length + strange.length >= MOST_ROWS) {
      beyond = text
      break
    }
    const paired = new Set<number>()
    for (const { mention, amount: at } of pairsOf(elements)) {
      const { amount } = elements[at] as AmountElement
      if (mention !== null) {
        paired.add(mention)
        const row = rowAt(one, index, mention, at, lexicon)
        if (row) rows.push(row)
        continue
      }
      const unknown = unknownAt(one, at, amount)
      if (unknown) {
        const read = written(sentence, words, unknown.first, unknown.last)
        rows.push({ ...NOTHING, name: unknown.name, amount, read, sentence: index })
      } else if (amount.kind === 'measured' || amount.kind === 'percent')
        loose.push({ text: written(sentence, words, at, at), amount, sentence: index, element: at })
    }
    named.push(...namedIn(one, index, paired))
    const isThing = line.zone === 'ingredients' && !line.isHeading && words.length <= THING_WORDS
    if (isThing && elements.every(({ is }) => is === 'word' || is === 'mark')) strange.push(text)
  }
  const isListed =
    rows.filter(
      ({ sentence, ingredient, amount }) =>
        (ingredient !== null || amount.kind === 'measured') && isInList(sentences[sentence]!.line),
    ).length >= 2
  const people = sentences.map(peopleIn).find((each) => each !== null) ?? null
  return { sentences, rows, loose, named, strange, beyond, isListed, people }
}

export const isInList = ({ isItem, zone }: Line): boolean => isItem || zone === 'ingredients'
/** And none of the steps, which may be numbered. */
export const isOfIngredients = (line: Line): boolean => isInList(line) && line.zone !== 'method'

const NOTHING = {
  ingredient: null,
  unsure: false,
  generic: false,
  perPerson: false,
  dusting: false,
  again: false,
  more: false,
} as const

const isPotSentence = (elements: readonly Element[]): boolean =>
  english.potIs.test(elements.map((each) => (each.is === 'word' ? each.plain : '‹›')).join(' '))
