/** Doughs steered by flour on a base: potato and its like. */
import fc from 'fast-check'
import type { Sheet } from '../model/index.ts'
import { must, potatoSheet, testKitchen, workSheet } from '../testing/testKitchen.ts'
import { onRule } from './reckoned.ts'
import { setFlourOnBase } from './editSheet.ts'
import { flourForMoisture, flourLadder, moistureAfterSteaming, moistureByDrying } from './potato.ts'

const withFlour = (percent: number): Sheet => ({
  ...potatoSheet,
  rows: potatoSheet.rows.map((row) => (row.key === 'flour' ? { ...row, amount: { by: 'percent', percent } } : row)),
})

it('28 of flour on 100 of potato at 78 %: dough moisture as by hand', () => {
  const worked = workSheet(potatoSheet)
  expect(onRule(worked)).toBeCloseTo(28, 9)
  // (78 + 28 × 0.14) / (100 + 28 + 1)
  expect(worked.batch.doughMoisture).toBeCloseTo(81.92 / 129, 9)
  expect(worked.rows.map((row) => Number(row.percent.toFixed(6)))).toEqual([100, 28, 1])
})

it('a spoonful dried, and potatoes steamed off: the worked figures', () => {
  expect(moistureByDrying(20, 4.4)).toEqual({ ok: true, value: 0.78 })
  const steamed = moistureAfterSteaming(1000, 930, 0.8)
  expect(steamed.ok && steamed.value).toBeCloseTo(730 / 930, 9)
  for (const [before, after] of [
    [20, 21],
    [20, 0],
    [20, -3],
  ] as const)
    expect(moistureByDrying(before, after)).toMatchObject({ problem: { code: 'weighing-order' } })
  expect(moistureAfterSteaming(1000, 150, 0.8)).toMatchObject({ problem: { code: 'steamed-too-far' } })
})

it('flour asked for a dough moisture gives that dough moisture', () => {
  fc.assert(
    fc.property(fc.double({ min: 0.4, max: 0.75, noNaN: true }), (wanted) => {
      const flour = must(flourForMoisture(workSheet(potatoSheet), wanted))
      expect(workSheet(withFlour(flour)).batch.doughMoisture).toBeCloseTo(wanted, 9)
    }),
  )
})

it('a moisture above the potato’s or below the flour’s is out of reach', () => {
  for (const wanted of [0.1, 0.14, 0.78, 0.95])
    expect(flourForMoisture(workSheet(potatoSheet), wanted)).toMatchObject({
      problem: { code: 'moisture-out-of-reach' },
    })
})

it('more flour is drier, step by step, from soft through in to stiff', () => {
  const ladder = flourLadder(workSheet(withFlour(26)))
  expect(ladder.map((step) => step.flourOnBase)).toEqual([20, 23, 26, 29, 32, 35])
  expect(ladder.map((step) => step.state)).toEqual(['soft', 'soft', 'in', 'in', 'in', 'in'])
  ladder.slice(1).forEach((step, index) => expect(step.moisture).toBeLessThan(ladder[index]!.moisture))
  expect(flourLadder(workSheet(withFlour(34))).at(-1)!.state).toBe('stiff')
})

it('what is dragged on the rule is the flour on the base; salt and base stay', () => {
  fc.assert(
    fc.property(fc.double({ min: 5, max: 90, noNaN: true }), (percent) => {
      const worked = workSheet(must(setFlourOnBase(workSheet(potatoSheet), percent)))
      expect(onRule(worked)).toBeCloseTo(percent, 6)
      expect(worked.rows.map((row) => row.percent)[2]).toBeCloseTo(1, 6)
    }),
  )
})

it('a measured potato overrides the table’s', () => {
  const measured = { ...potatoSheet, rows: potatoSheet.rows.map((row) => (row.base ? { ...row, water: 0.72 } : row)) }
  const [table, spoon] = [workSheet(potatoSheet), workSheet(measured)]
  expect(spoon.rows[0]!.water).toBe(0.72)
  expect(spoon.batch.doughMoisture).toBeLessThan(table.batch.doughMoisture)
})

it('solving for the base, the pieces or the dough meets what was asked', () => {
  expect(workSheet({ ...potatoSheet, target: { by: 'base', grams: 1000 } }).rows[0]!.grams).toBeCloseTo(1000, 6)
  expect(workSheet({ ...potatoSheet, target: { by: 'dough', grams: 800 } }).batch.doughG).toBeCloseTo(800, 6)
  // Never one less for what the scale rounds; one more now and then.
  const { pieces } = workSheet({ ...potatoSheet, target: { by: 'pieces', count: 120 } }).cut
  expect(pieces - 120).toBeGreaterThanOrEqual(0)
  expect(pieces - 120).toBeLessThanOrEqual(2)
})

it('a dough too wet for its window says what its moisture should be', () => {
  const wet = workSheet(withFlour(12)).notes.map((note) => note.code)
  expect(wet).toContain('moisture-outside')
  expect(wet).toContain('shape-outside')
})

it('a base sheet without its base is refused in words', () => {
  const { rows } = potatoSheet
  const none: Sheet = { ...potatoSheet, rows: rows.filter((row) => !row.base), target: { by: 'base', grams: 100 } }
  expect(() => workSheet(none, testKitchen)).toThrow()
})
