/** What a recipe says, what makes it unsure, and what in it cannot be. */
import { formatPercent, formatNumber } from '@harina/core'
import type { Contradiction, ContradictionCode, Decoded, DecodedRow, Region, UnreadWhy } from '@harina/core/recipe'
import { minuteSpan } from './units.ts'
import { hoursShort } from './drying.ts'

export const regionWords: Readonly<Record<Region, string>> = {
  us: 'American',
  metric: 'metric',
  jp: 'Japanese',
  uk: 'British',
  au: 'Australian',
}

export const whyWords: Readonly<Record<DecodedRow['why'][number], string>> = {
  range: 'a range is told',
  about: 'about',
  'cup-filling': 'how a cup is filled',
  spoon: 'how a spoon is filled',
  'egg-size': 'size of the egg',
  'piece-size': 'size of the piece',
  vague: 'a vague measure',
  region: 'whose cup or spoon',
  ounce: 'ounces of weight or volume',
  relation: 'follows from another',
  percent: 'from its percent',
  parts: 'from its parts',
  'unsure-name': 'others call another thing so',
}

export const unreadWords: Readonly<Record<UnreadWhy, string>> = {
  unknown: 'not known here',
  'no-amount': 'has no amount: write how much beside it',
  'not-weighed': 'nobody knows what it weighs: write it in grams',
  'of-nothing': 'of what? Write its name beside it',
  beyond: 'and all after it was left out: a recipe has no more rows',
}

type Say = (
  data: Contradiction['data'],
  mass: (grams: number) => string,
) => { readonly title: string; readonly text: string }
const percent = (value: string | number | undefined): string => formatPercent(Number(value))

const contradictions: Readonly<Record<ContradictionCode, Say>> = {
  'ratio-against-masses': ({ claimed, percent: real }) => ({
    title: 'The ratio and the amounts differ',
    text: `It says ${percent(claimed)} %, the amounts come to ${percent(real)} %. One of the two is a slip.`,
  }),
  'total-against-sum': ({ total, sum }, mass) => ({
    title: 'The parts do not add up',
    text: `The dough is said to weigh ${mass(Number(total))}, its parts weigh ${mass(Number(sum))}. Look for a slip in an amount.`,
  }),
  'volume-half': ({ percent: real }) => ({
    title: 'Half by the cup is not half by weight',
    text: `Flour is light: these cups come to ${percent(real)} % water on flour. Half by weight is 50 %.`,
  }),
  'alkali-dose': ({ percent: real }) => ({
    title: `${percent(real)} % alkali is too much`,
    text: 'Over 2 % on flour is harsh and soapy, and it burns skin and eyes. 0.6 to 1.5 %, on a fine scale.',
  }),
  'salt-dose': ({ percent: real }) => ({
    title: `${percent(real)} % salt is a lot`,
    text: 'Over 8 % is mostly a slip of a figure, or a spoon for a pinch: put it right on the sheet.',
  }),
  'outside-any-dough': ({ percent: real, low, high }) => ({
    title: `${percent(real)} % is no dough of this kind`,
    text: `They lie between ${percent(low)} and ${percent(high)} % water on flour. Look for a slip in the flour or the water.`,
  }),
  'no-flour': () => ({
    title: 'There is no flour in it',
    text: 'It was left out, or goes by a name that is not known here.',
  }),
  'no-liquid': () => ({
    title: 'Nothing wets the flour',
    text: 'Its water was left out, or goes by a name that is not known here.',
  }),
  'time-impossible': ({ minutes, steps }) =>
    steps === undefined
      ? {
          title: `${hoursShort(Number(minutes) / 60)} in the pot`,
          text: 'No such piece stands that: look at the time and its unit.',
        }
      : {
          title: 'The time is too short',
          text: `${hoursShort(Number(minutes) / 60)} in all, but its steps take ${hoursShort(Number(steps) / 60)}.`,
        },
}

export const contradictionWords = ({ code, data }: Contradiction, mass: (grams: number) => string) =>
  contradictions[code](data, mass)

const DOING = { knead: 'knead', rest: 'rest', chill: 'chill', boil: 'boil', dry: 'dry', bake: 'bake' } as const

/** @example knead 12 min, rest 40 min, boil 6 to 8 min */
export function methodTold({ method: { times, thicknessMm } }: Decoded, length: (mm: number) => string): string {
  const told = times.flatMap(({ doing, minutes: { low, high } }) =>
    doing === 'total'
      ? []
      : [`${DOING[doing]} ${high >= 120 ? hoursShort((low + high) / 120) : minuteSpan([low, high])}`],
  )
  return [...new Set([...told, ...(thicknessMm === null ? [] : [`${length(thicknessMm)} thick`])])].join(', ')
}

/** How far a recipe lies from a dough. @example 2.4 points over its window */
export const offWords = (offPoints: number): string =>
  Math.abs(offPoints) < 0.05
    ? 'within its window'
    : `${formatNumber(Math.abs(offPoints), 1)} points ${offPoints < 0 ? 'under' : 'over'} its window`
