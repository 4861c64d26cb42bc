import * as fc from 'fast-check'
import { seriesErrors } from '../testing/seriesMean.ts'
import { GEOMETRIES } from '../model/index.ts'
import { bodyOf, CELLS } from './body.ts'
import { cook, cookedThrough, drierWithin } from './cooking.ts'
import { advance, centreOf, meanOf, startRun } from './diffusion.ts'
import { dry, dryHours } from './drying.ts'
import { DRYING_MODEL, type AirFrom, type Tray } from './tray.ts'
import { atMoistureG, ensembleOf, solidsG, type Ensemble } from './ensemble.ts'
import {
  copyOf,
  courseIn,
  feltIn,
  goOnIn,
  gramsAt,
  growsAt,
  pointAt,
  runIn,
  turnIn,
  UNKNOWN,
  USUAL_WORLD,
  type World,
} from './world.ts'
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

/** A world in which only what is told is so: nothing falls, shrinks or cools. */
const PLAIN: World = UNKNOWN.map(
  (name) => ({ falls: -10, shrinks: -10, radiant: 1e6, exchange: -Math.log(0.925) / 0.36 })[name as string] ?? 0,
)

describe('a world', () => {
  it('with nothing unknown in it goes as the plain solver does, to 4 %', () => {
    fc.assert(
      fc.property(trays, ({ climate, ...rest }) => {
        // In one air: at a jump of fifty degrees the quick steps are coarser.
        const tray = { ...rest, climate: climate.slice(0, 1) }
        const hours = dryHours(tray, 1000)
        if (hours === null || hours < 0.5) return
        // Where any of its airs holds it about at the target, the hour hangs on a hair.
        const ends = tray.climate.map((air) => wetBasis(equilibrium(air.rhPercent, air.temperatureC)))
        if (ends.some((end) => Math.abs(tray.targetMoisture - end) < 0.015)) return
        const quick = courseIn(tray, PLAIN, 0, 2000).hoursToTarget!
        expect(Math.abs(quick / hours - 1)).toBeLessThan(0.04)
      }),
      { numRuns: 60, endOnFailure: true },
    )
  })

  it('usual in all is later than the plain solver: it falls, and the piece is cool', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.4, max: 2, noNaN: true }),
        fc.double({ min: 30, max: 48, noNaN: true }),
        (mm, rh) => {
          const tray = { ...strand, halfThicknessMm: mm, climate: inAir(rh) }
          expect(courseIn(tray, USUAL_WORLD, 0, 2000).hoursToTarget!).toBeGreaterThan(dryHours(tray, 2000)!)
        },
      ),
      { numRuns: 20 },
    )
  })

  it('loses on the scale what its curve loses, and comes to rest where its air holds it', () => {
    const course = courseIn(strand, USUAL_WORLD, 300, 300)
    expect(gramsAt(course, 0, 800)).toBeCloseTo(800, 9)
    const { moisture } = pointAt(course, 300)
    expect(gramsAt(course, 300, 800)).toBeCloseTo(atMoistureG(solidsG(800, 0.3), moisture), 6)
    expect(moisture).toBeCloseTo(wetBasis(equilibrium(38, 27)), 2)
  })

  it('turned half way it is sooner than not, and turning takes nothing away', () => {
    const ribbon: Tray = { ...strand, geometry: 'slab', halfThicknessMm: 1.2 }
    const hours = (tray: Tray) => courseIn(tray, USUAL_WORLD, 0, 1000).hoursToTarget!
    const usual = hours(ribbon)
    expect(hours({ ...ribbon, turnsH: [usual / 4] })).toBeLessThan(0.85 * usual)
    expect(hours({ ...ribbon, turnsH: [usual / 4] })).toBeGreaterThan(hours({ ...ribbon, halfThicknessMm: 0.6 }))
    const run = runIn(ribbon, USUAL_WORLD, 5)
    const mass = () => run.x.reduce((sum, each, n) => sum + each * run.piece.body.volumes[n]!, 0)
    const before = mass()
    turnIn(run)
    expect(mass()).toBeCloseTo(before, 12)
  })

  it('goes the same way from a copy as without one', () => {
    const run = runIn(strand, USUAL_WORLD, 3)
    const copy = copyOf(run)
    const air = feltIn(run, strand.climate[0]!)
    goOnIn(run, air, 9)
    expect(copy.mean).toBeGreaterThan(run.mean)
    goOnIn(copy, air, 9)
    expect(copy.mean).toBeCloseTo(run.mean, 12)
  })
})

describe('hours warm and wet, which what spoils a dough has to grow in', () => {
  const thick: Tray = { ...strand, halfThicknessMm: 1.5, startMoisture: 0.32, climate: inAir(50, 30) }
  const of = (tray: Tray) => courseIn(tray, USUAL_WORLD, 0, 336)

  it('strands of 3 mm at 30 °C and 50 % stand so 12 to 25 h, which is long', () => {
    const { warmWetH, coreWetH, growthH } = of(thick)
    expect(warmWetH).toBeGreaterThan(10)
    expect(coreWetH).toBeGreaterThan(16)
    expect(coreWetH).toBeLessThan(25)
    expect(growthH).toBeGreaterThan(48)
  })

  it('end for the mean as it passes 17 % water, and later for the middle', () => {
    const course = of(thick)
    const past = course.h[course.mean.findIndex((x) => wetBasis(x) < 0.174)]!
    expect(Math.abs(course.warmWetH - past)).toBeLessThan(1)
    expect(course.coreWetH).toBeGreaterThan(course.warmWetH)
  })

  it('do not run in a fridge; each degree above 7 °C counts more than the one before', () => {
    expect(of({ ...thick, climate: inAir(50, 5) }).growthH).toBe(0)
    expect([7, 20, 33].map((celsius) => growsAt(celsius))).toEqual([0, 1, 4])
    expect(growsAt(4)).toBe(0)
  })
})

describe('the worlds that agree with the scale', () => {
  const startG = 800
  const asked = { tray: strand, startG, scaleSdG: 1, maxH: 336 }
  const truth: World = UNKNOWN.map((name) => ({ diffusivity: -1.2, humidity: 0.8, falls: 0.7 })[name as string] ?? 0)
  const course = courseIn(strand, truth, 0, 336)
  const weighed = (hours: readonly number[]) => hours.map((h) => ({ h, grams: gramsAt(course, h, startG) }))
  const widthOf = ({ low, high }: Ensemble) => Math.log(high! / low!)

  it('close in on the tray that was weighed, the more the oftener', () => {
    const all = [0.1, 0.2, 0.35, 0.5, 0.7].map((share) => share * course.hoursToTarget!)
    const found = [0, 2, 5].map((n) => ensembleOf({ ...asked, weighIns: weighed(all.slice(0, n)) }))
    expect(widthOf(found[1]!)).toBeLessThan(widthOf(found[0]!) / 2)
    expect(widthOf(found[2]!)).toBeLessThan(widthOf(found[1]!))
    expect(found[2]!.hoursToTarget! / course.hoursToTarget!).toBeCloseTo(1, 0.9)
    expect(found[2]!.low!).toBeLessThan(course.hoursToTarget!)
    expect(found[2]!.high!).toBeGreaterThan(course.hoursToTarget!)
    expect(found[2]!.residualG).toBeLessThan(1)
  })

  it('are all that could be before anything was weighed: half to double, about', () => {
    const { low, hoursToTarget, high } = ensembleOf({ ...asked, weighIns: [] })
    expect(low! / hoursToTarget!).toBeLessThan(0.65)
    expect(high! / hoursToTarget!).toBeGreaterThan(1.5)
  })

  it('a weighing at the start alone tells next to nothing', () => {
    const [before, after] = [[], [{ h: 0, grams: startG }]].map((weighIns) => ensembleOf({ ...asked, weighIns }))
    expect(widthOf(after!) / widthOf(before!)).toBeGreaterThan(0.9)
  })

  it('in air that is too damp it is never, whatever was weighed; at the brink it may be', () => {
    const damp = { ...strand, climate: inAir(75) }
    const wet = courseIn(damp, USUAL_WORLD, 5, 5)
    const weighIns = [2, 5].map((h) => ({ h, grams: gramsAt(wet, h, startG) }))
    expect(ensembleOf({ ...asked, tray: damp, weighIns })).toMatchObject({ hoursToTarget: null, high: null })
    const { low, high } = ensembleOf({ ...asked, tray: { ...strand, climate: inAir(54) }, weighIns: [] })
    expect(low).not.toBeNull()
    expect(high).toBeNull()
  })

  it('a weighing with the wrong tray is a slip, and moves the hour little', () => {
    const all = weighed([2, 4, 6, 8])
    const usual = ensembleOf({ ...asked, weighIns: all }).hoursToTarget!
    const slip = ensembleOf({ ...asked, weighIns: [...all, { h: 7, grams: 770 }] }).hoursToTarget!
    expect(Math.abs(slip / usual - 1)).toBeLessThan(0.15)
  })

  it('a thousand weighings, a slip among them, and two at once are borne', () => {
    const often = weighed(Array.from({ length: 1000 }, (_, n) => n / 100))
    const slip = [...weighed([2, 4]), { h: 5, grams: 790 }]
    for (const weighIns of [often, slip, weighed([3, 3])]) {
      const { hoursToTarget, low, high } = ensembleOf({ ...asked, weighIns })
      expect(low!).toBeLessThanOrEqual(hoursToTarget!)
      expect(high ?? Infinity).toBeGreaterThanOrEqual(hoursToTarget!)
    }
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

  it('what is half dried lies between the two: it goes faster from a fifth of water on, dry basis', () => {
    expect(at(0.85, 0.2).doneMin / at(0.85, 0.16).doneMin).toBeLessThan(0.7)
    expect(at(0.85, 0.16).doneMin / at(0.85, 0.125).doneMin).toBeGreaterThan(0.95)
  })

  it('firm comes before done, the core shrinks, and water goes in until it is done', () => {
    const { alDenteMin, doneMin, curve, massGainDone } = at(0.85, 0.125)
    expect(alDenteMin).toBeLessThan(doneMin)
    const cores = curve!.map(({ coreFraction }) => coreFraction)
    expect(cores).toEqual([...cores].sort((a, b) => b - a))
    expect(massGainDone).toBeCloseTo((1 - 0.125) / (1 - curve!.at(-1)!.moisture), 6)
  })

  it('a fresh piece never waits for water longer than it need, and half water is no edge', () => {
    const bodies = (['slab', 'cylinder', 'sphere'] as const).flatMap((geometry) =>
      [0.5, 1, 2, 4, 8].map((halfThicknessMm) => ({ geometry, halfThicknessMm, altitudeM: 0 })),
    )
    for (const body of bodies) {
      const done = (startMoisture: number) => cookedThrough({ ...body, startMoisture }).doneMin
      expect(done(0.4999) / done(0.5001)).toBeCloseTo(1, 1)
      for (const moisture of [0.125, 0.29, 0.35, 0.42, 0.47]) {
        expect(done(moisture)).toBeLessThanOrEqual(cook({ ...body, startMoisture: moisture }).doneMin)
        expect(done(moisture)).toBeGreaterThanOrEqual(done(0.6) * 0.99)
      }
    }
    // A strand of two millimetres is not cut short; gnocchi of sixteen take minutes, not an hour.
    const strand = { geometry: 'cylinder', halfThicknessMm: 1, startMoisture: 0.38, altitudeM: 0 } as const
    expect(cookedThrough(strand)).toEqual(cook(strand))
    const dumpling = { geometry: 'sphere', halfThicknessMm: 8, startMoisture: 0.42, altitudeM: 0 } as const
    expect(cook(dumpling).doneMin).toBeGreaterThan(40)
    expect(cookedThrough(dumpling)).toMatchObject({ heatOnly: true })
    expect(cookedThrough(dumpling).doneMin).toBeLessThan(10)
  })

  it('a wet dough is done when it is hot', () => {
    const drop = cook({ geometry: 'sphere', halfThicknessMm: 8, startMoisture: 0.6, altitudeM: 0 })
    expect(drop).toMatchObject({ heatOnly: true, curve: null, massGainDone: null })
    // By the first term of the series for a sphere at a Biot number of 26.7: 99.9 s to 75 °C, and the 88 s of its surface.
    expect(drop.doneMin).toBeCloseTo((99.9 + 88) / 60, 1)
    expect(drop.doneMin).toBe(drop.alDenteMin)
  })
})
