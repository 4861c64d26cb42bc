/** The rack with the demo's seven trays: what is said of each, and what weighing, moving, packing and throwing away record. */
import { generateWorkspace } from '@harina/demo'
import { replay, trayHours, type Batch, type BenchEvent } from '@harina/core'
import { spotsOf, type Programmes } from '@harina/core/rack'
import { cleanup } from '@testing-library/react'
import { toast } from 'sonner'
import { store } from '../../state/store.ts'
import { repository } from '../../storage/index.ts'
import { fireEvent, press, putWorkspace, renderAt, screen, settle, typeInto, within } from '../../testing/renderApp.tsx'
import type * as Drying from '../../workers/drying.ts'
import { findProgrammes } from '../../workers/drying.ts'
import DryStation from './DryStation.tsx'

jest.mock('sonner', () => ({ toast: Object.assign(jest.fn(), { error: jest.fn(), dismiss: jest.fn() }) }))
jest.mock('../../workers/drying.ts', () => {
  const actual = jest.requireActual<typeof Drying>('../../workers/drying.ts')
  return { ...actual, findProgrammes: jest.fn(actual.findProgrammes) }
})
const search = jest.mocked(findProgrammes)
const told = () => jest.mocked(toast).mock.calls.map(([words]) => words)

const workspace = generateWorkspace(Date.now())
const at = (path: string) =>
  renderAt(path, [
    { path: '/dry/:trayId?', element: <DryStation /> },
    { path: '/bench/:id', element: <p>at the bench</p> },
  ])
const running = (id: string) => {
  const batch = store.getState().batches.open.find((each) => id.startsWith(each.id))!
  return replay(batch.plan, batch.events)
}
const tray = (id: string) => running(id).trays.find((each) => each.id === id)!

beforeEach(() => putWorkspace(workspace))
afterEach(() => {
  cleanup()
  jest.clearAllMocks()
})

it('each tray says where it stands: how wet, when dry, never, packed or thrown away; what still dries stands first', async () => {
  at('/dry')
  const list = within(screen.getByRole('region', { name: 'Trays' }))
  await list.findByText('never here')
  const rows = list.getAllByRole('listitem').map(({ textContent }) => textContent ?? '')
  expect(rows).toHaveLength(7)
  expect(rows.slice(0, 4).filter((row) => /dry (Mon|Tue|Wed|Thu|Fri|Sat|Sun)/.test(row))).toHaveLength(3)
  expect(rows.slice(4).join()).toMatch(/thrown away.*dry packed.*thrown away/)
})

it('a weighing is written tray and all; one lighter than the dry matter is refused, with the figure', async () => {
  at('/dry/demo-rack-2-tray-2')
  const field = await screen.findByRole('textbox', { name: /^Tray 2 on the scale/ })
  const before = tray('demo-rack-2-tray-2').weighed.length
  fireEvent.change(field, { target: { value: '450' } })
  expect(await screen.findByText(/Less than its dry matter/)).toBeTruthy()
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Weigh tray 2' }).disabled).toBe(true)
  fireEvent.change(field, { target: { value: '655' } })
  await settle()
  await press('Weigh tray 2')
  const { weighed, trayG } = tray('demo-rack-2-tray-2')
  expect(weighed.length).toBe(before + 1)
  expect(weighed.at(-1)!.grams).toBeCloseTo(655 - trayG, 9)
  await press('Undo')
  expect(tray('demo-rack-2-tray-2').weighed.length).toBe(before)
})

it('it cannot be packed before it is dry; thrown away, it says why', async () => {
  at('/dry/demo-rack-2-tray-1')
  expect((await screen.findByRole<HTMLButtonElement>('button', { name: /^Pack it once/ })).disabled).toBe(true)
  await press('Throw it away')
  fireEvent.change(screen.getByRole('textbox', { name: 'Why' }), { target: { value: 'Ants.' } })
  await press('Throw it away')
  expect(tray('demo-rack-2-tray-1').end).toMatchObject({ how: 'thrown', why: 'Ants.' })
  expect(await screen.findByText(/Thrown away .*Ants\./)).toBeTruthy()
})

it('the same tray otherwise: up to three ways beside it, each with its own hours, and what is so already is not offered', async () => {
  at('/dry/demo-rack-2-tray-1')
  const whatIf = within(await screen.findByRole('region', { name: 'What if' }))
  const names = whatIf.getAllByRole('button').map(({ textContent }) => textContent)
  const { spots } = tray('demo-rack-2-tray-1')
  expect(names).not.toContain(spots.at(-1)!.spot.place)
  expect(names).toContain('a fifth thinner')
  fireEvent.click(whatIf.getByRole('button', { name: 'a fifth thinner' }))
  const rowOf = async (name: string) => (await whatIf.findByRole('row', { name: new RegExp(`^${name}`) })).textContent
  const hours = (text: string | null) => {
    const [, figure, unit] = /(\d+(?:\.\d+)?) (h|days)/.exec(text ?? '') ?? []
    return Number(figure) * (unit === 'h' ? 1 : 24)
  }
  const asItIs = hours(await rowOf('as it stands now'))
  expect(hours(await rowOf('a fifth thinner'))).toBeLessThan(asItIs)
  const more = names.filter((name) => name !== 'a fifth thinner').slice(0, 2) as string[]
  for (const name of more) fireEvent.click(whatIf.getByRole('button', { name }))
  for (const name of more) await rowOf(name)
  expect(whatIf.getAllByRole('row')).toHaveLength(5)
  const others = whatIf.getAllByRole<HTMLButtonElement>('button').filter(({ ariaPressed }) => ariaPressed !== 'true')
  expect(others.every(({ disabled }) => disabled)).toBe(true)
  for (const name of ['a fifth thinner', ...more]) fireEvent.click(whatIf.getByRole('button', { name }))
  expect(whatIf.queryByRole('table')).toBeNull()
})

it('for a tray that was too long warm and wet no way is offered that adds to it, and it says since when', async () => {
  at('/dry/demo-rack-2-tray-4')
  await press(/^Look for a better way/)
  const said = await screen.findByText(/^The middle has been damp for .*Wherever you move them/, undefined, {
    timeout: 25_000,
  })
  expect(said.textContent).toContain('Throw away what is sour')
  expect(screen.queryByRole('button', { name: /^Follow it/ })).toBeNull()
})

it('of the hours warm and wet inside it says how many are past, and what they come to', async () => {
  at('/dry/demo-rack-2-tray-1')
  expect((await screen.findByText(/For germs that is like/)).textContent).toMatch(
    // How much of it depends on the hour.
    /^(?:All of it|\d+ h of that|[\d.]+ days of that) is past\. On average/,
  )
})

it('with nothing on the rack it says what would stand there', async () => {
  await putWorkspace({ ...workspace, batches: [] })
  at('/dry')
  expect(await screen.findByText('Nothing on the rack')).toBeTruthy()
})

const ID = 'demo-rack-2-tray-1'
/** Covered at once, and three hours later on a fan. */
function twoRooms(): Programmes {
  const spots = spotsOf(workspace.gear!)
  const [covered, fan] = [spots.find(({ cover }) => cover), spots.find(({ air }) => air === 'fan')]
  // Where the demo stands depends on the hour.
  const nowH = trayHours(tray(ID), Date.now())
  const legs = [
    { fromH: nowH, spot: covered! },
    { fromH: nowH + 3, spot: fan! },
  ]
  return { constant: null, best: { legs, hours: nowH + 16, strain: 0.1, warmWetH: 5, coreWetH: 6, growthH: 5 } }
}

it('a search that fails says so, and is begun again by the same button', async () => {
  at(`/dry/${ID}`)
  search.mockRejectedValueOnce(new Error('out of memory'))
  await press(/^Look for a better way/)
  expect((await screen.findByRole('alert')).textContent).toBe('That did not work. Look again.')
  search.mockResolvedValueOnce({ best: null, constant: null })
  await press(/^Look for a better way/)
  expect(await screen.findByText(/Wherever you move them/)).toBeTruthy()
  expect(screen.queryByRole('alert')).toBeNull()
})

it('followed, it is moved at once and called for later', async () => {
  at(`/dry/${ID}`)
  search.mockResolvedValueOnce(twoRooms())
  const before = { spots: tray(ID).spots.length, timers: Object.keys(running(ID).timers).length }
  await press(/^Look for a better way/)
  await screen.findByText(/Dried this way it seldom cracks/)
  await press('Follow it, and call me')
  expect(told()).toEqual(['You will be called for each move'])
  expect(tray(ID).spots).toHaveLength(before.spots + 1)
  expect(Object.keys(running(ID).timers)).toHaveLength(before.timers + 1)
  expect(screen.queryByRole('button', { name: 'Follow it, and call me' })).toBeNull()
})

it('where it cannot be stored no call is promised, and the way stays to be followed', async () => {
  at(`/dry/${ID}`)
  search.mockResolvedValueOnce(twoRooms())
  const before = tray(ID).spots.length
  await press(/^Look for a better way/)
  const record = jest.spyOn(repository.batches, 'record').mockRejectedValueOnce(new Error('disk full'))
  await press('Follow it, and call me')
  expect(told()).not.toContain('You will be called for each move')
  expect(tray(ID).spots).toHaveLength(before)
  record.mockRestore()
  await press('Follow it, and call me')
  expect(told()).toContain('You will be called for each move')
  expect(tray(ID).spots).toHaveLength(before + 1)
})

it('of air that nobody has read never is not said: it is asked for, and what is typed holds for the room and the tray', async () => {
  const guessed = { temperatureC: 21, rhPercent: 72, guessed: true } as const
  const lamp = workspace.gear!.places.find(({ id }) => id === 'lamp-room')!
  const inIt = (batch: Batch): Batch => ({
    ...batch,
    events: batch.events.flatMap((event): BenchEvent[] => {
      if (event.type === 'tray-moved' || event.type === 'tray-weighed') return []
      if (event.type !== 'tray-laid') return [event]
      return [{ ...event, layout: { ...event.layout, spot: { ...event.layout.spot, ...guessed, place: lamp.name } } }]
    }),
  })
  await putWorkspace({
    ...workspace,
    gear: { ...workspace.gear!, places: [{ ...lamp, ...guessed }] },
    batches: workspace.batches.map((batch) => (ID.startsWith(batch.id) ? inIt(batch) : batch)),
  })
  at(`/dry/${ID}`)
  expect(await screen.findByRole('heading', { name: 'How damp is it there?' })).toBeTruthy()
  expect(screen.queryByText(/[Nn]ever/)).toBeNull()
  await typeInto('Humidity in Lamp room, percent', '74')
  await settle()
  expect(tray(ID).spots.at(-1)!.spot).toMatchObject({ place: lamp.name, rhPercent: 74 })
  expect(tray(ID).spots.at(-1)!.spot.guessed).toBeUndefined()
  expect((await repository.read('gear'))[0]!.places[0]).toEqual({ ...lamp, temperatureC: 21, rhPercent: 74 })
  expect(await screen.findByRole('heading', { name: 'Never in this air' })).toBeTruthy()
  expect(screen.queryByLabelText('Humidity in Lamp room, percent')).toBeNull()
})
