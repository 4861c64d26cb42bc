/** What a piece is before it is shaped: cut from a rope, a sheet or a die, stamped, or dropped. Lengths in mm. */
import { z } from '../zod.ts'
import { between, lengthMm as mm } from './ranges.ts'

export const blankSchema = z.discriminatedUnion('type', [
  z.strictObject({
    type: z.literal('rope'),
    diameterMm: mm,
    cutMm: mm,
    /** Rolled or pulled out further after the cut, to one strand or to many. */
    drawn: z
      .strictObject({
        diameterMm: mm,
        lengthMm: mm.optional(),
        strands: z.number().int().positive().max(100_000).optional(),
      })
      .optional(),
  }),
  z.strictObject({
    type: z.literal('sheet'),
    thicknessMm: mm,
    widthMm: mm,
    lengthMm: mm,
    drawn: z.strictObject({ thicknessMm: mm, widthMm: mm.optional() }).optional(),
  }),
  z.strictObject({ type: z.literal('disc'), diameterMm: mm, thicknessMm: mm }),
  z.strictObject({
    type: z.literal('die'),
    section: z.string().min(1).max(400),
    outerMm: mm,
    innerMm: between(0, 20_000),
    /** Of one outlet. */
    openAreaMm2: between(0.001, 1_000_000),
    /** Section of the strand as it leaves, over the open area. */
    swell: between(0.1, 10),
    cutMm: mm,
  }),
  /** Batter through a hole or off a board: a cylinder before it rounds up. */
  z.strictObject({
    type: z.literal('drop'),
    holeMm: mm,
    lengthMm: mm,
    by: z.enum(['hole', 'scraped', 'press', 'flicked', 'spoon']),
  }),
])

export type Blank = z.infer<typeof blankSchema>
