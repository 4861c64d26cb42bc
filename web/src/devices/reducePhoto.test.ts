import fc from 'fast-check'
import { fitted, PHOTO_MAX_PX, reducePhoto } from './reducePhoto.ts'

it('brings the longer side down to the most, keeps the proportions, and never enlarges', () => {
  const px = fc.integer({ min: 1, max: 20_000 })
  fc.assert(
    fc.property(px, px, (width, height) => {
      const { widthPx, heightPx } = fitted(width, height)
      expect(Math.max(widthPx, heightPx)).toBeLessThanOrEqual(PHOTO_MAX_PX)
      expect(widthPx <= width && heightPx <= height && widthPx >= 1 && heightPx >= 1).toBe(true)
      if (width <= PHOTO_MAX_PX && height <= PHOTO_MAX_PX) expect([widthPx, heightPx]).toEqual([width, height])
      // Each side is whole pixels: half of one, either way.
      const share = Math.min(1, PHOTO_MAX_PX / Math.max(width, height))
      expect(Math.abs(widthPx - width * share)).toBeLessThanOrEqual(1)
    }),
  )
})

it('what no browser can read, and what is enormous, is said and not kept', async () => {
  Object.assign(globalThis, { createImageBitmap: () => Promise.reject(new Error('no picture')) })
  expect(await reducePhoto(new Blob(['words']))).toBe('not-a-picture')
  expect(await reducePhoto({ size: 70_000_000 } as Blob)).toBe('too-big')
  Reflect.deleteProperty(globalThis, 'createImageBitmap')
})
