/** What the workspace keeps: formulas, flour lots, gear, batches and the draft. */
import { z } from '../zod.ts'
import { benchEventSchema, planSchema } from '../bench/schema.ts'
import { sheetSchema } from './sheet.ts'
import { idSchema, nameSchema, noteSchema, timeSchema } from './text.ts'

export const formulaSchema = z.strictObject({
  id: idSchema,
  sheet: sheetSchema,
  createdAt: timeSchema,
  updatedAt: timeSchema,
})

export const lotSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  ingredient: idSchema,
  note: noteSchema,
})

export const placeSchema = z.strictObject({
  id: idSchema,
  name: nameSchema,
  temperatureC: z.number().min(-20).max(60),
  rhPercent: z.number().min(5).max(95),
})

export const gearSchema = z.strictObject({
  id: z.literal('gear'),
  scaleStepG: z.number().min(0.01).max(10),
  boardMm: z.number().min(100).max(3000),
  places: z.array(placeSchema).min(1).max(20),
})

export const batchSchema = z.strictObject({
  id: idSchema,
  plan: planSchema,
  events: z.array(benchEventSchema).max(20_000),
})

export const draftSchema = z.strictObject({
  id: z.literal('draft'),
  /** The formula this began as, if it stands in the book. */
  formula: idSchema.nullable(),
  sheet: sheetSchema,
})

export type Formula = z.infer<typeof formulaSchema>
export type Lot = z.infer<typeof lotSchema>
export type Place = z.infer<typeof placeSchema>
export type Gear = z.infer<typeof gearSchema>
export type Batch = z.infer<typeof batchSchema>
export type Draft = z.infer<typeof draftSchema>

export const defaultGear: Gear = {
  id: 'gear',
  scaleStepG: 1,
  boardMm: 600,
  places: [{ id: 'kitchen', name: 'Kitchen', temperatureC: 21, rhPercent: 60 }],
}
