import fc from 'fast-check'
import { FAMILIES, type Sheet } from '../model/index.ts'
import { potatoSheet, testKitchen, testSheet, workSheet } from '../testing/testKitchen.ts'
import { canDry, COURSES, portionG, portionGuide, portionKey } from './portions.ts'
import { oneMix, mixesOf } from './mixes.ts'

it('a main is more than a starter, a starter more than a soup, and dried weighs less than fresh', () => {
  for (const family of FAMILIES) {
    const fresh = (course: (typeof COURSES)[number]) => portionG({}, family, course, 'fresh')
    expect(fresh('main')).toBeGreaterThan(fresh('starter'))
    if (family !== 'alkaline') expect(fresh('starter')).toBeGreaterThan(fresh('soup'))
    for (const course of COURSES) {
      const dried = portionG({}, family, course, 'dried')
      if (canDry(family)) expect(dried).toBeLessThan(fresh(course))
      else expect(dried).toBe(fresh(course))
    }
  }
})

it('a figure of the maker’s own stands before the guide’s, there alone', () => {
  const own = { [portionKey('salted', 'main', 'fresh')]: 180 }
  expect(portionG(own, 'salted', 'main', 'fresh')).toBe(180)
  expect(portionG(own, 'salted', 'main', 'dried')).toBe(portionG({}, 'salted', 'main', 'dried'))
  const row = portionGuide(own).find(({ family }) => family === 'salted')!
  expect(row.courses.find(({ course }) => course === 'main')!.freshG).toBe(180)
})

const kitchen = {
  ...testKitchen,
  gear: { ...testKitchen.gear, vessels: [{ id: 'bowl', name: 'Bowl', maxDoughG: 600 }] },
}
const inBowl = (sheet: Sheet): Sheet => ({ ...sheet, vessel: 'bowl' })

it('a dough that fits its vessel is one mix; one gram over makes two equal ones', () => {
  const mixesIn = (grams: number) =>
    mixesOf(workSheet({ ...inBowl(testSheet), target: { by: 'dough', grams } }, kitchen), kitchen)
  expect(mixesIn(600)).toEqual({ mixes: 1, doughG: 600, vessel: 'Bowl' })
  expect(mixesIn(601)).toMatchObject({ mixes: 2 })
  expect(mixesOf(workSheet(testSheet, kitchen), kitchen)).toBeNull()
})

it('equal mixes add up to the whole, whatever was solved for, and none is over its vessel', () => {
  const targets = fc.oneof(
    fc.record({
      by: fc.constant('portions' as const),
      count: fc.integer({ min: 1, max: 80 }),
      gramsEach: fc.constant(110),
    }),
    fc.record({ by: fc.constantFrom('dough' as const, 'flour' as const), grams: fc.integer({ min: 50, max: 9000 }) }),
    fc.record({ by: fc.constant('pieces' as const), count: fc.integer({ min: 20, max: 3000 }) }),
  )
  fc.assert(
    fc.property(targets, fc.constantFrom(testSheet, potatoSheet), (target, sheet) => {
      const whole = workSheet({ ...inBowl(sheet), target }, kitchen)
      const split = mixesOf(whole, kitchen)!
      const one = workSheet(oneMix(whole.sheet, split.mixes), kitchen)
      // Each mix of so many pieces is made as much larger as the scale may round.
      const spareG = target.by === 'pieces' ? 4 * split.mixes : 1e-4
      expect(Math.abs(one.batch.doughG * split.mixes - whole.batch.doughG)).toBeLessThan(spareG)
      expect(one.batch.doughG).toBeLessThanOrEqual(600 + (target.by === 'pieces' ? 4 : 1e-6))
    }),
  )
})
