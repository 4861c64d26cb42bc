import { planBatch, type Batch, type BenchEvent } from '@harina/core'
import { cleanup } from '@testing-library/react'
import { undoEnded } from '../../state/bench.ts'
import { selectKitchen } from '../../state/select.ts'
import { store } from '../../state/store.ts'
import { fireEvent, press, putWorkspace, renderAt, sampleWorkspace, screen, settle } from '../../testing/renderApp.tsx'
import { sampleKitchen, sampleWorked } from '../../testing/sampleKitchen.ts'
import LogStation from './LogStation.tsx'

const [gale] = sampleWorkspace.batches
const pages = [
  { path: '/log/:batchId?', element: <LogStation /> },
  { path: '/formula', element: <p>on paper</p> },
]

beforeAll(() => {
  // jsdom lays nothing out; the virtual list needs a frame to fill.
  Object.defineProperty(HTMLElement.prototype, 'offsetHeight', { configurable: true, value: 600 })
  Object.defineProperty(HTMLElement.prototype, 'offsetWidth', { configurable: true, value: 370 })
})
beforeEach(() => putWorkspace({ ...sampleWorkspace, draft: null }))
afterEach(cleanup)

it('tells a batch from beginning to end: planned, poured, felt, corrected, judged', async () => {
  renderAt(`/log/${gale!.id}`, pages)
  expect(await screen.findByText(/Gale, everything damp/)).toBeTruthy()
  const story = screen.getByRole('list', { name: 'What happened' }).textContent ?? ''
  for (const words of [
    'taken to the bench',
    'of water in: 0.0 to ',
    'felt crumbling',
    'g of flour in',
    'kneading',
    'resting',
    'cooking, 5 min set',
    'written in the log',
  ])
    expect(story).toContain(words)
  expect(screen.getByText('Verdict').parentElement!.textContent).toContain('poor')
  expect(screen.getByRole('table', { name: 'Planned against poured' }).textContent).toContain('Flour, to correct')
})

it('tells how warm the water was, and what the pieces weighed that were laid on the scale', async () => {
  const { plan, events } = gale!
  const sampled = [0.81, 0.85].map((grams, n): BenchEvent => ({
    id: `s${n}`,
    at: events.at(-1)!.at,
    type: 'sampled',
    grams,
  }))
  const told = { ...gale!, plan: { ...plan, waterC: 44 }, events: [...events.slice(0, -1), ...sampled, events.at(-1)!] }
  await putWorkspace({ ...sampleWorkspace, draft: null, batches: [told] })
  renderAt(`/log/${gale!.id}`, pages)
  expect(await screen.findByText(/water at 44 °C/)).toBeTruthy()
  expect(screen.getByText(/2 weighed, 0\.83 g on average/)).toBeTruthy()
})

it('a search that finds nothing says what to try; one that finds narrows the list', async () => {
  renderAt('/log', pages)
  const search = await screen.findByRole('searchbox')
  await screen.findByText('one batch')
  fireEvent.change(search, { target: { value: 'zebra' } })
  expect(screen.getByText(/No batch has all of these words/)).toBeTruthy()
  fireEvent.change(search, { target: { value: 'gale poor' } })
  expect(await screen.findByText('one batch')).toBeTruthy()
})

it('the next one starts from it, with what the flour has taught', async () => {
  renderAt(`/log/${gale!.id}`, pages)
  await press('Start the next from it')
  expect(await screen.findByText('on paper')).toBeTruthy()
  expect(store.getState().draft.present).toMatchObject({
    formula: gale!.plan.formula,
    sheet: { name: gale!.plan.sheet.name, useLearned: true },
  })
})

it('an empty log says what would stand there; a batch it does not hold is not made up', async () => {
  renderAt('/log/nobody', pages)
  expect(await screen.findByText(/This batch is not in the log/)).toBeTruthy()
  cleanup()
  await putWorkspace({ ...sampleWorkspace, batches: [] })
  renderAt('/log', pages)
  expect(await screen.findByText('No batch in the log yet')).toBeTruthy()
})

it('a batch far from all others of its flour is left out until the maker says that it was so; undone, it is asked again', async () => {
  const accepted = (n: number, share: number): Batch => {
    const at = `2031-03-0${n}T09:00:00Z`
    const plan = planBatch(sampleWorked, sampleKitchen, at, null)
    const events = [
      { type: 'poured', grams: (plan.water.startG + plan.water.holdBackG) * share },
      { type: 'felt', feel: 'right' },
      { type: 'judged', verdict: 'good' },
      { type: 'closed' },
    ].map((action, index) => ({ ...action, id: `e${index}`, at }) as BenchEvent)
    return { id: `b${n}`, plan, events }
  }
  const batches = [accepted(1, 1), accepted(2, 1.01), accepted(3, 0.99), accepted(4, 1.3)]
  await putWorkspace({ ...sampleWorkspace, draft: null, batches })
  renderAt('/log/b2', pages)
  expect(await screen.findByText('This flour')).toBeTruthy()
  expect(screen.queryByText(/Was it really like that/)).toBeNull()
  cleanup()
  renderAt('/log/b4', pages)
  expect(await screen.findByText(/so it is left out\. Was it really like that/)).toBeTruthy()
  const n = () =>
    selectKitchen(store.getState())!
      .thirst.get('lot-r34')!
      .filter(({ counts }) => counts).length
  expect(n()).toBe(0)
  await press('Count it')
  await settle()
  expect(n()).toBe(1)
  expect(screen.getByText(/counted, as you said/)).toBeTruthy()
  expect(screen.getByRole('list', { name: 'What happened' }).textContent).toContain('counts for its flour')
  await press('Leave it out')
  await settle()
  expect(screen.getByText(/left out, as you said/)).toBeTruthy()
  await undoEnded('b4')
  await undoEnded('b4')
  await settle()
  expect(screen.getByText(/Was it really like that/)).toBeTruthy()
})
