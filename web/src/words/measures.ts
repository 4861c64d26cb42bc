/** What a bench without a scale is called: cups, spoons and eggs, with how far they stray. */
import { CUP_ML, inMeasures, formatNumber, type InMeasures, type Plan, type PlannedRow, type Units } from '@harina/core'
import { eggsWords } from './liquid.ts'
import { counted, worded } from './units.ts'

const MARKS: readonly (readonly [number, string])[] = [
  [1 / 4, '¼'],
  [1 / 3, '⅓'],
  [1 / 2, '½'],
  [2 / 3, '⅔'],
  [3 / 4, '¾'],
]

/** @example 1.333 → 1 ⅓ */
function marked(value: number): string {
  const whole = Math.floor(value + 1e-6)
  const mark = MARKS.find(([part]) => Math.abs(value - whole - part) < 1e-3)?.[1] ?? ''
  return [whole > 0 ? formatNumber(whole, 0) : '', mark].filter(Boolean).join(' ')
}

/** @example 1 ⅓ cups + 1 tbsp + ½ tsp */
export function measuresWords({ cups, tablespoons, teaspoons }: InMeasures): string {
  const parts = [
    cups > 0 && `${marked(cups)} ${cups > 1 ? 'cups' : 'cup'}`,
    tablespoons > 0 && `${formatNumber(tablespoons, 0)} tbsp`,
    teaspoons > 0 && `${marked(teaspoons)} tsp`,
  ]
  return parts.filter(Boolean).join(' + ')
}

/** A mass of something on this plan, as it is called at this bench. */
export interface Called {
  readonly figure: string
  readonly unit: string
  /** How far it strays; empty on a scale. */
  readonly note: string
  /** What is so called, g: as many as the measures hold. */
  readonly grams: number
}

/** In grams, or without a scale in what it can be measured with. Alkali is never measured. */
export function called(
  plan: Pick<Plan, 'noScale' | 'scaleStepG'>,
  { filled, part, ingredient }: Pick<PlannedRow, 'filled' | 'part' | 'ingredient'>,
  grams: number,
  units: Units,
): Called {
  const { massFigure, mass } = worded(units)
  if (!plan.noScale || !filled || part === 'alkali' || grams <= 0)
    return { figure: massFigure(grams, plan.scaleStepG), unit: units.mass, note: '', grams }
  const eggs = eggsWords(ingredient, grams, units.egg)
  if (eggs) return { figure: eggs, unit: '', note: `about ${mass(grams)}`, grams }
  const { low, high } = filled
  const measures = inMeasures(grams / filled.gPerMl, CUP_ML[units.cup])
  const strays =
    high > low && measures.cups > 0 ? `; as cups are filled ${mass(grams * low)} to ${mass(grams * high)}` : ''
  return {
    figure: measuresWords(measures),
    unit: '',
    note: `about ${mass(grams)}${strays}`,
    grams: measures.ml * filled.gPerMl,
  }
}

/** The same in one line. @example 1 ⅓ cups + 1 tbsp; 333 g */
export const calledWords = (...asked: Parameters<typeof called>): string => {
  const { figure, unit } = called(...asked)
  return unit ? `${figure} ${unit}` : figure
}

/** What is poured, as a row to be called by. */
export const pouredRow = ({ rows }: Pick<Plan, 'rows'>): Pick<PlannedRow, 'filled' | 'part' | 'ingredient'> =>
  rows.find(({ part, weighedG }) => part === 'water' && weighedG > 0) ?? { part: 'water', ingredient: '' }

/** @example 6 → one of 6 parts, cut by eye */
export const byEyeWords = (count: number): string =>
  count <= 1 ? 'all of it' : `one of ${counted(count, 'part')}, cut by eye`
