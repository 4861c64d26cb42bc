import fc from 'fast-check'
import { CUP_ML, inMeasures } from './index.ts'

it.each([
  [333, { cups: 4 / 3, tablespoons: 1, teaspoons: 0 }],
  [59.15, { cups: 1 / 4, tablespoons: 0, teaspoons: 0 }],
  [4, { cups: 0, tablespoons: 0, teaspoons: 0.75 }],
  [44, { cups: 0, tablespoons: 3, teaspoons: 0 }],
  [0.1, { cups: 0, tablespoons: 0, teaspoons: 0.25 }],
])('%d ml', (ml, told) => {
  const found = inMeasures(ml, CUP_ML.us)
  expect(found.cups).toBeCloseTo(told.cups, 6)
  expect([found.tablespoons, found.teaspoons]).toEqual([told.tablespoons, told.teaspoons])
})

it('what the measures hold is near what was asked, never nothing, and spoons are carried into tablespoons', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 1, max: 20_000, noNaN: true }),
      fc.constantFrom(...Object.values(CUP_ML)),
      (ml, cupMl) => {
        const { cups, tablespoons, teaspoons, ml: held } = inMeasures(ml, cupMl)
        expect(held).toBeCloseTo(cups * cupMl + tablespoons * 15 + teaspoons * 5, 6)
        expect(teaspoons).toBeLessThan(3)
        expect(held).toBeGreaterThan(0)
        // Far inside what one filled cup of flour differs from the next.
        expect(Math.abs(held - ml)).toBeLessThanOrEqual(ml < 15 ? 0.63 : ml < 60 ? 2.51 : 0.042 * ml)
      },
    ),
  )
})
