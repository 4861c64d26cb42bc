import { z } from '../zod.ts'

/** low = stiffest that still works, best = where to start, high = softest; in the dough's own control variable. */
export const windowSchema = z
  .strictObject({ low: z.number(), best: z.number(), high: z.number() })
  .refine((w) => w.low <= w.best && w.best <= w.high, { params: { code: 'window-out-of-order' } })

export type Window = z.infer<typeof windowSchema>

export const spanSchema = z.tuple([z.number().min(0), z.number().min(0)])
