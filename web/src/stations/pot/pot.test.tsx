/** What is cooked together: the order at the pot, the pot that is chosen, the hour they are up, and what each press records. */
import { computeSheet, planBatch, replay, type BenchAction, type BenchEvent } from '@harina/core'
import { cleanup } from '@testing-library/react'
import { repository } from '../../storage/index.ts'
import {
  choose,
  fireEvent,
  press,
  putWorkspace,
  renderAt,
  sampleWorkspace,
  screen,
  settle,
  within,
} from '../../testing/renderApp.tsx'
import { sampleKitchen, sampleWorked } from '../../testing/sampleKitchen.ts'
import PotStation from './PotStation.tsx'

const pots = [
  { id: 'big', name: 'The big pot', holdsL: 12, ringKW: 3 },
  { id: 'small', name: 'The small pot', holdsL: 5, ringKW: 2 },
]
const kitchen = { ...sampleKitchen, gear: { ...sampleKitchen.gear, pots } }

/** So many batches of one dough, each at its step in the pot. */
async function begin(...names: string[]): Promise<void> {
  await putWorkspace({ ...sampleWorkspace, gear: kitchen.gear, batches: [] })
  for (const name of names) {
    const worked = computeSheet({ ...sampleWorked.sheet, name }, kitchen)
    if (!worked.ok) throw new Error(worked.problem.code)
    const plan = planBatch(worked.value, kitchen, new Date(Date.now() - 3_600_000).toISOString(), null)
    const at = plan.steps.findIndex(({ kind }) => kind === 'cook')
    const done = plan.steps.slice(0, at).map(({ id }): BenchAction => ({ type: 'step-done', step: id }))
    await repository.batches.start([{ id: name, plan }])
    await repository.batches.record(
      name,
      done.map(
        (action, n) =>
          ({ ...action, id: `${name}-${n}`, at: new Date(Date.now() - 60_000 + n).toISOString() }) as BenchEvent,
      ),
    )
  }
  await settle()
  renderAt('/pot', [{ path: '/pot', element: <PotStation /> }])
  await settle()
}
const state = async (id: string) => {
  const { plan, events } = (await repository.batches.get(id))!
  return replay(plan, events)
}

afterEach(cleanup)

it('says what would stand here while nothing is for the pot', async () => {
  await begin()
  expect(screen.getByRole('heading', { level: 1 }).textContent).toBe('Nothing for the pot yet')
})

it('the pot goes with the batch: chosen for one, the other keeps the largest', async () => {
  await begin('Ears', 'Pips')
  await choose('Pot', 'small')
  const chosen = [(await state('Ears')).pot?.id, (await state('Pips')).pot?.id]
  expect(chosen.filter(Boolean)).toEqual(['small'])
  // What is stored is what a file carries to another device.
  const { batches } = await repository.workspace()
  expect(batches.flatMap(({ events }) => events.filter(({ type }) => type === 'pot-chosen'))).toHaveLength(1)
})

it('brought up together, both are told the same hour, and each by itself again takes it back', async () => {
  await begin('Ears', 'Pips')
  await press('Bring them up together')
  const hours = [(await state('Ears')).upAt, (await state('Pips')).upAt]
  expect(hours[0]).not.toBeNull()
  expect(hours[1]).toBe(hours[0])
  expect(screen.getByRole('status').textContent).toMatch(/All up at \d\d:\d\d:\d\d/)
  cleanup()
  renderAt('/pot', [{ path: '/pot', element: <PotStation /> }])
  await settle()
  expect(screen.getByText(/All up at/)).toBeTruthy()
  await press('Each by itself')
  expect([(await state('Ears')).upAt, (await state('Pips')).upAt]).toEqual([null, null])
})

it('an hour long past brings nothing up', async () => {
  await begin('Ears', 'Pips')
  const long = new Date(Date.now() - 20 * 3_600_000).toISOString()
  for (const id of ['Ears', 'Pips'])
    await repository.batches.record(id, [{ id: `${id}-up`, at: new Date().toISOString(), type: 'up-at', upAt: long }])
  await settle()
  expect(screen.queryByText(/All up at/)).toBeNull()
})

it('space does what is next, and a digit looks at another', async () => {
  await begin('Ears', 'Pips')
  fireEvent.keyDown(window, { key: ' ' })
  await settle()
  const clocks = await Promise.all(['Ears', 'Pips'].map(async (id) => Object.keys((await state(id)).timers).length))
  expect(clocks.reduce((sum, each) => sum + each, 0)).toBe(1)
  fireEvent.keyDown(window, { key: '2' })
  const chips = within(screen.getByRole('group', { name: 'Water for' })).getAllByRole('button')
  expect(chips.map((chip) => chip.getAttribute('aria-pressed'))).toEqual(['false', 'true'])
})

it('a clock for after the pot stays in sight when the basket is out, and can be stopped there', async () => {
  await begin('Ears')
  await press('Ice bath')
  for (let turn = 0; turn < 6 && screen.queryByRole('button', { name: /^In.*boil is back/ }); turn += 1) {
    await press(/^In.*boil is back/)
    await press(/^Out/)
  }
  const list = screen.getByRole('list', { name: 'After the pot' })
  expect(list.textContent).toMatch(/Ice bath: /)
  await press(/^Stop Ice bath/)
  expect(screen.queryByRole('list', { name: 'After the pot' })).toBeNull()
})
