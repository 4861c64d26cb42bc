/**
 * An amount within a sentence: how much, in what, and how surely. Figures are read as in fields.
 *
 *     amount  = {modifier} figure [to figure] {size | modifier} [of a] [measure | unit] { plus amount }
 */
import { articles, takeFigure, type Cursor, type Token } from '../quantity/index.ts'
import { english } from './english.ts'
import { phraseAt, type Lexicon, type PlainUnit } from './lexicon.ts'
import type { ReaderMeasure, ReaderModifier } from './tables.ts'
import type { Word } from './words.ts'

export interface Span {
  readonly low: number
  readonly typical: number
  readonly high: number
}

export const exactly = (typical: number): Span => ({ low: typical, typical, high: typical })
export const times = (a: Span, b: Span): Span => ({
  low: a.low * b.low,
  typical: a.typical * b.typical,
  high: a.high * b.high,
})
export const plus = (a: Span, b: Span): Span => ({
  low: a.low + b.low,
  typical: a.typical + b.typical,
  high: a.high + b.high,
})

export interface Term {
  readonly figure: Span
  /** All that its word may mean. */
  readonly measures: readonly ReaderMeasure[]
}

interface Read {
  /** Words of the sentence it takes. */
  readonly from: number
  readonly to: number
}
export type Amount = Read &
  (
    | {
        readonly kind: 'measured'
        readonly terms: readonly Term[]
        readonly modifiers: readonly ReaderModifier[]
        /** Without a figure of its own: a pinch, a cup. */
        readonly article: boolean
      }
    | {
        readonly kind: 'bare'
        readonly figure: Span
        readonly size: 'small' | 'large' | 'xl' | null
        readonly fraction: boolean
        readonly modifiers: readonly ReaderModifier[]
      }
    | { readonly kind: 'percent' | 'parts'; readonly figure: Span }
    | { readonly kind: 'min' | 'mm' | '°C'; readonly figure: Span }
  )

/** What a mark stands as among tokens: a word that is in no table. */
const MARK: Token = { type: 'word', text: '\0' }
const NO_MEASURES: Cursor['measures'] = new Map()

export interface Sentence {
  readonly words: readonly Word[]
  readonly tokens: readonly Token[]
}
export const sentenceOf = (words: readonly Word[]): Sentence => ({
  words,
  tokens: words.map(({ token }) => token ?? MARK),
})

/** No recipe has more of anything. */
const HIGHEST = 1e7

interface Figured {
  readonly figure: Span
  readonly to: number
  readonly article: boolean
  readonly fraction: boolean
}

const isA = (word: Word | undefined): boolean => word !== undefined && articles.has(word.plain)

function oneFigure(
  { words, tokens }: Sentence,
  at: number,
): { readonly value: number; readonly to: number; readonly plain: boolean } | null {
  const cursor: Cursor = { tokens, measures: NO_MEASURES, at, stranger: null }
  const read = takeFigure(cursor)
  if (read && read.value <= HIGHEST) return { value: read.value, to: cursor.at, plain: read.plain }
  // 500 00 flour: the second is a name.
  const token = words[at]?.token
  return token?.type === 'number' && token.value <= HIGHEST ? { value: token.value, to: at + 1, plain: true } : null
}

const isDash = (word: Word | undefined): boolean => word !== undefined && /^[-–—−]$/.test(word.raw)

function figureAt(sentence: Sentence, at: number): Figured | null {
  const { words } = sentence
  const first = oneFigure(sentence, at)
  if (!first) return null
  const article = isA(words[at]) && first.to === at + 1
  const fraction = !first.plain && first.value < 1
  // Three times 250.
  if (words[first.to]?.token?.type === 'sign' && /^[×x*]$/i.test(words[first.to]!.raw)) {
    const each = oneFigure(sentence, first.to + 1)
    if (each) return { figure: exactly(first.value * each.value), to: each.to, article: false, fraction: false }
  }
  const next = words[first.to]
  const dash = isDash(next)
  if (next && (dash || english.to.has(next.plain))) {
    const second = isA(words[first.to + 1]) ? null : oneFigure(sentence, first.to + 1)
    if (second && second.value > first.value)
      return {
        figure: { low: first.value, typical: (first.value + second.value) / 2, high: second.value },
        to: second.to,
        article: false,
        fraction: false,
      }
    // 1-1/2 cups.
    if (second && dash && second.value < 1 && !second.plain)
      return { figure: exactly(first.value + second.value), to: second.to, article: false, fraction: false }
  }
  return { figure: exactly(first.value), to: first.to, article, fraction }
}

const plainAt =
  ({ words }: Sentence, at: number) =>
  (ahead: number) =>
    words[at + ahead]?.plain

interface Described {
  readonly modifiers: readonly ReaderModifier[]
  readonly size: 'small' | 'large' | 'xl' | null
  readonly to: number
}

/** Extra large, small: once extra, it stays so. */
function sizeBy(word: string, before: Described['size']): Described['size'] {
  if (before === 'xl' || english.extraLarge.has(word)) return 'xl'
  if (english.large.has(word)) return 'large'
  return english.small.has(word) ? 'small' : before
}

/** Level, heaped, large: between the figure and its unit. */
function describedAt(sentence: Sentence, start: number, lexicon: Lexicon): Described {
  const modifiers: ReaderModifier[] = []
  let size: Described['size'] = null
  let at = start
  for (;;) {
    const word = sentence.words[at]
    const found = phraseAt(lexicon.modifiers, plainAt(sentence, at))
    if (found) {
      modifiers.push(...found.is)
      at += found.length
    } else if (word && english.sizes.has(word.plain)) {
      size = sizeBy(word.plain, size)
      at += 1
    } else return { modifiers, size, to: at }
  }
}

function measureAt(
  sentence: Sentence,
  at: number,
  lexicon: Lexicon,
): { measures: readonly ReaderMeasure[]; to: number } | null {
  const word = sentence.words[at]
  if (!word || word.token?.type !== 'word') return null
  const exact = lexicon.exact.get(word.raw.replace(/\.$/, ''))
  const found = phraseAt(lexicon.measures, plainAt(sentence, at))
  if (found) return { measures: found.is, to: at + found.length }
  return exact ? { measures: exact, to: at + 1 } : null
}

function unitAt(sentence: Sentence, at: number, lexicon: Lexicon): { unit: PlainUnit; to: number } | null {
  const found = phraseAt(lexicon.units, plainAt(sentence, at))
  return found ? { unit: found.is, to: at + found.length } : null
}

/** “of a”, “of an”, “a”: half of a cup. */
function skipOf({ words }: Sentence, at: number): number {
  const afterOf = words[at]?.plain === 'of' ? at + 1 : at
  return isA(words[afterOf]) ? afterOf + 1 : at
}

function spanOf(figure: Span, is: (written: number) => number): Span {
  return { low: is(figure.low), typical: is(figure.typical), high: is(figure.high) }
}

/** A further part of the same: ¾ cup plus 2 tablespoons, 1 lb 2 oz, 1 h 20. */
function furtherTerm(
  sentence: Sentence,
  at: number,
  lexicon: Lexicon,
  before: readonly ReaderMeasure[],
): (Term & { readonly to: number }) | null {
  const { words } = sentence
  const joined = words[at]?.raw === '+' || english.plus.has(words[at]?.plain ?? '')
  const sure = words[at]?.raw === '+' || words[at]?.plain === 'plus'
  const figured = figureAt(sentence, joined ? at + 1 : at)
  if (!figured) return null
  const measured = measureAt(sentence, describedAt(sentence, figured.to, lexicon).to, lexicon)
  if (!measured) return null
  // Joined by nothing, or by “and”, it is a part only where it is the smaller: else another thing begins.
  const [small, big] = [measured.measures[0]!, before[0]!]
  const comparable = (small.g === undefined) === (big.g === undefined)
  const smaller = (small.g ?? small.ml ?? 0) < (big.g ?? big.ml ?? 0)
  if (!comparable || !(sure || smaller)) return null
  return { figure: figured.figure, measures: measured.measures, to: measured.to }
}

/** The amount that begins at this word; null where none does. */
export function amountAt(sentence: Sentence, start: number, lexicon: Lexicon): Amount | null {
  const { words } = sentence
  if (words[start]?.token === null) return null
  const time = phraseAt(lexicon.times, plainAt(sentence, start))
  if (time) return { kind: 'min', figure: time.is.minutes, from: start, to: start + time.length }
  // About, a good, a bit more than.
  const ahead = describedAt(sentence, isA(words[start]) ? start + 1 : start, lexicon)
  const hasModifier = ahead.modifiers.length > 0
  const figured = figureAt(sentence, hasModifier ? ahead.to : start)
  const article = figured ? figured.article : hasModifier && isA(words[start])
  if (!figured && !article) return measureAlone(sentence, start, lexicon)
  const figure = figured?.figure ?? exactly(1)
  const after = describedAt(sentence, figured?.to ?? ahead.to, lexicon)
  const modifiers = [...(hasModifier ? ahead.modifiers : []), ...after.modifiers]
  const size = after.size ?? (figured ? null : ahead.size)
  const at = figured?.fraction ? skipOf(sentence, after.to) : after.to
  const measured = measureAt(sentence, at, lexicon)
  if (measured) {
    const terms: Term[] = [{ figure, measures: measured.measures }]
    let { to } = measured
    for (
      let more = furtherTerm(sentence, to, lexicon, measured.measures);
      more;
      more = furtherTerm(sentence, to, lexicon, more.measures)
    ) {
      terms.push(more)
      ;({ to } = more)
    }
    // 450 g to 500 g
    const upTo = isDash(words[to]) || english.to.has(words[to]?.plain ?? '') ? figureAt(sentence, to + 1) : null
    const upToMeasure = upTo && measureAt(sentence, upTo.to, lexicon)
    if (
      upTo &&
      upToMeasure &&
      terms.length === 1 &&
      upToMeasure.measures[0] === measured.measures[0] &&
      upTo.figure.high > figure.low
    ) {
      terms[0] = {
        measures: measured.measures,
        figure: { low: figure.low, typical: (figure.low + upTo.figure.high) / 2, high: upTo.figure.high },
      }
      to = upToMeasure.to
    }
    return {
      kind: 'measured',
      terms,
      modifiers: [...modifiers, ...orSo(sentence, to, lexicon)],
      article,
      from: start,
      to,
    }
  }
  const plainUnit = unitAt(sentence, at, lexicon)
  if (plainUnit) {
    const { unit, is } = plainUnit.unit
    const kind = unit === '%' ? 'percent' : unit === 'count' ? null : unit
    if (kind !== null) {
      const more = kind === 'min' ? furtherTime(sentence, plainUnit.to, lexicon) : null
      const read = spanOf(figure, is)
      return { kind, figure: more ? plus(read, more.figure) : read, from: start, to: more?.to ?? plainUnit.to }
    }
  }
  if (english.parts.has(words[at]?.plain ?? '')) return { kind: 'parts', figure, from: start, to: at + 1 }
  if (!figured || (figured.article && !isCounted(sentence, at, lexicon))) return null
  return {
    kind: 'bare',
    figure,
    size,
    fraction: figured.fraction,
    modifiers,
    from: start,
    to: Math.max(figured.to, size === null ? figured.to : after.to),
  }
}

/** An egg, un tuorlo. */
const isCounted = (sentence: Sentence, at: number, lexicon: Lexicon): boolean =>
  phraseAt(lexicon.ingredients, plainAt(sentence, at))?.is.ingredient.group === 'egg'

/** “Pinch of salt”, “big pinch salt”, at the head of an item; “for every kilo of potato”. */
function measureAlone(sentence: Sentence, start: number, lexicon: Lexicon): Amount | null {
  const { words } = sentence
  const before = words[start - 1]
  const described = describedAt(sentence, start, lexicon)
  const measured = measureAt(sentence, described.to, lexicon)
  if (!measured) return null
  const isOf = words[measured.to]?.plain === 'of'
  if (!isOf && !phraseAt(lexicon.ingredients, plainAt(sentence, measured.to))) return null
  // “Drops of potato” is what they are called.
  const isVague = measured.measures.every(({ low }) => low !== undefined) && !words[measured.to - 1]!.raw.endsWith('s')
  const stands = before === undefined || before.token === null ? isVague : english.every.has(before.plain)
  if (!stands) return null
  const terms = [{ figure: exactly(1), measures: measured.measures }]
  return { kind: 'measured', terms, modifiers: described.modifiers, article: true, from: start, to: measured.to }
}

/** 60 g or so: after what it is said of. */
function orSo(sentence: Sentence, at: number, lexicon: Lexicon): readonly ReaderModifier[] {
  const found = sentence.words[at]?.plain === english.or ? phraseAt(lexicon.modifiers, plainAt(sentence, at)) : null
  return found?.is ?? []
}

function furtherTime(sentence: Sentence, at: number, lexicon: Lexicon): { figure: Span; to: number } | null {
  const { words } = sentence
  const from = words[at]?.plain === english.and ? at + 1 : at
  const figured = figureAt(sentence, from)
  if (!figured) return null
  // An hour and a half.
  if (figured.fraction && from > at && !unitAt(sentence, figured.to, lexicon))
    return { figure: exactly(60 * figured.figure.typical), to: figured.to }
  const unit = unitAt(sentence, figured.to, lexicon)
  return unit?.unit.unit === 'min' ? { figure: spanOf(figured.figure, unit.unit.is), to: unit.to } : null
}
