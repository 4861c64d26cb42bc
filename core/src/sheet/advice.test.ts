/** What the sheet advises, in worked examples at the edge of each figure. */
import type { Ingredient, Sheet, SheetRow } from '../model/index.ts'
import { doughTable, shapeTable } from '../model/index.ts'
import { potatoSheet, testKitchen, testSheet, workSheet } from '../testing/testKitchen.ts'
import { retarget } from './editSheet.ts'
import { swapAlkali } from './editRows.ts'
import type { Kitchen } from './kitchen.ts'
import type { SheetNote } from './sheetNotes.ts'

const durum = testKitchen.ingredients.get('durum')!
const carbonate = testKitchen.ingredients.get('carbonate')!
const more: readonly Ingredient[] = [
  { ...durum, id: 'rice', name: 'rice', gluten: 'none', absorptionShift: 0 },
  { ...durum, id: 'oil', name: 'oil', group: 'fat', basis: 'additive', water: 0, protein: 0, fat: 1 },
  { ...durum, id: 'curd', name: 'curd', group: 'dairy', basis: 'liquid', water: 0.75, availableWater: 0 },
  { ...carbonate, id: 'crystals', name: 'crystals', carbonate: 0.37 },
  { ...carbonate, id: 'soda', name: 'soda', carbonate: 0 },
]
const hand = testKitchen.doughs.get('hand-dough')!
const shape = testKitchen.shapes.get('hollows')!
const kitchen: Kitchen = {
  ...testKitchen,
  ingredients: new Map([...testKitchen.ingredients, ...more.map((row) => [row.id, row] as const)]),
  doughs: doughTable([
    ...testKitchen.doughs.values(),
    { ...hand, id: 'machine-dough', windows: { extrude: { low: 28, best: 31, high: 34 } } },
  ]),
  shapes: shapeTable([...testKitchen.shapes.values(), { ...shape, id: 'tubes', method: 'extrude' }]),
}
const added = (id: string, percent: number, sheet: Sheet = testSheet): Sheet => ({
  ...sheet,
  rows: [...sheet.rows, { key: 'more', ingredient: id, amount: { by: 'percent', percent } }],
})
const at = (percent: number): Sheet => ({
  ...testSheet,
  rows: testSheet.rows.map((row): SheetRow =>
    row.key === 'water' ? { ...row, amount: { by: 'hydration', percent, basis: 'basis14' } } : row,
  ),
})
const notes = (sheet: Sheet): readonly SheetNote[] => workSheet(sheet, kitchen).notes
const told = (sheet: Sheet, code: SheetNote['code']) => notes(sheet).some((note) => note.code === code)

it('no dough here is salted beyond 8 % of its flour: 7.9 is only outside its window, 8.1 is dangerous to eat', () => {
  expect([told(added('salt', 6.9), 'salt-over'), told(added('salt', 7.1), 'salt-over')]).toEqual([false, true])
})

it('with a fifth of the water held by curd, the feel follows what is free', () => {
  // Of 48 points 9.6 are a fifth: 12.8 g of curd at 75 % hold so much.
  const share = (curd: number) => {
    const { balance, batch } = workSheet(added('curd', curd), kitchen)
    return 1 - balance.availablePercent / batch.hydration.effective
  }
  expect([share(12), share(14)].map((held) => held > 0.2)).toEqual([false, true])
  expect([told(added('curd', 12), 'free-water'), told(added('curd', 14), 'free-water')]).toEqual([false, true])
})

it('a tenth of the flour with gluten still binds a pressed dough; less does not', () => {
  const pressed = (rice: number): Sheet => ({
    ...testSheet,
    dough: 'machine-dough',
    shape: 'tubes',
    rows: [
      { key: 'a', ingredient: 'durum', amount: { by: 'percent', percent: 100 - rice }, flour: true },
      { key: 'b', ingredient: 'rice', amount: { by: 'percent', percent: rice }, flour: true },
      ...testSheet.rows.slice(1),
    ],
  })
  expect([told(pressed(88), 'no-gluten'), told(pressed(92), 'no-gluten')]).toEqual([false, true])
})

it('a potato dough a point too dry is noted, three points too dry is cautioned', () => {
  const drier = (flour: number): Sheet => ({
    ...potatoSheet,
    rows: potatoSheet.rows.map((row): SheetRow =>
      row.key === 'flour' ? { ...row, amount: { by: 'percent', percent: flour } } : row,
    ),
  })
  const found = (flour: number) => {
    const worked = workSheet(drier(flour), kitchen)
    const note = worked.notes.find(({ code }) => code === 'moisture-outside')
    return [Math.round(100 * worked.batch.doughMoisture * 10) / 10, note?.severity]
  }
  expect([found(44), found(56)]).toEqual([
    [58, undefined],
    [54.7, 'caution'],
  ])
  expect(found(50)[1]).toBe('note')
})

it('six points beyond every window of the dough it is another dough, or none; on a base it takes fifteen', () => {
  // The hand window is 43 to 56.
  expect([61, 63].map((percent) => told(at(percent), 'hydration-outside'))).toEqual([false, true])
  const onPotato = (flour: number): Sheet => ({
    ...potatoSheet,
    rows: potatoSheet.rows.map((row): SheetRow =>
      row.key === 'flour' ? { ...row, amount: { by: 'percent', percent: flour } } : row,
    ),
  })
  // 22 to 38 on the potato.
  expect([52, 55].map((flour) => told(onPotato(flour), 'hydration-outside'))).toEqual([false, true])
})

it('fat brings 37 kJ a gram, protein and starch 17', () => {
  const { kJPer100G, flourProtein } = workSheet(testSheet, kitchen).balance
  const plain = workSheet(added('oil', 10), kitchen)
  const without = workSheet(testSheet, kitchen)
  const doughG = (worked: typeof plain) => worked.batch.doughG / worked.batch.flourG
  expect((plain.balance.kJPer100G * doughG(plain) - without.balance.kJPer100G * doughG(without)) / 100).toBeCloseTo(
    3.7,
    6,
  )
  // Durum of the test: 1.2 % fat, the rest of its 86 % solids counts as starch.
  expect(kJPer100G).toBeCloseTo((100 * (0.012 * 37 + 0.848 * 17)) / doughG(without), 6)
  expect(flourProtein).toBe(0)
})

it('counted in portions again, a dough is shared out by the maker’s own guide for its family', () => {
  const byDough: Sheet = { ...testSheet, target: { by: 'dough', grams: 1000 } }
  const portions = (own: Kitchen['gear']['portions']) => {
    const worked = workSheet(byDough, { ...kitchen, gear: { ...kitchen.gear, portions: own } })
    const asked = retarget(worked, 'portions')
    // What is held stays: 8.9 portions are no 9 of another dough.
    const again = workSheet(asked, kitchen)
    expect(again.rows.map(({ weighedG }) => weighedG)).toEqual(worked.rows.map(({ weighedG }) => weighedG))
    return asked.target
  }
  expect(portions({})).toMatchObject({ by: 'portions', gramsEach: 110, count: expect.closeTo(8.9, 1) })
  expect(portions({ 'semolina/main/fresh': 140 })).toMatchObject({ gramsEach: 140, count: expect.closeTo(7, 1) })
})

it('an alkali from another jar brings as much carbonate, and forgets the jar it was from', () => {
  const sheet = added('carbonate', 1)
  const crystals = kitchen.ingredients.get('crystals')!
  const swapped = swapAlkali(sheet, 'more', carbonate, crystals)
  expect(swapped.rows.at(-1)).toEqual({
    key: 'more',
    ingredient: 'crystals',
    amount: { by: 'percent', percent: 1 / 0.37 },
  })
  const dose = (of: Sheet) => workSheet(of, kitchen).batch.carbonatePercent
  expect(dose(swapped)).toBeCloseTo(dose(sheet), 9)
  expect(swapAlkali(sheet, 'more', carbonate, kitchen.ingredients.get('soda')!)).toBe(sheet)
  expect(swapAlkali(swapped, 'more', crystals, carbonate).rows.at(-1)).toMatchObject({
    amount: { percent: expect.closeTo(1, 9) },
  })
})
