import { timeSchema } from '@harina/core'
import { readPreferences, writePreferences } from './preferencesSlice.ts'
import { timeNow } from './bench.ts'

describe('preferences', () => {
  const asTheDeviceIs = {
    voice: false,
    big: false,
    air: false,
    learnt: true,
    driedTo: 0.125,
    theme: 'system',
    sound: true,
    lastPath: '/formula',
    devicePxPerMm: null,
    gaugeChecked: false,
    scale: false,
    takesItself: false,
  }

  it('start as the device is, with sound', () => {
    expect(readPreferences(null)).toEqual(asTheDeviceIs)
  })

  it.each([
    '{broken',
    '[]',
    '{"theme":"neon","sound":"loud","lastPath":"https://elsewhere"}',
    '{"lastPath":"//elsewhere"}',
    'null',
  ])('survive %s', (text) => {
    expect(readPreferences(text)).toEqual(asTheDeviceIs)
  })

  it('read back what was written, and shrug at a full store', () => {
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
      learnt: false,
      driedTo: 0.12,
    } as const
    writePreferences(preferences)
    expect(readPreferences()).toEqual(preferences)
    const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new Error('full')
    })
    expect(() => writePreferences({ ...preferences, theme: 'day' })).not.toThrow()
    full.mockRestore()
    expect(readPreferences()).toEqual(preferences)
    localStorage.clear()
  })
})

it('a tap’s time can be stored, to the millisecond, with its offset', () => {
  const at = timeNow(new Date(2031, 2, 1, 9, 5, 7, 42))
  expect(timeSchema.safeParse(at).success).toBe(true)
  expect(at).toContain('09:05:07.042')
  expect(Date.parse(at)).toBe(new Date(2031, 2, 1, 9, 5, 7, 42).getTime())
})
