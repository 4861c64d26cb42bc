/** What a piece is before it is shaped: cut from a rope, a sheet or a die, stamped, or dropped. Lengths in mm. */
import { z } from '../zod.ts'
import { between, whole } from './ranges.ts'

/** How thick, and how long or wide: what can be cut, counted and drawn to scale. */
const thick = z.lazy(() => between(0.1, 500))
const long = z.lazy(() => between(0.5, 20_000))

export const blankSchema = z.lazy(() =>
  z.discriminatedUnion('type', [
    z.strictObject({
      type: z.literal('rope'),
      diameterMm: thick,
      cutMm: long,
      /** Rolled or pulled out further after the cut, to one strand or to many. */
      drawn: z.optional(
        z.strictObject({
          diameterMm: thick,
          lengthMm: z.optional(long),
          strands: z.optional(whole(1, 10_000)),
        }),
      ),
    }),
    z.strictObject({
      type: z.literal('sheet'),
      thicknessMm: thick,
      widthMm: long,
      lengthMm: long,
      drawn: z.optional(z.strictObject({ thicknessMm: thick, widthMm: z.optional(long) })),
    }),
    z.strictObject({ type: z.literal('disc'), diameterMm: between(3, 2000), thicknessMm: thick }),
    z.strictObject({
      type: z.literal('die'),
      section: z.string().check(z.minLength(1), z.maxLength(400)),
      outerMm: thick,
      innerMm: between(0, 500),
      /** Of one outlet. */
      openAreaMm2: between(0.001, 1_000_000),
      /** Section of the strand as it leaves, over the open area. */
      swell: between(0.1, 10),
      cutMm: long,
    }),
    /** Batter through a hole or off a board: a cylinder before it rounds up. */
    z.strictObject({
      type: z.literal('drop'),
      holeMm: long,
      lengthMm: long,
      by: z.enum(['hole', 'scraped', 'press', 'flicked', 'spoon']),
    }),
  ]),
)

export type Blank = z.infer<typeof blankSchema>
