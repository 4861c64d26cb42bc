/** What a maker reads and types in; everything is stored in g, mm and °C. */
import { z } from '../zod.ts'

export const unitsSchema = z.strictObject({
  mass: z.enum(['g', 'kg', 'oz', 'lb']),
  volume: z.enum(['ml', 'cup']),
  cup: z.enum(['us', 'metric', 'imperial', 'japan', 'china']),
  temperature: z.enum(['°C', '°F']),
  length: z.enum(['mm', 'in']),
})

export type Units = z.infer<typeof unitsSchema>

export const defaultUnits: Units = { mass: 'g', volume: 'ml', cup: 'metric', temperature: '°C', length: 'mm' }
