import fc from 'fast-check'
import {
  CUP_ML,
  fromFahrenheit,
  parseQuantity,
  plainLength,
  showLength,
  showMass,
  showTemperature,
  showVolume,
  toFahrenheit,
} from '../quantity/index.ts'
import { defaultUnits } from '../model/index.ts'
import { testKitchen } from '../testing/testKitchen.ts'
import { cupG, cupsOf, divisorOf, partsOf, percentOfCups, percentOfDivisor, percentOfParts } from './sayings.ts'

const durum = { ...testKitchen.ingredients.get('durum')!, densityGPerMl: 0.6, cupFactor: { low: 0.9, high: 1.2 } }

it('flour ÷ 2 is 50 %, flour ÷ 3 is a third, and back', () => {
  expect(percentOfDivisor(2)).toBe(50)
  expect(percentOfDivisor(3)).toBeCloseTo(33.33, 2)
  fc.assert(
    fc.property(fc.double({ min: 10, max: 200, noNaN: true }), (percent) =>
      expect(percentOfDivisor(divisorOf(percent))).toBeCloseTo(percent, 9),
    ),
  )
})

it.each([
  [50, 2, 1],
  [33.4, 3, 1],
  [100, 1, 1],
  [66.7, 3, 2],
  [48, 12, 6],
] as const)('%s %% in small parts', (percent, flour, water) => {
  const parts = partsOf(percent)
  expect(parts.percent).toBeCloseTo(percentOfParts(parts.flour, parts.water), 9)
  expect(Math.abs(parts.percent - percent)).toBeLessThanOrEqual(Math.abs(percentOfParts(flour, water) - percent) + 1e-9)
  expect(parts.flour).toBeLessThanOrEqual(12)
})

it('no other parts of at most twelve come nearer', () => {
  fc.assert(
    fc.property(fc.double({ min: 20, max: 150, noNaN: true }), (percent) => {
      const off = Math.abs(partsOf(percent).percent - percent)
      for (let flour = 1; flour <= 12; flour += 1)
        for (let water = 1; water <= 18; water += 1)
          expect(off).toBeLessThanOrEqual(Math.abs(percentOfParts(flour, water) - percent) + 1e-9)
    }),
    { numRuns: 40 },
  )
})

it('a cup is a range, and so is what two cups to one come to', () => {
  expect(cupG(durum, 250)).toEqual({ low: 135, best: 150, high: 180 })
  const cups = cupsOf(300, durum, 250)
  expect(cups.best).toBe(2)
  expect(cups.low).toBeLessThan(cups.best)
  const said = percentOfCups(2, 0.6, durum, 250)
  expect(said.best).toBeCloseTo(50, 9)
  expect(said.low).toBeCloseTo((100 * 150) / 360, 9)
  expect(said.high).toBeCloseTo((100 * 150) / 270, 9)
})

describe('units at the edge', () => {
  const imperial = { ...defaultUnits, mass: 'oz', temperature: '°F', length: 'in', volume: 'cup', cup: 'us' } as const

  it('shows a mass no coarser than the scale reads', () => {
    expect(showMass(452, defaultUnits)).toEqual({ figure: '452', unit: 'g' })
    expect(showMass(452, defaultUnits, 0.1).figure).toBe('452.0')
    expect(showMass(452, imperial).figure).toBe('15.94')
    expect(showMass(1500, { ...defaultUnits, mass: 'kg' }).figure).toBe('1.500')
  })

  it('shows heat, length and volume as they are spoken of', () => {
    expect(showTemperature(38, imperial)).toEqual({ figure: '100', unit: '°F' })
    expect(showLength(13, imperial)).toEqual({ figure: '0.51', unit: 'in' })
    expect(showLength(4850, imperial)).toEqual({ figure: '15.9', unit: 'ft' })
    expect(showLength(83_668, imperial)).toEqual({ figure: '275', unit: 'ft' })
    expect(plainLength(2000, imperial)).toEqual({ figure: '78.7', unit: 'in' })
    expect(plainLength(1200, defaultUnits).figure.replace(/\s/g, '')).toBe('1200')
    expect(showLength(4850, defaultUnits)).toEqual({ figure: '4.85', unit: 'm' })
    expect(showLength(8.5, defaultUnits).figure).toBe('8.5')
    expect(showVolume(CUP_ML.us * 1.5, imperial)).toEqual({ figure: '1.50', unit: 'cups' })
    expect(showVolume(355, defaultUnits)).toEqual({ figure: '355', unit: 'ml' })
  })

  it('there and back is where it was', () => {
    fc.assert(
      fc.property(fc.double({ min: -40, max: 300, noNaN: true }), (celsius) =>
        expect(fromFahrenheit(toFahrenheit(celsius))).toBeCloseTo(celsius, 9),
      ),
    )
  })

  it('what is shown in ounces is read as ounces, to within what was shown', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 20_000 }), (grams) => {
        const { figure } = showMass(grams, imperial)
        const read = parseQuantity(`${figure} oz`, 'g', { min: 0, max: 1e6 })
        expect(read.ok && Math.abs(read.value - grams)).toBeLessThanOrEqual(0.5)
      }),
    )
  })
})
