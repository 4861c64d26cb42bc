/** What this maker prefers on this device. Kept in localStorage, so that the first paint has the right theme. */
import { DRIED_FROM, DRIED_MOISTURE, DRIED_TO, z } from '@harina/core'
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import { readLocal, writeLocal } from '../storage/local.ts'

const preferencesSchema = z.object({
  theme: z.catch(z.enum(['day', 'lamp', 'system']), 'system'),
  sound: z.catch(z.boolean(), true),
  /** Device pixels a millimetre on this screen, once measured against a card; then whether a second length agreed. */
  devicePxPerMm: z.catch(z.nullable(z.number().check(z.minimum(1), z.maximum(120))), null),
  gaugeChecked: z.catch(z.boolean(), false),
  /** The bench reads a scale; what stands still on it is taken by itself. */
  scale: z.catch(z.boolean(), false),
  takesItself: z.catch(z.boolean(), false),
  /** The bench is spoken aloud; its type is larger. */
  voice: z.catch(z.boolean(), false),
  big: z.catch(z.boolean(), false),
  /** Times that were logged move those of the table, in the pot and on the rack. */
  learnt: z.catch(z.boolean(), true),
  /** How dry the last tray was wanted, fraction of water. */
  driedTo: z.catch(z.number().check(z.minimum(DRIED_FROM), z.maximum(DRIED_TO)), DRIED_MOISTURE),
  /** The air sensor is read. */
  air: z.catch(z.boolean(), false),
  lastPath: z.catch(z.string().check(z.regex(/^\/\w/), z.maxLength(200)), '/formula'),
})

export type Preferences = z.infer<typeof preferencesSchema>
const KEY = 'harina.preferences'

export function readPreferences(kept = readLocal(KEY)): Preferences {
  try {
    return preferencesSchema.parse(JSON.parse(kept ?? '{}'))
  } catch {
    return preferencesSchema.parse({})
  }
}

export const writePreferences = (preferences: Preferences): void => writeLocal(KEY, JSON.stringify(preferences))

export const preferencesSlice = createSlice({
  name: 'preferences',
  initialState: preferencesSchema.parse({}),
  reducers: {
    preferred: (state, { payload }: PayloadAction<Partial<Preferences>>) => ({ ...state, ...payload }),
  },
})

export const { preferred } = preferencesSlice.actions
