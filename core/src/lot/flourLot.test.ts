import { lotFromHistory } from './flourLot.ts'

it('holds back 4.3 points of a lot nobody knows, and under 2 after three batches', () => {
  const held = (observations: number[]) => 2 * lotFromHistory(observations).predictiveSd
  expect(held([])).toBeCloseTo(4.31, 2)
  expect(held([1.5, 2.2, 1.9])).toBeLessThan(2)
})

it('believes one batch most of the way, never all of it', () => {
  const { shift, n } = lotFromHistory([2])
  expect(n).toBe(1)
  expect(shift).toBeCloseTo((2 * 4) / 4.64, 6)
})
