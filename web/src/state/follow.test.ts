/** What a tap makes the page read again: the book it was written into, and no other. */
import { isEnded } from '@harina/core'
import { generateWorkspace } from '@harina/demo'
import { act } from '@testing-library/react'
import { putWorkspace, settle } from '../testing/renderApp.tsx'
import { repository } from '../storage/index.ts'
import { recordTap } from './bench.ts'
import { store } from './store.ts'

const workspace = generateWorkspace(Date.now())
const open = workspace.batches.filter((batch) => !isEnded(batch))
const shown = () => store.getState().batches.open

beforeAll(() => putWorkspace(workspace))

it('every open batch is shown whole, and only those', () => {
  expect(open.length).toBeGreaterThanOrEqual(3)
  expect(
    shown()
      .map(({ id }) => id)
      .sort(),
  ).toEqual(open.map(({ id }) => id).sort())
  for (const { id, events } of open) expect(shown().find((each) => each.id === id)!.events).toHaveLength(events.length)
})

it('a tap reads its own book again; the other batches stay the same objects', async () => {
  const before = new Map(shown().map((batch) => [batch.id, batch]))
  const read = jest.spyOn(repository.batches, 'get')
  const all = jest.spyOn(repository.batches, 'open')
  const id = open[0]!.id
  await act(async () => void (await recordTap(before.get(id)!, { type: 'noted', text: 'a tap' })))
  await act(() => new Promise((resolve) => setTimeout(resolve, 150)))
  expect([...new Set(read.mock.calls.map(([which]) => which))]).toEqual([id])
  expect(all).not.toHaveBeenCalled()
  expect(shown().find((batch) => batch.id === id)!.events).toHaveLength(before.get(id)!.events.length + 1)
  for (const batch of shown()) if (batch.id !== id) expect(batch).toBe(before.get(batch.id))
  jest.restoreAllMocks()
})

it('a batch that ends goes, one that begins comes, and one whose end is taken back is there again', async () => {
  const [batch] = shown()
  await act(async () => void (await recordTap(batch!, { type: 'abandoned', reason: 'over' })))
  await settle()
  expect(shown().map(({ id }) => id)).not.toContain(batch!.id)
  const ended = (await repository.batches.get(batch!.id))!
  await act(async () => {
    await repository.batches.start([{ id: 'fresh', plan: batch!.plan }])
    await recordTap(ended, { type: 'undone', events: [ended.events.at(-1)!.id] })
  })
  await settle()
  expect(shown().map(({ id }) => id)).toEqual(expect.arrayContaining([batch!.id, 'fresh']))
})
