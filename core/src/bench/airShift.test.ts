import { testKitchen, testSheet, workSheet } from '../testing/testKitchen.ts'
import { airShiftG, isAirShiftTold } from './airShift.ts'
import { planBatch } from './planBatch.ts'

const grainOf = (ingredient: string) => testKitchen.ingredients.get(ingredient)?.grain
const planIn = (place: string) =>
  planBatch(workSheet({ ...testSheet, flourState: { by: 'place', place } }), testKitchen, '2031-03-01T09:00:00Z', null)

it('in the air it was written for nothing changes', () =>
  expect(airShiftG(planIn('damp'), { temperatureC: 17, rhPercent: 81 }, grainOf)).toBeCloseTo(0, 6))

it('from damp to dry it is the water that the dry plan pours more, at the same flour', () => {
  const [damp, dry] = [planIn('damp'), planIn('dry')]
  const flour = (plan: typeof damp) => plan.rows.find((row) => row.part === 'flour')!.weighedG
  const pours = (plan: typeof damp) => (plan.water.startG + plan.water.holdBackG) / flour(plan)
  const wanted = (pours(dry) - pours(damp)) * flour(damp)
  const shift = airShiftG(damp, { temperatureC: 27, rhPercent: 38 }, grainOf)!
  expect(Math.abs(shift - wanted)).toBeLessThan(2)
  expect(shift).toBeGreaterThan(15)
})

it('says nothing of flour that stands in no place, or whose grain is not known', () => {
  const typed = planBatch(workSheet(testSheet), testKitchen, '2031-03-01T09:00:00Z', null)
  expect(airShiftG(typed, { temperatureC: 27, rhPercent: 38 }, grainOf)).toBeNull()
  expect(airShiftG(planIn('damp'), { temperatureC: 27, rhPercent: 38 }, () => undefined)).toBeNull()
})

it('a shift within the jug is not told', () => {
  expect([isAirShiftTold(1, 500), isAirShiftTold(2, 500), isAirShiftTold(-5, 500), isAirShiftTold(5, 0)]).toEqual([
    false,
    true,
    true,
    false,
  ])
})
