import fc from 'fast-check'
import { evenness } from './evenness.ts'

const grams = fc.array(fc.double({ min: 0.5, max: 50, noNaN: true }), { minLength: 1, maxLength: 60 })
const asked = { targetG: 9, tolerancePercent: 8 }

it('one piece has no spread, and even pieces no drift', () => {
  expect(evenness({ ...asked, grams: [9.5] })).toMatchObject({ mean: 9.5, sd: null, cvPercent: null, drift: 'none' })
  expect(evenness({ ...asked, grams: Array(40).fill(9.5) as number[] })).toMatchObject({ sd: 0, driftFrom: null })
})

it('a hand that grows heavy is told of, from the piece where it shows; the mirror image drifts the other way', () => {
  const heavy = Array.from({ length: 20 }, (_, index) => 9 + index * 0.12)
  const up = evenness({ ...asked, grams: heavy, sigmaG: 0.3 })
  expect(up.drift).toBe('up')
  expect(up.driftFrom!).toBeGreaterThan(2)
  const down = evenness({ ...asked, grams: heavy.map((value) => 18 - value), sigmaG: 0.3 })
  expect(down).toMatchObject({ drift: 'down', driftFrom: up.driftFrom })
})

it('more pieces do not change what was said of the first ones', () => {
  fc.assert(
    fc.property(grams, fc.integer({ min: 1, max: 60 }), (all, count) => {
      const first = all.slice(0, count)
      const [part, whole] = [
        evenness({ ...asked, grams: first, sigmaG: 1 }),
        evenness({ ...asked, grams: all, sigmaG: 1 }),
      ]
      expect(whole.ewma.slice(0, first.length)).toEqual(part.ewma)
      if (part.driftFrom !== null) expect(whole.driftFrom).toBe(part.driftFrom)
    }),
  )
})

it('the weighted mean stays between the lightest, the heaviest and the target', () => {
  fc.assert(
    fc.property(grams, (all) => {
      const bounds = [...all, asked.targetG]
      for (const at of evenness({ ...asked, grams: all }).ewma) {
        expect(at).toBeGreaterThanOrEqual(Math.min(...bounds) - 1e-9)
        expect(at).toBeLessThanOrEqual(Math.max(...bounds) + 1e-9)
      }
    }),
  )
})

it('pieces outside are counted on both sides, and the edge is inside', () => {
  expect(evenness({ targetG: 100, tolerancePercent: 8, grams: [91.9, 92, 100, 108, 108.1] }).outside).toBe(2)
})
