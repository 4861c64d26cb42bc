import { compositionOf } from '@harina/core/formula'
import { materialOf, doughSchema } from '@harina/core/model'
import { cylinderG } from '@harina/core/geometry'
import { blankVolumeMm3 } from '@harina/core/shape'
import { problemsOf, tableProblems } from './check.ts'
import { doughs, flavours, hazards, ingredients, schools, shapes } from './index.ts'

it('every row of every table fits its schema, and no id comes twice', () => {
  expect(tableProblems()).toEqual([])
  for (const rows of [ingredients, doughs, shapes, schools, hazards, flavours]) expect(rows.length).toBeGreaterThan(10)
})

it('a row that does not fit, or comes twice, is named', () => {
  const [first] = doughs
  const rows = [first!, { ...first!, kneadMin: 'long' }]
  expect(problemsOf({ name: 'doughs', rows, schema: doughSchema, key: (row: { id: string }) => row.id })).toEqual([
    `doughs: ${first!.id} stands there twice`,
    expect.stringContaining(`doughs: ${first!.id}, kneadMin`),
  ])
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

it('flavours name ingredients that exist', () => {
  const known = new Set(ingredients.map((row) => row.id))
  for (const flavour of flavours) expect(known.has(flavour.ingredient)).toBe(true)
})

it('doughs name ingredients and cautions that exist, and each has a shape', () => {
  const known = new Set(ingredients.map((row) => row.id))
  const cautions = new Set(hazards.map((row) => row.id))
  const shaped = new Set(shapes.flatMap((shape) => shape.doughs.map((entry) => entry.dough)))
  for (const { id, flours, mixture, control, cautions: named } of doughs) {
    if (mixture) {
      expect(mixture.reduce((sum, { percent }) => sum + percent, 0)).toBe(100)
      for (const { flour } of mixture) expect(flours).toContain(flour)
    }
    const unknown = [...flours, ...(control.by === 'base' ? control.bases : [])].filter((entry) => !known.has(entry))
    expect({ id, unknown, shaped: shaped.has(id) }).toEqual({ id, unknown: [], shaped: true })
    expect(named.filter((entry) => !cautions.has(entry))).toEqual([])
  }
})

it('schools that name an ingredient name one that exists', () => {
  const known = new Set(ingredients.map((row) => row.id))
  const named = schools.flatMap((school) => school.positions.map((position) => position.sets))
  for (const sets of named)
    for (const id of [sets?.base, sets?.liquid]) if (id !== undefined) expect(known.has(id)).toBe(true)
})

it('shapes name doughs that exist, with windows inside that dough’s window for the method', () => {
  for (const shape of shapes)
    for (const { dough, window } of shape.doughs) {
      const whole = doughs.find((row) => row.id === dough)?.windows[shape.method]
      expect(whole && whole.low <= window.low && window.high <= whole.high).toBe(true)
    }
})

it('a strand rolled out keeps the mass of its cut', () => {
  const rolled = shapes.flatMap(({ blank }) =>
    blank.type === 'rope' && blank.drawn?.lengthMm
      ? [{ blank, drawn: blank.drawn, lengthMm: blank.drawn.lengthMm }]
      : [],
  )
  expect(rolled.length).toBeGreaterThan(0)
  for (const { blank, drawn, lengthMm } of rolled)
    expect(cylinderG(1000, drawn.diameterMm, lengthMm) / blankVolumeMm3(blank)).toBeCloseTo(1, 1)
})
