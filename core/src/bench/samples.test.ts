import fc from 'fast-check'
import { computeSheet } from '../sheet/index.ts'
import { testKitchen, testSheet } from '../testing/testKitchen.ts'
import { planBatch } from './planBatch.ts'
import { sampleReport } from './samples.ts'

const worked = computeSheet(testSheet, testKitchen)
if (!worked.ok) throw new Error(worked.problem.code)
const planned = planBatch(worked.value, testKitchen, '2031-03-01T09:00:00+00:00', null)
const plan = {
  ...planned,
  shape: { ...planned.shape, pieceG: 1 },
  minutes: { ...planned.minutes, cook: [4, 8] as [number, number] },
}
const report = (grams: readonly number[], of = plan) =>
  sampleReport(of, { samples: grams.map((each) => ({ at: plan.at, grams: each })) })

it('nothing is said before a piece was weighed, and no spread of one', () => {
  expect(report([])).toBeNull()
  expect(report([1.2])).toMatchObject({ sd: null, potSpreadMin: null, drift: 'none', outside: 1 })
})

it('pieces of 1 g, sd 0.1: the heaviest want 1.3 min of 6 longer than the lightest', () => {
  const spread = [0.9, 1.1, 0.9, 1.1, 0.9, 1.1]
  const { sd, potSpreadMin } = report(spread)!
  expect(sd).toBeCloseTo(0.1095, 4)
  expect(potSpreadMin).toBeCloseTo(6 * (Math.sqrt((1 + 2 * 0.10954) / (1 - 2 * 0.10954)) - 1), 3)
})

it('a hand that cuts longer and longer is told how long to cut', () => {
  const growing = [1, 1.01, 1.02, 1.04, 1.06, 1.08, 1.1, 1.12, 1.14, 1.16, 1.18]
  const { drift, driftFrom, cutMm, offPercent } = report(growing)!
  expect(drift).toBe('up')
  expect(driftFrom).toBeGreaterThan(2)
  expect(offPercent).toBeGreaterThan(5)
  const { blank } = plan.shape
  expect(cutMm).toBeLessThan(blank.type === 'rope' ? blank.cutMm : 0)
})

it('what is not cut to length gets no length; what comes of a die cooks alike', () => {
  const die = { type: 'die', section: 'tube', outerMm: 6, innerMm: 4, openAreaMm2: 18, swell: 1, cutMm: 7 } as const
  const ofDie = { ...plan, shape: { ...plan.shape, blank: die } }
  expect(report([0.8, 1.2], ofDie)).toMatchObject({ cutMm: null, potSpreadMin: 0 })
})

it('even pieces never drift, and every figure is finite', () => {
  fc.assert(
    fc.property(fc.array(fc.double({ min: 0.05, max: 20, noNaN: true }), { minLength: 1, maxLength: 60 }), (grams) => {
      const found = report(grams)!
      for (const figure of [found.offPercent, found.cutMm ?? 0, found.potSpreadMin ?? 0])
        expect(Number.isFinite(figure)).toBe(true)
      expect(report(grams.map(() => 1))!.drift).toBe('none')
    }),
  )
})
