import { compositionOf, ingredientSchema, materialOf } from '@harina/core/ingredients'
import { cylinderG, doughSchema, shapeSchema } from '@harina/core/shape'
import { doughs, ingredients, shapes } from './index.ts'

const tables = [
  ['ingredients', ingredients, ingredientSchema],
  ['doughs', doughs, doughSchema],
  ['shapes', shapes, shapeSchema],
] as const

it.each(tables)('%s: every row fits its schema and no id comes twice', (_, rows, schema) => {
  expect(rows.length).toBeGreaterThan(0)
  for (const row of rows) expect(schema.safeParse(row).error?.issues ?? []).toEqual([])
  expect(new Set(rows.map((row) => row.id)).size).toBe(rows.length)
})

it('no ingredient is more than itself', () => {
  for (const row of ingredients) {
    const { totalG, waterG, fatG, saltG } = compositionOf([{ material: materialOf(row), grams: 100 }])
    expect({ id: row.id, over: waterG + fatG + saltG > totalG + 1e-9 }).toEqual({ id: row.id, over: false })
  }
})

it('baking soda counts as no carbonate until it is baked', () => {
  const carbonate = (id: string) => materialOf(ingredients.find((row) => row.id === id)!).carbonate
  expect([carbonate('baking-soda'), carbonate('baking-soda-baked')]).toEqual([0, 0.97])
})

it('shapes name doughs that exist, with windows inside the hand window of that dough', () => {
  for (const shape of shapes)
    for (const { dough, window } of shape.doughs) {
      const hand = doughs.find((row) => row.id === dough)?.windows.hand
      expect(hand && hand.low <= window.low && window.high <= hand.high).toBe(true)
    }
})

it('a strand drawn out keeps the mass of its cut', () => {
  for (const { blank } of shapes) {
    if (!blank.drawn) continue
    const cut = cylinderG(1.2, blank.diameterMm, blank.cutMm)
    expect(cylinderG(1.2, blank.drawn.diameterMm, blank.drawn.lengthMm) / cut).toBeCloseTo(1, 1)
  }
})
