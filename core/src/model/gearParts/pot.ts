import type { z } from '../../zod.ts'
import { partOf, type GearPartSpec } from './part.ts'

/** A household's large pot, where Gear has none: litres it holds. */
export const USUAL_POT_L = 8

const part = partOf({
  list: 'pots',
  atLeast: 0,
  figures: {
    holdsL: { unit: 'count', low: 0.1, high: 1000 },
    /** Of the ring it stands on; null where nobody has said. */
    ringKW: { unit: 'count', low: 0.1, high: 100, decimals: 1, open: true },
  },
  more: () => ({}),
})

export const potSchema = part.schema
export type Pot = z.infer<typeof part.schema>
export const potPart = {
  ...part,
  fresh: { name: 'New pot', holdsL: USUAL_POT_L, ringKW: null },
} as const satisfies GearPartSpec<Pot>
