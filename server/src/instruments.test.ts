import { mkdtemp, writeFile } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { airReadingSchema } from '@harina/core/air'
import { scaleReadingSchema, type ScaleReading } from '@harina/core/scale'
import { createApp } from './createApp.ts'
import { listen, type Listening } from './listen.ts'

let listening: Listening

beforeEach(async () => {
  const clientDir = await mkdtemp(join(tmpdir(), 'harina-scale-'))
  await writeFile(join(clientDir, 'index.html'), '<!doctype html><title>Harina</title>')
  const started = await listen(createApp({ clientDir }), { host: '127.0.0.1', port: 0 })
  if (!started.ok) throw new Error(started.message)
  listening = started.listening
})
afterEach(() => listening.close())

const address = () => new URL('/instruments/scale', listening.url)
const act = (body: unknown, raw = false) =>
  fetch(address(), {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: raw ? String(body) : JSON.stringify(body),
  })

/** Readings as they come, until one passes or the line ends. */
async function readings(until: (reading: ScaleReading) => boolean): Promise<readonly ScaleReading[]> {
  const stop = new AbortController()
  const answer = await fetch(address(), { signal: stop.signal })
  expect(answer.headers.get('content-type')).toContain('text/event-stream')
  const reader = answer.body!.pipeThrough(new TextDecoderStream()).getReader()
  const found: ScaleReading[] = []
  let text = ''
  for (;;) {
    const { done, value } = await reader.read()
    if (done) return found
    text += value
    const lines = text.split('\n')
    text = lines.pop() ?? ''
    for (const line of lines.filter((each) => each.startsWith('data: '))) {
      const reading = scaleReadingSchema.parse(JSON.parse(line.slice(6)))
      found.push(reading)
      if (until(reading)) {
        stop.abort()
        return found
      }
    }
  }
}
const restsAt = (grams: number) => (reading: ScaleReading) =>
  reading.shows === 'mass' && reading.stable && Math.abs(reading.grams - grams) <= 1

it('what is put on comes down the line, moving first and then at rest; tare and clear answer', async () => {
  expect((await act({ act: 'put', grams: 417 })).status).toBe(204)
  const seen = await readings(restsAt(417))
  expect(seen.length).toBeGreaterThan(2)
  await act({ act: 'tare' })
  await readings(restsAt(0))
  await act({ act: 'clear' })
  await readings(restsAt(-417))
})

it('off, overload and the fine range are said', async () => {
  await act({ act: 'range', stepG: 0.1 })
  await act({ act: 'put', grams: 900 })
  await readings((reading) => reading.shows === 'overload')
  await act({ act: 'power', on: false })
  await readings((reading) => reading.shows === 'off')
})

it('a dropped line ends for those who listen, refuses for a while, and then answers again', async () => {
  const listened = readings(() => false)
  await act({ act: 'put', grams: 5 })
  await act({ act: 'drop', seconds: 1 })
  expect((await listened).length).toBeGreaterThan(0)
  expect((await fetch(address())).status).toBe(503)
  await new Promise((resolve) => setTimeout(resolve, 1100))
  await readings(restsAt(5))
})

it.each([{ act: 'throw' }, { act: 'put', grams: 'much' }, { act: 'put', grams: 1e9 }, { act: 'tare', extra: 1 }, null])(
  'refuses %j in words',
  async (body) => {
    const answer = await act(body)
    expect(answer.status).toBe(400)
    expect(await answer.text()).toBe('That is nothing one can do to the scale.')
  },
)

it('refuses what is no JSON, without saying more', async () => {
  const answer = await act('{broken', true)
  expect([answer.status, await answer.text()]).toEqual([400, 'That is nothing one can do to the scale.'])
})

it('the air sensor is read the same way, and a pot boiled beside it is felt at once', async () => {
  const air = new URL('/instruments/air', listening.url)
  const first = async () => {
    const stop = new AbortController()
    const answer = await fetch(air, { signal: stop.signal })
    const { value } = await answer.body!.pipeThrough(new TextDecoderStream()).getReader().read()
    stop.abort()
    const reading = airReadingSchema.parse(JSON.parse(/^data: (.*)$/m.exec(value ?? '')![1]!))
    if (reading.shows === 'off') throw new Error('it is off')
    return reading
  }
  const before = await first()
  const done = await fetch(air, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({ act: 'steam', probe: 'room' }),
  })
  expect(done.status).toBe(204)
  const after = await first()
  expect(after.room.rhPercent - before.room.rhPercent).toBeGreaterThan(20)
  expect(after.store).toEqual(before.store)
})
