import { browserLocks } from '../testing/browserLocks.ts'
import { benchHold, startBenchLock, takeBenchOver } from './benchLock.ts'

const settle = () => new Promise((resolve) => setTimeout(resolve, 5))

it('without locks the one tab holds the bench', async () => {
  await startBenchLock(undefined)
  expect(benchHold()).toBe('here')
})

it('held elsewhere: it follows, and holds once the other lets go', async () => {
  const browser = browserLocks(true)
  await startBenchLock(browser.locks)
  expect(benchHold()).toBe('elsewhere')
  browser.otherLetsGo()
  expect(benchHold()).toBe('here')
})

it('taken over, and taken back; nobody stands in line twice', async () => {
  const browser = browserLocks(false)
  await startBenchLock(browser.locks)
  expect(benchHold()).toBe('here')
  browser.otherTakesOver()
  await settle()
  expect(benchHold()).toBe('elsewhere')
  expect(browser.inLine()).toBe(1)
  void takeBenchOver(browser.locks)
  await settle()
  expect(benchHold()).toBe('here')
  expect(browser.inLine()).toBe(0)
})
