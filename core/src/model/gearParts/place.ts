import { z } from '../../zod.ts'
import { AIRS } from '../tray.ts'
import { figureSchemas, partOf, type GearPartSpec } from './part.ts'

export const airFigures = {
  temperatureC: { unit: '°C', low: -20, high: 60 },
  rhPercent: { unit: '%', low: 5, high: 95, decimals: 0 },
} as const

const part = partOf({
  list: 'places',
  atLeast: 1,
  figures: airFigures,
  more: () => ({
    /** How the air moves where a rack stands there. */
    air: z.enum(AIRS),
    /** From evening to morning, where that is another air. */
    night: z.nullable(z.strictObject(figureSchemas(airFigures))),
    /** As it came: nobody has read these figures off anything. */
    guessed: z.optional(z.literal(true)),
  }),
})

export type Place = z.infer<typeof part.schema>
export const placePart = {
  ...part,
  fresh: { name: 'New place', temperatureC: 20, rhPercent: 55, air: 'still', night: null, guessed: true },
} as const satisfies GearPartSpec<Place>

/** A place, or where a tray stands in it, once somebody has read its air. */
export const asRead = <P extends Pick<Place, 'temperatureC' | 'rhPercent' | 'guessed'>>(
  { guessed: _, ...rest }: P,
  { temperatureC, rhPercent }: Pick<Place, 'temperatureC' | 'rhPercent'>,
) => ({ ...rest, temperatureC, rhPercent })
