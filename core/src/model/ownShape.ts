import { z } from '../zod.ts'
import { shapeSchema } from './shape.ts'
import { idSchema, lineSchema, nameSchema } from './text.ts'

/** A shape of the maker's own, or one of the table put right: one of the same identifier stands in its place. */
export const ownShapeSchema = shapeSchema.extend({
  id: idSchema,
  name: nameSchema,
  origin: nameSchema,
  otherNames: z.array(nameSchema).max(10),
  tools: z
    .array(z.strictObject({ tool: nameSchema, instead: nameSchema }))
    .min(1)
    .max(20),
  steps: z.array(lineSchema).min(2).max(30),
  checks: z.array(lineSchema).min(1).max(20),
  tooStiff: lineSchema,
  tooSoft: lineSchema,
  mistakes: z
    .array(z.strictObject({ sign: lineSchema, cause: lineSchema, remedy: lineSchema }))
    .min(1)
    .max(20),
  board: lineSchema,
  doneSign: lineSchema,
})

export type OwnShape = z.infer<typeof ownShapeSchema>
