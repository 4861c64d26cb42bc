/** Figures with the maker's own units: everything below is in g, mm and °C. */
import {
  defaultUnits,
  formatCountdown,
  formatNumber,
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
  volume: (ml: number) => shownText(showVolume(ml, units)),
  lengthFigure: (mm: number) => showLength(mm, units).figure,
  gapFigure: (mm: number) => showGap(mm, units).figure,
  length: (mm: number) => shownText(showLength(mm, units)),
})

export type Worded = ReturnType<typeof worded>

/** For words made outside a component. */
export const inGrams: Worded = worded(defaultUnits)

/** @example 1, piece → 1 piece; 3, strand → 3 strands */
export const counted = (count: number, one: string): string =>
  `${formatNumber(count, 0)} ${Math.round(count) === 1 ? one : `${one}s`}`

const conjunction = new Intl.ListFormat('en-GB', { type: 'conjunction' })

/** @example ['salt', 'alkali', 'egg'] → salt, alkali and egg */
export const listed = (words: readonly string[]): string => conjunction.format(new Set(words))

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

export function spanOfMinutes(from: number, to: number): string {
  if (from === to) return minutesWords(from)
  const [low, high] = [minutesWords(from), minutesWords(to)]
  return low.endsWith(' min') && high.endsWith(' min') ? `${low.replace(' min', '')} to ${high}` : `${low} to ${high}`
}
