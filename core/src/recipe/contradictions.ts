/** What in a recipe cannot be: against itself, against the doughs there are, against what is safe. */
import { MOST_ALKALI_PERCENT } from '../alkali/index.ts'
import { METHODS, type Dough, type Ingredient, type Method } from '../model/index.ts'
import type { Span } from './amounts.ts'
import { english } from './english.ts'
import type { DecodedMethod } from './method.ts'
import type { Relation } from './relations.ts'
import { isWet, rowsOf, sumG, waterG, type Row } from './rows.ts'

export const CONTRADICTIONS = [
  'ratio-against-masses',
  'total-against-sum',
  'volume-half',
  'alkali-dose',
  'salt-dose',
  'outside-any-dough',
  'no-flour',
  'no-liquid',
  'time-impossible',
] as const
export type ContradictionCode = (typeof CONTRADICTIONS)[number]

export interface Contradiction {
  readonly code: ContradictionCode
  readonly data: Readonly<Record<string, string | number>>
}

export interface ToCheck {
  readonly rows: readonly Row[]
  readonly hydration: Span | null
  readonly relations: readonly Relation[]
  readonly totals: readonly { readonly grams: Span; readonly text: string }[]
  readonly method: DecodedMethod
  readonly text: string
  readonly doughs: readonly Dough[]
}

const sumMl = (rows: readonly Pick<Row, 'ml'>[]): number | null =>
  rows.length > 0 && rows.every(({ ml }) => ml !== null) ? rows.reduce((all, { ml }) => all + ml!.typical, 0) : null

/** A claim is good to so much: people round. */
const CLAIM_OFF = 0.04
const VOLUME_OFF = 0.08
/** More than this is no rounding of a total. */
const TOTAL_OFF = 0.06
const MOST_SALT_PERCENT = 8
/** How much `over` is against `under`: its water where hydration is spoken of, else weights. Null where one follows from the other. */
function measuredRatio(
  { over, under, how }: Relation,
  rows: readonly Row[],
): { ratio: Span; byVolume: number | null } | null {
  const [has, of] = [rowsOf(rows, over), rowsOf(rows, under)]
  const follows = [...has, ...of].some(({ why, ml }) => why.includes('relation') && ml === null)
  if (has.length === 0 || of.length === 0 || follows) return null
  const [a, b] = [how === 'hydration' ? waterG(rows) : sumG(has), sumG(of)]
  const [aMl, bMl] = [sumMl(has), sumMl(of)]
  if (b.typical <= 0) return null
  const typical = a.typical / b.typical
  return {
    ratio: { low: a.low / b.high, typical, high: b.low > 0 ? a.high / b.low : typical },
    byVolume: aMl !== null && bMl !== null && bMl > 0 ? aMl / bMl : null,
  }
}

function claims({ relations, rows }: ToCheck): readonly Contradiction[] {
  return relations.flatMap((relation): Contradiction[] => {
    const measured = measuredRatio(relation, rows)
    if (!measured) return []
    const { ratio, byVolume } = measured
    const claimed = relation.ratio
    const said = `${relation.text}`.slice(0, 160)
    const agrees = claimed >= ratio.low * (1 - CLAIM_OFF) && claimed <= ratio.high * (1 + CLAIM_OFF)
    const isHalf = Math.abs(claimed - 0.5) < 0.02
    const volumesAgree = byVolume !== null && Math.abs(byVolume - claimed) <= VOLUME_OFF * claimed
    if (isHalf && volumesAgree && Math.abs(ratio.typical - claimed) > 0.1)
      return [{ code: 'volume-half', data: { said, percent: 100 * ratio.typical } }]
    // By the cup a ratio of cups is meant, and is none of weights.
    if (agrees || (volumesAgree && !relation.byWeight && relation.how === 'ratio')) return []
    return [{ code: 'ratio-against-masses', data: { said, claimed: 100 * claimed, percent: 100 * ratio.typical } }]
  })
}

function totals({ totals: stated, rows }: ToCheck): readonly Contradiction[] {
  const dough = sumG(rows.filter(({ ingredient }) => ingredient === null || ingredient.basis !== 'dusting'))
  if (dough.typical <= 0) return []
  return stated.flatMap(({ grams, text }): Contradiction[] => {
    const fits = grams.high >= dough.low * (1 - TOTAL_OFF) && grams.low <= dough.high * (1 + TOTAL_OFF)
    return fits
      ? []
      : [{ code: 'total-against-sum', data: { said: text.slice(0, 160), total: grams.typical, sum: dough.typical } }]
  })
}

function doses({ rows }: ToCheck): readonly Contradiction[] {
  const flour = sumG(rows.filter(({ flour: isOne }) => isOne)).typical
  if (flour <= 0) return []
  const of = (part: (ingredient: Ingredient) => number, among: readonly Row[]) =>
    among.reduce((all, { span, ingredient }) => all + (ingredient ? span.typical * part(ingredient) : 0), 0)
  const alkali = (100 * of(({ carbonate = 0, id }) => (id === 'baking-soda' ? 0 : carbonate), rows)) / flour
  // Cooked potato and curd take their salt too.
  const base = rows.filter(
    ({ ingredient, flour: isOne }) => ingredient && !isOne && ['vegetable', 'dairy'].includes(ingredient.group),
  )
  const salted = flour + sumG(base).typical
  const salt =
    (100 *
      of(
        (ingredient) => ingredient.salt,
        rows.filter(({ ingredient }) => ingredient?.group === 'salt'),
      )) /
    salted
  return [
    ...(alkali > MOST_ALKALI_PERCENT * 1.005 ? [{ code: 'alkali-dose' as const, data: { percent: alkali } }] : []),
    ...(salt > MOST_SALT_PERCENT * 1.005 ? [{ code: 'salt-dose' as const, data: { percent: salt } }] : []),
  ]
}

const AT_THE_BOARD = ['hand', 'cut', 'stamp'] as const

/** The methods that a text speaks of; all it may mean where it speaks of none, or of two that exclude each other. */
export function methodsIn(text: string): readonly Method[] {
  const cued = english.methods.filter(([, pattern]) => pattern.test(text)).map(([method]) => method)
  const stiff = english.stiff.test(text)
  // The batter of a sauce, the roller of a machine: nothing is ruled out then.
  const unsure = cued.includes('drop') && stiff
  return unsure || cued.length === 0 ? [...AT_THE_BOARD, ...(stiff ? [] : METHODS), ...cued] : cued
}

/** Wider than a window a dough is still of its kind, points; wide windows are told less exactly. */
const WINDOW_MARGIN = 4
const marginOf = (limit: number): number => Math.max(WINDOW_MARGIN, limit > 70 ? 0.1 * limit : 0)

const BASES = new Set(['vegetable', 'dairy'])
/** On a base of potato, squash, curd or milk the flour is what the base wants: no window of hydration holds. */
const isOnABase = (rows: readonly Row[], flourG: number): boolean =>
  rows.some(
    ({ ingredient, span }) =>
      (BASES.has(ingredient?.group ?? '') && span.typical > 0.5 * flourG) ||
      (ingredient?.id.startsWith('milk-') === true && span.typical > 2.5 * flourG),
  )

/** The windows it could lie in, by what is in it and what is done with it. */
function possible({ rows, doughs, text }: ToCheck): readonly { readonly low: number; readonly high: number }[] {
  const flours = rows.filter((row) => row.flour)
  if (isOnABase(rows, sumG(flours).typical)) return []
  const alkaline = rows.some(({ ingredient, span }) => (ingredient?.carbonate ?? 0) > 0 && span.typical > 0)
  const glutenFree = flours.length > 0 && flours.every(({ ingredient }) => ingredient?.gluten === 'none')
  const main = [...flours].sort((a, b) => b.span.typical - a.span.typical)[0]?.id
  const methods = methodsIn(text)
  const fits = doughs.filter(({ control, family, id }) => {
    if (control.by !== 'hydration') return false
    if (glutenFree || id === 'gf-hot') return glutenFree && (id === 'gf-hot' || family === 'batter')
    return alkaline ? family === 'alkaline' || family === 'batter' : family !== 'alkaline'
  })
  const own = fits.filter((dough) => main !== undefined && main !== null && dough.flours.includes(main))
  const windowsOf = (all: readonly Dough[]) =>
    all.flatMap(({ windows: by }) =>
      Object.entries(by).flatMap(([method, window]) => (methods.includes(method as never) ? [window] : [])),
    )
  const narrow = windowsOf(own)
  return narrow.length > 0 ? narrow : windowsOf(fits)
}

function windows(check: ToCheck): readonly Contradiction[] {
  const { hydration } = check
  if (!hydration) return []
  const all = possible(check)
  if (all.length === 0) return []
  const fits = all.some(
    ({ low, high }) => hydration.high >= low - marginOf(low) && hydration.low <= high + marginOf(high),
  )
  if (fits) return []
  return [
    {
      code: 'outside-any-dough',
      data: {
        percent: hydration.typical,
        low: Math.min(...all.map(({ low }) => low)),
        high: Math.max(...all.map(({ high }) => high)),
      },
    },
  ]
}

function missing({ rows }: ToCheck): readonly Contradiction[] {
  if (rows.length === 0) return []
  const flour = rows.some((row) => row.flour && row.span.typical > 0)
  const wet = isWet(rows)
  return [
    ...(flour ? [] : [{ code: 'no-flour' as const, data: {} }]),
    ...(wet ? [] : [{ code: 'no-liquid' as const, data: {} }]),
  ]
}

/** In the pot longer than this, nothing of such a thickness holds together, min. */
const mostCookingMin = (thicknessMm: number | null): number => (thicknessMm === null ? 30 : 8 + 6 * thicknessMm)

function impossibleTimes({ method: { times: all, thicknessMm } }: ToCheck): readonly Contradiction[] {
  const steps = all.filter(({ doing }) => doing !== 'total')
  const least = steps.reduce((whole, { minutes }) => whole + minutes.low, 0)
  const total = all.find(({ doing }) => doing === 'total')
  const tooShort = total !== undefined && steps.length > 0 && total.minutes.high < least * 0.98
  const boiled = steps.find(
    ({ doing, ofBase, minutes }) => doing === 'boil' && !ofBase && minutes.low > mostCookingMin(thicknessMm),
  )
  return [
    ...(tooShort
      ? [
          {
            code: 'time-impossible' as const,
            data: { said: total.text.slice(0, 160), minutes: total.minutes.typical, steps: least },
          },
        ]
      : []),
    ...(!tooShort && boiled
      ? [
          {
            code: 'time-impossible' as const,
            data: { said: boiled.text.slice(0, 160), minutes: boiled.minutes.typical },
          },
        ]
      : []),
  ]
}

/** Each at most once, in the order of the codes. */
export function contradictionsOf(check: ToCheck): readonly Contradiction[] {
  const gaps = missing(check)
  const all = [
    ...claims(check),
    ...totals(check),
    ...doses(check),
    ...(gaps.length > 0 ? [] : windows(check)),
    ...gaps,
    ...impossibleTimes(check),
  ]
  return CONTRADICTIONS.flatMap((code) => all.find((each) => each.code === code) ?? [])
}
