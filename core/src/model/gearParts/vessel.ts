import type { z } from '../../zod.ts'
import { partOf, type GearPartSpec } from './part.ts'

/** What a mix has to fit into. */
const part = partOf({
  list: 'vessels',
  atLeast: 0,
  figures: { maxDoughG: { unit: 'g', low: 10, high: 1_000_000 } },
  more: () => ({}),
})

export type Vessel = z.infer<typeof part.schema>
export const vesselPart = {
  ...part,
  fresh: { name: 'New bowl', maxDoughG: 1500 },
} as const satisfies GearPartSpec<Vessel>
