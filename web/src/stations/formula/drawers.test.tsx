/** Each drawer on the demo's own formulas: what it says, and what it does to the sheet. */
import { formatPercent } from '@harina/core'
import { editDraft } from '../../state/editDraft.ts'
import { sheetEdited, undone, draftOpened } from '../../state/draftSlice.ts'
import { demoWorkspace } from '../../testing/demoWorkspace.ts'
import { cleanup, within } from '@testing-library/react'
import { store } from '../../state/store.ts'
import { repository } from '../../storage/index.ts'
import {
  act,
  choose,
  offered,
  fireEvent,
  press,
  putWorkspace,
  renderAt,
  screen,
  settle,
  typeInto,
  valueOf,
  waitFor,
} from '../../testing/renderApp.tsx'
import FormulaStation from './FormulaStation.tsx'

const sheet = () => store.getState().draft.present!.sheet
const row = (ingredient: string) => sheet().rows.find((each) => each.ingredient === ingredient)
const water = () => Number(valueOf('Hydration, percent'))

/** The demo's formula of this id on paper, one drawer pulled out. */
async function open(id: string, drawer: string, title = drawer): Promise<HTMLElement> {
  const formula = demoWorkspace.formulas.find((each) => each.id === id)!
  await putWorkspace(demoWorkspace)
  store.dispatch(draftOpened({ id: 'draft', formula: id, sheet: formula.sheet }))
  renderAt('/formula', [{ path: '/formula', element: <FormulaStation /> }])
  await screen.findByRole('navigation', { name: 'Drawers under the board' })
  await press(drawer)
  return screen.findByRole('dialog', { name: title })
}

afterEach(cleanup)

it('hydration said otherwise: half of the flour, parts and cups set the same rule', async () => {
  const drawer = await open('lamp-room-semolina', 'Hydration in other words')
  await typeInto('Flour divided by', '2')
  expect(water()).toBeCloseTo(50, 1)
  await typeInto('Parts of flour', '5')
  await typeInto('Parts of water', '2')
  expect(water()).toBeCloseTo(40, 1)
  await typeInto('Cups of flour', '3')
  await typeInto('Cups of water', '1')
  const said = Number(/likely (\d+)/.exec(drawer.textContent)![1])
  await press(`Set the sheet to ${said} %`)
  expect(Math.abs(water() - said)).toBeLessThanOrEqual(0.5)
})

it('spinach in: less water is poured, and the sheet says how much; out again, as before', async () => {
  const drawer = await open('lamp-room-semolina', 'Colour and taste')
  const before = sheet()
  const spinach = within(drawer).getAllByRole('button', { name: /^Put in \d+ % Spinach/ })[0]!
  const line = spinach.closest('li')!
  expect(line.textContent).toMatch(/Pour \d+ g less water/)
  await act(async () => fireEvent.click(spinach))
  expect(sheet().rows).toHaveLength(before.rows.length + 1)
  await act(async () => fireEvent.click(within(drawer).getAllByRole('button', { name: /^Take out Spinach/ })[0]!))
  expect(sheet()).toEqual(before)
})

it('another flour: points, protein and the feel in words; taken, the water follows', async () => {
  const drawer = await open('lamp-room-semolina', 'Swap a flour')
  const before = sheet().rows.find((each) => each.amount.by === 'hydration')!.amount.percent
  await choose('Put in its place', 'soft-00')
  expect(drawer.textContent).toContain('it drinks−4.0 points')
  expect(drawer.textContent).toContain('weak gluten, tears when pulled')
  await press('Swap it, and move the water')
  expect(row('soft-00')).toBeDefined()
  expect(sheet().rows.find((each) => each.amount.by === 'hydration')!.amount.percent).toBeCloseTo(before - 4, 6)
})

it('a blend from the sacks: its shares, its reasons, and onto the sheet in one press', async () => {
  const drawer = await open('lamp-room-semolina', 'Blend from my sacks')
  expect(drawer.textContent).toContain('This blend')
  expect(drawer.textContent).toContain('no other blend of these sacks')
  await press('Use it, and move the water')
  const flours = sheet().rows.filter((each) => each.flour)
  expect(flours.reduce((sum, each) => sum + each.amount.percent, 0)).toBeCloseTo(100, 6)
  for (const each of flours) expect(drawer.textContent).toContain(`${formatPercent(each.amount.percent)} %`)
})

it('more flour than the sacks hold: said in words, nothing changed', async () => {
  const drawer = await open('lamp-room-semolina', 'Blend from my sacks')
  act(() => void editDraft((now) => ({ ...now, target: { by: 'flour', grams: 500_000 } })))
  const before = sheet()
  expect(within(drawer).getByRole('alert').textContent).toMatch(/sacks|flour/)
  expect(within(drawer).queryByText('This blend')).toBeNull()
  expect(sheet()).toBe(before)
})

it('potato weighed before and after drying is measured, and the flour for a wanted moisture follows', async () => {
  await open('keepers-gnocchi', 'Potato and moisture')
  const flour = () => sheet().rows.find((each) => each.flour)!.amount.percent
  const before = flour()
  const potato = () => sheet().rows.find((each) => each.base)!
  await typeInto('a spoonful, grams', '20')
  await typeInto('dried, grams', '4.8')
  await press('Use 76.0 %')
  expect(potato().water).toBeCloseTo(0.76, 9)
  await press('Back to the table')
  expect(potato().water).toBeUndefined()
  await typeInto('Wanted dough moisture, percent', '58')
  await press(/^Set \d/)
  expect(flour()).toBeGreaterThan(before)
})

it('water for a wanted dough: out of reach is said, within reach goes on the sheet', async () => {
  const drawer = await open('lamp-room-semolina', 'Heat of the water')
  await typeInto('wanted dough, degrees Celsius', '28')
  await press('Write it on the sheet')
  expect(sheet().waterC).toBeGreaterThan(20)
  await typeInto('wanted dough, degrees Celsius', '85')
  expect(within(drawer).getByRole('alert').textContent).toContain('Water alone cannot do it')
  expect(drawer.textContent).toContain('Hot water and hot dough')
})

it('alkali: no figure before its caution is read; then the dose, another jar, the stock', async () => {
  const drawer = await open('signal-noodles', 'Alkali')
  await waitFor(() => expect(drawer.textContent).toMatch(/I have read this|Read on/))
  const gear = (await repository.read('gear'))[0]!
  await repository.put('gear', { ...gear, alkaliReadAt: null })
  await settle()
  expect(drawer.textContent).not.toContain('The dose')
  await press('I have read this')
  await waitFor(() => expect(drawer.textContent).toContain('The dose'))
  expect((await repository.read('gear'))[0]!.alkaliReadAt).not.toBeNull()
  await typeInto('Alkali as sodium carbonate, percent of flour', '3')
  expect(within(drawer).getAllByRole('alert')[0]!.textContent).toContain('cannot be right')
  await typeInto('Alkali as sodium carbonate, percent of flour', '1.2')
  await typeInto('Soda before baking, grams', '200')
  await typeInto('Soda after baking, grams', '210')
  expect(within(drawer).getAllByRole('alert').at(-1)!.textContent).not.toContain('cannot be right')
  await act(async () =>
    fireEvent.click(within(drawer).getAllByRole('button', { name: /^Use Potassium carbonate/ })[0]!),
  )
  expect(row('potassium-carbonate')).toBeDefined()
})

it('a school shows what it would change; taken here it is the sheet’s, always it is the maker’s', async () => {
  const drawer = await open('stiff-semolina', 'Schools')
  const offers = within(drawer).getAllByRole('button', { name: /, here$/ })
  expect(offers.length).toBeGreaterThan(8)
  expect(drawer.textContent).toContain('Would change:')
  const rest = within(drawer).getAllByRole('button', { name: /^Rest: .*, here$/ })[0]!
  await act(async () => fireEvent.click(rest))
  expect(sheet().schools).toHaveProperty('rest')
  await act(async () => fireEvent.click(within(drawer).getAllByRole('button', { name: /^Rest: .*, always$/ })[0]!))
  await settle()
  expect((await repository.read('gear'))[0]!.schools).toHaveProperty('rest')
})

it('what it brings: energy, salt, cost and allergens of this very dough', async () => {
  const drawer = await open('scraper-drops', 'Nutrition, allergens, cost')
  for (const words of ['kJ', 'salt', 'gluten']) expect(drawer.textContent.toLowerCase()).toContain(words.toLowerCase())
})

it('versions: what changed, by how much, and the way back', async () => {
  const drawer = await open('lamp-room-semolina', 'Versions')
  await waitFor(() => expect(drawer.textContent).toContain('In the book'))
  expect(drawer.textContent).toContain('The first')
  act(() => void store.dispatch(sheetEdited({ sheet: { ...sheet(), lossPercent: 4 } })))
  expect(drawer.textContent).toContain('On paper now')
  await press(/^Make this the draft: The first/)
  const kept = demoWorkspace.formulas.find((each) => each.id === 'lamp-room-semolina')!
  expect(sheet()).toEqual(kept.versions[0]!.sheet)
  act(() => void store.dispatch(undone()))
})

it('two formulas side by side, line against line', async () => {
  const drawer = await open('lamp-room-semolina', 'Compare')
  expect((await offered('The draft, beside')).length).toBeGreaterThan(10)
  await choose('The draft, beside', 'stiff-semolina')
  const table = await within(drawer).findByRole('table')
  expect(
    within(table)
      .getAllByRole('columnheader')
      .map((head) => head.textContent.trim()),
  ).toEqual(['What', 'Lamp-room semolina', 'Stiff semolina'])
  expect(table.textContent).toContain('shape')
})
