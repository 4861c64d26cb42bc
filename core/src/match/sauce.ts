/** Which sauce a shape carries, and why. */
import { z } from '../zod.ts'
import { type Sauce, SAUCE_TRAITS, SAUCES, type SauceTrait, type Shape, someText } from '../model/index.ts'

/** A family of sauces with the traits of a piece that carry it. */
export const sauceSchema = z.strictObject({
  id: z.enum(SAUCES),
  name: someText,
  carriedBy: z.array(z.enum(SAUCE_TRAITS)).check(z.minLength(1)),
  why: someText,
})
export type SauceRow = z.infer<typeof sauceSchema>

export interface SauceMatch {
  readonly sauce: SauceRow
  readonly shape: Shape
  /** The table names this sauce for this shape. */
  readonly listed: boolean
  /** What the shape has that the sauce needs. */
  readonly because: readonly SauceTrait[]
}

const match = (shape: Shape, sauce: SauceRow): SauceMatch => ({
  sauce,
  shape,
  listed: shape.sauce.families.includes(sauce.id),
  because: sauce.carriedBy.filter((trait) => shape.sauce.traits.includes(trait)),
})

const rank = ({ listed, because }: SauceMatch): number => (listed ? 10 : 0) + because.length

/** Sauces for a shape: the usual ones in the order of its table, then what its traits speak for; the rest is left out. */
export function saucesFor(shape: Shape, sauces: readonly SauceRow[]): readonly SauceMatch[] {
  const place = ({ sauce, listed, because }: SauceMatch) =>
    listed ? shape.sauce.families.indexOf(sauce.id) - SAUCES.length : -because.length / 10
  return sauces
    .map((sauce) => match(shape, sauce))
    .filter((found) => rank(found) > 0)
    .sort((a, b) => place(a) - place(b))
}

/** Shapes for a sauce, likewise. */
export const shapesForSauce = (
  id: Sauce,
  sauces: readonly SauceRow[],
  shapes: readonly Shape[],
): readonly SauceMatch[] => {
  const sauce = sauces.find((each) => each.id === id)
  if (!sauce) return []
  return shapes
    .map((shape) => match(shape, sauce))
    .filter((found) => rank(found) > 0)
    .sort((a, b) => rank(b) - rank(a) || a.shape.name.localeCompare(b.shape.name))
}
