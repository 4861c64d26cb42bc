import type { Dough, Shape, ShapeDough, Window } from '../model/index.ts'
import { judgeWindow, NEAR_POINTS, type Judgement } from './judgeWindow.ts'

export interface ShapeMatch extends Judgement {
  readonly shape: Shape
  readonly window: Window
  /** Whether the table lists this shape for this dough; if not, the dough's own window for the method stands in. */
  readonly listed: boolean
  /** Which way it is off; null inside the window. More flour on a base is stiffer, more water on flour is softer. */
  readonly side: 'stiff' | 'soft' | null
}

/** Batters and doughs on a base are corrected in larger steps, so near reaches further. */
const NEAR_LOOSE = 4

const nearBy = ({ control, family }: Dough): number =>
  control.by === 'base' || family === 'batter' ? NEAR_LOOSE : NEAR_POINTS

/** All the dough's windows together: what stands in for a method it has no window for. */
export function wholeWindow({ windows }: Dough): Window {
  const all = Object.values(windows)
  const low = Math.min(...all.map((window) => window.low))
  const high = Math.max(...all.map((window) => window.high))
  return { low, best: (low + high) / 2, high }
}

/** What the table says of a dough as a shape; undefined where it does not list the two together. */
export const asShape = ({ doughs }: Pick<Shape, 'doughs'>, dough: Pick<Dough, 'id'>): ShapeDough | undefined =>
  doughs.find((entry) => entry.dough === dough.id)

export function windowFor(shape: Shape, dough: Dough): { window: Window; listed: boolean } {
  const own = asShape(shape, dough)
  if (own) return { window: own.window, listed: true }
  return { window: dough.windows[shape.method] ?? wholeWindow(dough), listed: false }
}

/**
 * How well a dough suits a shape; `reading` is on the scale of the dough's windows (`tableReading`). `instead`: a window that
 * stands for the table's, as a press has for kneaded dough.
 */
export function matchShape(shape: Shape, dough: Dough, reading: number, instead: Window | null = null): ShapeMatch {
  const { window: own, listed } = windowFor(shape, dough)
  const window = instead ?? own
  const judged = judgeWindow(reading, window, nearBy(dough))
  const above = judged.outsideBy > 0
  const side = judged.outsideBy === 0 ? null : above === (dough.control.by === 'base') ? 'stiff' : 'soft'
  return { shape, window, listed, side, ...judged }
}

/** Distance that ranks shapes: listed before unlisted, then points outside, then points from the best. */
const rank = (match: ShapeMatch): number =>
  (match.listed ? 0 : 1000) + Math.abs(match.outsideBy) * 10 + Math.abs(match.fromBest)

/** Best suited first. */
export const ranked = (matches: readonly ShapeMatch[]): readonly ShapeMatch[] =>
  [...matches].sort((a, b) => rank(a) - rank(b))
