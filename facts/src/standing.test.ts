/** Merely soft, unusual but proven, another dough, or none: each with its way out. */
import { addRow, shapesFor, startSheet, type Kitchen, type Sheet } from '@harina/core'
import { doughs, presses, shapes } from './index.ts'
import { wholeKitchen, work } from './testing/wholeKitchen.ts'

const started = (
  dough: string,
  shape = shapesFor(
    doughs.find(({ id }) => id === dough)!,
    shapes,
  )[0]!.id,
): Sheet =>
  startSheet(
    doughs.find(({ id }) => id === dough)!,
    shapes.find(({ id }) => id === shape)!,
    wholeKitchen,
  )

const at = (sheet: Sheet, percent: number): Sheet => ({
  ...sheet,
  rows: sheet.rows.map((row) =>
    row.amount.by === 'hydration' ? { ...row, amount: { ...row.amount, percent, basis: 'basis14' } } : row,
  ),
})
/** With a press that takes crumbs alone. */
const shopKitchen: Kitchen = {
  ...wholeKitchen,
  gear: {
    ...wholeKitchen.gear,
    presses: presses.filter(({ id }) => id === 'shop-press').map(({ note: _, ...press }) => press),
  },
}
const standing = (sheet: Sheet, kitchen = wholeKitchen) =>
  work(sheet, kitchen).notes.find(({ code }) => ['hydration-outside', 'shape-outside', 'proven'].includes(code))
const suits = (sheet: Sheet, kitchen = wholeKitchen): readonly string[] => {
  const note = standing(sheet, kitchen)
  return note && 'suits' in note ? note.suits : []
}

it('soft for its shape: how far, and the shapes of this dough that want it so', () => {
  const soft = at(started('sw-hand', 'ridged-pips'), 52)
  expect(standing(soft)).toMatchObject({ code: 'shape-outside', side: 'soft' })
  expect(suits(soft).length).toBeGreaterThan(0)
  const wanting = shapes.filter(({ name }) => suits(soft).includes(name))
  for (const { doughs: table } of wanting) {
    const { window } = table.find(({ dough }) => dough === 'sw-hand')!
    expect(window.low <= 52 && window.high >= 52).toBe(true)
  }
})

it('past its own windows it is another dough of the same flour, where one stands there, and none where none does', () => {
  const crumb = started('sw-crumb')
  expect(standing(at(crumb, 47), shopKitchen)).toMatchObject({
    code: 'hydration-outside',
    severity: 'caution',
    side: 'soft',
  })
  expect(suits(at(crumb, 47), shopKitchen)).toContain(doughs.find(({ id }) => id === 'sw-hand')!.name)
  expect(suits(at(started('soft-hand'), 62)).some((name) => /buckwheat/i.test(name))).toBe(false)
  // Nothing of durum stands at 75: neither kneaded nor poured. A dough without gluten does, and is no way out for a wheat.
  expect(standing(at(crumb, 75))).toMatchObject({ code: 'hydration-outside', severity: 'danger', suits: [] })
})

it.each([
  ['batter-egg', 82, undefined],
  ['batter-egg', 97, 'hydration-outside'],
])('%s at %d: %s', (dough, percent, code) => {
  expect(standing(at(started(dough), percent))?.code).toBe(code)
})

it('kneaded, a dough goes softer through a press than as crumb; through one that takes crumbs alone it is a caution', () => {
  const soft = at(started('sw-crumb'), 44)
  expect(standing(soft)).toBeUndefined()
  expect(standing(soft, shopKitchen)?.severity).toBe('caution')
})

it('one egg to a hundred of flour is right for a sheet, and so are thirty-five yolks to the kilo', () => {
  const eggs = (dough: string, shape: string, egg: string, percent: number) => {
    const dry = started(dough, shape)
    const added = addRow(work(dry), egg, percent, wholeKitchen)
    if (!added.ok) throw new Error(added.problem.code)
    return standing(at(added.value, 0))
  }
  for (const dough of ['soft-hand', 'sw-hand']) {
    expect(eggs(dough, 'wide-ribbons', 'egg-whole', 50)).toBeUndefined()
    for (const percent of [55, 57, 60])
      expect(eggs(dough, 'wide-ribbons', 'egg-yolk', percent)?.severity).not.toBe('caution')
  }
  expect(eggs('soft-hand', 'wide-ribbons', 'egg-yolk', 57)).toBeUndefined()
})

it('what came out well in the same hands is proven, whatever the table says; what was made otherwise is not', () => {
  const curd = started('gn-curd')
  const much = {
    ...curd,
    rows: curd.rows.map((row) => (row.flour ? { ...row, amount: { by: 'percent' as const, percent: 75 } } : row)),
  }
  expect(standing(much)?.severity).toBe('danger')
  const { match, shape } = work(much)
  const made = (fromBest: number, dough = 'gn-curd') =>
    standing(much, { ...wholeKitchen, proven: [{ dough, shape: shape.id, fromBest }] })
  expect(made(match.fromBest)).toMatchObject({ code: 'proven', severity: 'note', side: 'stiff' })
  expect(made(match.fromBest + 8)?.code).not.toBe('proven')
  expect(made(match.fromBest, 'gn-squash')?.code).not.toBe('proven')
})
