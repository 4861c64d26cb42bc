/** A line to an instrument: what it hands on, what it leaves out, how it finds its way back. */
import { z } from '@harina/core'
import { playedInstrument, type Line } from './line.ts'

class FakeSource {
  static all: FakeSource[] = []
  onmessage: ((event: { data: string }) => void) | null = null
  onerror: (() => void) | null = null
  closed = false
  constructor(readonly address: string) {
    FakeSource.all.push(this)
  }
  close() {
    this.closed = true
  }
}

const schema = z.strictObject({ grams: z.number() })
const scale = playedInstrument<{ grams: number }, { press: string }>('/instruments/test', schema)

function listening() {
  const lines: Line[] = []
  const readings: number[] = []
  const stop = scale.listen({ onLine: (line) => lines.push(line), onReading: ({ grams }) => readings.push(grams) })
  return { lines, readings, stop }
}
const source = () => FakeSource.all.at(-1)!

beforeEach(() => {
  jest.useFakeTimers()
  FakeSource.all = []
  globalThis.EventSource = FakeSource as unknown as typeof EventSource
})
afterEach(() => jest.useRealTimers())

it('is looked for first, live from the first reading on, and hands on what fits', () => {
  const { lines, readings } = listening()
  expect(lines).toEqual(['looking'])
  source().onmessage?.({ data: '{"grams":12}' })
  source().onmessage?.({ data: '{"grams":"heavy"}' })
  source().onmessage?.({ data: '{"grams":13}' })
  expect([lines, readings]).toEqual([
    ['looking', 'live', 'live'],
    [12, 13],
  ])
})

it('a lost line is said to be lost and looked for again, until it is there', () => {
  const { lines, readings } = listening()
  const first = source()
  first.onerror?.()
  expect([lines.at(-1), first.closed, FakeSource.all.length]).toEqual(['lost', true, 1])
  jest.advanceTimersByTime(2000)
  expect(FakeSource.all).toHaveLength(2)
  source().onmessage?.({ data: '{"grams":5}' })
  expect([lines.at(-1), readings]).toEqual(['live', [5]])
})

it('whoever stops listening hears nothing more, and nothing is looked for', () => {
  const { stop } = listening()
  source().onerror?.()
  stop()
  jest.advanceTimersByTime(10_000)
  expect([FakeSource.all.length, source().closed]).toEqual([1, true])
})

it('an act goes there as JSON; one that is not taken is said', async () => {
  const sent: unknown[] = []
  globalThis.fetch = jest.fn(async (address: string, init: RequestInit) => {
    sent.push([address, init.method, init.body])
    return { ok: sent.length === 1, status: 409 }
  }) as unknown as typeof fetch
  await scale.act({ press: 'tare' })
  expect(sent).toEqual([['/instruments/test', 'POST', '{"press":"tare"}']])
  await expect(scale.act({ press: 'tare' })).rejects.toThrow('409')
})
