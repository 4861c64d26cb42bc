import { z } from '../../zod.ts'
import { between, whole } from '../ranges.ts'
import { partOf, type GearPartSpec } from './part.ts'

export const gapFigure = { unit: 'mm', low: 0.05, high: 50 } as const
const MOST_SETTINGS = 40

/** A roller by what was measured of it; see `settingsOf`. */
const part = partOf({
  list: 'rollers',
  atLeast: 0,
  figures: {
    widthMm: { unit: 'mm', low: 20, high: 2000 },
    settings: { unit: 'count', low: 2, high: MOST_SETTINGS, whole: true },
    /** Thickness of a sheet that has left it, over its gap. */
    springBack: { unit: 'count', low: 1, high: 1.5, decimals: 2 },
  },
  more: () => ({
    widest: z.enum(['first', 'last']),
    measured: z
      .array(z.strictObject({ setting: whole(1, MOST_SETTINGS), gapMm: between(gapFigure.low, gapFigure.high) }))
      .check(z.maxLength(MOST_SETTINGS)),
  }),
})

export const rollerSchema = part.schema
export type KeptRoller = z.infer<typeof part.schema>
export const rollerPart = {
  ...part,
  /** A usual dial to begin with, until its owner has measured it. */
  fresh: {
    name: 'New roller',
    widthMm: 145,
    settings: 7,
    widest: 'first',
    measured: [
      { setting: 1, gapMm: 2.8 },
      { setting: 7, gapMm: 0.5 },
    ],
    springBack: 1.1,
  },
} satisfies GearPartSpec<KeptRoller>
