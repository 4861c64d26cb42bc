/**
 * The second half of reading a quantity: figures, words and signs to a value.
 *
 *     entry    = [sign] quantity [ ('×' | '/') quantity | { '+' quantity } ]
 *     quantity = part { ['and'] smaller part }
 *     part     = figure ['of'] ['a'] ['dozen'] [unit]
 *     figure   = 450 | 1/2 | 1 1/2 | 2½ | half | one and a half | a
 *
 * There is no minus between figures: `8 - 10 min` is a range to whoever writes it. Every function gives null for what it cannot
 * read; nothing is ever read in part.
 */
import { isWhole, type Sign, type Token } from './tokens.ts'
import { articles, fractionWords, nextSmaller, numberWords, tensWords, type Conversion } from './unitTables.ts'

export interface Measure {
  readonly name: string
  readonly is: Conversion
}
export type Measures = ReadonlyMap<string, Measure>

export interface Cursor {
  readonly tokens: readonly Token[]
  readonly measures: Measures
  at: number
  /** Words that are no unit here, for the refusal. */
  stranger: string | null
}

const ended = ({ tokens, at }: Cursor): boolean => at >= tokens.length
const tokenAt = ({ tokens, at }: Cursor, ahead = 0): Token | undefined => tokens[at + ahead]

function wordAt(cursor: Cursor, ahead = 0): string | undefined {
  const token = tokenAt(cursor, ahead)
  return token?.type === 'word' ? token.text : undefined
}

function takeWord(cursor: Cursor, ...words: readonly string[]): boolean {
  const found = words.includes(wordAt(cursor) ?? '')
  if (found) cursor.at += 1
  return found
}

function takeSign(cursor: Cursor): Sign | null {
  const token = tokenAt(cursor)
  if (token?.type !== 'sign') return null
  cursor.at += 1
  return token.sign
}

export interface Figure {
  readonly value: number
  /** One number without a stroke or a fraction; whole: without a decimal either. */
  readonly plain: boolean
  readonly whole: boolean
}

const mixed = (value: number): Figure => ({ value, plain: false, whole: false })

/** 3/4, unless a third figure follows. */
function takeStroke(cursor: Cursor): number | null {
  const [over, sign, under, after] = [0, 1, 2, 3].map((ahead) => tokenAt(cursor, ahead))
  if (over?.type !== 'number' || sign?.type !== 'sign' || sign.sign !== '/' || under?.type !== 'number') return null
  if (after && after.type !== 'word' && !(after.type === 'sign' && after.sign !== '/')) return null
  cursor.at += 3
  return over.value / under.value
}

function takeFractionWord(cursor: Cursor): number | null {
  const ahead = wordAt(cursor) === 'a' ? 1 : 0
  const value = fractionWords[wordAt(cursor, ahead) ?? '']
  if (value === undefined) return null
  cursor.at += ahead + 1
  return value
}

function takeDigits(cursor: Cursor): Figure | null {
  const stroke = takeStroke(cursor)
  if (stroke !== null) return mixed(stroke)
  const token = tokenAt(cursor)
  if (token?.type !== 'number' && token?.type !== 'part') return null
  cursor.at += 1
  if (token.type === 'part') return mixed(token.value)
  if (!isWhole(token)) return { value: token.value, plain: true, whole: false }
  const next = tokenAt(cursor)
  if (next?.type === 'part') {
    cursor.at += 1
    return mixed(token.value + next.value)
  }
  if (next?.type !== 'number') return { value: token.value, plain: true, whole: true }
  const rest = takeStroke(cursor)
  return rest !== null && rest < 1 ? mixed(token.value + rest) : null
}

/** Two, forty five, three hundred and twenty, a hundred; undefined where no word of number stands. */
function takeCardinal(cursor: Cursor): number | undefined {
  const below100 = (): number | undefined => {
    const word = wordAt(cursor) ?? ''
    const tens = tensWords[word]
    if (tens === undefined && numberWords[word] === undefined) return undefined
    cursor.at += 1
    if (tens === undefined) return numberWords[word]
    const unit = numberWords[wordAt(cursor) ?? ''] ?? 0
    if (unit === 0 || unit > 9) return tens
    cursor.at += 1
    return tens + unit
  }
  const isArticle = articles.has(wordAt(cursor) ?? '')
  if (isArticle) cursor.at += 1
  const first = isArticle ? 1 : below100()
  if (first === undefined || !takeWord(cursor, 'hundred')) return first
  const before = cursor.at
  takeWord(cursor, 'and')
  const rest = below100()
  if (rest === undefined) cursor.at = before
  return 100 * first + (rest ?? 0)
}

/** `½`, `1 1/2`, `half`, `one and a half`, `three quarters`, `a`: the cursor stands behind what was read. */
export function takeFigure(cursor: Cursor): Figure | null {
  const fraction = takeFractionWord(cursor)
  if (fraction !== null) return mixed(fraction)
  const word = wordAt(cursor) ?? ''
  if (word === 'dozen') return { value: 1, plain: true, whole: true }
  const named = takeCardinal(cursor)
  const read = named === undefined ? takeDigits(cursor) : { value: named, plain: true, whole: true }
  // Three quarters.
  const parts = read?.whole ? fractionWords[(wordAt(cursor) ?? '').replace(/s$/, '')] : undefined
  if (read && parts !== undefined && wordAt(cursor)!.endsWith('s')) {
    cursor.at += 1
    return mixed(read.value * parts)
  }
  if (!read?.whole || wordAt(cursor) !== 'and') return read
  // One and a half; with *and* before a figure it is the next part of the quantity.
  const before = cursor.at
  cursor.at += 1
  const half = takeFractionWord(cursor)
  if (half !== null) return mixed(read.value + half)
  cursor.at = before
  return read
}

/** A name as it stands, or in the singular. */
export const measureNamed = (measures: Measures, name: string): Measure | undefined =>
  [name, name.replace(/^degrees/, 'degree'), name.replace(/s$/, ''), name.replace(/es$/, '')]
    .map((each) => measures.get(each))
    .find((found) => found !== undefined)

/** The most words that are one name; undefined where no word stands, null where the words are none. */
function takeMeasure(cursor: Cursor): Measure | undefined | null {
  const words: string[] = []
  for (let word = wordAt(cursor); word !== undefined && word !== 'and'; word = wordAt(cursor, words.length))
    words.push(word)
  if (words.length === 0) return undefined
  for (let count = words.length; count > 0; count -= 1) {
    const found = measureNamed(cursor.measures, words.slice(0, count).join(' '))
    if (!found) continue
    cursor.at += count
    return found
  }
  cursor.stranger = words.join(' ')
  return null
}

interface Part extends Figure {
  /** Absent: a bare figure. */
  readonly measure: Measure | undefined
}

function takePart(cursor: Cursor): Part | null {
  const isName = articles.has(wordAt(cursor) ?? '')
  const figure = takeFigure(cursor)
  if (!figure) return null
  const filler = [takeWord(cursor, 'of'), takeWord(cursor, 'a', 'an')].includes(true)
  const dozen = takeWord(cursor, 'dozen')
  const measure = takeMeasure(cursor)
  if (measure === null) return null
  // “A” is a figure before something alone.
  if (!measure && !dozen && (filler || (isName && figure.whole))) return null
  return { ...figure, value: figure.value * (dozen ? 12 : 1), measure }
}

/** One part after another, each of a smaller unit and less than one of the unit before it; in the unit of the first. */
function takeQuantity(cursor: Cursor): Part | null {
  const first = takePart(cursor)
  if (!first) return null
  let { value } = first
  let unit = first.measure
  while (!ended(cursor) && tokenAt(cursor)?.type !== 'sign') {
    const and = takeWord(cursor, 'and')
    const half = and ? takeFractionWord(cursor) : null
    // An hour and a half: of the unit before it, and the end.
    if (half !== null) return unit && ended(cursor) && unit === first.measure ? { ...first, value: value + half } : null
    const next = takePart(cursor)
    const small =
      next && (next.measure ?? (next.whole ? cursor.measures.get(nextSmaller[unit?.name ?? ''] ?? '') : undefined))
    if (!next || !small || !unit || !first.measure) return null
    if (typeof small.is !== 'number' || typeof unit.is !== 'number' || typeof first.measure.is !== 'number') return null
    if (small.is >= unit.is || next.value * small.is > unit.is * (1 - 1e-9)) return null
    value += (next.value * small.is) / first.measure.is
    unit = small
  }
  return { ...first, value, plain: first.value === value && first.plain }
}

/** The value in the stored unit. A bare figure is in `bare`; `from` is what stands there, for `×2` and `/3`. */
export function readEntry(cursor: Cursor, bare: Measure, from: number | undefined): number | null {
  const sign = takeSign(cursor)
  const left = takeQuantity(cursor)
  if (!left) return null
  if (sign === '×' || sign === '/') {
    if (from === undefined || left.measure || !ended(cursor) || (sign === '/' && !left.plain)) return null
    return sign === '×' ? from * left.value : from / left.value
  }
  const signed = { ...left, value: sign === '-' ? -left.value : left.value }
  if (ended(cursor)) return worth(signed, bare)
  if (wantsMore(cursor)) return sum(cursor, signed, bare)
  const between = takeSign(cursor)
  const right = between && takeQuantity(cursor)
  if (!right || !ended(cursor)) return null
  return combined(signed, between, right, bare)
}

const worth = ({ value, measure = undefined }: Part, bare: Measure): number => {
  const { is } = measure ?? bare
  return typeof is === 'number' ? value * is : is(value)
}

/** Degrees Fahrenheit do not add up, nor do they double. */
const isOfDegrees = ({ measure }: Part, bare: Measure): boolean => typeof (measure ?? bare).is !== 'number'

const wantsMore = (cursor: Cursor): boolean => {
  const token = tokenAt(cursor)
  return token?.type === 'sign' && token.sign === '+'
}

/** @example ¾ cup + 2 tbsp + 1 tsp */
function sum(cursor: Cursor, first: Part, bare: Measure): number | null {
  const parts = [first]
  while (wantsMore(cursor)) {
    cursor.at += 1
    const next = takeQuantity(cursor)
    if (!next) return null
    parts.push(next)
  }
  if (!ended(cursor) || parts.some((part) => isOfDegrees(part, bare))) return null
  const units = parts.map(({ measure }) => measure)
  // Beside another unit a bare figure could be of either; and three figures of nothing are a slip.
  const isUnsure =
    units.some((unit) => !unit) && (parts.length > 2 || units.some((unit) => unit && unit.is !== bare.is))
  return isUnsure ? null : parts.reduce((total, part) => total + worth(part, bare), 0)
}

function combined(left: Part, sign: Sign, right: Part, bare: Measure): number | null {
  if (isOfDegrees(left, bare) || isOfDegrees(right, bare)) return null
  // Of 1/2/3 nobody knows what it is.
  if (sign === '/') return right.measure || !right.plain ? null : worth(left, bare) / right.value
  if (sign !== '×' || (left.measure && right.measure)) return null
  return left.measure ? worth(left, bare) * right.value : left.value * worth(right, bare)
}
