import fc from 'fast-check'
import {
  actOnScale,
  freshScale,
  readScale,
  scaleActSchema,
  tickScale,
  type ScaleAct,
  type ScaleState,
} from './kitchenScale.ts'
import { HOLD_MS, pouring, steadyG, type TimedReading } from './steady.ts'

/** Even numbers that are the same at every run. */
function numbers(seed: number): () => number {
  let state = seed
  return () => {
    state = (state * 1_103_515_245 + 12_345) % 2_147_483_648
    return state / 2_147_483_648
  }
}

function run(state: ScaleState, seconds: number, chance = numbers(7)): { state: ScaleState; readings: TimedReading[] } {
  const readings: TimedReading[] = []
  let now = state
  for (let tick = 1; tick <= seconds * 10; tick += 1) {
    now = tickScale(now, 0.1, chance)
    readings.push({ atMs: tick * 100, reading: readScale(now) })
  }
  return { state: now, readings }
}
const acted = (...acts: ScaleAct[]) => acts.reduce(actOnScale, freshScale)

it('settles within a second or two on what lies on it, to its own step', () => {
  const { readings } = run(acted({ act: 'put', grams: 417.3 }), 4)
  expect(readings[0]!.reading).toMatchObject({ stable: false })
  const last = readings.at(-1)!.reading
  expect(last).toMatchObject({ shows: 'mass', stable: true, stepG: 1 })
  expect(Math.abs((last as { grams: number }).grams - 417)).toBeLessThanOrEqual(1)
  expect(steadyG(readings, 4000)).not.toBeNull()
  expect(steadyG(readings.slice(0, 8), 800)).toBeNull()
})

it('tare calls zero what is there; the fine range shows tenths and is soon overloaded', () => {
  const bowl = run(acted({ act: 'put', grams: 640 }), 3).state
  const { state } = run(actOnScale(actOnScale(bowl, { act: 'tare' }), { act: 'put', grams: 12.3 }), 3)
  expect(Math.abs((readScale(state) as { grams: number }).grams - 12)).toBeLessThanOrEqual(1)
  const fine = run(actOnScale(state, { act: 'range', stepG: 0.1 }), 1).state
  expect(readScale(fine)).toEqual({ shows: 'overload', maxG: 500 })
  const pocket = run(acted({ act: 'range', stepG: 0.1 }, { act: 'put', grams: 3.2 }), 3).state
  expect(Math.abs((readScale(pocket) as { grams: number }).grams - 3.2)).toBeLessThan(0.25)
})

it('off shows nothing; on again it calls zero whatever lies there', () => {
  const off = actOnScale(run(acted({ act: 'put', grams: 300 }), 2).state, { act: 'power', on: false })
  expect(readScale(off)).toEqual({ shows: 'off' })
  const on = run(actOnScale(off, { act: 'power', on: true }), 2).state
  expect(Math.abs((readScale(on) as { grams: number }).grams)).toBeLessThanOrEqual(1)
})

it('any acts keep it sane: no negative pan, and every display is a whole number of steps', () => {
  const act = fc.oneof(
    fc.record({ act: fc.constant('put'), grams: fc.double({ min: -900, max: 900, noNaN: true }) }),
    fc.constant({ act: 'clear' }),
    fc.constant({ act: 'tare' }),
    fc.record({ act: fc.constant('range'), stepG: fc.constantFrom(1, 0.1) }),
    fc.record({ act: fc.constant('power'), on: fc.boolean() }),
  ) as fc.Arbitrary<ScaleAct>
  fc.assert(
    fc.property(fc.array(act, { maxLength: 20 }), fc.nat(1000), (acts, seed) => {
      let state = freshScale
      for (const each of acts) {
        expect(scaleActSchema.safeParse(each).success).toBe(true)
        state = run(actOnScale(state, each), 0.5, numbers(seed)).state
        expect(state.panG).toBeGreaterThanOrEqual(0)
        const reading = readScale(state)
        if (reading.shows === 'mass') {
          expect(Number.isFinite(reading.grams)).toBe(true)
          expect(Math.abs(reading.grams / reading.stepG - Math.round(reading.grams / reading.stepG))).toBeLessThan(1e-6)
        }
      }
    }),
    { numRuns: 200 },
  )
})

it('a display that flickers by more than a step, or went off meanwhile, is not steady', () => {
  const mass = (grams: number, stable = true) => ({ shows: 'mass', grams, stable, stepG: 1 }) as const
  const at = (readings: readonly TimedReading['reading'][]) =>
    readings.map((reading, index) => ({ atMs: index * 100, reading }))
  const still = at(Array.from({ length: 16 }, () => mass(200)))
  expect(steadyG(still, 1500)).toBe(200)
  expect(steadyG(still, 1500 + 2 * HOLD_MS)).toBeNull()
  expect(
    steadyG(
      at([...Array.from({ length: 10 }, () => mass(200)), mass(203), ...Array.from({ length: 5 }, () => mass(200))]),
      1500,
    ),
  ).toBeNull()
  expect(
    steadyG(
      at([...Array.from({ length: 12 }, () => mass(200)), { shows: 'off' }, mass(200), mass(200), mass(200)]),
      1500,
    ),
  ).toBeNull()
})

it('a pour is there within a step, or half a percent of much', () => {
  expect(pouring(398, 402, 1)).toEqual({ leftG: 4, stands: 'under' })
  expect(pouring(401, 402, 1)).toMatchObject({ stands: 'there' })
  expect(pouring(2990, 3000, 1)).toMatchObject({ stands: 'there' })
  expect(pouring(404.5, 402, 1)).toMatchObject({ leftG: -2.5, stands: 'over' })
})
