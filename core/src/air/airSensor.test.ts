import fc from 'fast-check'
import { actOnAir, AIR_PROBES, airReadingSchema, freshAir, readAir, tickAir, type AirAct } from './airSensor.ts'

/** A chance that can be told again. */
function evenly(seed: number) {
  let state = seed
  return () => {
    state = (state * 16_807) % 2_147_483_647
    return state / 2_147_483_647
  }
}

it('strays about its home and no further: hours of it', () => {
  const chance = evenly(7)
  let state = freshAir
  const seen: number[] = []
  for (let n = 0; n < 20_000; n += 1) {
    state = tickAir(state, 2, chance)
    seen.push(state.probes.store.rhPercent)
  }
  const mean = seen.reduce((sum, each) => sum + each, 0) / seen.length
  const sd = Math.sqrt(seen.reduce((sum, each) => sum + (each - mean) ** 2, 0) / seen.length)
  expect(Math.abs(mean - 79)).toBeLessThan(2)
  expect(sd).toBeGreaterThan(1.5)
  expect(sd).toBeLessThan(7)
})

it('a pot beside it is damp, an open door cool, a stove dry; it comes back within the hour', () => {
  const steamed = actOnAir(freshAir, { act: 'steam', probe: 'room' })
  expect(steamed.probes.room.rhPercent).toBeGreaterThan(60)
  expect(steamed.probes.store).toEqual(freshAir.probes.store)
  expect(actOnAir(freshAir, { act: 'door', probe: 'store' }).probes.store.temperatureC).toBeLessThan(13)
  expect(actOnAir(freshAir, { act: 'stove', probe: 'store' }).probes.store.rhPercent).toBeLessThan(70)
  const later = tickAir(steamed, 3600, () => 0.5)
  expect(later.probes.room.rhPercent).toBeCloseTo(freshAir.probes.room.rhPercent, 0)
})

it('whatever is done to it, what it shows can be read and lies where air can', () => {
  const act: fc.Arbitrary<AirAct> = fc.oneof(
    fc.record({ act: fc.constantFrom('steam', 'door', 'stove'), probe: fc.constantFrom(...AIR_PROBES) }),
    fc.record({ act: fc.constant('power' as const), on: fc.boolean() }),
    fc.constant({ act: 'drop', seconds: 5 } as const),
  )
  fc.assert(
    fc.property(fc.array(act, { maxLength: 60 }), (acts) => {
      const end = acts.reduce((state, each) => tickAir(actOnAir(state, each), 5, () => 0.9), freshAir)
      const reading = airReadingSchema.parse(readAir(end))
      if (reading.shows === 'off') return expect(end.on).toBe(false)
      for (const of of AIR_PROBES) {
        expect(reading[of].rhPercent).toBeGreaterThanOrEqual(5)
        expect(reading[of].rhPercent).toBeLessThanOrEqual(95)
      }
    }),
  )
})
