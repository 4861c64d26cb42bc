/** What gives a dough colour and taste, and how it handles. */
import { windowSchema } from '../model/index.ts'
import { z } from '../zod.ts'

export const flavourSchema = z.strictObject({
  ingredient: z.string().min(1),
  /** On flour. */
  percent: windowSchema,
  colour: z.string().min(1),
  strength: z.string().min(1),
  handling: z.string().min(1),
})

export type Flavour = z.infer<typeof flavourSchema>
