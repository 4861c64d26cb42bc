/** Figures with the maker's own units: everything below is in g, mm and °C. */
import {
  defaultUnits,
  formatCountdown,
  formatNumber,
  plainLength,
  showGap,
  showLength,
  showMass,
  shownText,
  showTemperature,
  showVolume,
  type Units,
} from '@harina/core'

export const worded = (units: Units) => ({
  units,
  /** As a figure beside a unit that stands by itself. */
  massFigure: (grams: number, stepG = 1) => showMass(grams, units, stepG).figure,
  mass: (grams: number, stepG = 1) => shownText(showMass(grams, units, stepG)),
  temperatureFigure: (celsius: number, decimals = 0) => showTemperature(celsius, units, decimals).figure,
  temperature: (celsius: number, decimals = 0) => shownText(showTemperature(celsius, units, decimals)),
  /** A difference of so many degrees. */
  degrees: (celsius: number) =>
    formatNumber(units.temperature === '°C' ? celsius : celsius * 1.8, celsius % 1 === 0 ? 0 : 1),
  volume: (ml: number) => shownText(showVolume(ml, units)),
  lengthFigure: (mm: number) => plainLength(mm, units).figure,
  lengthShown: (mm: number) => showLength(mm, units),
  gapFigure: (mm: number) => showGap(mm, units).figure,
  length: (mm: number) => shownText(showLength(mm, units)),
  gap: (mm: number) => shownText(showGap(mm, units)),
})

export type Worded = ReturnType<typeof worded>

const unitNames = {
  g: 'grams',
  kg: 'kilograms',
  oz: 'ounces',
  lb: 'pounds',
  mm: 'millimetres',
  in: 'inches',
  '°C': 'degrees Celsius',
  '°F': 'degrees Fahrenheit',
} as const

/** A unit in full, as it is read aloud. */
export const unitName = (unit: keyof typeof unitNames): string => unitNames[unit]

const STORED: Readonly<Record<string, RegExp>> = {
  g: /\bgrams\b/i,
  mm: /\bmillimetres\b/i,
  '°C': /\bdegrees Celsius\b/i,
}

/**
 * The name of a field with its unit as this maker has it: in place of the stored one, or after the name.
 * @example Dough, grams → Dough, ounces; The jar weighs → The jar weighs, grams
 */
export function nameInUnits(name: string, unit: string, { mass, length, temperature }: Units): string {
  const stored = STORED[unit]
  if (!stored) return name
  const own = unitNames[unit === 'g' ? mass : unit === 'mm' ? length : temperature]
  if (!stored.test(name)) return `${name}, ${own}`
  return name.replace(stored, (word) => (/^[A-Z]/.test(word) ? capital(own) : own))
}

/** What no two potatoes agree on is told roughly, g: to the nearest ten, and to fifty from a kilogram on. */
export const roughG = (grams: number): number => {
  const step = grams < 1000 ? 10 : 50
  return Math.round(grams / step) * step
}

/** For words made outside a component. */
export const inGrams: Worded = worded(defaultUnits)

/** @example 1, piece → 1 piece; 3, strand → 3 strands */
export const counted = (count: number, one: string): string =>
  `${formatNumber(count, 0)} ${Math.round(count) === 1 ? one : `${one}s`}`

/** How long it is kneaded: short spans in seconds. @example [0.75, 1.5] → 45 to 90 s */
export const kneadSpan = ([low, high]: readonly [number, number]): string =>
  high < 2 ? `${formatNumber(low * 60, 0)} to ${formatNumber(high * 60, 0)} s` : `${low} to ${high} min`

/** Each once. The browser's own lists take a fresh page thirty milliseconds before they join a word. @example ['salt', 'alkali', 'egg'] → salt, alkali and egg */
export function listed(words: readonly string[]): string {
  const all = [...new Set(words)]
  const last = all.pop() ?? ''
  return all.length === 0 ? last : `${all.join(', ')} and ${last}`
}

/** @example pot, fridge or rack → Pot, fridge or rack */
export const capital = (words: string): string => `${words[0]?.toUpperCase() ?? ''}${words.slice(1)}`

/** A time in the pot: seconds under a minute. @example 0.8 → 50 s; 1.5 → 1½ min; 3 → 3 min */
export function minutesWords(minutes: number): string {
  if (minutes < 1) return `${formatNumber(Math.round(minutes * 12) * 5, 0)} s`
  const whole = Math.floor(minutes)
  const part = minutes - whole
  if (part < 1e-9) return `${whole} min`
  return Math.abs(part - 0.5) < 1e-9 ? `${whole}½ min` : formatCountdown(Math.round(minutes * 60))
}

/** Whole or half minutes as one says them, else to ten seconds. */
export const toTheSixth = (minutes: number): number => Math.round(minutes * 6) / 6

export function spanOfMinutes(from: number, to: number): string {
  if (from === to) return minutesWords(from)
  const [low, high] = [minutesWords(from), minutesWords(to)]
  return low.endsWith(' min') && high.endsWith(' min') ? `${low.replace(' min', '')} to ${high}` : `${low} to ${high}`
}

/** As one says it beforehand: whole minutes, short ones by halves. @example [8.5, 12.3] → 9 to 12 min */
export const aboutMinutes = ([from, to]: readonly [number, number]): string => {
  const said = (minutes: number) => (minutes < 3 ? Math.round(2 * minutes) / 2 : Math.round(minutes))
  return spanOfMinutes(said(from), said(to))
}

/** As the clock in the pot tells it. @example [3.97, 6.02] → 4 to 6 min */
export const minuteSpan = ([from, to]: readonly [number, number]): string =>
  spanOfMinutes(toTheSixth(from), toTheSixth(to))
