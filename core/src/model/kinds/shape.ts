import { z } from '../../zod.ts'
import { kindOf } from './kind.ts'
import { shapeObject } from '../shape.ts'
import { idSchema, lineSchema, nameSchema } from '../text.ts'

/** A shape of the maker's own, or one of the table put right: one of the same identifier stands in its place. */
export const ownShapeSchema = z.lazy(() =>
  z.extend(shapeObject(), {
    id: idSchema,
    name: nameSchema,
    origin: nameSchema,
    otherNames: z.array(nameSchema).check(z.maxLength(10)),
    tools: z.array(z.strictObject({ tool: nameSchema, instead: nameSchema })).check(z.minLength(1), z.maxLength(20)),
    steps: z.array(lineSchema).check(z.minLength(2), z.maxLength(30)),
    checks: z.array(lineSchema).check(z.minLength(1), z.maxLength(20)),
    tooStiff: lineSchema,
    tooSoft: lineSchema,
    mistakes: z
      .array(z.strictObject({ sign: lineSchema, cause: lineSchema, remedy: lineSchema }))
      .check(z.minLength(1), z.maxLength(20)),
    board: lineSchema,
    doneSign: lineSchema,
  }),
)

export type OwnShape = z.infer<typeof ownShapeSchema>

export const shapeKind = kindOf({
  home: 'shapes',
  one: false,
  held: true,
  table: { name: 'shapes', keys: 'id' },
  schema: ownShapeSchema,
  references: [],
  upgrades: {},
  since: 3,
  nameOf: ({ name }) => name,
})
