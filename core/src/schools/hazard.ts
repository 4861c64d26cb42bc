import { z } from '../zod.ts'

/** A caution that goes with a dough or a step. It defers to product labels, local codes and licensed practice. */
export const hazardSchema = z.strictObject({
  id: z.string().min(1),
  title: z.string().min(1),
  severity: z.enum(['note', 'caution', 'danger']),
  text: z.string().min(1),
})

export type Hazard = z.infer<typeof hazardSchema>
