/** What this maker prefers on this device. Kept in localStorage, so that the first paint has the right theme. */
import { z } from '@harina/core'
import { createSlice, type PayloadAction } from '@reduxjs/toolkit'
import { readLocal, writeLocal } from './local.ts'

const preferencesSchema = z.object({
  theme: z.enum(['day', 'lamp', 'system']).catch('system'),
  sound: z.boolean().catch(true),
  /** Device pixels a millimetre on this screen, once measured against a card; then whether a second length agreed. */
  devicePxPerMm: z.number().min(1).max(120).nullable().catch(null),
  gaugeChecked: z.boolean().catch(false),
  /** The bench reads a scale; what stands still on it is taken by itself. */
  scale: z.boolean().catch(false),
  takesItself: z.boolean().catch(false),
  /** The bench is spoken aloud; its type is larger. */
  voice: z.boolean().catch(false),
  big: z.boolean().catch(false),
  /** The air sensor is read. */
  air: z.boolean().catch(false),
  lastPath: z.string().startsWith('/').max(200).catch('/formula'),
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
