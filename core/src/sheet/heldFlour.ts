/** What one keeps back of the flour of a dough on a base: no two potatoes, curds or squashes bring the same water. */
import type { Dough, Window } from '../model/index.ts'

/** At least so much of it, so that there is something to feel for; at most so much, or the dough is paste before it is felt. */
const LEAST = 0.15
const MOST = 1 / 3

/** Some of it can only go in after the dough was felt, and not into what is simmered, spread and sets. */
const canBeHeld = ({ control, course }: Dough): boolean =>
  control.by === 'base' && course.some((step) => step.do === 'feel') && course.every((step) => step.do !== 'spread')

/**
 * The share of a wheat dough's flour that waits in place of so many points of water: all the water on the rest is as much wetter.
 * @example 4 points on 48 → 4/52 = 0.077
 */
export const heldForWater = (points: number, hydrationPercent: number): number =>
  points / Math.max(1, hydrationPercent + points)

/**
 * The share of the flour that waits beside the bowl: down to the low end of the shape's window, where the driest base is right.
 * @example 25 on 100 of potato in a window from 20 → 0.2 of the flour
 */
export function heldFlourShare(dough: Dough, { low }: Pick<Window, 'low'>, flourOnBase: number | null): number {
  if (flourOnBase === null || flourOnBase <= 0 || !canBeHeld(dough)) return 0
  return Math.min(MOST, Math.max(LEAST, 1 - low / flourOnBase))
}
