import { cleanup, within } from '@testing-library/react'
import { store } from '../../state/store.ts'
import { repository } from '../../storage/index.ts'
import {
  act,
  choose,
  fireEvent,
  press,
  putWorkspace,
  renderAt,
  sampleWorkspace,
  screen,
  settle,
  typeInto,
  typeOver,
  valueOf,
} from '../../testing/renderApp.tsx'
import { redone, undone } from '../../state/draftSlice.ts'
import FormulaStation from './FormulaStation.tsx'

const pages = [
  { path: '/formula', element: <FormulaStation /> },
  { path: '/bench/:id', element: <p>at the bench</p> },
]
const blur = (label: string) => fireEvent.blur(screen.getByLabelText(label))
const sheet = () => store.getState().draft.present!.sheet
const grams = (label: string) => Number(valueOf(`${label}, grams`))

beforeEach(async () => {
  await putWorkspace({ ...sampleWorkspace, batches: [] })
  renderAt('/formula', pages)
  await screen.findByLabelText('Portions')
})
afterEach(cleanup)

it('half the portions is half of everything', async () => {
  const before = ['Remilled durum R-34', 'Dough'].map(grams)
  await typeInto('Portions', '6')
  const after = ['Remilled durum R-34', 'Dough'].map(grams)
  after.forEach((value, i) => expect(Math.abs(value - before[i]! / 2)).toBeLessThan(2))
})

it('grams typed for the salt change its percentage and leave the portions', async () => {
  await typeInto('Fine salt, grams', '20')
  blur('Fine salt, grams')
  expect(Number(valueOf('Fine salt, percent of flour'))).toBeCloseTo((100 * 20) / grams('Remilled durum R-34'), 0)
  expect(valueOf('Portions')).toBe('12')
})

it('a locked line holds its grams while the water moves', async () => {
  await press('Hold Fine salt at this amount and scale everything from it')
  await typeInto('Fine salt, grams', '12')
  blur('Fine salt, grams')
  expect(sheet().target).toEqual({ by: 'row', key: 'salt', grams: 12 })
  await typeInto('Hydration, percent', '48')
  blur('Hydration, percent')
  expect(grams('Fine salt')).toBe(12)
  await press('Fine salt is held at this amount; everything scales from it. Let go')
  expect(sheet().target.by).toBe('portions')
})

it.each([
  ['pieces', 'Pieces'],
  ['dough', 'Grams, dough'],
  ['flour in the sack', 'Grams, flour'],
  ['water in the jug', 'Grams, water'],
])('solving for %s takes over what stands there', async (way, label) => {
  const before = grams('Dough')
  fireEvent.click(within(screen.getByRole('radiogroup', { name: 'Solve for' })).getByRole('radio', { name: way }))
  expect(Math.abs(grams('Dough') - before)).toBeLessThan(4)
  const now = Number(valueOf(label).replace(/\u202f/g, ''))
  await typeInto(label, String(now * 2))
  blur(label)
  expect(grams('Dough') / before).toBeCloseTo(2, 1)
})

it('water from the jug keeps the hydration', async () => {
  const hydration = valueOf('Hydration, percent')
  fireEvent.click(screen.getByRole('radio', { name: 'water in the jug' }))
  await typeInto('Grams, water', '250')
  blur('Grams, water')
  expect(valueOf('Hydration, percent')).toBe(hydration)
  expect(valueOf('Water, warm, grams')).toBe('250')
})

it('a typed moisture overrules the store, and says so', async () => {
  const damp = Number(valueOf('Hydration, percent'))
  await typeInto('Flour moisture, percent', '11')
  blur('Flour moisture, percent')
  expect(sheet().flourState).toEqual({ by: 'typed', moisture: 0.11 })
  expect(Number(valueOf('Hydration, percent'))).toBeGreaterThan(damp + 5)
  expect(screen.getByText(/points more water/)).toBeTruthy()
  await typeOver('Flour moisture, percent', '40')
  expect(screen.getByRole('alert').textContent).toContain('at most 20')
  expect(sheet().flourState).toEqual({ by: 'typed', moisture: 0.11 })
})

it('what cannot be is refused beside the figure', async () => {
  await typeOver('Remilled durum R-34, percent of flour', '90')
  expect(screen.getByRole('alert').textContent).toContain('only flour')
  blur('Remilled durum R-34, percent of flour')
  await typeOver('Fine salt, grams', '99999')
  expect(screen.getByRole('alert').textContent).toContain('more than the whole dough')
  expect(valueOf('Portions')).toBe('12')
})

it('far too wet is a danger, read out at once', async () => {
  await typeInto('Hydration, percent', '90')
  expect(within(screen.getByRole('complementary')).getByRole('alert').textContent).toContain('Too wet to hold together')
})

it('another sack is another history', async () => {
  await choose('Sack of Durum semolina, re-milled fine (rimacinata)', 'lot-r31')
  expect(sheet().rows[0]).toMatchObject({ lot: 'lot-r31' })
  await choose(/^Sack of/, '')
  expect(sheet().rows[0]).not.toHaveProperty('lot')
})

it('every keystroke into one field undoes as one', async () => {
  await typeOver('Portions', '1')
  await typeOver('Portions', '15')
  blur('Portions')
  act(() => void store.dispatch(undone()))
  expect(valueOf('Portions')).toBe('12')
  act(() => void store.dispatch(redone()))
  expect(valueOf('Portions')).toBe('15')
})

it('differs from the book until it is kept or taken back', async () => {
  expect(await screen.findByText('as in the book')).toBeTruthy()
  await typeInto('Loss, percent of the dough', '4')
  blur('Loss, percent of the dough')
  await press('Back to the book')
  expect(sheet().lossPercent).toBe(1.5)
  await typeInto('Loss, percent of the dough', '3')
  blur('Loss, percent of the dough')
  await press('Keep in the book')
  expect(
    (await repository.read('formula')).find((formula) => formula.id === 'lamp-room-semolina')?.sheet.lossPercent,
  ).toBe(3)
  expect(await screen.findByText('as in the book')).toBeTruthy()
})

it('the bench gets a plan with the figures on the sheet', async () => {
  const flour = grams('Remilled durum R-34')
  await press('Take to the bench')
  expect(await screen.findByText('at the bench')).toBeTruthy()
  await settle()
  const [batch] = await repository.batches.open()
  expect(batch?.plan.rows[0]?.weighedG).toBe(flour)
  expect(batch?.plan).toMatchObject({ formula: 'lamp-room-semolina', store: { name: 'Sea store' } })
})
