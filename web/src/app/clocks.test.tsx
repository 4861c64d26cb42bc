/** Clocks that run while the device has a will of its own: its time put back, its screen going dark, its voice. */
import { replay } from '@harina/core'
import { cleanup, render } from '@testing-library/react'
import { Provider } from 'react-redux'
import { timeRead } from '../state/clockSlice.ts'
import { preferred } from '../state/preferencesSlice.ts'
import { store } from '../state/store.ts'
import { repository } from '../storage/index.ts'
import { playVoice } from '../testing/playVoice.ts'
import { act, openBatch, putWorkspace, renderRinging, sampleWorkspace, settle, waitFor } from '../testing/renderApp.tsx'
import { useAwake } from './useAwake.ts'
import { useClockWatch } from './useClockWatch.ts'

const running = sampleWorkspace.batches[1]!
const restOf = async () => {
  const { plan, events } = await openBatch(running.id)
  return replay(plan, events).timers['rest']!
}
/** A rest that begins now. */
async function restFor(minutes: number): Promise<void> {
  await putWorkspace(sampleWorkspace)
  const at = new Date().toISOString()
  await repository.batches.record(running.id, [{ id: 'again', at, type: 'timer-started', timer: 'rest', minutes }])
}
function Watching() {
  useAwake()
  useClockWatch()
  return null
}
const watch = () =>
  render(
    <Provider store={store}>
      <Watching />
    </Provider>,
  )
/** Real time goes on; what the wall clock says is the test's. */
async function wallClockBy(ms: number, run: () => Promise<void>): Promise<void> {
  const now = Date.now.bind(Date)
  jest.spyOn(Date, 'now').mockImplementation(() => now() + ms)
  await run()
  jest.restoreAllMocks()
}
const aSecond = () => act(() => new Promise((resolve) => setTimeout(resolve, 1200)))

afterEach(() => {
  cleanup()
  jest.restoreAllMocks()
})

it('a clock put back by an hour takes the running rest with it: it is no longer for that', async () => {
  await restFor(45)
  const before = (await restOf()).endsAtMs
  watch()
  await wallClockBy(-3_600_000, async () => {
    await aSecond()
    await settle()
  })
  const after = await restOf()
  expect(Math.abs(before - 3_600_000 - after.endsAtMs)).toBeLessThan(2500)
  expect(after.minutes).toBe(45)
})

it('a clock that jumps ahead is a device that slept: the dough has rested', async () => {
  await restFor(45)
  const before = await restOf()
  watch()
  await wallClockBy(3_600_000, async () => {
    await aSecond()
    await settle()
  })
  expect(await restOf()).toEqual(before)
})

it('the screen is kept awake while a clock runs, asked for again when the page comes back, and let go after', async () => {
  const asked: string[] = []
  let released = 0
  Object.defineProperty(navigator, 'wakeLock', {
    configurable: true,
    value: {
      request: (what: string) => {
        asked.push(what)
        return Promise.resolve({ release: () => Promise.resolve((released += 1)) })
      },
    },
  })
  await restFor(45)
  watch()
  await settle()
  expect(asked).toEqual(['screen'])
  act(() => void document.dispatchEvent(new Event('visibilitychange')))
  expect(asked).toHaveLength(2)
  await act(() =>
    repository.batches.record(running.id, [
      { id: 'stop', at: new Date().toISOString(), type: 'timer-stopped', timer: 'rest' },
    ]),
  )
  await settle()
  expect(released).toBeGreaterThan(0)
  Reflect.deleteProperty(navigator, 'wakeLock')
})

it('a ring is spoken by name, once, where steps are spoken', async () => {
  const said = playVoice()
  act(() => void store.dispatch(preferred({ voice: true })))
  await restFor(45)
  await repository.batches.record(running.id, [
    { id: 'due', at: new Date().toISOString(), type: 'timer-moved', timer: 'rest', minutes: -45 },
  ])
  renderRinging()
  await settle()
  expect(said()).toEqual(['Stiff semolina has rested'])
  act(() => void store.dispatch(preferred({ voice: false })))
})

it('a page left open over midnight knows the new day', async () => {
  await restFor(45)
  // An hour's jump told above may have turned the day already.
  act(() => void store.dispatch(timeRead(Date.now())))
  const before = store.getState().clock.todayMs
  watch()
  await wallClockBy(86_400_000, async () => {
    await waitFor(() => expect(store.getState().clock.todayMs - before).toBeGreaterThanOrEqual(23 * 3_600_000), {
      timeout: 5000,
    })
  })
})
