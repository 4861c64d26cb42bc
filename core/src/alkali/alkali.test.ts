import fc from 'fast-check'
import { bakeSoda, fullyBakedG } from './bake.ts'
import { doseAlkali, swapSalt } from './dose.ts'
import { carbonateEquivalent, SALTS, type Salt } from './salts.ts'
import { carbonateSolution } from './solution.ts'

const carbonates = SALTS.filter((salt) => salt !== 'sodium-bicarbonate')
const grams = fc.double({ min: 0.1, max: 500, noNaN: true })
const value = <T>(result: { ok: true; value: T } | { ok: false; problem: unknown }): T => {
  if (!result.ok) throw new Error(JSON.stringify(result.problem))
  return result.value
}

it('fully baked soda keeps 63.08 % of its mass', () => {
  expect(value(bakeSoda(200, 200 * 0.6308, 0)).conversion).toBeCloseTo(1, 3)
  expect(value(bakeSoda(100, 100, 0))).toEqual({
    conversion: 0,
    done: false,
    bicarbonateG: 100,
    carbonateG: 0,
  })
})

it('soda is done at 98 %: at 64 of 100 g it is not yet, at 63.8 it is', () => {
  // 36.92 g go in all; 36.2 of them are 98.05 %, 36 are 97.5.
  expect([value(bakeSoda(100, 64, 0)).done, value(bakeSoda(100, 63.8, 0)).done]).toEqual([false, true])
  expect(fullyBakedG(100)).toBeCloseTo(63.08, 2)
})

it('the tray weighs what it holds, whatever the conversion', () => {
  fc.assert(
    fc.property(grams, fc.double({ min: 0, max: 1, noNaN: true }), (before, share) => {
      const after = before * (1 - share * 0.3691644)
      const { bicarbonateG, carbonateG, conversion } = value(bakeSoda(before, after, 0))
      expect(bicarbonateG + carbonateG).toBeCloseTo(after, 3)
      expect(conversion).toBeCloseTo(share, 4)
    }),
  )
})

it('a slip of the scale is said, not computed with', () => {
  expect(bakeSoda(100, 101, 0)).toMatchObject({ problem: { code: 'bake-gained' } })
  expect(bakeSoda(100, 55, 0)).toMatchObject({ problem: { code: 'bake-lost-too-much' } })
})

it.each([
  ['potassium-carbonate', 1.304],
  ['sodium-carbonate-monohydrate', 1.17],
  ['sodium-carbonate-decahydrate', 2.7],
] as const)('1 g of sodium carbonate is worth %s: %d g', (to, expected) => {
  expect(value(swapSalt('sodium-carbonate', 1, to))).toBeCloseTo(expected, 3)
})

it('a swap there and back is the same grams; bicarbonate cannot be swapped', () => {
  const carbonate = fc.constantFrom(...carbonates)
  fc.assert(
    fc.property(carbonate, carbonate, grams, (from, to, amount) => {
      expect(value(swapSalt(to, value(swapSalt(from, amount, to)), from))).toBeCloseTo(amount, 9)
    }),
  )
  expect(swapSalt('sodium-bicarbonate', 1, 'sodium-carbonate')).toMatchObject({ problem: { path: 'from' } })
})

it('a dose brings its carbonate, whatever the blend', () => {
  const blend = fc.double({ min: 0, max: 1, noNaN: true }).map((share) => [
    { salt: 'sodium-carbonate-decahydrate' as Salt, share },
    { salt: 'potassium-carbonate' as Salt, share: 1 - share },
  ])
  fc.assert(
    fc.property(grams, fc.double({ min: 0.1, max: 3, noNaN: true }), blend, (flour, percent, parts) => {
      const { rows, totalG } = value(doseAlkali(flour, percent, parts))
      expect(rows.reduce((sum, row) => sum + row.grams * carbonateEquivalent(row.salt), 0)).toBeCloseTo(
        (flour * percent) / 100,
        9,
      )
      expect(rows.reduce((sum, row) => sum + row.grams, 0)).toBeCloseTo(totalG, 9)
    }),
  )
  expect(doseAlkali(100, 1, [{ salt: 'sodium-carbonate', share: 0.9 }])).toMatchObject({
    problem: { code: 'shares-not-one' },
  })
})

it('more carbonate in the same water is more alkaline, bicarbonate much less so', () => {
  const pH = (salt: Salt, amount: number) => carbonateSolution([{ salt, grams: amount }], 500).pHIdeal
  fc.assert(
    fc.property(fc.constantFrom(...carbonates), fc.double({ min: 0.1, max: 40, noNaN: true }), (salt, amount) => {
      expect(pH(salt, amount * 1.2)).toBeGreaterThan(pH(salt, amount))
    }),
  )
  expect(pH('sodium-bicarbonate', 10)).toBeCloseTo(8.3, 1)
  expect(pH('sodium-carbonate', 10)).toBeGreaterThan(11.5)
})

it('the last 5 % of baking is worth about half a pH: what titration cannot see', () => {
  const mixture = (conversion: number) =>
    carbonateSolution(
      [
        { salt: 'sodium-bicarbonate', grams: 10 * (1 - conversion) + 1e-9 },
        { salt: 'sodium-carbonate', grams: 10 * conversion * 0.6308 },
      ],
      350,
    ).pHIdeal
  const gained = mixture(1) - mixture(0.95)
  expect(gained > 0.3 && gained < 0.7).toBe(true)
})

it('a little over the full loss is the scale, a tenth over it a slip', () => {
  const fullLossG = 100 - fullyBakedG(100)
  expect(bakeSoda(100, 100 - 1.01 * fullLossG, 0)).toMatchObject({ ok: true })
  expect(bakeSoda(100, 100 - 1.03 * fullLossG, 0)).toMatchObject({ problem: { code: 'bake-lost-too-much' } })
})
