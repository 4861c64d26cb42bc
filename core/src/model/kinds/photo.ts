import { z } from '../../zod.ts'
import { whole } from '../ranges.ts'
import { kindOf } from './kind.ts'
import { idSchema, noteSchema, timeSchema } from '../text.ts'

/** A photo taken at a step, reduced before it is kept. Raster pictures only: a drawing could carry a script. */
export const photoSchema = z.lazy(() =>
  z.strictObject({
    id: idSchema,
    batch: idSchema,
    step: idSchema,
    at: timeSchema,
    type: z.enum(['image/jpeg', 'image/webp', 'image/png']),
    base64: z.base64().check(z.minLength(1), z.maxLength(4_000_000)),
    widthPx: whole(1, 8000),
    heightPx: whole(1, 8000),
    note: noteSchema,
  }),
)

export type Photo = z.infer<typeof photoSchema>

export const photoKind = kindOf({
  home: 'photos',
  one: false,
  held: false,
  // By their length, too: so that their sum is known without reading one.
  table: { name: 'photos', keys: 'id, batch, base64.length' },
  schema: photoSchema,
  references: [{ at: 'batch', to: 'batch', partOf: true }],
  upgrades: {},
  since: 4,
  nameOf: ({ at }) => at.slice(0, 16).replace('T', ' '),
})
