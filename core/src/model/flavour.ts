/** What gives a dough colour and taste, and how it handles. */
import { z } from '../zod.ts'
import { between } from './ranges.ts'
import { someText } from './text.ts'

export const flavourSchema = z.lazy(() =>
  z.strictObject({
    ingredient: someText,
    /** On flour, from where it is tasted; how much at most stands with the ingredient. */
    percent: z.strictObject({ low: between(0.01, 100), best: between(0.01, 100) }),
    colour: someText,
    strength: someText,
    handling: someText,
  }),
)

export type Flavour = z.infer<typeof flavourSchema>
