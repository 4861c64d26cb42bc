/** What gives a dough colour and taste, and how it handles. */
import { someText, windowSchema } from '../model/index.ts'
import { z } from '../zod.ts'

export const flavourSchema = z.strictObject({
  ingredient: someText,
  /** On flour. */
  percent: windowSchema,
  colour: someText,
  strength: someText,
  handling: someText,
})

export type Flavour = z.infer<typeof flavourSchema>
