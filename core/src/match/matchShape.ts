import type { Dough, Shape, Window } from '../shape/index.ts'
import { judgeWindow, type Judgement } from './judgeWindow.ts'

export interface ShapeMatch extends Judgement {
  readonly shape: Shape
  readonly window: Window
  /** Whether the table lists this shape for this dough; if not, the dough's own hand window stands in. */
  readonly listed: boolean
}

const anyDough: Window = { low: 43, best: 50, high: 56 }

export function windowFor(shape: Shape, dough: Dough): { window: Window; listed: boolean } {
  const own = shape.doughs.find((entry) => entry.dough === dough.id)
  return own ? { window: own.window, listed: true } : { window: dough.windows.hand ?? anyDough, listed: false }
}

/** How well a dough at this hydration (14 % basis, percent) suits a shape. */
export function matchShape(shape: Shape, dough: Dough, hydration14: number): ShapeMatch {
  const { window, listed } = windowFor(shape, dough)
  return { shape, window, listed, ...judgeWindow(hydration14, window) }
}

/** Distance that ranks shapes: listed before unlisted, then points outside, then points from the best. */
const rank = (match: ShapeMatch): number =>
  (match.listed ? 0 : 1000) + Math.abs(match.outsideBy) * 10 + Math.abs(match.fromBest)

/** All shapes for one dough, best suited first. */
export const rankShapes = (shapes: readonly Shape[], dough: Dough, hydration14: number): ShapeMatch[] =>
  shapes.map((shape) => matchShape(shape, dough, hydration14)).sort((a, b) => rank(a) - rank(b))
