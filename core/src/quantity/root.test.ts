import fc from 'fast-check'
import { rootBetween } from './root.ts'

it.each([
  [0, 2, (x: number) => x * x - 2, Math.SQRT2],
  [0, Math.PI / 2, (x: number) => x * Math.sin(x) - Math.cos(x), 0.8603335890193798],
  [-5, 5, (x: number) => x ** 3, 0],
])('between %d and %d it is found to the last digit', (low, high, rising, root) => {
  expect(Math.abs(rootBetween(low, high, rising) - root)).toBeLessThanOrEqual(4 * Number.EPSILON)
})

it('a step is found from above: there it holds, just below it does not', () => {
  const step = fc.double({ min: -1e6, max: 1e6, noNaN: true })
  fc.assert(
    fc.property(step, (at) => {
      const found = rootBetween(-2e6, 2e6, (x) => (x >= at ? 1 : -1))
      expect(found - at).toBe(0)
    }),
  )
})

it.each([
  [NaN, 1, NaN],
  [0, NaN, NaN],
  [0, Infinity, Infinity],
])('between %d and %d there is nothing to halve, and it ends', (low, high, end) => {
  expect(rootBetween(low, high, (x) => x - 1)).toBe(end)
})

it('of a function that is no number it ends too', () => {
  expect(rootBetween(0, 1, () => NaN)).toBeLessThan(1e-300)
})

it.each([
  ['never there', () => -1, 3],
  ['always there', () => 1, 1],
])('ends where it is %s', (_, rising, end) => {
  expect(Math.abs(rootBetween(1, 3, rising) - end)).toBeLessThanOrEqual(2 * Number.EPSILON)
})
