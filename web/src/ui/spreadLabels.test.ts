import fc from 'fast-check'
import { spreadLabels } from './spreadLabels.ts'

it('leaves labels alone that do not crowd', () => {
  expect(spreadLabels([10, 60, 120], 34, 200)).toEqual([10, 60, 120])
})

it('pushes crowded labels apart, and up from the edge', () => {
  expect(spreadLabels([10, 12, 190, 199], 34, 200)).toEqual([10, 44, 166, 200])
})

it('keeps its distance and its order whatever it is given', () => {
  const wanted = fc
    .array(fc.double({ min: 0, max: 230, noNaN: true }), { minLength: 1, maxLength: 6 })
    .map((all) => all.sort((a, b) => a - b))
  fc.assert(
    fc.property(wanted, (places) => {
      const spread = spreadLabels(places, 34, 230)
      spread.slice(1).forEach((place, index) => expect(place - spread[index]!).toBeGreaterThanOrEqual(34 - 1e-9))
      expect(spread.at(-1)!).toBeLessThanOrEqual(230)
    }),
  )
})
