import { replay } from '@harina/core'
import { cleanup } from '@testing-library/react'
import { startBenchLock } from '../state/benchLock.ts'
import { browserLocks } from '../testing/browserLocks.ts'
import {
  act,
  openBatch,
  press,
  putWorkspace,
  renderRinging,
  sampleWorkspace,
  screen,
  settle,
} from '../testing/renderApp.tsx'
import { repository } from '../storage/index.ts'

const running = sampleWorkspace.batches[1]!
const timerOf = async () => {
  const { plan, events } = await openBatch(running.id)
  return replay(plan, events).timers['rest']!
}

/** A rest of half an hour, begun forty minutes ago. */
beforeEach(async () => {
  await putWorkspace(sampleWorkspace)
  const at = new Date(Date.now() - 40 * 60_000).toISOString()
  await repository.batches.record(running.id, [{ id: 'again', at, type: 'timer-started', timer: 'rest', minutes: 30 }])
  renderRinging()
  await settle()
})
afterEach(cleanup)

it('calls by name, in the title too, until it is answered', async () => {
  expect(screen.getByRole('alert').textContent).toContain('Stiff semolina has rested')
  expect(document.title).toContain('Stiff semolina has rested')
  await press('I heard it')
  expect((await timerOf()).stage).toBe('answered')
  expect(screen.queryByRole('alert')).toBeNull()
  expect(document.title).not.toContain('Stiff semolina has rested')
})

it('one more minute is a minute from now, however long it has rung', async () => {
  await press('One more minute')
  const left = ((await timerOf()).endsAtMs - Date.now()) / 60_000
  expect(left > 0.5 && left <= 2).toBe(true)
  expect(screen.queryByRole('alert')).toBeNull()
})

it('rings no more once the step is done without it', async () => {
  await repository.batches.record(running.id, [
    { id: 'stop', at: new Date().toISOString(), type: 'timer-stopped', timer: 'rest' },
  ])
  await settle()
  expect(screen.queryByRole('alert')).toBeNull()
})

it('in a tab that only follows it stays still; once the bench is taken over it calls', async () => {
  const browser = browserLocks(true)
  await act(() => startBenchLock(browser.locks))
  expect(screen.queryByRole('alert')).toBeNull()
  act(() => browser.otherLetsGo())
  expect(await screen.findByRole('alert')).toBeTruthy()
})
