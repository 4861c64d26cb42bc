/** The book, a new formula, and a line more in the ledger. */
import { demoWorkspace } from '../../testing/demoWorkspace.ts'
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
  screen,
  settle,
  typeInto,
  waitFor,
} from '../../testing/renderApp.tsx'
import { findIngredients } from './IngredientField.tsx'
import FormulaStation from './FormulaStation.tsx'

const sheet = () => store.getState().draft.present!.sheet

beforeEach(async () => {
  await putWorkspace(demoWorkspace)
  renderAt('/formula', [{ path: '/formula', element: <FormulaStation /> }])
  await screen.findByRole('navigation', { name: 'Drawers under the board' })
})
afterEach(cleanup)

const openBook = async () => {
  await press('Formula book')
  const book = await screen.findByRole('dialog', { name: 'Formula book' })
  await waitFor(() => expect(within(book).getAllByRole('listitem').length).toBeGreaterThan(10))
  return book
}
const listed = (book: HTMLElement) =>
  within(book)
    .queryAllByRole('listitem')
    .map((item) => item.querySelector('.head')!.textContent)
const type = async (label: string, value: string) => {
  await act(async () => fireEvent.change(screen.getByLabelText(label), { target: { value } }))
  await settle()
}

it('is searched by words, family and tag; what nothing answers to can be let go', async () => {
  const book = await openBook()
  expect(listed(book)).toHaveLength(16)
  await choose('any family', 'alkaline')
  expect(listed(book)).toEqual(['Signal noodles', 'Soft signal noodles'])
  await type('Search the book', 'soft')
  expect(listed(book)).toEqual(['Soft signal noodles'])
  await type('Search the book', 'soft marzipan')
  expect(listed(book)).toEqual([])
  await press('Show all')
  expect(listed(book)).toHaveLength(16)
})

it('from the book to the bench in one press: as the book has it, and the draft stays as it is', async () => {
  await openBook()
  const before = store.getState().draft.present
  await press('Take Gale noodles to the bench')
  await settle()
  const begun = (await repository.batches.open()).find(
    ({ plan }) => plan.sheet.name === 'Gale noodles' && plan.at > '2026-',
  )
  expect(begun?.plan.formula).toBe(demoWorkspace.formulas.find(({ sheet: { name } }) => name === 'Gale noodles')!.id)
  expect(store.getState().draft.present).toEqual(before)
})

it('copies, puts away and brings back; each can be undone', async () => {
  const book = await openBook()
  await press('Copy Gale noodles')
  await waitFor(() => expect(listed(book)).toContain('Gale noodles, copy'))
  await press('Archive Gale noodles')
  await waitFor(() => expect(listed(book)).not.toContain('Gale noodles'))
  fireEvent.click(within(book).getByRole('checkbox'))
  expect(listed(book)).toEqual(['Gale noodles'])
  await press('Bring back Gale noodles')
  expect((await repository.read('formula')).every((formula) => !formula.archived)).toBe(true)
})

it('a tag is added once, and taken off by a press', async () => {
  const book = await openBook()
  for (let times = 0; times < 2; times += 1) {
    await typeInto('New tag for Gale noodles', 'for the boat')
    await act(async () => fireEvent.submit(screen.getByLabelText('New tag for Gale noodles').closest('form')!))
    await settle()
  }
  expect(within(book).getAllByRole('button', { name: 'Take the tag for the boat off Gale noodles' })).toHaveLength(1)
  await press('Take the tag for the boat off Gale noodles')
  expect((await repository.read('formula')).flatMap((formula) => formula.tags)).not.toContain('for the boat')
})

it('a new formula: family, dough, shape and portions, and it stands on paper', async () => {
  await press('New')
  const panel = await screen.findByRole('dialog', { name: 'A new formula' })
  await act(async () => fireEvent.click(within(panel).getByRole('radio', { name: /Gnocchi/ })))
  await choose('Dough', 'gn-squash')
  await typeInto('Portions to begin with', '9')
  await press('Start this draft')
  expect(sheet()).toMatchObject({ dough: 'gn-squash', target: { by: 'portions', count: 9 } })
  expect(store.getState().draft.present!.formula).toBeNull()
  expect(screen.queryByRole('dialog')).toBeNull()
})

it('a line more: a few letters, an arrow, Enter; and the line can be taken out again', async () => {
  const before = sheet()
  const field = screen.getByLabelText('Add to the ledger')
  await act(async () => {
    fireEvent.focus(field)
    fireEvent.change(field, { target: { value: 'turmeric' } })
  })
  await act(async () => fireEvent.keyDown(field, { key: 'Enter' }))
  await waitFor(() => expect(sheet().rows).toHaveLength(before.rows.length + 1))
  await press(/^Remove .*urmeric/)
  expect(sheet()).toEqual(before)
})

it('names that begin with what was typed come first, and every word must be in the name', () => {
  const row = (id: string, name: string) => ({ id, name }) as Parameters<typeof findIngredients>[0][number]
  const all = [row('a', 'Cold water'), row('b', 'Water, room'), row('c', 'Saffron water'), row('d', 'Salt')]
  expect(findIngredients(all, 'water').map(({ id }) => id)).toEqual(['b', 'a', 'c'])
  expect(findIngredients(all, 'water saff').map(({ id }) => id)).toEqual(['c'])
  expect(findIngredients(all, '')).toHaveLength(4)
})

describe('an empty book', () => {
  beforeEach(async () => {
    cleanup()
    await putWorkspace({ ...demoWorkspace, formulas: [] })
    renderAt('/formula', [{ path: '/formula', element: <FormulaStation /> }])
    await screen.findByRole('navigation', { name: 'Drawers under the board' })
  })

  it('takes a starter book, and opens it like any', async () => {
    await press('Formula book')
    await press('Put a starter book in')
    await waitFor(async () => expect((await repository.read('formula')).length).toBeGreaterThanOrEqual(12))
    await press(/^Cavatelli/)
    await waitFor(() =>
      expect(sheet()).toMatchObject({ name: 'Cavatelli', dough: 'sw-hand', shape: 'one-dent-shells' }),
    )
  })
})
