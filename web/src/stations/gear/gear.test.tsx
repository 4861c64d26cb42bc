import { toFile } from '@harina/core'
import { cleanup } from '@testing-library/react'
import { repository } from '../../storage/index.ts'
import {
  fireEvent,
  press,
  putWorkspace,
  renderAt,
  sampleWorkspace,
  screen,
  settle,
  typeInto,
  waitFor,
} from '../../testing/renderApp.tsx'
import { fileProblemWords } from './fileWords.ts'
import GearStation from './GearStation.tsx'

beforeEach(async () => {
  await putWorkspace(sampleWorkspace)
  renderAt('/gear', [{ path: '/gear', element: <GearStation /> }])
  await screen.findByText('Scale and board')
})
afterEach(cleanup)

const choose = (content: string) => {
  const file = new File([content], 'brought.harina.json', { type: 'application/json' })
  Object.defineProperty(file, 'text', { value: () => Promise.resolve(content) })
  fireEvent.change(screen.getByLabelText('A .harina.json file'), { target: { files: [file] } })
}

it('scale, board and air are stored as they are set', async () => {
  await press('0.1 g')
  await typeInto('Board length, millimetres', '750')
  await settle()
  await typeInto('Sea store, humidity', '75')
  await settle()
  expect(await repository.gear()).toMatchObject({
    scaleStepG: 0.1,
    boardMm: 750,
    places: [{ name: 'Sea store', rhPercent: 75 }, { name: 'Lamp room' }],
  })
})

it('air that cannot be is refused', async () => {
  await typeInto('Sea store, humidity', '130')
  expect(screen.getByRole('alert').textContent).toContain('at most 95')
  expect((await repository.gear())?.places[0]?.rhPercent).toBe(81)
})

it('a place is added and removed; the last one stays', async () => {
  await press('Add a place')
  expect((await repository.gear())?.places).toHaveLength(3)
  await press('Remove New place')
  await press('Remove Lamp room')
  expect((await repository.gear())?.places).toHaveLength(1)
  expect(screen.queryByRole('button', { name: /^Remove/ })).toBeNull()
})

it('a sack is added under its flour, and named by its keeper', async () => {
  fireEvent.change(screen.getByLabelText(/Add a sack of/), { target: { value: 'plain-wheat' } })
  await settle()
  const lot = (await repository.lots()).find((candidate) => candidate.ingredient === 'plain-wheat')
  expect(lot?.name).toBe('Plain (all-purpose) wheat flour')
  fireEvent.change(await screen.findByDisplayValue('Plain (all-purpose) wheat flour'), { target: { value: 'P-01' } })
  await settle()
  expect((await repository.lots()).map((candidate) => candidate.name)).toContain('P-01')
})

it('a file of the same workspace brings nothing; one that differs asks', async () => {
  choose(JSON.stringify(toFile(sampleWorkspace, '2031-01-01T00:00:00+00:00')))
  expect(await screen.findByRole('button', { name: 'All of it is here' })).toHaveProperty('disabled', true)
  await press('Leave it')
  const lots = sampleWorkspace.lots.map((lot, index) => (index === 0 ? { ...lot, note: 'theirs' } : lot))
  choose(JSON.stringify(toFile({ ...sampleWorkspace, lots }, '2031-01-01T00:00:00+00:00')))
  expect(await screen.findByText(/1 that differ from yours/)).toBeTruthy()
  fireEvent.click(screen.getByRole('radio', { name: /^Replace/ }))
  await press('Bring it in')
  await waitFor(async () => expect((await repository.lots()).map((lot) => lot.note)).toContain('theirs'))
})

it('a broken file is explained and changes nothing', async () => {
  choose('{"format":"harina","version":1')
  expect((await screen.findByRole('alert')).textContent).toContain('breaks off before its end')
  expect((await repository.workspace()).formulas).toHaveLength(sampleWorkspace.formulas.length)
})

it('clearing asks twice', async () => {
  await press('Clear this workspace')
  expect(screen.getByRole('button', { name: 'Clear it' })).toHaveProperty('disabled', true)
  fireEvent.click(screen.getByRole('checkbox', { name: /I have a file/ }))
  await press('Clear it')
  await waitFor(async () => expect(await repository.formulas()).toEqual([]))
})

it('every refusal says that nothing was changed', () => {
  for (const code of [
    'file-empty',
    'file-too-big',
    'file-cut-short',
    'file-not-json',
    'file-foreign',
    'file-newer',
    'file-hostile',
    'file-markup',
    'file-broken',
  ])
    expect(fileProblemWords({ code })).toMatch(/Nothing was changed\.$/)
})
