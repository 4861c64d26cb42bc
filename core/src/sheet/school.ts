/** Schools of practice: where makers disagree, the positions they take, each with its reasons and with what it sets. */
import { DONE_BY, FAMILIES, someText } from '../model/index.ts'
import { z } from '../zod.ts'

/** What following a position does to a sheet; each field is a figure or a choice the position stands for. */
const setsSchema = z.lazy(() =>
  z.strictObject({
    saltPercent: z.optional(z.number().check(z.minimum(0))),
    oilPercent: z.optional(z.number().check(z.minimum(0))),
    waterC: z.optional(z.strictObject({ fromC: z.number(), toC: z.number() })),
    holdBack: z.optional(z.boolean()),
    goes: z.optional(z.enum(['once', 'thirds'])),
    rest: z.optional(z.enum(['low', 'best', 'long', 'cold'])),
    binder: z.optional(z.enum(['none', 'starch', 'egg'])),
    base: z.optional(z.string()),
    liquid: z.optional(z.string()),
    potSaltGPerL: z.optional(z.number().check(z.minimum(0))),
    dust: z.optional(z.enum(['semolina', 'flour', 'starch'])),
    board: z.optional(z.enum(['bare', 'floured', 'ridged'])),
    passing: z.optional(z.enum(['setting', 'piece'])),
    /** The flour waits until the potato is this cool, °C. */
    baseBelowC: z.optional(z.number()),
    batter: z.optional(z.enum(['beaten', 'combined'])),
    done: z.optional(z.enum(DONE_BY)),
    rinse: z.optional(z.boolean()),
  }),
)
export type SchoolSets = z.infer<typeof setsSchema>

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
          sets: z.optional(setsSchema),
        }),
      )
      .check(z.minLength(2)),
  }),
)

export type School = z.infer<typeof schoolSchema>
export type Position = School['positions'][number]
/** Topic to position. */
export type Choices = Readonly<Record<string, string>>

export const positionOf = (school: School, choices: Choices): Position | undefined =>
  school.positions.find((position) => position.id === choices[school.id])

/** What a maker's choices set for one family; a formula's own choices come before the maker's. */
export function setsFor(schools: readonly School[], family: string, maker: Choices, formula: Choices): SchoolSets {
  const chosen = { ...maker, ...formula }
  return schools
    .filter((school) => (school.families as readonly string[]).includes(family))
    .reduce<SchoolSets>((sets, school) => ({ ...sets, ...positionOf(school, chosen)?.sets }), {})
}
