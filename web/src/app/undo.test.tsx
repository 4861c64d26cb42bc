/** Ctrl Z at every station: what is in view is taken back, or it is said that nothing is; what is out of sight stays. */
import { generateWorkspace } from '@harina/demo'
import { activeEvents, isEnded, type BenchAction } from '@harina/core'
import { act, cleanup } from '@testing-library/react'
import { toast } from 'sonner'
import { editDraft } from '../state/editDraft.ts'
import { recordTap } from '../state/bench.ts'
import { setGear } from '../state/gear.ts'
import { store } from '../state/store.ts'
import { stationRows } from '../stations/index.ts'
import { fireEvent, putWorkspace, renderAt, settle } from '../testing/renderApp.tsx'
import { repository } from '../storage/index.ts'
import { stationAt, stations } from './stations.tsx'
import { Shortcuts } from './Shortcuts.tsx'

jest.mock('sonner', () => ({ toast: Object.assign(jest.fn(), { error: jest.fn(), dismiss: jest.fn() }) }))
const told = () => jest.mocked(toast).mock.calls.map(([words]) => words)

const workspace = generateWorkspace(Date.now())
const open = workspace.batches.filter((batch) => !isEnded(batch))
const tray = open.flatMap(({ id, plan, events }) =>
  events.flatMap((event) => (event.type === 'tray-laid' ? [{ batch: { id, plan, events }, tray: event.tray }] : [])),
)[0]!
const cooked = open.find(({ plan }) => plan.steps.some(({ kind }) => kind === 'cook'))!
const closed = workspace.batches.find(isEnded)!

const at = (path: string) => {
  cleanup()
  renderAt(path, [{ path: '*', element: <Shortcuts /> }])
}
async function undo(shiftKey = false) {
  fireEvent.keyDown(window, { key: 'z', ctrlKey: true, shiftKey })
  await settle()
  await act(() => new Promise((resolve) => setTimeout(resolve, 30)))
}
const batchNow = async (id: string) => (await repository.batches.get(id))!
const standing = async (id: string) => activeEvents((await batchNow(id)).events).map(({ type }) => type)
const tap = async (id: string, ...actions: BenchAction[]) => {
  await act(async () => void (await recordTap(await batchNow(id), ...actions)))
  await settle()
}
const name = () => store.getState().draft.present!.sheet.name
const rename = (to: string) => act(() => void editDraft((sheet) => ({ ...sheet, name: to })))

beforeEach(async () => {
  await putWorkspace(workspace)
  jest.clearAllMocks()
})
afterEach(cleanup)

it('every station has its own address, name and mark, and says what its undo takes back', async () => {
  expect(stations.length).toBeGreaterThanOrEqual(7)
  for (const [station, row] of Object.entries(stationRows)) {
    expect(row.path.split('/')[0]).toBe(station)
    expect(stationAt(`/${station}/x`).station).toBe(station)
    expect(typeof (await row.load()).default).toBe('function')
  }
  expect(new Set(stations.map(({ name: its }) => its)).size).toBe(stations.length)
  expect(new Set(stations.map(({ mark }) => mark)).size).toBe(stations.length)
}, 60_000)

const elsewhere = stations.filter(({ takesBack }) => takesBack !== 'sheet').map(({ station }) => station)
it.each(elsewhere)(
  'at %s the sheet, which is out of sight, stays; that nothing is taken back is said',
  async (station) => {
    rename('Out of sight')
    at(`/${station}/nothing-here`)
    await undo()
    expect(name()).toBe('Out of sight')
    expect(told()).toEqual(['Nothing to take back here'])
    await undo(true)
    expect(told().at(-1)).toBe('Nothing to bring back here')
  },
)

it.each(['formula', 'shape'])('at %s the last change of the sheet goes and comes back', async (station) => {
  const before = name()
  rename('In view')
  at(`/${station}`)
  await undo()
  expect(name()).toBe(before)
  await undo(true)
  expect(name()).toBe('In view')
  expect(told()).toEqual([])
})

it('at Dry what was done last with a tray goes; with one tray in view, nothing of another', async () => {
  const { batch, tray: id } = tray
  const before = await standing(batch.id)
  await tap(batch.id, { type: 'tray-turned', tray: id })
  at('/dry/another')
  await undo()
  expect(await standing(batch.id)).toEqual([...before, 'tray-turned'])
  at(`/dry/${id}`)
  await undo()
  expect(await standing(batch.id)).toEqual(before)
  await undo(true)
  expect(await standing(batch.id)).toEqual([...before, 'tray-turned'])
})

it('at Dry what was done at the bench stays', async () => {
  const { batch, tray: id } = tray
  await tap(batch.id, { type: 'noted', text: 'said at the bench' })
  const before = await standing(batch.id)
  at(`/dry/${id}`)
  await undo()
  expect(await standing(batch.id)).toEqual(before)
  expect(told()).toEqual(['Nothing to take back here'])
})

it('at Pot the pot that was chosen last goes; a pour at the bench stays', async () => {
  const pot = { id: 'p', name: 'Another pot', holdsL: 9, ringKW: null }
  const before = await standing(cooked.id)
  await tap(cooked.id, { type: 'pot-chosen', pot })
  at('/pot')
  await undo()
  expect(await standing(cooked.id)).toEqual(before)
  await tap(cooked.id, { type: 'poured', grams: 3 })
  await undo()
  expect((await standing(cooked.id)).at(-1)).toBe('poured')
})

it('in the log a line written under a batch goes; what ended it stays', async () => {
  const before = await standing(closed.id)
  await tap(closed.id, { type: 'noted', text: 'a week later' })
  at(`/log/${closed.id}`)
  await undo()
  expect(await standing(closed.id)).toEqual(before)
  await undo()
  expect(await standing(closed.id)).toEqual(before)
})

it('at the bench the last tap of the dough in view goes', async () => {
  const before = await standing(cooked.id)
  await tap(cooked.id, { type: 'noted', text: 'here' })
  at(`/bench/${cooked.id}`)
  await undo()
  expect(await standing(cooked.id)).toEqual(before)
})

it('in Gear the last figure goes', async () => {
  const before = store.getState().documents.shelves.gear.entities['gear']
  await act(async () => void (await setGear({ tapC: 7 }).stored))
  at('/gear')
  await undo()
  expect(store.getState().documents.shelves.gear.entities['gear']).toEqual(before)
})
