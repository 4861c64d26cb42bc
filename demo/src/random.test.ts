import { seeded } from './random.ts'

const draws = (seed: number, count = 2000) => {
  const random = seeded(seed)
  return Array.from({ length: count }, () => random.next())
}

it('the same seed draws the same, another one differently', () => {
  expect(draws(7)).toEqual(draws(7))
  expect(draws(7)).not.toEqual(draws(8))
})

it('stays within nought and one, evenly enough', () => {
  const all = draws(4810)
  expect(all.every((value) => value >= 0 && value < 1)).toBe(true)
  expect(all.reduce((sum, value) => sum + value, 0) / all.length).toBeCloseTo(0.5, 1)
})

it('normal draws have the mean and spread asked for', () => {
  const random = seeded(1)
  const all = Array.from({ length: 4000 }, () => random.normal(10, 2))
  const mean = all.reduce((sum, value) => sum + value, 0) / all.length
  const sd = Math.sqrt(all.reduce((sum, value) => sum + (value - mean) ** 2, 0) / all.length)
  expect(mean).toBeCloseTo(10, 0)
  expect(sd).toBeCloseTo(2, 0)
})

it('whole numbers reach both ends; nothing can be picked from nothing', () => {
  const random = seeded(3)
  const all = new Set(Array.from({ length: 300 }, () => random.whole(-1, 2)))
  expect([...all].sort((a, b) => a - b)).toEqual([-1, 0, 1, 2])
  expect(() => random.pick([])).toThrow('empty list')
})
