import { formatPercent, tableReading } from '@harina/core'
import { act, cleanup } from '@testing-library/react'
import { sheetEdited } from '../../state/draftSlice.ts'
import { selectWorked } from '../../state/worked.ts'
import { store } from '../../state/store.ts'
import { repository } from '../../storage/index.ts'
import {
  fireEvent,
  press,
  putWorkspace,
  renderAt,
  sampleWorkspace,
  screen,
  settle,
  within,
} from '../../testing/renderApp.tsx'
import ShapeStation from './ShapeStation.tsx'

const sheet = () => store.getState().draft.present!.sheet
const water = () => {
  const amount = sheet().rows.find((row) => row.amount.by === 'hydration')?.amount
  return amount?.by === 'hydration' ? amount.percent : Number.NaN
}

beforeEach(async () => {
  await putWorkspace({ ...sampleWorkspace, batches: [] })
  renderAt('/shape', [
    { path: '/shape', element: <ShapeStation /> },
    { path: '/bench/:id', element: <p>at the bench</p> },
  ])
  await screen.findByRole('heading', { level: 1, name: 'Cavatelli' })
})
afterEach(cleanup)

const choose = (name: RegExp) =>
  fireEvent.click(within(screen.getByRole('list', { name: /best suited first/ })).getByRole('button', { name }))

it('lists what the dough is known for, the best suited first; the rest is a press away, as untried', async () => {
  const items = () => within(screen.getByRole('list', { name: /best suited first/ })).getAllByRole('listitem')
  const known = items().length
  expect(known).toBeGreaterThan(4)
  expect(items()[0]?.textContent).toContain('suits')
  expect(items().every((item) => !item.textContent?.includes('untried'))).toBe(true)
  fireEvent.click(screen.getByRole('button', { name: /more, not usual/ }))
  expect(items().length).toBeGreaterThan(known)
  expect(items().at(-1)?.textContent).toContain('untried')
})

it('says the figure that Formula says, and what it is like where this flour drinks otherwise than that of the tables', () => {
  const said = () => screen.getByText(/What suits/).parentElement?.textContent
  const worked = () => {
    const found = selectWorked(store.getState())
    if (!found?.ok) throw new Error('no dough')
    return found.value
  }
  expect(said()).toContain(`${formatPercent(worked().expected14)} % at standard`)
  expect(said()).not.toContain('like')
  const { rows, ...rest } = sheet()
  const softer = rows.map((row) => (row.flour ? { ...row, ingredient: 'plain-wheat', lot: undefined } : row))
  act(() => void store.dispatch(sheetEdited({ sheet: { ...rest, rows: softer } })))
  expect(said()).toContain(`${formatPercent(worked().expected14)} % at standard`)
  expect(said()).toContain(`like ${formatPercent(tableReading(worked()))} with the flour of the tables`)
})

it('another shape brings its own rope, pieces and words', () => {
  choose(/Strascinati/)
  expect(sheet().shape).toBe('dragged-leaves')
  expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Strascinati')
  expect(screen.getByText(/rope of 14 mm, cut at 22 mm/)).toBeTruthy()
})

it('a dough outside a window is brought in by the smallest change', async () => {
  const rows = sheet().rows.map((row) =>
    row.amount.by === 'hydration' ? { ...row, amount: { ...row.amount, percent: 46 } } : row,
  )
  cleanup()
  await putWorkspace({
    ...sampleWorkspace,
    batches: [],
    draft: { id: 'draft', formula: null, sheet: { ...sheet(), rows, shape: 'dragged-leaves' } },
  })
  renderAt('/shape', [{ path: '/shape', element: <ShapeStation /> }])
  expect(await screen.findByText(/2.0 points too stiff: it breaks at the edge/)).toBeTruthy()
  fireEvent.click(screen.getByRole('button', { name: /^Bring the water to/ }))
  expect(water()).toBeCloseTo(48, 6)
  expect(screen.getByRole('status').textContent).toMatch(/^Good|^Just/)
})

it('what was chosen goes to the bench from here, as that shape', async () => {
  choose(/Strascinati/)
  await press('Take to the bench')
  await settle()
  expect(await screen.findByText('at the bench')).toBeTruthy()
  const [batch] = await repository.batches.open()
  expect(batch!.plan.shape.id).toBe('dragged-leaves')
  expect(batch!.plan.sheet).toEqual(sheet())
})
