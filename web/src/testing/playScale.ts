/** A line to the kitchen's instruments in a browser that has none: the test says what they show and when they are lost. */
import { act } from '@testing-library/react'
import type { AirAct, AirReading, ScaleAct, ScaleReading } from '@harina/core'

class Line {
  static open: Line[] = []
  onmessage: ((event: { data: string }) => void) | null = null
  onerror: (() => void) | null = null
  constructor() {
    Line.open.push(this)
  }
  close() {
    Line.open = Line.open.filter((each) => each !== this)
  }
}

export function playScale() {
  const acts: (ScaleAct | AirAct)[] = []
  let answers = true
  Object.defineProperty(globalThis, 'EventSource', { value: Line, configurable: true, writable: true })
  Object.defineProperty(globalThis, 'fetch', {
    configurable: true,
    writable: true,
    value: (_: string, { body }: { body: string }) => {
      if (!answers) return Promise.reject(new Error('nobody there'))
      acts.push(JSON.parse(body) as ScaleAct | AirAct)
      return Promise.resolve({ ok: true, status: 204 })
    },
  })
  const say = (reading: ScaleReading | AirReading) =>
    act(() => Line.open.forEach((line) => line.onmessage?.({ data: JSON.stringify(reading) })))
  return {
    acts,
    lines: () => Line.open.length,
    say,
    /** Long enough at rest to be taken at its word; the clock is the test's own. */
    rest(grams: number, stepG = 1) {
      for (let n = 0; n < 20; n += 1) {
        jest.setSystemTime(Date.now() + 100)
        say({ shows: 'mass', grams, stable: true, stepG })
      }
    },
    lose: () => act(() => [...Line.open].forEach((line) => line.onerror?.())),
    deaf: () => {
      answers = false
    },
  }
}
