/** Every dough of the table with every shape it is made into: a first sheet that a maker could weigh out as it stands. */
import {
  addRow,
  applySchool,
  computeSheet,
  needsOf,
  shapesFor,
  sheetSchema,
  startSheet,
  swapIngredient,
  windowOnRule,
  onRule,
  type Sheet,
} from '@harina/core'
import { doughs, flavours, schools, shapes } from './index.ts'
import { wholeKitchen, work } from './testing/wholeKitchen.ts'

const started = doughs.flatMap((dough) =>
  shapesFor(dough, shapes).map((shape) => ({
    title: `${dough.id} as ${shape.id}`,
    sheet: startSheet(dough, shape, wholeKitchen),
  })),
)
const first = (id: string): Sheet => started.find(({ sheet }) => sheet.dough === id)!.sheet
const doughOf = (family: string) => doughs.find((dough) => dough.family === family)!.id
const grams = (sheet: Sheet, group: string, kitchen = wholeKitchen) =>
  work(sheet, kitchen).rows.find((row) => row.ingredient.group === group)!

it.each(started)('$title starts at its best, without a danger note', ({ sheet }) => {
  expect(sheetSchema.safeParse(sheet).error?.issues ?? []).toEqual([])
  const worked = work(sheet)
  expect(worked.match.grade).toBe('in')
  expect(worked.notes.filter((note) => note.severity === 'danger')).toEqual([])
  const window = windowOnRule(worked, worked.match.window)
  expect(onRule(worked)).toBeCloseTo(window.best, 1)
  expect(worked.cut.pieces).toBeGreaterThan(0)
})

it.each(['semolina', 'salted', 'alkaline', 'batter'])(
  'the same %s dough in a damp store and a dry loft: other water, the same feel, and a reason',
  (family) => {
    const standing = (place: string) => work({ ...first(doughOf(family)), flourState: { by: 'place', place } })
    const [damp, dry] = [standing('damp'), standing('dry')]
    expect(dry.water.totalG - damp.water.totalG).toBeGreaterThan(0.025 * damp.water.totalG)
    expect(dry.batch.hydration.basis14).toBeCloseTo(damp.batch.hydration.basis14, 6)
    const why = damp.notes.find((note) => note.code === 'flour-moisture')
    expect(why).toMatchObject({ place: 'Damp store' })
  },
)

it('3 g of carbonate on a 1 g scale is told of; on a 0.1 g scale it is not, and the roundings differ', () => {
  const sheet = first(doughOf('alkaline'))
  const flourG = 300 / grams(sheet, 'alkali').percent
  const small: Sheet = { ...sheet, target: { by: 'flour', grams: flourG } }
  expect(grams(small, 'alkali').grams).toBeCloseTo(3, 6)
  const at = (scaleStepG: number) => work(small, { ...wholeKitchen, gear: { ...wholeKitchen.gear, scaleStepG } })
  const coarse = (step: number) =>
    at(step).notes.flatMap((note) => (note.code === 'scale-coarse' && note.alkali ? [note] : []))
  expect(coarse(1)).toMatchObject([{ severity: 'caution' }])
  expect(coarse(1)[0]!.grams).toBeCloseTo(3, 6)
  expect(coarse(1)[0]!.percent).toBeCloseTo(16.7, 1)
  expect(coarse(0.1)).toEqual([])
  expect(at(0.1).rows.map((row) => row.weighedG)).not.toEqual(at(1).rows.map((row) => row.weighedG))
  for (const row of at(1).rows) expect(Number.isInteger(row.weighedG)).toBe(true)
})

it('a danger is said: far too wet, too much alkali, a noodle without gluten', () => {
  const sheet = first(doughOf('alkaline'))
  const changed = (change: (row: Sheet['rows'][number]) => Sheet['rows'][number]) =>
    work({ ...sheet, rows: sheet.rows.map(change) }).notes.filter((note) => note.severity === 'danger')
  const codes = (notes: ReturnType<typeof changed>) => notes.map((note) => note.code)
  expect(codes(changed((row) => (row.flour ? { ...row, ingredient: 'rice-flour' } : row)))).toContain('no-gluten')
  expect(
    codes(changed((row) => (row.key === 'alkali' ? { ...row, amount: { by: 'percent', percent: 6 } } : row))),
  ).toContain('alkali-over')
  expect(
    codes(
      changed((row) =>
        row.amount.by === 'hydration' ? { ...row, amount: { ...row.amount, percent: row.amount.percent + 40 } } : row,
      ),
    ),
  ).toContain('hydration-outside')
})

it.each(flavours.map((flavour) => [flavour.ingredient, flavour] as const))(
  '%s brings its water along, and less is poured',
  (id, { percent }) => {
    const worked = work(first(doughOf('semolina')))
    const next = addRow(worked, id, percent.best, wholeKitchen)
    if (!next.ok) throw new Error(next.problem.code)
    const flavoured = work(next.value)
    const row = flavoured.rows.find((each) => each.ingredient.id === id)!
    const per100 = (each: typeof worked) => (100 * each.rows.find((r) => r.part === 'water')!.grams) / each.batch.flourG
    const drinks = ((row.ingredient.absorptionShift ?? 0) * percent.best) / 100
    expect(per100(flavoured)).toBeCloseTo(
      per100(worked) + drinks * worked.poured.slope - percent.best * row.ingredient.water,
      6,
    )
    expect(flavoured.match.grade).not.toBe('out')
  },
)

it('another flour takes the water it drinks with it, and the dough feels as before', () => {
  const worked = work(first(doughOf('semolina')))
  const { key, ingredient } = worked.rows.find((row) => row.part === 'flour')!
  for (const id of ['plain-wheat', 'bread-wheat', 'wholemeal-wheat'].filter((each) =>
    wholeKitchen.ingredients.has(each),
  )) {
    const swapped = swapIngredient(worked, key, id, wholeKitchen)
    if (!swapped.ok) throw new Error(swapped.problem.code)
    const points = wholeKitchen.ingredients.get(id)!.absorptionShift! - ingredient.absorptionShift!
    expect(swapped.value.points).toBeCloseTo(points, 6)
    expect(work(swapped.value.sheet).match.outsideBy).toBeCloseTo(worked.match.outsideBy, 6)
  }
})

it('every position of every school gives each of its families a sheet that computes, without a new danger', () => {
  for (const school of schools)
    for (const position of school.positions)
      for (const dough of doughs.filter(({ family }) => school.families.includes(family))) {
        const worked = work(first(dough.id))
        const next = applySchool(worked, school.id, position, wholeKitchen)
        expect(sheetSchema.safeParse(next).success).toBe(true)
        const computed = computeSheet(next, wholeKitchen)
        expect({ at: [school.id, position.id, dough.id], ok: computed.ok }).toMatchObject({ ok: true })
        if (computed.ok)
          expect([position.id, dough.id, computed.value.notes.filter((note) => note.severity === 'danger')]).toEqual([
            position.id,
            dough.id,
            [],
          ])
      }
})

it('what a shape needs of its flour, the dough’s own flours give', () => {
  for (const dough of doughs)
    for (const shape of shapesFor(dough, shapes)) {
      const needs = needsOf(dough, shape, wholeKitchen.ingredients)
      const gluten = dough.flours.some((id) => wholeKitchen.ingredients.get(id)!.gluten !== 'none')
      if (!gluten) expect(needs.gluten).toBe(0)
      expect(needs.protein.low).toBeLessThan(needs.protein.high)
    }
})

it('no dough is moved by its own heat of water; boiled, each that is made cooler takes more, and its shape’s window goes with it', () => {
  const faults = doughs
    .filter(({ control, family }) => control.by === 'hydration' && family !== 'batter')
    .flatMap((dough) => {
      const shape = shapesFor(dough, shapes)[0]!
      const sheet = startSheet(dough, shape, wholeKitchen)
      const own = work(sheet, wholeKitchen)
      const boiled = work({ ...sheet, waterC: 99 }, wholeKitchen)
      const moved = boiled.flourShift - own.flourShift
      const fault = (wrong: boolean, what: string) => (wrong ? [`${dough.id} as ${shape.id}: ${what}`] : [])
      return [
        ...fault(own.gel !== null, 'moved by its own heat'),
        ...fault(moved < -0.6, `boiling takes ${moved.toFixed(1)} points from it`),
        ...fault(Math.abs(moved - (boiled.gel?.points ?? 0)) > 1e-9, 'the window does not go with the gel'),
        ...fault((own.practice.waterC ?? 0) < 50 && moved < 2, `boiled it takes no more: ${moved.toFixed(1)}`),
      ]
    })
  expect(faults).toEqual([])
})
