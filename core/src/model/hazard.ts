import { z } from '../zod.ts'
import { someText } from './text.ts'

/** A caution that goes with a dough or a step. It defers to product labels, local codes and licensed practice. */
export const hazardSchema = z.lazy(() =>
  z.strictObject({
    id: someText,
    title: someText,
    severity: z.enum(['note', 'caution', 'danger']),
    text: someText,
  }),
)

export type Hazard = z.infer<typeof hazardSchema>
