import { beliefsOver, lotFromHistory } from './flourLot.ts'

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

it('before any batch the belief is the prior; with each the band closes in, and the last is what is poured by', () => {
  const seen = [1.5, 2.2, 1.9, -4]
  const beliefs = beliefsOver(seen)
  expect(beliefs).toHaveLength(5)
  expect(beliefs[0]).toMatchObject({ shift: 0, sd: 2, n: 0 })
  expect(beliefs.at(-1)).toEqual(lotFromHistory(seen))
  for (let n = 1; n < beliefs.length; n += 1) expect(beliefs[n]!.sd).toBeLessThan(beliefs[n - 1]!.sd)
})
