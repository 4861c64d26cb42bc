import type { Ingredient, Sheet } from '../model/index.ts'
import { computeSheet } from './computeSheet.ts'
import { USUAL_PACK, withEggs, withoutEggs } from './eggSwap.ts'
import { testKitchen, testSheet, workSheet } from '../testing/testKitchen.ts'
import type { Kitchen } from './kitchen.ts'

const like = (id: string, group: Ingredient['group'], water: number, fat: number): Ingredient => ({
  ...testKitchen.ingredients.get('salt')!,
  id,
  name: id,
  group,
  water,
  fat,
})
const kitchen: Kitchen = {
  ...testKitchen,
  ingredients: new Map([
    ...testKitchen.ingredients,
    ...[
      like('egg-whole', 'egg', 0.76, 0.1),
      like('egg-replacer-powder', 'egg', 0.08, 0),
      like('olive-oil', 'fat', 0, 1),
      like('water-room', 'liquid', 1, 0),
    ].map((each) => [each.id, each] as const),
  ]),
}

const EGG_G = 50.4
/** Three eggs on 300 g of flour. */
const threeEggs: Sheet = {
  ...testSheet,
  target: { by: 'flour', grams: 300 },
  rows: [...testSheet.rows, { key: 'egg', ingredient: 'egg-whole', amount: { by: 'percent', percent: EGG_G } }],
}
const work = (sheet: Sheet) => workSheet(sheet, kitchen)
const gramsOf = (sheet: Sheet, id: string) => {
  const computed = computeSheet(sheet, kitchen)
  if (!computed.ok) throw new Error(computed.problem.code)
  return computed.value.rows.reduce((all, row) => (row.ingredient.id === id ? all + row.grams : all), 0)
}

it('three eggs out: replacer, water and oil by the pack, and no egg left', () => {
  const swap = withoutEggs(work(threeEggs), 'any', USUAL_PACK)!
  expect(swap.eggs).toBeCloseTo(3, 6)
  expect([swap.powderG, swap.waterG, swap.oilG].map(Math.round)).toEqual([18, 126, 15])
  expect(gramsOf(swap.sheet, 'egg-whole')).toBe(0)
  expect(gramsOf(swap.sheet, 'egg-replacer-powder')).toBeCloseTo(18, 1)
  expect(gramsOf(swap.sheet, 'olive-oil')).toBeCloseTo(15, 1)
})

it('all the water there was, less the eggs’, plus what the pack says', () => {
  const before = work(threeEggs)
  const after = work(withoutEggs(before, 'any', USUAL_PACK)!.sheet)
  const water = (of: typeof before) =>
    of.rows.reduce((all, row) => (row.part === 'water' ? all + row.grams * row.water : all), 0)
  // On the 14 % basis a point is a little more than a hundredth of the flour as it stands.
  expect(water(after) - water(before)).toBeCloseTo(126, -1)
})

it('and back: three eggs, and the oil that was in before', () => {
  const oiled: Sheet = {
    ...threeEggs,
    rows: [...threeEggs.rows, { key: 'oil', ingredient: 'olive-oil', amount: { by: 'percent', percent: 2 } }],
  }
  const out = withoutEggs(work(oiled), 'any', USUAL_PACK)!.sheet
  const back = withEggs(work(out), 'any', USUAL_PACK)!
  expect(back.eggs).toBeCloseTo(3, 2)
  expect(gramsOf(back.sheet, 'egg-replacer-powder')).toBe(0)
  expect(gramsOf(back.sheet, 'egg-whole')).toBeCloseTo(3 * EGG_G, 0)
  expect(gramsOf(back.sheet, 'olive-oil')).toBeCloseTo(6, 1)
})

it('without eggs nothing is taken out, without replacer nothing put back', () => {
  expect(withoutEggs(work(testSheet), 'any', USUAL_PACK)).toBeNull()
  expect(withEggs(work(testSheet), 'any', USUAL_PACK)).toBeNull()
})

it('where egg is all that wets the flour, water takes its place', () => {
  const eggOnly: Sheet = {
    ...testSheet,
    target: { by: 'flour', grams: 300 },
    rows: testSheet.rows.map((row) => (row.amount.by === 'hydration' ? { ...row, ingredient: 'egg-whole' } : row)),
  }
  const swap = withoutEggs(work(eggOnly), 'any', USUAL_PACK)!
  const after = work(swap.sheet)
  expect(gramsOf(swap.sheet, 'egg-whole')).toBe(0)
  const water = after.rows.filter(({ part }) => part === 'water').reduce((all, row) => all + row.grams, 0)
  expect(water).toBeCloseTo(swap.waterG, -1)
})
