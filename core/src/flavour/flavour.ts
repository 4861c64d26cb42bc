/** What gives a dough colour and taste, and how it handles. */
import { between, someText } from '../model/index.ts'
import { z } from '../zod.ts'

export const flavourSchema = z.strictObject({
  ingredient: someText,
  /** On flour, from where it is tasted; how much at most stands with the ingredient. */
  percent: z.strictObject({ low: between(0.01, 100), best: between(0.01, 100) }),
  colour: someText,
  strength: someText,
  handling: someText,
})

export type Flavour = z.infer<typeof flavourSchema>
