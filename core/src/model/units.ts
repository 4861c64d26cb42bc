/** What a maker reads and types in; everything is stored in g, mm and °C. */
import { z } from '../zod.ts'

/** Eggs as they are sold, by their size where they are. */
export const EGG_SIZES = [
  'any',
  'eu-s',
  'eu-m',
  'eu-l',
  'eu-xl',
  'us-m',
  'us-l',
  'us-xl',
  'au-m',
  'au-l',
  'au-xl',
  'jp-ms',
  'jp-m',
  'jp-l',
] as const
export type EggSize = (typeof EGG_SIZES)[number]

export const unitsSchema = z.lazy(() =>
  z.strictObject({
    mass: z.enum(['g', 'kg', 'oz', 'lb']),
    volume: z.enum(['ml', 'cup']),
    cup: z.enum(['us', 'metric', 'imperial', 'japan', 'china']),
    temperature: z.enum(['°C', '°F']),
    length: z.enum(['mm', 'in']),
    egg: z.enum(EGG_SIZES),
  }),
)

export type Units = z.infer<typeof unitsSchema>

export const defaultUnits: Units = {
  mass: 'g',
  volume: 'ml',
  cup: 'metric',
  temperature: '°C',
  length: 'mm',
  egg: 'any',
}
