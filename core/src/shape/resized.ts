/** A shape made to other sizes: its tools and sentences name them, it cooks as its wall wants, and its pace follows its mass. */
import type { Blank, Shape } from '../model/index.ts'
import { blankVolumeMm3 } from './blank.ts'
import { comparesSize, inMillimetres } from './sizeWords.ts'

type Span = readonly [number, number]

/** Fresh pieces cook longer by so much of a power of their thickness: water has farther to go, and less than squarely so. */
const FRESH_COOKS_WITH = 1.5
/** Dried ones take up their water from the face inwards: with the square. */
const DRIED_COOKS_WITH = 2
/** A thickness nearer to the table's than this is the table's. */
const SAME_SHARE = 0.02
/** A piece of eight times the mass takes twice as long under the hand. */
const PACE_WITH = 1 / 3

const scaled = ([low, high]: Span, by: number): [number, number] => [
  Number((low * by).toFixed(1)),
  Number((high * by).toFixed(1)),
]

/** The table's time for another thickness, min; `ratio` is to the table's. @example cookedAt([2, 3], 1.2) → [2.6, 3.9] */
export const cookedAt = (minutes: Span, ratio: number): [number, number] =>
  Math.abs(ratio - 1) < SAME_SHARE ? [...minutes] : scaled(minutes, ratio ** FRESH_COOKS_WITH)

const numbersOf = (part: object): readonly (readonly [string, number])[] =>
  Object.entries(part).filter((entry): entry is [string, number] => typeof entry[1] === 'number')

const lengthsOf = ({ blank, form, wallMm }: Shape): ReadonlyMap<string, number> =>
  new Map([
    ...numbersOf(blank).map(([key, mm]) => [`blank ${key}`, mm] as const),
    ['wall', wallMm] as const,
    ...numbersOf(form)
      .filter(([key]) => key.endsWith('Mm'))
      .map(([key, mm]) => [`form ${key}`, mm] as const),
  ])

/** Words that name an old length in mm name the new one. A length that two parts shared follows the part it is cut from. */
function renamer(before: Shape, after: Shape): (words: string) => string {
  const now = lengthsOf(after)
  const renamed = new Map<number, number>()
  for (const [key, mm] of lengthsOf(before)) {
    const next = now.get(key)
    if (next !== undefined && next !== mm && !renamed.has(mm)) renamed.set(mm, next)
  }
  return (words) =>
    words.replace(/(\d+(?:\.\d+)?)( mm\b)/g, (whole, figure: string, unit: string) => {
      const next = renamed.get(Number(figure))
      return next === undefined ? whole : `${Number(next.toFixed(2))}${unit}`
    })
}

/** The shape with its sentences told for the blank as it is made: a sheet is as thick as the roller leaves it. */
export function toldAsMade(shape: Shape, blank: Blank): Shape {
  const say = renamer(shape, { ...shape, blank })
  return { ...shape, steps: shape.steps.map(say), checks: shape.checks.map(say) }
}

/** To a thousandth: there and back again is where it was. */
const times = (mm: number, by: number): number => Number((mm * by).toFixed(3))

/** Of a cut of rope: as much wider and thicker as the rope, as much longer as the cut, so that it weighs what went in. */
function asTheRope(before: Shape, after: Shape): Pick<Shape, 'form' | 'wallMm'> | null {
  const [was, is] = [before.blank, after.blank]
  if (was.type !== 'rope' || is.type !== 'rope') return null
  const [across, along] = [is.diameterMm / was.diameterMm, is.cutMm / was.cutMm]
  const form = Object.fromEntries(
    Object.entries(after.form).map(([key, value]) => {
      if (typeof value !== 'number' || !key.endsWith('Mm')) return [key, value]
      return [key, times(value, key === 'lengthMm' ? along : across)]
    }),
  ) as Shape['form']
  return { form, wallMm: times(after.wallMm, across) }
}

/** What was as long as a part of the blank stays so: a round's width, the wall of a sheet. */
function following(before: Shape, after: Shape): Pick<Shape, 'form' | 'wallMm'> {
  const rope = asTheRope(before, after)
  if (rope) return rope
  const blank = new Map(numbersOf(after.blank))
  const follow = (mm: number): number => {
    const same = numbersOf(before.blank).find(([key, was]) => was === mm && blank.get(key) !== was)
    return (same && blank.get(same[0])) ?? mm
  }
  const form = Object.fromEntries(
    Object.entries(after.form).map(([key, value]) => [
      key,
      typeof value === 'number' && key.endsWith('Mm') ? follow(value) : value,
    ]),
  ) as Shape['form']
  return { form, wallMm: follow(after.wallMm) }
}

const massShare = (from: Blank, to: Blank): number => blankVolumeMm3(to) / Math.max(1e-9, blankVolumeMm3(from))

/**
 * `after` with all that follows from its sizes. Times and pace are reckoned from the shape it was begun from, `from`, so that
 * they do not drift as one types; sentences follow from `before`, so that what was written in between stays.
 */
export function resized(from: Shape, before: Shape, after: Shape): Shape {
  const sized = { ...after, ...following(before, after) }
  const rename = renamer(before, sized)
  const isCutAnew = blankVolumeMm3(before.blank) !== blankVolumeMm3(sized.blank)
  const say = (words: string) => (isCutAnew ? inMillimetres(rename(words), sized.blank) : rename(words))
  const checks = sized.checks.filter((check) => !isCutAnew || !comparesSize(check))
  const ratio = sized.wallMm / from.wallMm
  const slower = massShare(from.blank, sized.blank) ** PACE_WITH
  const pace = (perMin: number) => Math.max(0.1, Number((perMin / slower).toFixed(1)))
  const { learner, practised, quick } = from.piecesPerMin
  return {
    ...sized,
    steps: sized.steps.map(say),
    checks: (checks.length > 0 ? checks : sized.checks).map(rename),
    board: rename(sized.board),
    tools: sized.tools.map(({ tool, instead }) => ({ tool: rename(tool), instead: rename(instead) })),
    mistakes: sized.mistakes.map(({ sign, cause, remedy }) => ({
      sign: rename(sign),
      cause: rename(cause),
      remedy: rename(remedy),
    })),
    cookFreshMin: cookedAt(from.cookFreshMin, ratio),
    ...(from.cookDriedMin ? { cookDriedMin: scaled(from.cookDriedMin, ratio ** DRIED_COOKS_WITH) } : {}),
    piecesPerMin: { learner: pace(learner), practised: pace(practised), quick: pace(quick) },
  }
}
