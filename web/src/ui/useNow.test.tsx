import { act, cleanup, render, screen } from '@testing-library/react'
import { useClock, useNow } from './useNow.ts'

beforeEach(() => void jest.useFakeTimers({ now: 1_900_000_000_000 }))
afterEach(() => {
  cleanup()
  jest.useRealTimers()
})
const pass = (ms: number) => act(async () => jest.advanceTimersByTime(ms))

it('draws anew only when what is made of the time is another, and ticks for nobody once nobody looks', async () => {
  let drawn = 0
  function Minutes() {
    drawn += 1
    return <output>{useClock((nowMs) => Math.floor((nowMs - 1_900_000_000_000) / 60_000))}</output>
  }
  const over = jest.spyOn(globalThis, 'clearInterval')
  const { unmount } = render(<Minutes />)
  await pass(55_000)
  expect([screen.getByRole('status').textContent, drawn]).toEqual(['0', 1])
  await pass(10_000)
  expect([screen.getByRole('status').textContent, drawn]).toEqual(['1', 2])
  unmount()
  expect(over).toHaveBeenCalledTimes(1)
})

it('what is another at every look does not draw for ever', async () => {
  let drawn = 0
  function Exact() {
    drawn += 1
    return <output>{useClock((nowMs) => [nowMs])[0]}</output>
  }
  render(<Exact />)
  await pass(2000)
  expect(drawn).toBeLessThanOrEqual(6)
})

it('a time that moves on every so often stands still between', async () => {
  const seen = new Set<number>()
  function Slow() {
    const nowMs = useNow(10_000)
    seen.add(nowMs)
    return null
  }
  render(<Slow />)
  for (let n = 0; n < 31; n += 1) await pass(1000)
  expect(seen.size).toBe(4)
})

it('one timer, however many look', () => {
  const begun = jest.spyOn(globalThis, 'setInterval')
  function Looking() {
    return <output>{useNow()}</output>
  }
  render(
    <>
      <Looking />
      <Looking />
      <Looking />
    </>,
  )
  expect(begun).toHaveBeenCalledTimes(1)
})
