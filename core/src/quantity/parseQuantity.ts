import { fromFahrenheit } from './units.ts'
import { ok, problem, type Result } from '../result.ts'

export type Unit = 'g' | '%' | 'mm' | '°C' | 'min' | 'count'

type Conversion = number | ((written: number) => number)

/** From a written unit to the stored one. Stored units are g, %, mm, °C and min. */
const writtenUnits: Record<Unit, Readonly<Record<string, Conversion>>> = {
  g: { '': 1, g: 1, gram: 1, grams: 1, kg: 1000, oz: 28.349523125, lb: 453.59237 },
  '%': { '': 1, '%': 1, percent: 1 },
  mm: { '': 1, mm: 1, cm: 10, m: 1000, in: 25.4, inch: 25.4 },
  '°C': { '': 1, c: 1, '°c': 1, f: fromFahrenheit, '°f': fromFahrenheit },
  min: { '': 1, min: 1, h: 60, hours: 60, s: 1 / 60, sec: 1 / 60 },
  count: { '': 1 },
}

export interface Range {
  readonly min: number
  readonly max: number
}

/** What a volume of a thing weighs, and whose cup it is measured with. */
export interface Filled {
  readonly gPerMl: number
  readonly cupMl: number
}

const TEASPOON_ML = 5
const TABLESPOON_ML = 15

/** A written volume in ml; undefined for what is none. */
function volumeMl(written: string, cupMl: number): number | undefined {
  const ml: Readonly<Record<string, number>> = {
    ml: 1,
    cl: 10,
    dl: 100,
    l: 1000,
    cup: cupMl,
    cups: cupMl,
    tsp: TEASPOON_ML,
    tbsp: TABLESPOON_ML,
  }
  return ml[written]
}

interface Reading {
  /** What a bare number is in: the maker's own unit; the stored one where none is given. */
  readonly bare?: string
  /** Given, a mass may be written as a volume of this. */
  readonly filled?: Filled | undefined
}

/**
 * Reads what a person typed into a number in the stored unit: `0.45 kg` → 450 g, `47,5` → 47.5.
 *
 * `2 cups` of something `filled` at 0.6 g/ml is 300 g, by a cup of 250 ml: typical, never exact.
 * A comma before exactly three digits is refused (`1,250` is 1.25 to some and 1250 to others).
 * Problems: `empty`, `not-a-number`, `ambiguous-comma`, `wrong-unit`, `too-small`, `too-big`.
 */
export function parseQuantity(
  text: string,
  unit: Unit,
  range: Range,
  { bare = '', filled }: Reading = {},
): Result<number> {
  const trimmed = text.trim().replace(/[\s\u00a0\u202f]+/g, ' ')
  if (trimmed === '') return problem('empty')
  const clock = unit === 'min' ? clockMinutes(trimmed) : null
  if (clock !== null) return withinRange(clock, range, unit)
  const read = /^([-+−]?)((?:\d[\d ]*)?(?:[.,]\d+)?)\s*(.*)$/.exec(trimmed)
  if (!read || !read[2]) return problem('not-a-number', undefined, { text: trimmed })
  const digits = read[2].replace(/ /g, '')
  if (/^[1-9]\d{0,2},\d{3}$/.test(digits)) return problem('ambiguous-comma', undefined, { text: digits })
  const written = (read[3] ?? '').toLowerCase().replace(/\.$/, '') || bare.toLowerCase()
  const ml = unit === 'g' && filled ? volumeMl(written, filled.cupMl) : undefined
  const conversion = writtenUnits[unit][written] ?? (ml && filled ? ml * filled.gPerMl : undefined)
  if (conversion === undefined) return problem('wrong-unit', undefined, { text: read[3] ?? '', unit })
  const sign = read[1] === '-' || read[1] === '−' ? -1 : 1
  const figure = sign * Number(digits.replace(',', '.'))
  const value = typeof conversion === 'number' ? figure * conversion : conversion(figure)
  if (!Number.isFinite(value)) return problem('not-a-number', undefined, { text: trimmed })
  return withinRange(value, range, unit)
}

function withinRange(value: number, { min, max }: Range, unit: Unit): Result<number> {
  if (value < min) return problem('too-small', undefined, { min, unit })
  return value > max ? problem('too-big', undefined, { max, unit }) : ok(value)
}

/** A time as a clock shows it, in minutes; null for what is none. @example 0:50 → 0.83; 1:20:00 → 80 */
function clockMinutes(text: string): number | null {
  const read = /^(?:(\d{1,3}):)?(\d{1,3}):([0-5]\d)$/.exec(text)
  if (!read) return null
  const [, hours, minutes, seconds] = read
  return Number(hours ?? 0) * 60 + Number(minutes) + Number(seconds) / 60
}
