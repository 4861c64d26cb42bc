/** Crumbs or a kneaded dough: how a dough goes into a press, and how wet that press takes it. */
import { asShape, matchShape, ranked, type ShapeMatch } from '../match/index.ts'
import {
  shifted,
  type Dough,
  type DoughTable,
  type KeptPress,
  type Shape,
  type Sheet,
  type Window,
} from '../model/index.ts'
import type { Kitchen } from './kitchen.ts'
import { tableReading, type Reckoned } from './reckoned.ts'
import type { Pressed, PressedAs } from './tried.ts'

type Takes = Pick<KeptPress, 'crumb' | 'dough'>

/** A press nobody has described: crumbs as for most, or kneaded as a mixer's press is fed by many. Percent. */
const ANY_PRESS: Takes = { crumb: { low: 28, best: 32, high: 38 }, dough: { low: 38, best: 42, high: 50 } }

const widened = (window: Window | null, readings: readonly number[]): Window | null => {
  const [first] = readings
  const from = window ?? (first === undefined ? null : { low: first, best: first, high: first })
  return from && { ...from, low: Math.min(from.low, ...readings), high: Math.max(from.high, ...readings) }
}

/** As Gear describes it, and as wide as what it has pressed well. */
function asLearned(press: KeptPress, pressed: readonly Pressed[]): KeptPress {
  const through = (as: PressedAs) =>
    pressed.filter((each) => each.press === press.id && each.as === as).map(({ reading }) => reading)
  return { ...press, crumb: widened(press.crumb, through('crumb')), dough: widened(press.dough, through('dough')) }
}

/** The press of a sheet as it has shown itself; null without one. */
export const pressFor = (
  { machines }: Sheet,
  { gear, pressed }: Pick<Kitchen, 'gear' | 'pressed'>,
): KeptPress | null => {
  const press = gear.presses.find(({ id }) => id === machines.press) ?? gear.presses[0]
  return press ? asLearned(press, pressed) : null
}

const poursOf = ({ course }: Pick<Dough, 'course'>) => course.flatMap((step) => (step.do === 'pour' ? [step.how] : []))
const isCrumbed = (dough: Pick<Dough, 'course'>): boolean =>
  poursOf(dough).some((how) => how === 'thread' || how === 'sprinkle')

/** Scalded and rubbed doughs, and those on a base, go through a press by their own ways. */
const hasOwnWay = (dough: Dough): boolean =>
  dough.control.by === 'base' || poursOf(dough).some((how) => how === 'scald' || how === 'rub' || how === 'beat')

export interface PressRoute {
  readonly as: PressedAs
  /** What the press takes so, on the scale of the tables. */
  readonly window: Window
}

/**
 * The way of this dough into this press: crumbs as far as press or dough are used so, kneaded above. Null for what is not
 * pressed, and for a dough that has its own way. `reading` as of `tableReading`.
 */
export function pressRoute(
  dough: Dough,
  { blank }: Pick<Shape, 'blank'>,
  reading: number,
  press: KeptPress | null,
): PressRoute | null {
  if (blank.type !== 'die' || hasOwnWay(dough)) return null
  const { crumb, dough: kneaded } = press?.crumb || press?.dough ? press : ANY_PRESS
  if (!crumb || !kneaded) return kneaded ? { as: 'dough', window: kneaded } : crumb && { as: 'crumb', window: crumb }
  const wettest = Math.max(crumb.high, dough.windows.extrude?.high ?? 0)
  // Between the two: the nearer.
  const asDough = reading > wettest && reading - wettest > kneaded.low - reading
  return asDough ? { as: 'dough', window: kneaded } : { as: 'crumb', window: crumb }
}

/** What it takes, as this flour wants it. */
export const forFlour = (press: KeptPress, flourShift: number): KeptPress => ({
  ...press,
  crumb: press.crumb && shifted(press.crumb, flourShift),
  dough: press.dough && shifted(press.dough, flourShift),
})

type Matched = Pick<Reckoned, 'sheet' | 'dough' | 'control' | 'paper14' | 'flourShift'>

/** The way of a sheet's dough into its press as this shape. */
export const routeOf = (shape: Shape, worked: Matched, kitchen: Pick<Kitchen, 'gear' | 'pressed'>): PressRoute | null =>
  pressRoute(worked.dough, shape, tableReading(worked), pressFor(worked.sheet, kitchen))

/** How well a sheet's dough suits a shape; kneaded for a press, by what the press takes so. */
export function matchFor(shape: Shape, worked: Matched, kitchen: Pick<Kitchen, 'gear' | 'pressed'>): ShapeMatch {
  const route = routeOf(shape, worked, kitchen)
  return matchShape(
    shape,
    worked.dough,
    tableReading(worked),
    route && (route.as === 'dough' || !asShape(shape, worked.dough)) ? route.window : null,
  )
}

/** All shapes of the kitchen for this dough, best suited first. */
export const shapesRanked = (
  worked: Matched,
  kitchen: Pick<Kitchen, 'gear' | 'pressed' | 'shapes'>,
): readonly ShapeMatch[] => ranked([...kitchen.shapes.values()].map((shape) => matchFor(shape, worked, kitchen)))

const kneadsByHand = ({ course, windows }: Dough): boolean =>
  windows.hand !== undefined &&
  course.some((step) => step.do === 'knead' && step.how === 'push') &&
  !course.some((step) => step.do === 'rounds' || step.do === 'prepare')

/**
 * A dough as its way into the press makes it: by the course, the times and the feel of the dough that is crumbled, or of the
 * first of its family that is kneaded.
 */
export function madeFor(dough: Dough, route: Pick<PressRoute, 'as'> | null, doughs: DoughTable): Dough {
  if (!route || isCrumbed(dough) === (route.as === 'crumb')) return dough
  const all = [...doughs.values()]
  const like =
    route.as === 'crumb'
      ? all.find(({ course }) => course.some((step) => step.do === 'pour' && step.how === 'thread'))
      : all.find((each) => each.family === dough.family && !hasOwnWay(each) && !isCrumbed(each) && kneadsByHand(each))
  if (!like) return dough
  const { course, feel, mixing, kneadMin, mixerMin, restMin } = like
  return { ...dough, course, feel, mixing, kneadMin, mixerMin, restMin }
}

/** The dough of a sheet as it is made for this shape. */
export const madeOf = (shape: Shape, worked: Matched, kitchen: Pick<Kitchen, 'gear' | 'pressed' | 'doughs'>): Dough =>
  madeFor(worked.dough, routeOf(shape, worked, kitchen), kitchen.doughs)
