/** Merely soft, unusual but proven, another dough, or none: each with its way out. */
import { addRow, shapesFor, startSheet, type Sheet } from '@harina/core'
import { doughs, shapes } from './index.ts'
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
const withEgg = (sheet: Sheet, percent: number): Sheet => {
  const added = addRow(work(sheet), 'egg-whole', percent, wholeKitchen)
  if (!added.ok) throw new Error(added.problem.code)
  return added.value
}
const standing = (sheet: Sheet) =>
  work(sheet).notes.find(({ code }) => ['hydration-outside', 'shape-outside', 'proven'].includes(code))
const suits = (sheet: Sheet): readonly string[] => {
  const note = standing(sheet)
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
  expect(standing(at(crumb, 47))).toMatchObject({ code: 'hydration-outside', severity: 'caution', side: 'soft' })
  expect(suits(at(crumb, 47))).toContain(doughs.find(({ id }) => id === 'sw-hand')!.name)
  // Nothing of durum stands at 75: neither kneaded nor poured. A dough without gluten does, and is no way out for a wheat.
  expect(standing(at(crumb, 75))).toMatchObject({ code: 'hydration-outside', severity: 'danger', suits: [] })
})

it.each([
  ['batter-egg', 88, 'proven'],
  ['batter-egg', 91, 'hydration-outside'],
])('%s at %d: %s', (dough, percent, code) => {
  expect(standing(at(started(dough), percent))?.code).toBe(code)
})

it('kneaded egg dough goes softer through a press than crumb does; without the egg it is a caution', () => {
  const crumb = at(started('sw-crumb'), 44)
  expect(standing(withEgg(crumb, 30))).toMatchObject({ code: 'proven', severity: 'note' })
  expect(standing(crumb)?.severity).toBe('caution')
})
