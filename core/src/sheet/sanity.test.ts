/** What a careful colleague would say: each check at the edge of its window and beyond it. */
import { type Ingredient, type Sheet, type SheetRow, doughTable } from '../model/index.ts'
import { potatoSheet, testKitchen, testSheet, workSheet } from '../testing/testKitchen.ts'
import { usualPercent } from './editRows.ts'
import type { Kitchen } from './kitchen.ts'

const durum = testKitchen.ingredients.get('durum')!
const extra: readonly Ingredient[] = [
  { ...durum, id: 'rice', name: 'rice', gluten: 'none', absorptionShift: 10, usualMaxSharePercent: 30 },
  { ...durum, id: 'butter', name: 'butter', group: 'fat', basis: 'additive', water: 0.16, fat: 0.82 },
  { ...durum, id: 'beet', name: 'beet', group: 'vegetable', basis: 'liquid', water: 0.87, usualMaxSharePercent: 35 },
  { ...durum, id: 'curd', name: 'curd', group: 'dairy', basis: 'liquid', water: 0.75, availableWater: 0.3 },
]
const hand = testKitchen.doughs.get('hand-dough')!
const kitchen: Kitchen = {
  ...testKitchen,
  ingredients: new Map([...testKitchen.ingredients, ...extra.map((row) => [row.id, row] as const)]),
  doughs: doughTable([
    ...testKitchen.doughs.values(),
    { ...hand, id: 'alkaline-dough', family: 'alkaline', alkaliPercent: { low: 0.6, best: 1, high: 1.6 } },
  ]),
}
const added = (id: string, percent: number, sheet: Sheet = testSheet): Sheet => ({
  ...sheet,
  rows: [...sheet.rows, { key: 'more', ingredient: id, amount: { by: 'percent', percent } }],
})
const flours = (share: number): Sheet => ({
  ...testSheet,
  rows: [
    { key: 'a', ingredient: 'durum', amount: { by: 'percent', percent: 100 - share }, flour: true },
    { key: 'b', ingredient: 'rice', amount: { by: 'percent', percent: share }, flour: true },
    ...testSheet.rows.slice(1),
  ] as SheetRow[],
})
const notes = (sheet: Sheet) => workSheet(sheet, kitchen).notes
const note = (sheet: Sheet, code: string) => notes(sheet).find((each) => each.code === code)

it.each([
  [1.6, null],
  [1.7, 'alkali-outside'],
  // Over 2 % it is harsh and soapy, and never called right.
  [2.1, 'alkali-over'],
  [3, 'alkali-over'],
] as const)('%s %% of carbonate in an alkaline dough', (percent, code) => {
  const sheet = added('carbonate', percent, { ...testSheet, dough: 'alkaline-dough' })
  const found = notes(sheet).filter((each) => each.code === 'alkali-outside' || each.code === 'alkali-over')
  expect(found.map((each) => each.code)).toEqual(code ? [code] : [])
  expect(note(sheet, 'alkali-handling')).toMatchObject({ severity: 'caution' })
})

it('alkali in a dough that takes none is outside at any dose, and nobody is told of gloves without it', () => {
  expect(note(added('carbonate', 0.4), 'alkali-outside')).toMatchObject({ low: 0, high: 0 })
  expect(note(testSheet, 'alkali-handling')).toBeUndefined()
})

it('salt outside its window, and salt that nobody could eat', () => {
  expect(note(added('salt', 0.2), 'salt-outside')).toMatchObject({ high: 1, on: 'flour' })
  expect(note(added('salt', 8), 'salt-over')).toMatchObject({ severity: 'danger', limit: 8 })
  expect(note(testSheet, 'salt-outside')).toBeUndefined()
  expect(note(added('salt', 2, potatoSheet), 'salt-outside')).toMatchObject({ on: 'cooked potato' })
})

it('more fat than a sheet holds', () => {
  expect(note(added('butter', 2), 'fat-outside')).toBeUndefined()
  expect(note(added('butter', 4), 'fat-outside')).toMatchObject({ percent: 4, high: 2 })
})

it('a flour beyond its usual share, and what it drinks', () => {
  expect(note(flours(30), 'share-over')).toBeUndefined()
  expect(note(flours(40), 'share-over')).toMatchObject({ ingredient: 'rice', max: 30 })
  expect(note(flours(40), 'share-over')).toMatchObject({ isFlour: true })
  const thirsty = note(flours(30), 'thirsty-flour')
  expect(thirsty).toMatchObject({ severity: 'note' })
  expect(thirsty && 'points' in thirsty && thirsty.points).toBeCloseTo(0.3 * 8, 6)
})

it('a purée beyond its usual share is told, and the default is within it', () => {
  expect(note(added('beet', 35), 'share-over')).toBeUndefined()
  expect(note(added('beet', 36), 'share-over')).toMatchObject({ ingredient: 'beet', max: 35, isFlour: false })
  const herbs = { ...kitchen.ingredients.get('beet')!, usualMaxSharePercent: 5 }
  expect(usualPercent(herbs)).toBe(3)
})

it('water that curd holds on to is not there to wet the flour', () => {
  const worked = workSheet(added('curd', 40), kitchen)
  expect(worked.balance.availablePercent).toBeCloseTo(worked.batch.hydration.effective - 40 * 0.75 * 0.7, 6)
  expect(note(added('curd', 40), 'free-water')).toMatchObject({ available: worked.balance.availablePercent })
  expect(note(added('curd', 40), 'never-dry')).toMatchObject({ ingredients: ['curd'] })
  expect(note(testSheet, 'free-water')).toBeUndefined()
})

it('danger stands first, then cautions, then notes', () => {
  const order = notes(added('salt', 8)).map((each) => ['danger', 'caution', 'note'].indexOf(each.severity))
  expect(order).toEqual([...order].sort())
})

it('cost is of what has a price, and says what has none', () => {
  const priced: Kitchen = {
    ...kitchen,
    lots: [{ id: 'lot-a', name: 'A-1', ingredient: 'durum', note: '', pricePerKg: 2, protein: 0.13 }],
  }
  const worked = workSheet(testSheet, priced)
  expect(worked.balance.cost!.total).toBeCloseTo((2 * worked.batch.flourG) / 1000, 9)
  expect(worked.balance.cost!.unpriced).toEqual(['salt'])
  expect(worked.balance.flourProtein).toBeCloseTo(0.13, 9)
  expect(workSheet(testSheet, kitchen).balance.cost).toBeNull()
})

it('allergens are of all that is in it, once each', () => {
  expect(workSheet(added('milk', 5), kitchen).balance.allergens).toEqual(['gluten', 'milk'])
  expect(workSheet(added('milk', 0), kitchen).balance.allergens).toEqual(['gluten'])
})
