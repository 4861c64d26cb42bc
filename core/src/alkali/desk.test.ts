import fc from 'fast-check'
import { testKitchen } from '../testing/testKitchen.ts'
import { saltsIn, stockSolution, swappable, teaspoonG } from './desk.ts'

it('a 10 % stock for four doughs of 3 g: the worked figures', () => {
  expect(stockSolution(3, 10, 4)).toEqual({ powderG: 12, waterG: 108, solutionG: 30, bringsWaterG: 27 })
})

it('a stock holds what it is poured from, and each pour holds its dose', () => {
  const dose = fc.double({ min: 0.1, max: 60, noNaN: true })
  fc.assert(
    fc.property(dose, fc.double({ min: 1, max: 30, noNaN: true }), fc.integer({ min: 1, max: 40 }), (g, percent, n) => {
      const stock = stockSolution(g, percent, n)
      expect(stock.powderG + stock.waterG).toBeCloseTo(n * stock.solutionG, 6)
      expect(stock.bringsWaterG + g).toBeCloseTo(stock.solutionG, 6)
      expect((100 * stock.powderG) / (stock.powderG + stock.waterG)).toBeCloseTo(percent, 6)
    }),
  )
})

it('the salts of every alkali of the table are all of its mass', () => {
  for (const id of [...swappable, 'baking-soda'])
    expect(saltsIn(id, 10).reduce((sum, part) => sum + part.grams, 0)).toBeCloseTo(10, 9)
  expect(saltsIn('lye-of-unknown-strength', 10)).toEqual([])
})

it('unbaked soda stands in for nothing', () => expect(swappable).not.toContain('baking-soda'))

it('a teaspoon is anything between a level and a heaped one: why nobody should use one', () => {
  const powder = {
    ...testKitchen.ingredients.get('carbonate')!,
    densityGPerMl: 0.9,
    cupFactor: { low: 0.8, high: 1.5 },
  }
  const { lowG, highG } = teaspoonG(powder)
  expect([lowG, highG]).toEqual([expect.closeTo(3.6, 9), expect.closeTo(6.75, 9)])
})
