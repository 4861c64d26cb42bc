import fc from 'fast-check'
import { must, testKitchen, testSheet } from '../testing/testKitchen.ts'
import type { AlsoShape, Sheet } from '../model/index.ts'
import { computeSheet } from './computeSheet.ts'
import { amountOf, givenBy, shapesBeside, shapeShares, withAmount } from './shapeShares.ts'

function parts(alsoShapes: Sheet['alsoShapes']) {
  const worked = computeSheet({ ...testSheet, alsoShapes }, testKitchen)
  if (!worked.ok) throw new Error(worked.problem.code)
  return { worked: worked.value, parts: shapeShares(worked.value, testKitchen) }
}
const other = testSheet.shape === 'pips' ? 'hollows' : 'pips'

const also: fc.Arbitrary<AlsoShape> = fc.oneof(
  fc.record({
    shape: fc.constant(other),
    by: fc.constant('share' as const),
    percent: fc.double({ min: 0.1, max: 100, noNaN: true }),
  }),
  fc.record({ shape: fc.constant(other), by: fc.constant('count' as const), count: fc.integer({ min: 1, max: 5000 }) }),
  fc.record({
    shape: fc.constant(other),
    by: fc.constant('grams' as const),
    grams: fc.double({ min: 1, max: 5000, noNaN: true }),
  }),
)

it('together the parts are the usable dough, or it is said how much is wanting', () => {
  fc.assert(
    fc.property(fc.array(also, { maxLength: 4 }), (alsoShapes) => {
      const { worked, parts: made } = parts(alsoShapes)
      if (!made.ok) {
        const { problem } = made
        if (problem.code !== 'shapes-over-dough') throw new Error(problem.code)
        expect(problem.data.overG).toBeGreaterThan(0)
        return
      }
      expect(made.value.reduce((sum, part) => sum + part.doughG, 0)).toBeCloseTo(worked.usableG, 6)
      for (const { doughG, cut } of made.value) {
        expect(doughG).toBeGreaterThanOrEqual(0)
        expect(cut.pieces * cut.pieceG + cut.leftoverG).toBeCloseTo(doughG, 5)
      }
    }),
  )
})

it('a count makes just so many pieces', () => {
  const { parts: made } = parts([{ shape: other, by: 'count', count: 40 }])
  expect(made.ok && made.value[1]!.cut.pieces).toBe(40)
})

it('the sheet’s own shape among the others takes the rest alone; an unknown one is named', () => {
  const { worked, parts: made } = parts([{ shape: testSheet.shape, by: 'share', percent: 60 }])
  expect(made.ok && made.value.map((part) => part.doughG)).toEqual([worked.usableG])
  expect(parts([{ shape: 'gone', by: 'grams', grams: 5 }]).parts).toMatchObject({
    problem: { code: 'unknown-shape', data: { id: 'gone' } },
  })
})

it('said another way it is the same dough, to the step of what it is said in', () => {
  fc.assert(
    fc.property(also, fc.constantFrom('share' as const, 'count' as const, 'grams' as const), (given, by) => {
      const { worked, parts: made } = parts([given])
      if (!made.ok) return
      const [, share] = made.value
      const again = givenBy(share!, by, worked.usableG)
      const { parts: remade } = parts([again])
      if (!remade.ok) return
      const stepG = by === 'share' ? worked.usableG * 0.001 : by === 'count' ? share!.cut.pieceG : 1
      expect(Math.abs(remade.value[1]!.doughG - share!.doughG)).toBeLessThanOrEqual(stepG + 1e-6)
    }),
  )
})

it('250 g of a kilo is a quarter; a share ends at all of it', () => {
  const [main] = must(parts([]).parts)
  expect(givenBy({ ...main!, doughG: 250 }, 'share', 1000)).toMatchObject({ by: 'share', percent: 25 })
  expect(amountOf(withAmount({ shape: other, by: 'share' }, 140))).toBe(100)
})

it('besides those it is a dough may be cut into any shape of its kind, the usual ones first; nine is the end', () => {
  const besides = (alsoShapes: Sheet['alsoShapes']) => {
    const { worked } = parts(alsoShapes)
    return { worked, ...shapesBeside(worked, testKitchen) }
  }
  const { worked, usual, unusual } = besides([])
  expect(usual.length).toBeGreaterThan(0)
  expect(usual.every(({ doughs }) => doughs.some(({ dough }) => dough === worked.dough.id))).toBe(true)
  expect([...usual, ...unusual].map(({ id }) => id)).not.toContain(worked.shape.id)
  expect(new Set([...usual, ...unusual].map(({ id }) => id)).size).toBe(usual.length + unusual.length)
  expect(unusual.every(({ method }) => (method === 'drop') === (worked.shape.method === 'drop'))).toBe(true)
  const [first] = usual
  const one: Sheet['alsoShapes'] = [{ shape: first!.id, by: 'share', percent: 10 }]
  expect(besides(one).usual).toEqual(usual.slice(1))
  const eight = Array.from({ length: 8 }, () => one[0]!)
  expect(shapesBeside({ ...worked, sheet: { ...worked.sheet, alsoShapes: eight } }, testKitchen)).toEqual({
    usual: [],
    unusual: [],
  })
})
