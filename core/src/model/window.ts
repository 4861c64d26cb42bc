import { z } from '../zod.ts'
import { between, reckoned } from './ranges.ts'

/** low = stiffest that still works, best = where to start, high = softest; in the dough's own control variable. */
export const windowSchema = z.lazy(() =>
  z
    .strictObject({ low: reckoned, best: reckoned, high: reckoned })
    .check(z.refine((w) => w.low <= w.best && w.best <= w.high, { params: { code: 'window-out-of-order' } })),
)

export type Window = z.infer<typeof windowSchema>

export const spanSchema = z.lazy(() => z.tuple([between(0, 100_000), between(0, 100_000)]))

/** The same window, so many points higher. */
export const shifted = ({ low, best, high }: Window, points: number): Window => ({
  low: low + points,
  best: best + points,
  high: high + points,
})
