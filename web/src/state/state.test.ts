import { timeSchema } from '@harina/core'
import { readPreferences, writePreferences } from './preferencesSlice.ts'
import { timeNow } from './recordTap.ts'

describe('preferences', () => {
  const asTheDeviceIs = {
    voice: false,
    big: false,
    air: false,
    theme: 'system',
    sound: true,
    lastPath: '/formula',
    devicePxPerMm: null,
    gaugeChecked: false,
    scale: false,
    takesItself: false,
  }
  const holding = (text: string | null) => ({ getItem: () => text })

  it('start as the device is, with sound', () => {
    expect(readPreferences(holding(null))).toEqual(asTheDeviceIs)
  })

  it.each(['{broken', '[]', '{"theme":"neon","sound":"loud","lastPath":"https://elsewhere"}', 'null'])(
    'survive %s',
    (text) => {
      expect(readPreferences(holding(text))).toEqual(asTheDeviceIs)
    },
  )

  it('read back what was written, and shrug at a full store', () => {
    let kept = ''
    const preferences = {
      theme: 'lamp',
      sound: false,
      lastPath: '/log',
      devicePxPerMm: null,
      gaugeChecked: false,
      scale: false,
      takesItself: false,
      voice: true,
      big: false,
      air: false,
    } as const
    writePreferences({ setItem: (_, value) => (kept = value) }, preferences)
    expect(readPreferences(holding(kept))).toEqual(preferences)
    const full = () => {
      throw new Error('full')
    }
    expect(() => writePreferences({ setItem: full }, preferences)).not.toThrow()
  })
})

it('a tap’s time can be stored, to the millisecond, with its offset', () => {
  const at = timeNow(new Date(2031, 2, 1, 9, 5, 7, 42))
  expect(timeSchema.safeParse(at).success).toBe(true)
  expect(at).toContain('09:05:07.042')
  expect(Date.parse(at)).toBe(new Date(2031, 2, 1, 9, 5, 7, 42).getTime())
})
