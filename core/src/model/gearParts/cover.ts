import type { z } from '../../zod.ts'
import { partOf, type GearPartSpec } from './part.ts'

/** How much of the exchange with the room it leaves: what is tight lets hardly anything through. */
export const coverFigures = { open: { unit: '%', low: 0.005, high: 1, share: true } } as const

/** What is laid over a tray. */
const part = partOf({ list: 'covers', atLeast: 0, figures: coverFigures, more: () => ({}) })

export type Cover = z.infer<typeof part.schema>
export const coverPart = { ...part, fresh: { name: 'a net', open: 0.6 } } as const satisfies GearPartSpec<Cover>
