import fc from 'fast-check'
import { boilingPointC, pressureHPa } from './boilingPoint.ts'
import { heatCapacityJ, scald, twoJugs, WATER_J, waterTemperature } from './mixing.ts'
import { pot } from './pot.ts'
import { temperMinutes } from './temper.ts'
import { thawHours } from './thaw.ts'

const number = (min: number, max: number) => fc.double({ min, max, noNaN: true })
const request = {
  flourG: 500,
  flourC: 18,
  flourMoisture: 0.14,
  waterG: 240,
  others: [],
  frictionC: 4,
  targetC: 26,
  altitudeM: 0,
  iceC: -10,
}

it('heat is neither made nor lost: the mixed dough has the wanted temperature', () => {
  fc.assert(
    fc.property(
      number(100, 5000),
      number(-5, 40),
      number(50, 4000),
      number(5, 40),
      (flourG, flourC, waterG, targetC) => {
        const { waterC } = waterTemperature({ ...request, flourG, flourC, waterG, targetC })
        const flour = flourG * heatCapacityJ(0.14)
        const mixed = (flour * flourC + waterG * WATER_J * waterC) / (flour + waterG * WATER_J)
        expect(mixed + 4).toBeCloseTo(targetC, 6)
      },
    ),
  )
})

it('out of reach is said, with the nearest that can be had', () => {
  const hot = waterTemperature({ ...request, targetC: 90 })
  expect(hot.feasible).toBe(false)
  expect(hot.reachableC).toBeGreaterThan(26)
  expect(hot.reachableC).toBeLessThan(90)
  expect(waterTemperature({ ...request, targetC: hot.reachableC ?? 0 }).waterC).toBeCloseTo(boilingPointC(0), 6)
})

it('ice and tap water together cool like water of the computed temperature', () => {
  const { waterC, iceG } = waterTemperature({ ...request, targetC: 20, tapC: 16 })
  expect(iceG).toBeGreaterThan(0)
  const ice = iceG ?? 0
  const heat = (240 - ice) * WATER_J * 16 - ice * (334 + 2.05 * 10)
  expect(heat / (240 * WATER_J)).toBeCloseTo(waterC, 9)
  expect(waterTemperature({ ...request, tapC: 5 }).iceG).toBeUndefined()
})

it('two jugs make the water and its temperature', () => {
  fc.assert(
    fc.property(number(10, 5000), number(0, 40), number(1, 55), number(0, 1), (waterG, coldC, span, share) => {
      const wantedC = coldC + span * share
      const jugs = twoJugs(waterG, wantedC, coldC, coldC + span)
      if (!jugs.ok) throw new Error(jugs.problem.code)
      const { coldG, hotG } = jugs.value
      expect(coldG + hotG).toBeCloseTo(waterG, 6)
      expect((coldG * coldC + hotG * (coldC + span)) / waterG).toBeCloseTo(wantedC, 6)
    }),
  )
  expect(twoJugs(100, 50, 60, 60).ok).toBe(false)
})

it('boiling water on flour at 50 % lands near 63 °C, short of gelling', () => {
  const landed = scald({ flourG: 1000, flourC: 22, flourMoisture: 0.14, waterG: 500, waterC: 100 })
  expect(landed.doughC).toBeGreaterThan(62)
  expect(landed.doughC).toBeLessThan(65)
  expect(landed.starchGels).toBe(false)
})

it('water boils lower the higher up, from the shore to the pass', () => {
  fc.assert(
    fc.property(number(-100, 4900), (altitudeM) => {
      expect(boilingPointC(altitudeM + 100)).toBeLessThan(boilingPointC(altitudeM))
    }),
  )
  expect(pressureHPa(0)).toBeCloseTo(1013.25, 2)
})

it('twice the pasta dips nearly twice as far, and no pasta not at all', () => {
  const pasta = (pastaG: number) =>
    pot({
      litres: 7,
      powerKW: 2,
      efficiency: 0.7,
      startC: 12,
      altitudeM: 0,
      pastaG,
      pastaC: 18,
      pastaMoisture: 0.4,
      saltGPerL: 10,
    })
  expect(pasta(0)).toMatchObject({ dipC: 0, minutesToReturn: 0, saltG: 70 })
  expect(pasta(800).dipC / pasta(400).dipC).toBeGreaterThan(1.85)
})

describe('tempering', () => {
  const block = {
    shape: 'slab',
    halfThicknessMm: 15,
    fromC: 4,
    roomC: 22,
    withinC: 3,
    moisture: 0.4,
    hWPerM2K: 8,
  } as const

  it('a flat parcel wins, and what is warm already waits for nothing', () => {
    expect(temperMinutes({ ...block, halfThicknessMm: 30 })).toBeGreaterThan(2 * temperMinutes(block))
    expect(temperMinutes({ ...block, fromC: 20 })).toBe(0)
  })

  it('agrees with a slow reference: the same slab in layers, stepped through time', () => {
    const layers = 40
    const dx = 0.015 / layers
    const heatPerM3 = 1200 * heatCapacityJ(0.4) * 1000
    let profile = Array.from({ length: layers }, () => 4)
    const dt = (0.3 * dx * dx * heatPerM3) / 0.4
    let seconds = 0
    while (22 - profile[0]! > 3) {
      const surface = profile.at(-1)!
      const out = (22 - surface) / (1 / 8 + dx / 2 / 0.4)
      profile = profile.map((here, i) => {
        const fromLeft = i === 0 ? 0 : (0.4 * (profile[i - 1]! - here)) / dx
        const fromRight = i === layers - 1 ? out : (0.4 * (profile[i + 1]! - here)) / dx
        return here + (dt * (fromLeft + fromRight)) / (heatPerM3 * dx)
      })
      seconds += dt
    }
    expect(Math.abs(temperMinutes(block) - seconds / 60)).toBeLessThan(1.5)
  })
})

it('a flat slab of frozen dough thaws overnight in the fridge; half as thick in less than half the time; an ice slab by hand', () => {
  const slab = { thicknessMm: 30, roomC: 4, moisture: 0.42, hWPerM2K: 10 }
  expect(thawHours(slab)).toBeGreaterThan(7)
  expect(thawHours(slab)).toBeLessThan(10)
  expect(thawHours({ ...slab, thicknessMm: 15 })).toBeLessThan(thawHours(slab) / 2)
  // By pencil, 0.1 m thick: 1200 · 133.6 kJ over 24 K, times 0.1/20 + 0.01/3.2.
  expect(thawHours({ thicknessMm: 100, roomC: 20, moisture: 0.5, hWPerM2K: 10 })).toBeCloseTo(
    (((1200 * 133_600) / 24) * 0.008125) / 3600,
    6,
  )
})
