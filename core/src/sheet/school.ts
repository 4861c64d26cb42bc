/** Schools of practice: where makers disagree, the positions they take, each with its reasons and with what it sets. */
import { FAMILIES, someText, type Dough, type Family, type Shape } from '../model/index.ts'
import { z } from '../zod.ts'
import { refusalOf } from './refusal.ts'
import { setsSchema, type SchoolSets } from './schoolSets.ts'

export const schoolSchema = z.lazy(() =>
  z.strictObject({
    id: someText,
    topic: someText,
    question: someText,
    families: z.array(z.enum(FAMILIES)).check(z.minLength(1)),
    positions: z
      .array(
        z.strictObject({
          id: someText,
          name: someText,
          stance: someText,
          why: z.array(someText).check(z.minLength(1)),
          /** Reasons of one family, where they are not everybody's. */
          of: z.optional(z.partialRecord(z.enum(FAMILIES), z.array(someText).check(z.minLength(1)))),
          sets: setsSchema,
        }),
      )
      .check(z.minLength(2)),
  }),
)

export type School = z.infer<typeof schoolSchema>
export type Position = School['positions'][number]
/** Topic to position. */
export type Choices = Readonly<Record<string, string>>

const positionOf = (school: School, choices: Choices): Position | undefined =>
  school.positions.find((position) => position.id === choices[school.id])

/** Why one takes this position, with a dough of this family. */
export const whyOf = ({ why, of }: Position, family: Family): readonly string[] => of?.[family] ?? why

/**
 * What a maker's choices set for a dough as a shape; a formula's own choices come before the maker's, and what is not for this
 * dough or this shape sets nothing.
 */
export function setsFor(
  schools: readonly School[],
  made: { readonly dough: Dough; readonly shape: Shape },
  maker: Choices,
  formula: Choices,
): SchoolSets {
  const chosen = { ...maker, ...formula }
  return schools
    .filter(({ families }) => families.includes(made.dough.family))
    .flatMap((school) => positionOf(school, chosen)?.sets ?? [])
    .filter((sets) => refusalOf(sets, made) === null)
    .reduce<SchoolSets>((all, sets) => ({ ...all, ...sets }), {})
}
