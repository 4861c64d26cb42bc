import fc from 'fast-check'
import { sheetSchema, type Sheet } from '../model/index.ts'
import { must, potatoSheet, testKitchen, testSheet, workSheet } from '../testing/testKitchen.ts'
import { addRow, moveWater, removeRow, swapIngredient, usualPercent } from './editRows.ts'
import { diffSheets } from './diffSheets.ts'

const blend: Sheet = {
  ...testSheet,
  rows: [
    { key: 'a', ingredient: 'durum', amount: { by: 'percent', percent: 70 }, flour: true },
    { key: 'b', ingredient: 'soft', amount: { by: 'percent', percent: 30 }, flour: true },
    ...testSheet.rows.slice(1),
  ],
}
const add = (id: string, percent = 5, sheet = testSheet) => must(addRow(workSheet(sheet), id, percent, testKitchen))

it('milk that comes in is water that stays in the jug: the dough is as wet as before', () => {
  const worked = workSheet(add('milk', 20))
  const before = workSheet(testSheet)
  expect(worked.batch.hydration.effective).toBeCloseTo(before.batch.hydration.effective, 9)
  const jug = (each: typeof worked) => (100 * each.rows.find((row) => row.key === 'water')!.grams) / each.batch.flourG
  expect(jug(before) - jug(worked)).toBeCloseTo(20 * 0.875, 9)
})

it('a second flour comes in at nothing, beside the first, so that 100 stays 100', () => {
  const sheet = add('soft')
  expect(sheet.rows.map((row) => row.key)).toEqual(['flour', 'soft', 'water', 'salt'])
  expect(sheet.rows[1]).toMatchObject({ flour: true, amount: { percent: 0 } })
})

it('the same ingredient twice has a key of its own each time', () => {
  const twice = add('milk', 5, add('milk'))
  expect(new Set(twice.rows.map((row) => row.key)).size).toBe(twice.rows.length)
  expect(sheetSchema.safeParse(twice).success).toBe(true)
})

it('what came in goes out again, and the sheet is what it was', () => {
  fc.assert(
    fc.property(
      fc.constantFrom('milk', 'potato', 'carbonate', 'salt'),
      fc.double({ min: 0, max: 50, noNaN: true }),
      (id, percent) => {
        const sheet = add(id, percent)
        const key = sheet.rows.at(-1)!.key
        expect(must(removeRow(workSheet(sheet), key, testKitchen))).toEqual(testSheet)
      },
    ),
  )
})

it('a flour that goes out leaves its share to the others', () => {
  const left = must(removeRow(workSheet(blend), 'b', testKitchen))
  expect(left.rows.filter((row) => row.flour).map((row) => row.amount.percent)).toEqual([100])
})

it('the last flour, the base and the solved water cannot go', () => {
  const refused = (sheet: Sheet, key: string) => removeRow(workSheet(sheet), key, testKitchen)
  expect(refused(testSheet, 'flour')).toMatchObject({ problem: { code: 'only-flour' } })
  expect(refused(testSheet, 'water')).toMatchObject({ problem: { code: 'solved-row' } })
  expect(refused(potatoSheet, 'potato')).toMatchObject({ problem: { code: 'only-base' } })
  expect(refused(testSheet, 'gone')).toMatchObject({ problem: { code: 'no-such-row' } })
})

it('an ingredient nobody knows is not taken in', () => {
  expect(addRow(workSheet(testSheet), 'gone', 5, testKitchen)).toMatchObject({
    problem: { code: 'unknown-ingredient', data: { id: 'gone' } },
  })
})

it('soft wheat in durum’s place takes four points less on its share, and back again is nothing', () => {
  const worked = workSheet(blend)
  const there = must(swapIngredient(worked, 'a', 'soft', testKitchen))
  expect(there.points).toBeCloseTo(-4 * 0.7, 9)
  expect(there.from.id).toBe('durum')
  const back = must(swapIngredient(workSheet(there.sheet), 'a', 'durum', testKitchen))
  expect(back.points + there.points).toBeCloseTo(0, 9)
  expect(workSheet(back.sheet).batch.hydration.basis14).toBeCloseTo(worked.batch.hydration.basis14, 9)
})

it('another flour does not keep the sack of the first', () => {
  const { sheet } = must(swapIngredient(workSheet(testSheet), 'flour', 'soft', testKitchen))
  expect(sheet.rows[0]).not.toHaveProperty('lot')
})

it('water cannot be moved below none, and a sheet on a base has none to move', () => {
  expect(moveWater(testSheet, -500).rows[1]!.amount).toMatchObject({ percent: 0 })
  expect(moveWater(potatoSheet, 5)).toEqual(potatoSheet)
  expect(moveWater(testSheet, 0)).toBe(testSheet)
})

it('what an ingredient is first dosed at: salt by the one, milk by the ten', () => {
  const usual = (id: string) => usualPercent(testKitchen.ingredients.get(id)!)
  expect([usual('salt'), usual('carbonate'), usual('milk'), usual('soft')]).toEqual([1, 1, 10, 5])
})

describe('what changed between two sheets', () => {
  const codes = (to: Sheet) => diffSheets(testSheet, to, testKitchen).map((change) => change.code)

  it('is nothing between a sheet and itself', () => expect(codes(testSheet)).toEqual([]))

  it('is told by what it is: in, out, by how much', () => {
    expect(diffSheets(testSheet, add('milk', 12), testKitchen)).toEqual([
      { code: 'row-in', ingredient: 'milk', percent: 12 },
    ])
    expect(diffSheets(add('milk', 12), testSheet, testKitchen)).toEqual([
      { code: 'row-out', ingredient: 'milk', percent: 12 },
    ])
    expect(diffSheets(testSheet, moveWater(testSheet, 1.5), testKitchen)).toEqual([
      { code: 'water', from: 48, to: 49.5 },
    ])
    const { sheet } = must(swapIngredient(workSheet(testSheet), 'flour', 'soft', testKitchen))
    expect(diffSheets(testSheet, sheet, testKitchen)).toContainEqual({ code: 'swap', from: 'durum', to: 'soft' })
  })

  it('names name, shape, loss, heat, school, place, vessel, note and amount', () => {
    const to: Sheet = {
      ...testSheet,
      name: 'Other',
      shape: 'pips',
      lossPercent: 3,
      waterC: 40,
      schools: { rest: 'long' },
      flourState: { by: 'place', place: 'damp' },
      vessel: 'bowl',
      note: 'drier',
      target: { by: 'dough', grams: 500 },
      useLearned: false,
    }
    expect(codes(to).sort()).toEqual(
      ['amount', 'heat', 'learned', 'loss', 'name', 'note', 'place', 'school', 'shape', 'vessel'].sort(),
    )
  })
})
