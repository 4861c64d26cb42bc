/** Something is wrong: the sign, its causes by this batch's numbers, the remedy in its own grams, and the log. */
import { planBatch, replay } from '@harina/core'
import { cleanup } from '@testing-library/react'
import { repository } from '../../storage/index.ts'
import {
  fireEvent,
  openBatch,
  press,
  putWorkspace,
  readOpen,
  renderAt,
  sampleWorkspace,
  screen,
  settle,
  within,
} from '../../testing/renderApp.tsx'
import { sampleKitchen, sampleWorked } from '../../testing/sampleKitchen.ts'
import BenchStation from './BenchStation.tsx'

const MINUTE = 60_000
const start = Date.now() - 40 * MINUTE
const plan = planBatch(sampleWorked, sampleKitchen, new Date(start).toISOString(), null)
const state = async () => {
  const { plan: of, events } = await openBatch('b')
  return replay(of, events)
}

beforeEach(async () => {
  await putWorkspace({ ...sampleWorkspace, batches: [] })
  await repository.startBatch('b', plan)
  const at = (minute: number) => new Date(start + minute * MINUTE).toISOString()
  await repository.record('b', [
    { id: 'e0', at: at(0), type: 'step-done', step: 'ready' },
    { id: 'e1', at: at(1), type: 'step-done', step: 'flour' },
    { id: 'e2', at: at(2), type: 'step-done', step: 'water' },
    { id: 'e3', at: at(3), type: 'poured', grams: plan.water.startG * 0.8 },
    { id: 'e4', at: at(4), type: 'step-done', step: 'pour' },
  ])
  await readOpen()
  renderAt('/bench/b', [{ path: '/bench/:batchId?', element: <BenchStation /> }])
  await settle()
  await press('Something is wrong')
})
afterEach(cleanup)

it('signs of the step at hand come first; others are a choice away', async () => {
  const signs = () => within(screen.getByRole('list', { name: 'Signs' })).getAllByRole('button')
  expect(signs().map((sign) => sign.textContent)).toContain('The flour will not gather; dry bits stay in the bowl')
  fireEvent.change(screen.getByLabelText('When it shows'), { target: { value: 'cook' } })
  expect(signs().map((sign) => sign.textContent)).toContain('The pot’s pieces clump')
})

it('causes are told with this batch’s numbers, the remedy goes into the batch, and it is written down', async () => {
  await press(/^The flour will not gather/)
  const causes = screen.getAllByRole('listitem').map((item) => item.textContent)
  expect(causes.find((cause) => cause?.startsWith('A cup gave too much flour'))).toMatch(
    /the bowl stands [\d.]+ points stiffer than the shape's window/,
  )
  const before = (await state()).pouredG
  await press(/^Add \d+ g of water/)
  const added = (await state()).pouredG - before
  expect(added).toBe(Math.round((5 * plan.rows[0]!.weighedG) / 500))
  await press('Write it into this batch')
  expect((await state()).notes.at(-1)!.text).toMatch(/^The flour will not gather.* Next time: Weigh both/)
  await press('Other signs')
  expect(screen.getByRole('list', { name: 'Signs' })).toBeTruthy()
})

it('a remedy of flour takes its salt along, and is undone like any tap', async () => {
  await press(/^The dough sticks and spreads/)
  expect(screen.getAllByRole('listitem').some((item) => item.textContent?.includes('the bowl says the contrary'))).toBe(
    true,
  )
  await press(/^Add \d+ g of flour, with [\d.]+ g of salt/)
  expect((await state()).addedSaltG).toBeGreaterThan(0)
  fireEvent.keyDown(document.activeElement ?? document.body, { key: 'Escape' })
  await settle()
  await press(/^Undo/)
  expect((await state()).addedFlourG).toBe(0)
})
