/** Schools of practice: where makers disagree, the positions they take, each with its reasons and with what it sets. */
import { FAMILIES } from '../model/index.ts'
import { z } from '../zod.ts'

/** What following a position does to a sheet; each field is a figure or a choice the position stands for. */
const setsSchema = z.strictObject({
  saltPercent: z.number().min(0).optional(),
  oilPercent: z.number().min(0).optional(),
  waterC: z.number().optional(),
  holdBack: z.boolean().optional(),
  rest: z.enum(['low', 'best', 'long', 'cold']).optional(),
  binder: z.enum(['none', 'starch', 'egg']).optional(),
  base: z.string().optional(),
  liquid: z.string().optional(),
  potSaltGPerL: z.number().min(0).optional(),
})
export type SchoolSets = z.infer<typeof setsSchema>

export const schoolSchema = z.strictObject({
  id: z.string().min(1),
  topic: z.string().min(1),
  question: z.string().min(1),
  families: z.array(z.enum(FAMILIES)).min(1),
  positions: z
    .array(
      z.strictObject({
        id: z.string().min(1),
        name: z.string().min(1),
        stance: z.string().min(1),
        why: z.array(z.string().min(1)).min(1),
        sets: setsSchema.optional(),
      }),
    )
    .min(2),
})

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
