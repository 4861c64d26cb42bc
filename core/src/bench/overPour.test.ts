import fc from 'fast-check'
import { computeSheet } from '../sheet/index.ts'
import { testKitchen, testSheet } from '../testing/testKitchen.ts'
import { bowlOnRule, waterTargets } from './bowl.ts'
import { initialState } from './state.ts'
import { overPour } from './overPour.ts'
import { planBatch } from './planBatch.ts'

const worked = computeSheet(testSheet, testKitchen)
if (!worked.ok) throw new Error(worked.problem.code)
const plan = planBatch(worked.value, testKitchen, '2031-03-01T09:00:00+00:00', null)
const { totalG } = waterTargets(plan, initialState)

it('up to all of it nothing is over', () => {
  expect(overPour(plan, initialState, totalG)).toBeNull()
  expect(overPour(plan, initialState, totalG * 0.5)).toBeNull()
  expect(overPour({ ...plan, control: { by: 'base', base: 'potato' } }, initialState, totalG * 2)).toBeNull()
})

it('the flour it names brings the bowl back to where the formula wants it, whatever was poured', () => {
  fc.assert(
    fc.property(fc.double({ min: 1.02, max: 3, noNaN: true }), (times) => {
      const pouredG = totalG * times
      const over = overPour(plan, initialState, pouredG)!
      const wanted = bowlOnRule(plan, { ...initialState, pouredG: totalG })
      expect(over.points).toBeCloseTo(bowlOnRule(plan, { ...initialState, pouredG }) - wanted, 9)
      const { flourG: addedFlourG, saltG: addedSaltG } = over
      expect(bowlOnRule(plan, { ...initialState, pouredG, addedFlourG, addedSaltG })).toBeCloseTo(wanted, 6)
    }),
  )
})
