/** What a maker writes in a field, read whole or not at all: `1 1/2 cups`, `3 x 225 g`, `1 lb 4 oz`, `1 h 20`, `2 eggs`. */
import { ok, problem, type Result } from '../result.ts'
import { measureNamed, readEntry, type Cursor, type Measure, type Measures } from './quantityGrammar.ts'
import { isAmbiguous, tokensOf } from './tokens.ts'
import { unitTables, volumes, type Unit } from './unitTables.ts'

export type { Unit } from './unitTables.ts'

/** What a volume of a thing weighs, and whose cup it is measured with. */
export interface Filled {
  readonly gPerMl: number
  readonly cupMl: number
}

export interface Reading {
  /** What a bare number is in: the maker's own unit; the stored one where none is given. */
  readonly bare?: string | undefined
  /** Given, a mass may be written as a volume of this. */
  readonly filled?: Filled | undefined
  /** Given, a mass may be written as so many of these: grams of one, by its name. */
  readonly each?: Readonly<Record<string, number>> | undefined
  /** What stands there now, in the stored unit: `×2`, `/3` and `+10 %` are of that. */
  readonly from?: number | undefined
}

export interface Range {
  readonly min: number
  readonly max: number
}

/** Nobody writes longer, and what is longer is not looked at. */
const LONGEST = 80

/** Every name a field of this unit takes. */
function measuresOf(unit: Unit, { filled, each = {} }: Reading): Measures {
  const ofMass = unit === 'g'
  const filledBy = ofMass && filled ? filled : null
  const named = [
    ...unitTables[unit],
    ...(filledBy ? volumes(filledBy.cupMl).map(({ is, ...rest }) => ({ ...rest, is: is * filledBy.gPerMl })) : []),
    ...(ofMass ? Object.entries(each).map(([name, is]) => ({ name, is })) : []),
  ]
  return new Map(
    named.flatMap(({ name, is, ...rest }) =>
      [name, ...('also' in rest ? rest.also : [])].map((word): [string, Measure] => [word.toLowerCase(), { name, is }]),
    ),
  )
}

/** A time as a clock shows it, in minutes; null for what is none. @example 0:50 → 0.83; 1:20:00 → 80 */
function clockMinutes(text: string): number | null {
  const read = /^(?:(\d{1,3}):(?=[0-5]\d:))?(\d{1,3}):([0-5]\d)$/.exec(text)
  if (!read) return null
  const [, hours = '0', minutes, seconds] = read
  return Number(hours) * 60 + Number(minutes) + Number(seconds) / 60
}

/** So much more or less of what stands there. */
function moreOrLess(text: string, unit: Unit, from: number | undefined): number | null {
  const [, sign, rest] = /^([+\-−]) ?(.*%)$/.exec(text) ?? []
  if (sign === undefined || rest === undefined || unit === '%' || from === undefined) return null
  const by = readQuantity(rest, '%')
  return by.ok ? (from * (100 + (sign === '+' ? by.value : -by.value))) / 100 : null
}

/**
 * In the stored unit: g, %, mm, °C, min or pieces. Cups and spoons are typical, never exact.
 *
 * A comma before exactly three digits is refused (`1,250` is 1.25 to some and 1250 to others).
 * Problems: `empty`, `not-a-number`, `ambiguous-comma`, `wrong-unit`.
 * @example readQuantity('1/2 cup', 'g', { filled: { gPerMl: 1, cupMl: 250 } }) → 125;
 * readQuantity('1 h 20', 'min') → 80;
 * readQuantity('×2', 'g', { from: 250 }) → 500
 */
export function readQuantity(text: string, unit: Unit, reading: Reading = {}): Result<number> {
  const trimmed = text.trim().replace(/\s+/g, ' ')
  if (trimmed === '') return problem('empty')
  const unread = problem('not-a-number', undefined, { text: trimmed.slice(0, LONGEST) })
  if (trimmed.length > LONGEST) return unread
  const known = (unit === 'min' ? clockMinutes(trimmed) : null) ?? moreOrLess(trimmed, unit, reading.from)
  if (known !== null) return ok(known)
  const tokens = tokensOf(trimmed)
  if (!tokens) return unread
  const ambiguous = tokens.find((token) => token.type === 'number' && isAmbiguous(token.text))
  if (ambiguous?.type === 'number') return problem('ambiguous-comma', undefined, { text: ambiguous.text })
  const measures = measuresOf(unit, reading)
  const cursor: Cursor = { tokens, measures, at: 0, stranger: null }
  const bare = measureNamed(measures, (reading.bare ?? '').toLowerCase()) ?? { name: '', is: 1 }
  const value = readEntry(cursor, bare, reading.from)
  if (value !== null && Number.isFinite(value)) return ok(value)
  if (cursor.stranger === null) return unread
  const reads = [...new Set([...measures.values()].map(({ name }) => name))].join(', ')
  return problem('wrong-unit', undefined, { text: cursor.stranger, unit, reads })
}

/** The same within a range, in the stored unit. Problems besides: `too-small`, `too-big`. */
export function parseQuantity(text: string, unit: Unit, { min, max }: Range, reading: Reading = {}): Result<number> {
  const read = readQuantity(text, unit, reading)
  if (!read.ok) return read
  if (read.value < min) return problem('too-small', undefined, { limit: min, unit })
  return read.value > max ? problem('too-big', undefined, { limit: max, unit }) : read
}
