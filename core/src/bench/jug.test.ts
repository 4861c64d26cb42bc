/** What is made up with the water is poured with it, gram for gram, and water is counted as water. */
import fc from 'fast-check'
import type { Sheet } from '../model/index.ts'
import { testKitchen, testSheet, workSheet } from '../testing/testKitchen.ts'
import { jugOf, onTheScaleG, waterOfG, type Jug } from './jug.ts'
import { planBatch } from './planBatch.ts'
import { initialState } from './state.ts'

const jug: Jug = { waterG: 100, others: [{ key: 'egg', name: 'egg', grams: 50 }], totalG: 150 }

it.each([
  // Half as much again while it is out of the jug; plain water after it.
  [0, 40, 60],
  [0, 100, 150],
  [80, 20, 30],
  [80, 35, 45],
  [100, 10, 10],
  [130, 5, 5],
])('with %d g of water in, %d g more is %d g on the scale', (inG, waterG, scaleG) => {
  expect(onTheScaleG(jug, inG, waterG)).toBeCloseTo(scaleG, 9)
  expect(waterOfG(jug, inG, scaleG)).toBeCloseTo(waterG, 9)
})

it('there and back is the same water, whatever the jug', () => {
  const grams = fc.double({ min: 0, max: 5000, noNaN: true })
  fc.assert(
    fc.property(grams, grams, grams, grams, (waterG, otherG, inG, pouredG) => {
      const made: Jug = { waterG, others: [{ key: 'a', name: 'a', grams: otherG }], totalG: waterG + otherG }
      fc.pre(waterG === 0 || otherG / waterG < 1e6)
      expect(waterOfG(made, inG, onTheScaleG(made, inG, pouredG))).toBeCloseTo(pouredG, 6)
    }),
  )
})

it('a sheet with egg in it has it in the jug, as it was weighed; salt is no liquid', () => {
  const egg = { ...testKitchen.ingredients.get('potato')!, id: 'egg', name: 'egg', group: 'egg' } as const
  const kitchen = { ...testKitchen, ingredients: new Map([...testKitchen.ingredients, ['egg', egg]]) }
  const rows = [...testSheet.rows, { key: 'egg', ingredient: 'egg', amount: { by: 'percent', percent: 20 } } as const]
  const planOf = (sheet: Sheet) => planBatch(workSheet(sheet, kitchen), kitchen, '2031-03-01T09:00:00+00:00', null)
  const plain = planOf(testSheet)
  expect(jugOf(plain, initialState).others).toEqual([])
  const plan = planOf({ ...testSheet, rows })
  const planned = plan.rows.find(({ key }) => key === 'egg')!.weighedG
  expect(jugOf(plan, initialState).others).toEqual([{ key: 'egg', name: 'egg', grams: planned }])
  const weighed = jugOf(plan, { weighedG: { egg: planned + 3 } })
  expect(weighed.totalG).toBeCloseTo(plan.water.startG + planned + 3, 6)
})
