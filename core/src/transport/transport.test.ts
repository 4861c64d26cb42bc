import * as fc from 'fast-check'
import { coverage } from '../testing/coverage.ts'
import { seriesErrors } from '../testing/seriesMean.ts'
import { GEOMETRIES } from '../model/index.ts'
import { bodyOf, CELLS } from './body.ts'
import { cook, drierWithin } from './cooking.ts'
import { advance, centreOf, meanOf, startRun } from './diffusion.ts'
import { dry, dryHours } from './drying.ts'
import { DRYING_MODEL, type AirFrom, type Tray } from './tray.ts'
import { atMoistureG, fitDrying, solidsG } from './fitDrying.ts'
import { dryBasis, equilibrium, saturationPa, waterActivity, waterActivitySlope, wetBasis } from './sorption.ts'

const strand: Tray = {
  geometry: 'cylinder',
  halfThicknessMm: 0.85,
  startMoisture: 0.3,
  targetMoisture: 0.125,
  climate: [{ fromH: 0, temperatureC: 27, rhPercent: 38, air: 'fan' }],
  exposure: 1,
  model: DRYING_MODEL,
}
const inAir = (rhPercent: number, temperatureC = 22, air: AirFrom['air'] = 'still'): readonly AirFrom[] => [
  { fromH: 0, temperatureC, rhPercent, air },
]
const day = fc.record({
  temperatureC: fc.double({ min: 5, max: 60, noNaN: true }),
  rhPercent: fc.double({ min: 5, max: 95, noNaN: true }),
  air: fc.constantFrom('still', 'fan', 'cabinet'),
})
const trays = fc.record({
  geometry: fc.constantFrom(...GEOMETRIES),
  halfThicknessMm: fc.double({ min: 0.3, max: 6, noNaN: true }),
  startMoisture: fc.double({ min: 0.2, max: 0.5, noNaN: true }),
  targetMoisture: fc.constant(0.125),
  exposure: fc.double({ min: 0.05, max: 1, noNaN: true }),
  model: fc.constant(DRYING_MODEL),
  climate: fc
    .array(day, { minLength: 1, maxLength: 5 })
    .map((airs): AirFrom[] => airs.map((air, n) => ({ ...air, fromH: n * 7 }))),
}) satisfies fc.Arbitrary<Tray>

describe.each(GEOMETRIES)('%s', (geometry) => {
  it('goes as the series solution does, at all times after the first hundredth', () => {
    const found = seriesErrors().find((each) => each.geometry === geometry)
    expect(found!.worst).toBeLessThan(0.002)
  })

  it('the middle and the core are where the whole profile says', () => {
    const body = bodyOf(geometry, 1)
    const run = startRun(body, 0)
    body.centresM.forEach((r, n) => (run.values[n] = 2 + 3 * r ** 2))
    run.surface = 5
    expect(centreOf(run)).toBeCloseTo(2, 3)
    expect(drierWithin(run, 2 + 3 * 0.5 ** 2)).toBeCloseTo(0.5, 2)
    expect(drierWithin(run, 2 + 3 * 0.02 ** 2)).toBeCloseTo(0.02, 2)
    expect(drierWithin(run, 1.9)).toBe(0)
  })
})

it('what leaves is what is lost, to rounding, in any air', () => {
  fc.assert(
    fc.property(trays, fc.double({ min: 0.1, max: 200, noNaN: true }), (tray, hours) => {
      const body = bodyOf(tray.geometry, tray.halfThicknessMm / 1000)
      const run = startRun(body, dryBasis(tray.startMoisture))
      for (const [n, { rhPercent, temperatureC }] of tray.climate.entries())
        advance(
          run,
          ((n + 1) * hours * 3600) / tray.climate.length,
          1e-11,
          {
            flux: (x) => 1e-7 * (waterActivity(x, temperatureC) - rhPercent / 100),
            slope: (x) => 1e-7 * waterActivitySlope(x, temperatureC),
          },
          1,
        )
      const lost = dryBasis(tray.startMoisture) - meanOf(run)
      expect(Math.abs(lost - run.left / body.volume)).toBeLessThan(1e-9)
    }),
    { numRuns: 60 },
  )
})

it('twice the cells change the hours by less than three in a thousand', () => {
  fc.assert(
    fc.property(trays, (tray) => {
      const usual = dryHours(tray, 2000)
      const fine = dryHours(tray, 2000, 2 * CELLS)
      // Within a hair of its end the hour is no figure any more, and the forecast says so.
      if (usual === null || fine === null || usual < 0.05) return
      const rests = wetBasis(equilibrium(tray.climate.at(-1)!.rhPercent, tray.climate.at(-1)!.temperatureC))
      if (tray.targetMoisture - rests < 0.003) return
      expect(Math.abs(fine / usual - 1)).toBeLessThan(0.003)
    }),
    { numRuns: 60 },
  )
})

it('stays between what it was and what the air holds it at, dries from without, and gets there sooner in drier air', () => {
  fc.assert(
    fc.property(trays, (tray) => {
      const ends = tray.climate.map(({ rhPercent, temperatureC }) => wetBasis(equilibrium(rhPercent, temperatureC)))
      const low = Math.min(tray.startMoisture, ...ends) - 1e-3
      const high = Math.max(tray.startMoisture, ...ends) + 1e-3
      const { curve } = dry(tray, { maxH: 200 })
      expect(curve.length).toBeGreaterThanOrEqual(60)
      expect(curve.every(({ moisture }) => moisture >= low && moisture <= high)).toBe(true)
      const drier = tray.climate.map((air) => ({ ...air, rhPercent: air.rhPercent * 0.9 }))
      const usual = dryHours(tray, 400)
      const sooner = dryHours({ ...tray, climate: drier }, 400)
      if (usual !== null) expect(sooner).toBeLessThanOrEqual(usual * (1 + 1e-3))
    }),
    { numRuns: 60 },
  )
})

it('never where the air holds it above the target: at 22 °C from about 57 % humidity', () => {
  expect(dry({ ...strand, climate: inAir(56) }, { maxH: 336 }).never).toBe(false)
  const damp = dry({ ...strand, climate: inAir(59) }, { maxH: 336 })
  expect(damp.never).toBe(true)
  expect(damp.hoursToTarget).toBeNull()
  expect(damp.equilibriumMoisture).toBeGreaterThan(0.125)
  // Dry enough by noon, the night after does it no harm.
  const noon: AirFrom[] = [...inAir(38, 27), { fromH: 100, temperatureC: 17, rhPercent: 80, air: 'still' }]
  expect(dry({ ...strand, climate: noon }, { maxH: 336 }).hoursToTarget).toBeLessThan(100)
})

it('hours warm and wet are counted to within the step, however often it is looked at', () => {
  fc.assert(
    fc.property(trays, day, (tray, air) => {
      const warm = { ...tray, climate: [{ ...air, temperatureC: 20 + air.temperatureC / 2, fromH: 0 }] }
      const often = Array.from({ length: 201 }, (_, n) => n * 0.36)
      const [seldom, close] = [{ onlyTarget: true }, { sampleH: often }].map(
        (options) => dry(warm, { maxH: 72, ...options }).warmWetH,
      )
      expect(Math.abs(seldom! - close!)).toBeLessThan(0.01 * close! + 1e-6)
    }),
    { numRuns: 60 },
  )
})

it('humidity decides, a fan hardly does', () => {
  const hours = (rh: number, air: AirFrom['air']) => dryHours({ ...strand, climate: inAir(rh, 22, air) }, 1000)!
  expect(hours(40, 'still') / hours(40, 'fan')).toBeLessThan(1.15)
  expect(hours(54, 'fan') / hours(40, 'fan')).toBeGreaterThan(1.5)
})

it('what is dry already takes no time; a curve is drawn all the same', () => {
  const there = dry({ ...strand, startMoisture: 0.12 }, { maxH: 336 })
  expect(there.hoursToTarget).toBe(0)
  expect(there.coreLagAt18).toBeNull()
})

it('the isotherm and its other way round agree; steam is where steam tables have it', () => {
  for (const rh of [5, 38, 57, 80, 95])
    for (const celsius of [5, 22, 60])
      expect(waterActivity(equilibrium(rh, celsius), celsius)).toBeCloseTo(rh / 100, 12)
  expect(saturationPa(20)).toBeCloseTo(2339, -1)
  expect(saturationPa(40) / 7384).toBeCloseTo(1, 3)
  const at = 0.2
  expect((waterActivity(at + 1e-6, 25) - waterActivity(at - 1e-6, 25)) / 2e-6).toBeCloseTo(
    waterActivitySlope(at, 25),
    5,
  )
})

describe('fitting to the scale', () => {
  const startG = 800
  const dryG = solidsG(startG, strand.startMoisture)
  const weighed = (scaleD: number, hours: readonly number[], tray = strand) =>
    dry({ ...tray, model: { ...tray.model, scaleD } }, { sampleH: hours, maxH: 0, onlyTarget: true }).samples.map(
      ({ h, moisture }) => ({ h, grams: atMoistureG(dryG, moisture) }),
    )

  it('finds the tray that was weighed, and narrows with each weighing', () => {
    const slow = { ...strand, model: { ...DRYING_MODEL, scaleD: 0.6 } }
    const hours = [1, 3, 6, 9]
    const request = { tray: strand, startG, scaleSdG: 1, maxH: 1000 }
    const fits = hours.map((_, n) => fitDrying({ ...request, weighIns: weighed(0.6, hours.slice(0, n + 1)) }))
    expect(fits.at(-1)!.hoursToTarget! / dryHours(slow, 1000)!).toBeCloseTo(1, 1)
    const widths = fits.map(({ low, high }) => Math.log(high! / low!))
    expect([...widths].sort((a, b) => b - a)).toEqual(widths)
    expect(fits.at(-1)!.targetG).toBeCloseTo(dryG / 0.875, 9)
    expect(fits.at(-1)!.moistureNow).toBeCloseTo(1 - dryG / weighed(0.6, [9])[0]!.grams, 5)
    expect(fits.at(-1)!.residualG).toBeLessThan(1)
  })

  it('the 90 % interval holds the true hour about nine times out of ten (400 in the script that prints it)', () => {
    const { held, of } = coverage(60, 7)
    expect(held / of).toBeGreaterThanOrEqual(0.85)
    expect(held / of).toBeLessThanOrEqual(0.95)
  }, 60_000)

  it('without anything new to say a weighing leaves the forecast where it was', () => {
    const told = fitDrying({ tray: strand, startG, weighIns: [{ h: 0, grams: startG }], scaleSdG: 1, maxH: 336 })
    expect(told.hoursToTarget).toBeCloseTo(dryHours(strand, 336)!, 6)
    expect(told.high! / told.hoursToTarget!).toBeGreaterThan(1.4)
  })

  it('in air that is too damp it says never, whatever was weighed', () => {
    const damp = { ...strand, climate: inAir(75) }
    const fit = fitDrying({ tray: damp, startG, weighIns: weighed(1, [2, 5], damp), scaleSdG: 1, maxH: 336 })
    expect(fit).toMatchObject({ never: true, hoursToTarget: null, low: null, high: null })
  })
})

describe('in the pot', () => {
  const at = (halfThicknessMm: number, startMoisture: number, altitudeM = 0) =>
    cook({ geometry: 'cylinder', halfThicknessMm, startMoisture, altitudeM })

  it('dried goes with the square of the thickness, fresh slower than that; height takes longer', () => {
    const square = at(1.6, 0.125).doneMin / at(0.8, 0.125).doneMin
    expect(square).toBeGreaterThan(3.6)
    expect(square).toBeLessThan(4.2)
    expect(at(1.6, 0.36).doneMin / at(0.8, 0.36).doneMin).toBeLessThan(square)
    expect(at(0.8, 0.125, 2000).doneMin).toBeGreaterThan(at(0.8, 0.125).doneMin * 1.05)
  })

  it('firm comes before done, the core shrinks, and water goes in until it is done', () => {
    const { alDenteMin, doneMin, curve, massGainDone } = at(0.85, 0.125)
    expect(alDenteMin).toBeLessThan(doneMin)
    const cores = curve!.map(({ coreFraction }) => coreFraction)
    expect(cores).toEqual([...cores].sort((a, b) => b - a))
    expect(massGainDone).toBeCloseTo((1 - 0.125) / (1 - curve!.at(-1)!.moisture), 6)
  })

  it('a wet dough is done when it is hot', () => {
    const drop = cook({ geometry: 'sphere', halfThicknessMm: 8, startMoisture: 0.6, altitudeM: 0 })
    expect(drop).toMatchObject({ heatOnly: true, curve: null, massGainDone: null })
    expect(drop.doneMin).toBe(drop.alDenteMin)
  })
})

describe('on a closed tray', () => {
  const ribbon: Tray = { ...strand, geometry: 'slab', halfThicknessMm: 1.2 }

  it('turning half way is sooner than not, and takes nothing away', () => {
    const usual = dryHours(ribbon, 1000)!
    const turned = dryHours({ ...ribbon, turnsH: [usual / 4] }, 1000)!
    const both = dryHours({ ...ribbon, halfThicknessMm: 0.6 }, 1000)!
    expect(turned).toBeLessThan(0.85 * usual)
    expect(turned).toBeGreaterThan(both)
    const samples = (turnsH: readonly number[]) =>
      dry({ ...ribbon, turnsH }, { sampleH: [5, 5.000_001], maxH: 336 }).samples
    const [before, after] = samples([5])
    expect(after!.moisture).toBeCloseTo(before!.moisture, 4)
    expect(after!.surface).toBeGreaterThan(before!.surface)
  })
})

describe('hours warm and wet, which what spoils a dough has to grow in', () => {
  const slow: Tray = { ...strand, halfThicknessMm: 3, startMoisture: 0.32, climate: inAir(60, 24) }

  it('run from the start until the mean passes 24 % water', () => {
    const { warmWetH, samples } = dry(slow, { maxH: 100, sampleH: Array.from({ length: 2001 }, (_, n) => n * 0.05) })
    const past = samples.find(({ moisture }) => moisture < 0.24)!
    expect(past.h).toBeGreaterThan(1)
    expect(Math.abs(warmWetH - past.h)).toBeLessThan(0.15)
  })

  it('do not run in a fridge, and do from the first degrees above it', () => {
    const at = (celsius: number) => dry({ ...slow, climate: inAir(60, celsius) }, { maxH: 20 }).warmWetH
    expect(at(4)).toBe(0)
    expect(at(5)).toBe(0)
    expect(at(8)).toBeGreaterThan(5)
  })

  it('the middle lags by what it lagged when the mean passed 18 %', () => {
    const { coreLagAt18, samples } = dry(slow, {
      maxH: 200,
      sampleH: Array.from({ length: 4001 }, (_, n) => n * 0.05),
    })
    const at = samples.find(({ moisture }) => moisture < 0.18)!
    expect(coreLagAt18).toBeCloseTo(dryBasis(at.core) - dryBasis(at.surface), 2)
  })
})
