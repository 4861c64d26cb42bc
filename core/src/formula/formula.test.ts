import fc from 'fast-check'
import { materialOf } from '../model/index.ts'
import { testTable } from '../testing/testTable.ts'
import { basis14Percent, rebaseHydration, waterForBasis14 } from './basis14.ts'
import { correctHydration } from './correctHydration.ts'
import { COARSE_PERCENT, resolutionPercent, roundHalfUp } from './roundToScale.ts'
import type { BatchRow } from './batchRow.ts'
import { solveBatch, type BatchRequest } from './solveBatch.ts'
import { sackMoisture, shareOfTheWay } from './sackMoisture.ts'
import { storeMoisture } from './storeMoisture.ts'

const material = (id: string) => materialOf(testTable.get(id)!)
const row = (id: string, percent: number, flour = false): BatchRow => ({ material: material(id), percent, flour })
const value = <T>(result: { ok: true; value: T } | { ok: false; problem: unknown }): T => {
  if (!result.ok) throw new Error(JSON.stringify(result.problem))
  return result.value
}

const percent = fc.double({ min: 0, max: 120, noNaN: true })
const mass = fc.double({ min: 1, max: 50_000, noNaN: true })
const rows = fc
  .record({
    durum: fc.double({ min: 0, max: 100, noNaN: true }),
    water: percent,
    milk: percent,
    salt: fc.double({ min: 0, max: 8, noNaN: true }),
  })
  .map(({ durum, water, milk, salt }) => [
    row('durum', durum, true),
    row('soft', 100 - durum, true),
    row('water', water),
    row('milk', milk),
    row('salt', salt),
  ])
const request = (part: Partial<BatchRequest> & Pick<BatchRequest, 'rows' | 'target'>): BatchRequest => ({
  lossPercent: 0,
  scaleStepG: 1,
  voids: 0.03,
  ...part,
})

it('grams add up to the dough for any formula, and the dough to what was asked', () => {
  fc.assert(
    fc.property(rows, mass, (formula, grams) => {
      const batch = value(solveBatch(request({ rows: formula, target: { by: 'dough', grams } })))
      expect(batch.rows.reduce((sum, r) => sum + r.grams, 0)).toBeCloseTo(batch.doughG, 6)
      expect(batch.doughG).toBeCloseTo(grams, 6)
      expect(batch.doughMoisture).toBeGreaterThanOrEqual(0)
      expect(batch.doughMoisture).toBeLessThan(1)
    }),
  )
})

it('scaling is linear: k times the flour is k times every row', () => {
  fc.assert(
    fc.property(rows, mass, fc.double({ min: 0.1, max: 20, noNaN: true }), (formula, grams, k) => {
      const of = (flour: number) => value(solveBatch(request({ rows: formula, target: { by: 'flour', grams: flour } })))
      const [one, many] = [of(grams), of(grams * k)]
      one.rows.forEach((r, i) => expect(many.rows[i]!.grams / k).toBeCloseTo(r.grams, 6))
    }),
  )
})

it('the three bases agree when flour is at 14 % and there is no other liquid', () => {
  fc.assert(
    fc.property(percent, (water) => {
      const { hydration } = value(
        solveBatch(
          request({ rows: [row('durum', 100, true), row('water', water)], target: { by: 'flour', grams: 500 } }),
        ),
      )
      expect(hydration.nominal).toBeCloseTo(water, 9)
      expect(hydration.effective).toBeCloseTo(water, 9)
      expect(hydration.basis14).toBeCloseTo(water, 9)
    }),
  )
})

it('solving any basis gives that basis back', () => {
  fc.assert(
    fc.property(
      rows,
      fc.constantFrom('effective', 'basis14') as fc.Arbitrary<'effective' | 'basis14'>,
      (formula, basis) => {
        const solved = solveBatch(
          request({ rows: formula, target: { by: 'flour', grams: 100 }, solve: { index: 2, percent: 140, basis } }),
        )
        expect(value(solved).hydration[basis]).toBeCloseTo(140, 6)
      },
    ),
  )
})

it('a correction, once made, reaches the target', () => {
  fc.assert(
    fc.property(
      mass,
      mass,
      fc.double({ min: 5, max: 150, noNaN: true }),
      fc.double({ min: 0, max: 50, noNaN: true }),
      (flourG, waterG, target, salt) => {
        const made = value(correctHydration({ flourG, waterG, targetPercent: target, saltG: salt }))
        const flour = flourG + (made.action === 'add-flour' ? made.flourG : 0)
        const water = waterG + (made.action === 'add-water' ? made.waterG : 0)
        expect(Math.abs((100 * water) / flour - target)).toBeLessThan(0.0501)
        expect((salt + made.saltG) / flour).toBeCloseTo(salt / flourG, 9)
        expect(made.doughG).toBeCloseTo(flour + water + salt + made.saltG, 6)
      },
    ),
  )
})

it('wet dough cannot be corrected to 0 %', () => {
  expect(correctHydration({ flourG: 100, waterG: 50, targetPercent: 0, saltG: 0 })).toMatchObject({ ok: false })
})

it('1000 g of flour at 11.5 % wants 543.6 g for h14 = 50 %: 0.5 × 1029.07 + 29.07', () => {
  const flours = [{ grams: 1000, moisture: 0.115 }]
  expect(waterForBasis14(50, flours)).toBeCloseTo(543.6, 1)
  expect(basis14Percent(flours, 543.604651)).toBeCloseTo(50, 6)
  expect(
    value(rebaseHydration({ basis14Percent: 50, flourG: 1000, flourMoisture: 0.155, otherWaterG: 0 })).waterG,
  ).toBeCloseTo(473.8, 1)
})

it.each([
  // 1 − RH = exp(−K (T + C) Mᴺ), worked by hand for each grain at 20 °C and 70 %.
  ['durum', 0.1445],
  ['hard', 0.1487],
  ['soft', 0.1366],
] as const)('an open sack of %s at 20 °C and 70 %% ends at %d', (grain, moisture) => {
  expect(storeMoisture(grain, { temperatureC: 20, rhPercent: 70 })).toBeCloseTo(moisture, 3)
})

it('a row that the scale knows to 5 % or worse is coarse: 10 g on a 1 g scale is not, 9.9 g is', () => {
  expect([10, 9.9].map((grams) => resolutionPercent(grams, 1) > COARSE_PERCENT)).toEqual([false, true])
})

it('damp air makes damp flour, whatever the grain', () => {
  fc.assert(
    fc.property(fc.constantFrom('durum', 'hard', 'soft'), fc.double({ min: 5, max: 90, noNaN: true }), (grain, rh) => {
      const at = (rhPercent: number) => storeMoisture(grain as 'durum', { temperatureC: 18, rhPercent })
      expect(at(rh + 5)).toBeGreaterThan(at(rh))
    }),
  )
})

it('rounds half up on steps a binary fraction cannot hold', () => {
  expect([roundHalfUp(2.5, 1), roundHalfUp(4.55, 0.1), roundHalfUp(4.5499, 0.1), roundHalfUp(0.4, 1)]).toEqual([
    3, 4.6, 4.5, 0,
  ])
})

it('says what 3 g of carbonate-like powder costs on two scales', () => {
  const rounding = (scaleStepG: number) =>
    value(
      solveBatch(
        request({
          rows: [row('durum', 100, true), row('water', 34), row('salt', 1.28)],
          target: { by: 'flour', grams: 250 },
          scaleStepG,
        }),
      ),
    ).rounding
  expect(rounding(1).coarsest).toEqual({ id: 'salt', resolutionPercent: expect.closeTo(15.625, 6) })
  expect(rounding(0.1).coarsest?.resolutionPercent).toBeCloseTo(1.5625, 6)
})

it('a batch too small for the scale says so without a NaN', () => {
  const { rounding } = value(
    solveBatch(request({ rows: [row('durum', 100, true), row('water', 48)], target: { by: 'flour', grams: 0.2 } })),
  )
  expect(rounding).toEqual({ hydrationPoints: null, worst: null, coarsest: null })
})

it.each([
  ['no-flour', [row('water', 48)], { by: 'flour', grams: 100 }],
  ['flours-not-100', [row('durum', 90, true)], { by: 'flour', grams: 100 }],
  ['no-plain-water', [row('durum', 100, true), row('milk', 50)], { by: 'water', grams: 100 }],
] as const)('refuses with %s', (code, formula, target) => {
  expect(solveBatch(request({ rows: formula, target }))).toMatchObject({ ok: false, problem: { code } })
})

it('refuses to solve a row that cannot bring the water, or would bring less than none', () => {
  const formula = [row('durum', 100, true), row('water', 48), row('salt', 1), row('milk', 60)]
  const solve = (index: number, target: number) =>
    solveBatch(
      request({
        rows: formula,
        target: { by: 'flour', grams: 100 },
        solve: { index, percent: target, basis: 'effective' },
      }),
    )
  expect(solve(2, 50)).toMatchObject({ ok: false, problem: { code: 'solve-no-water' } })
  expect(solve(0, 50)).toMatchObject({ ok: false, problem: { code: 'solve-no-water' } })
  expect(solve(1, 50)).toMatchObject({ ok: false, problem: { code: 'solved-negative' } })
})

describe('flour in its sack', () => {
  const air = { temperatureC: 27, rhPercent: 38 }
  const sack = (packing: 'open-bin' | 'small-paper' | 'paper-sack' | 'sealed', days?: number) =>
    sackMoisture({ grain: 'durum', packing, startMoisture: 0.135, stays: [{ ...air, days }] }).moisture

  it('goes two thirds of the way in 5 days in a bin, 30 in a small bag, 120 in a sack, and nowhere under a lid', () => {
    for (const [packing, days] of [
      ['open-bin', 5],
      ['small-paper', 30],
      ['paper-sack', 120],
    ] as const)
      expect(shareOfTheWay(packing, days)).toBeCloseTo(1 - Math.exp(-1), 9)
    expect(shareOfTheWay('sealed', 10_000)).toBe(0)
    expect(sack('sealed')).toBe(0.135)
    // Of unknown age, a third of the way.
    expect(sack('paper-sack')).toBeCloseTo(0.135 + 0.35 * (storeMoisture('durum', air) - 0.135), 9)
  })

  it('never passes the air it stands in, and two stays in one air are one', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 900, noNaN: true }),
        fc.double({ min: 0, max: 900, noNaN: true }),
        (a, b) => {
          const stays = [a, b].map((days) => ({ ...air, days }))
          const both = sackMoisture({ grain: 'durum', packing: 'paper-sack', startMoisture: 0.135, stays }).moisture
          expect(both).toBeCloseTo(sack('paper-sack', a + b), 9)
          expect(both).toBeGreaterThanOrEqual(storeMoisture('durum', air) - 1e-12)
          expect(both).toBeLessThanOrEqual(0.135)
        },
      ),
    )
  })
})
